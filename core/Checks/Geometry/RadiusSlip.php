<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * An arc by its radius between two lines that would meet both without a corner, had its point stood elsewhere, or were it rounded as
 * the other corners are: R20 for R2, one R6 among R8.
 */
final class RadiusSlip extends MachineCheck
{
    /** How exactly the radius with its point moved has to be the tangent one, as a share. */
    private const NEAR = 0.01;

    public function name(): string
    {
        return 'geometry.radius-slip';
    }

    public function why(): string
    {
        return 'The arc fits its ends but meets neither line smoothly. A wrong digit in R cuts a shape that no drawing asks for.';
    }

    public function examine(CheckInput $input): iterable
    {
        $arcs = SmoothArcs::in($input);
        foreach ($arcs->corners() as [$arc, $radius]) {
            $word = $input->wordAt($arc->line, 'R');
            if ($word === null || $word->line !== $arc->line) {
                continue;
            }
            $given = abs($word->value()) * $input->trace->end->modes->units->millimetres();
            foreach ([1, -1] as $places) {
                if (abs($given / 10 ** $places - $radius) < self::NEAR * $radius) {
                    yield $this->finding(
                        $word, $given, $radius, 'R {given} leaves a corner at both ends; R {meant} would meet both lines without one.', [],
                        'Is the decimal point of R right?', $word->replacedBy($word->movedPoint($places)),
                    );

                    continue 2;
                }
            }
            $like = abs($given - $radius) < self::NEAR * $radius ? null : $arcs->like($radius);
            if ($like !== null) {
                $known = $input->wordAt($like, 'R');
                yield $this->finding(
                    $word, $given, $radius, 'R {given} leaves a corner at both ends; R {meant}, as on line {like}, would meet both lines without one.',
                    ['like' => $input->trace->sources->words($like)], 'Is R right?',
                    $known?->line === $like ? $word->replacedBy($known->number) : null,
                );
            }
        }
    }

    /** @param  array<string, string>  $figures */
    private function finding(PlacedWord $word, float $given, float $radius, string $text, array $figures, string $remedy, ?Edit $edit): Finding
    {
        return new Finding(
            $this->name(), Severity::Caution, $word->line, $word->column, $text,
            $figures + ['given' => Quantity::length($given), 'meant' => Quantity::length($radius)], $remedy, edit: $edit,
        );
    }
}
