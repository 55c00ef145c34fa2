<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A drill, tap or reamer that is not on the axis of the spindle, or runs at a surface speed. */
final class OnCenter extends LatheCheck
{
    /** How far off is still on it, mm. */
    private const NEAR = 0.01;

    private const ON_CENTRE = [ToolKind::Drill, ToolKind::SpotDrill, ToolKind::CenterDrill, ToolKind::Reamer, ToolKind::Tap];

    public function name(): string
    {
        return 'turning.on-centre';
    }

    public function why(): string
    {
        return 'The part turns and the drill does not, so it cuts on the axis only. Beside it the drill bends and breaks.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->offCenter as $number => [$radius, $place]) {
            $state = $input->trace->states[$number];
            $kind = $input->setup->tooling->tools[$state->tool]->kind ?? null;
            if ($kind === null || ! in_array($kind, self::ON_CENTRE, true) || isset($told[$state->tool])) {
                continue;
            }
            $figures = ['tool' => $state->tool, 'x' => Quantity::diameter(2 * $radius)];
            if ($radius > self::NEAR) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} goes in at {x}, not on the axis.', $figures, 'Go to X0 first. Is its X offset right?',
                );
            } elseif ($state->spindle->surfaceSpeed !== null) {
                $told[$state->tool] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} works on the axis with a surface speed on: it would turn as fast as it can.', $figures,
                    'Say a spindle speed with {code spindle-speed} S.',
                );
            }
        }
    }
}
