<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Any move, at rapid or at feed, into an obstacle of the setup. */
final class RapidHitsObstacle extends MillCheck
{
    public function name(): string
    {
        return 'heights.rapid-hits-obstacle';
    }

    public function why(): string
    {
        return 'Jaws and clamps do not give way. A touch chips the tool at best and pulls the part or the vice at worst.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workholding->obstacles === []) {
            yield $this->gap('No jaws or clamps given: only the stock is checked.', 'obstacles');
        }
        $inMachine = array_filter($input->setup->workholding->obstacles, static fn (Obstacle $obstacle): bool => $obstacle->workOffset === Obstacle::MACHINE);
        if ($inMachine !== [] && $input->setup->tooling->gaugeShift() === null) {
            yield $this->gap('No tool’s length from the gauge line is given: what stands in machine coordinates is not checked.', 'tools.0.length');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->setup->workholding->obstacles as $i => $obstacle) {
            foreach (MovesByTool::of($input->obstacles->hits[$obstacle->name] ?? []) as [$move, $also]) {
                $isUnder = array_filter(
                    $input->setup->stocks(),
                    static fn (Stock $stock): bool => $obstacle->workOffset === $stock->workOffset && $obstacle->around->high->z <= $stock->bottom() + 1e-6,
                ) !== [];
                yield new Finding(
                    $this->name(), Severity::Stop, $move->line, 1,
                    $isUnder
                        ? 'T{tool} breaks through into {obstacle}, which lies under the stock: down to Z {z}, {by} into it.'
                        : 'T{tool} runs into {obstacle} at Z {z}, {by} below its top.',
                    [
                        'tool' => $move->tool, 'obstacle' => $obstacle->name, 'z' => Quantity::length($move->z),
                        'by' => Quantity::length($obstacle->around->high->z - $move->z),
                    ],
                    $isUnder
                        ? 'Cut less deep, or move what lies under the stock.'
                        : 'Go over it or round it, or move the fixture. The holder is wider than the tool.', $also,
                    field: $obstacle->isOfMachine ? 'machine' : 'obstacles.'.$i,
                );
            }
        }
    }
}
