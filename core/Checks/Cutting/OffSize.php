<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Compared\Outcome;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feature that does not come out as the drawing has it. */
final class OffSize implements Check
{
    public function name(): string
    {
        return 'cutting.off-size';
    }

    public function examine(Evidence $evidence): iterable
    {
        $missing = $measured = [];
        foreach ($evidence->compared()->outcomes ?? [] as $outcome) {
            if ($outcome->got !== null) {
                $measured[spl_object_id($outcome->feature)] = true;
            }
            if ($outcome->isWithin() || ($outcome->line !== null && $evidence->slips()->explainsDepth($outcome->line))) {
                continue;
            }
            if ($outcome->got === null) {
                $missing[spl_object_id($outcome->feature)] ??= $outcome;

                continue;
            }
            yield $this->off($evidence, $outcome, $outcome->got);
        }
        // Of a feature that opens into another a wall is missing, and a size that cannot be measured; the rest of it is there.
        foreach (array_diff_key($missing, $measured) as $outcome) {
            yield new Finding(
                $this->name(), Severity::Caution, $outcome->line ?? $evidence->firstBlock(), 1,
                '{feature} is not there as the drawing has it, at X {x} Y {y}.',
                ['feature' => $outcome->feature->name, 'x' => Quantity::length($outcome->feature->outline->x), 'y' => Quantity::length($outcome->feature->outline->y)],
                'Look at it in the turned view, as cut. Is it left for another setup? Then take it off what is wanted of this one.', field: 'target',
            );
        }
    }

    private function off(Evidence $evidence, Outcome $outcome, float $got): Finding
    {
        $dimension = $outcome->dimension;
        $isPlace = $dimension->what === 'place';

        return new Finding(
            $this->name(), $outcome->isScrap() ? Severity::Stop : Severity::Caution, $outcome->line ?? $evidence->firstBlock(), 1,
            $isPlace ? '{feature} comes out {got} beside its place; it may be {most}.' : '{feature}: its {what} comes out {got}; wanted are {wanted}, from {least} to {most}.',
            [
                'feature' => $outcome->feature->name, 'what' => $dimension->what === 'corner' ? 'corner radius' : $dimension->what, 'got' => Quantity::length($got), 'wanted' => Quantity::length($dimension->wanted),
                'least' => Quantity::length($dimension->least), 'most' => Quantity::length($dimension->most),
            ],
            self::remedyOf($outcome), field: 'target',
        );
    }

    private static function remedyOf(Outcome $outcome): string
    {
        return match (true) {
            ! $outcome->isScrap() => 'Material is left: is a pass missing, or left for a measured one?',
            $outcome->line === null => 'Nothing of the program cuts there: is the blank too small, or the drawing wrong?',
            default => 'What is cut away cannot be put back: check the path, the offset and the size of the tool.',
        };
    }
}
