<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Compared\SizeResult;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A feature that does not come out as the drawing has it. */
final class OffSize extends MillCheck
{
    public function name(): string
    {
        return 'cutting.off-size';
    }

    public function why(): string
    {
        return 'The inspection will measure this size. Better to find it here than on the part.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if (($input->setup->workpiece->target->turned ?? []) !== []) {
            yield $this->gap('The drawing sizes are those of a turned part: they were not measured.', 'target');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $missing = $measured = [];
        foreach ($input->compared()->sizes ?? [] as $size) {
            if ($size->got !== null) {
                $measured[spl_object_id($size->feature)] = true;
            }
            if ($size->isWithin() || ($size->line !== null && $input->entryErrors()->explainsDepth($size->line))) {
                continue;
            }
            if ($size->got === null) {
                $missing[spl_object_id($size->feature)] ??= $size;

                continue;
            }
            yield $this->off($input, $size, $size->got);
        }
        // Of a feature that opens into another a wall is missing, and a size that cannot be measured; the rest of it is there.
        foreach (array_diff_key($missing, $measured) as $size) {
            yield new Finding(
                $this->name(), Severity::Caution, $size->line ?? $input->firstBlock(), 1,
                '{feature} is missing at X {x} Y {y}.',
                ['feature' => $size->feature->name, 'x' => Quantity::length($size->feature->outline->x), 'y' => Quantity::length($size->feature->outline->y)],
                'See it on the cut stock in 3D. If another setup cuts it, remove it from the drawing sizes of this one.', field: 'target',
            );
        }
    }

    private function off(CheckInput $input, SizeResult $size, float $got): Finding
    {
        $dimension = $size->dimension;
        $isPlace = $dimension->what === 'place';

        return new Finding(
            $this->name(), $size->isScrap() ? Severity::Stop : Severity::Caution, $size->line ?? $input->firstBlock(), 1,
            $isPlace
                ? '{feature} is {got} out of position; {most} is allowed.'
                : '{feature}: {what} comes out {got}; the drawing has {wanted}, from {least} to {most}.',
            [
                'feature' => $size->feature->name, 'what' => $dimension->what === 'corner'
                    ? 'corner radius'
                    : $dimension->what, 'got' => Quantity::length($got), 'wanted' => Quantity::length($dimension->wanted),
                'least' => Quantity::length($dimension->least), 'most' => Quantity::length($dimension->most),
            ],
            self::remedyOf($size), field: 'target',
        );
    }

    private static function remedyOf(SizeResult $size): string
    {
        return match (true) {
            ! $size->isScrap() => 'Material is left: is a pass missing, or a finish pass still to come?',
            $size->line === null => 'The program cuts nothing there: is the blank too small, or the drawing wrong?',
            default => 'What is cut away cannot be put back: check the path, the offset and the size of the tool.',
        };
    }
}
