<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Travel;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Turning;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Kinematics\TurningSolid;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** What turns with the part, and the part itself, against what does not turn. */
final class SwingsInto extends MillCheck
{
    public function name(): string
    {
        return 'travel.swings-into';
    }

    public function why(): string
    {
        return 'What turns sweeps a whole ring, not only its place at the start. Anything fixed inside that ring is hit.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->setup->rotaryCenters as $axis => $center) {
            $turning = Turning::about($input->setup, $axis);
            if ($turning === null) {
                continue;
            }
            foreach ($input->setup->workholding->obstacles as $i => $obstacle) {
                if ($obstacle->workOffset === Obstacle::MACHINE && $input->setup->tooling->gaugeShift() === null) {
                    continue; // nobody knows how high it is
                }
                if ($obstacle->turnsWith !== null) {
                    continue;
                }
                $box = $turning->placed($obstacle);
                foreach ($turning->solids as [$what, $solid]) {
                    if (! $turning->holds($obstacle, $what, $solid)) {
                        yield from $this->meets($input, $turning, $axis, $what, $solid, $obstacle, $box, $i);
                    }
                }
            }
        }
    }

    /** @return iterable<Finding> */
    private function meets(
        CheckInput $input, Turning $turning, string $axis, string $what, TurningSolid $solid, Obstacle $obstacle, Box $box, int $number,
    ): iterable {
        $deepest = 0.0;
        $at = 0.0;
        $lines = [];
        foreach ($input->turns->turnings[$axis] ?? [] as [$line, $from, $to]) {
            foreach ($turning->angles($from, $to) as $angle) {
                $depth = $solid->depthIn($box, $angle);
                if ($depth > $deepest) {
                    [$deepest, $at] = [$depth, $angle];
                }
                if ($depth > 0.0) {
                    $lines[$line] = $line;
                }
            }
        }
        if ($lines !== []) {
            $lines = array_values($lines);
            yield new Finding(
                $this->name(), Severity::Stop, $lines[0], 1, 'When {axis} turns, {what} runs {by} into {obstacle}, at {at}.',
                ['axis' => $axis, 'what' => $what, 'by' => Quantity::length($deepest), 'obstacle' => $obstacle->name, 'at' => Quantity::angle($at)],
                'Turn it the other way round, or move one of them; where {obstacle} turns with {axis} too, say so in the setup.',
                $lines, field: $obstacle->isOfMachine ? 'machine' : 'obstacles.'.$number,
            );
        }
    }
}
