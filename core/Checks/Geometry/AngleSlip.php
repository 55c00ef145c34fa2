<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An angle of a rotary axis that fits the others of the program only with its point moved: A18 among A90 and A270. */
final class AngleSlip extends MillCheck
{
    /** Steps that parts are divided by, degrees, the widest first. */
    private const STEPS = [90.0, 60.0, 45.0, 30.0];

    /** An angle that is a multiple of this is usual by itself. */
    private const USUAL = 7.5;

    /** Angles in one program up to which they divide a part: more of them follow a surface. */
    private const MOST = 40;

    private const EXACT = 1e-6;

    public function name(): string
    {
        return 'geometry.angle-slip';
    }

    public function why(): string
    {
        return 'A lost digit brings another side of the part under the tool. Everything that follows is cut there.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (array_filter($input->setup->machine->axes, static fn (Axis $axis): bool => $axis->isRotary()) as $letter => $axis) {
            $angles = $this->angles($input, $letter);
            foreach (count($angles) > self::MOST ? [] : $angles as [$line, $angle]) {
                $others = array_filter(array_column($angles, 1), static fn (float $other): bool => abs($other - $angle) > self::EXACT);
                $places = $this->placesLost($angle, $others);
                $word = $places === null ? null : PlacedWord::find($input->trace->sources->text($line), $line, $letter);
                if ($places !== null && $word !== null && abs($word->value() - $angle) < self::EXACT) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $word->line, $word->column,
                        '{axis} goes to {angle}; every other angle of the program is a multiple of {step}.',
                        ['axis' => $letter, 'angle' => Quantity::angle($angle), 'step' => Quantity::angle($this->step($others) ?? 0.0)],
                        'Is the decimal point of {axis} right?', edit: $word->replacedBy($word->movedPoint($places)),
                    );
                }
            }
        }
    }

    /** @return list<array{int, float}> place of each block that turns the axis, and the angle of the program it turns it to, each angle once */
    private function angles(CheckInput $input, string $letter): array
    {
        $found = [];
        $index = $input->setup->machine->axisIndex[$letter];
        foreach ($input->trace->chunks() as $chunk) {
            $before = $chunk->before[$index];
            foreach ($chunk->axis($index) as $row => $at) {
                // The rows of one block may be several: at rapid each axis gets there in its own time.
                if ($at !== $before && ($chunk->lines()[$row + 1] ?? 0) !== $chunk->lines()[$row]) {
                    $angle = $at - $input->trace->states[$chunk->states()[$row]]->shift($index);
                    $found[sprintf('%.4F', $angle)] ??= [$chunk->lines()[$row], $angle];
                    $before = $at;
                }
            }
            if (count($found) > self::MOST) {
                break;
            }
        }

        return array_values($found);
    }

    /**
     * @param  array<float>  $others
     * @return int|null by how many places its point has slipped to the left, less than 0; null where the others do not say so
     */
    private function placesLost(float $angle, array $others): ?int
    {
        $step = self::isMultiple($angle, self::USUAL) ? null : $this->step($others);
        foreach ([-1, -2] as $places) {
            if ($step !== null && self::isMultiple($angle / 10 ** $places, $step)) {
                return $places;
            }
        }

        return null;
    }

    /**
     * The widest step all of them are multiples of, where there are enough to tell.
     *
     * @param  array<float>  $angles
     */
    private function step(array $angles): ?float
    {
        foreach (array_filter($angles, static fn (float $angle): bool => abs($angle) > self::EXACT) === [] ? [] : self::STEPS as $step) {
            if (array_filter($angles, static fn (float $angle): bool => ! self::isMultiple($angle, $step)) === []) {
                return $step;
            }
        }

        return null;
    }

    private static function isMultiple(float $angle, float $step): bool
    {
        return abs($angle - round($angle / $step) * $step) < self::EXACT;
    }
}
