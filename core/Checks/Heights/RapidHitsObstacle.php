<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Trace\Quantity;

/** Any move, at rapid or at feed, into an obstacle of the setup. */
final class RapidHitsObstacle implements Check
{
    public function name(): string
    {
        return 'heights.rapid-hits-obstacle';
    }

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->setup->obstacles as $i => $obstacle) {
            foreach (MovesByTool::of($evidence->obstacles->hits[$obstacle->name] ?? []) as [$move, $also]) {
                yield new Finding(
                    $this->name(), Severity::Stop, $move->line, 1,
                    'T{tool} runs into {obstacle} at Z {z}, {by} below its top.',
                    [
                        'tool' => $move->tool, 'obstacle' => $obstacle->name, 'z' => Quantity::length($move->z),
                        'by' => Quantity::length($obstacle->max[2] - $move->z),
                    ],
                    'Go over it or round it, or move the holding. The holder is wider than the tool.', $also, field: 'obstacles.'.$i,
                );
            }
        }
    }
}
