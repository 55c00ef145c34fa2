<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Compared\Difference;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Material gouged or left, beyond tolerance, against the drawing sizes. */
final class OffTarget extends MillCheck
{
    public function name(): string
    {
        return 'cutting.off-target';
    }

    public function why(): string
    {
        return 'The finished part differs from the drawing here. What is gouged cannot be put back.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workpiece->target?->isWhole === false) {
            yield $this->gap('Only the features given are compared: other cuts are not checked.', 'target');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $compared = $input->compared();
        $explained = $compared === null ? [] : TooDeep::outOfStep($input);
        foreach ([true, false] as $isGouge) {
            $worst = $isGouge ? $compared?->gouged : $compared?->left;
            if (
                $worst === null
                || ($worst->line !== null && (in_array($worst->line, $explained, true) || $input->entryErrors()->explainsDepth($worst->line)))
            ) {
                continue;
            }
            yield new Finding(
                $this->name(), $isGouge ? Severity::Stop : Severity::Caution, $worst->line ?? $input->firstBlock(), 1,
                self::where($worst, $isGouge).' In all {volume} '.($isGouge ? 'too much is cut away.' : 'too much is left.').(
                    $input->setup->workpiece->target?->solid === null || $worst->besideWall !== null ? '' : ' Compared every {cell}.'
                ),
                self::figures($worst, $input->stock?->field()->cell() ?? 0.0), $isGouge
                    ? 'See the comparison on the cut stock in 3D.'
                    : 'Is a pass missing, or left for another setup? See the comparison on the cut stock in 3D.', field: 'target',
            );
        }
    }

    private static function where(Difference $worst, bool $isGouge): string
    {
        if ($worst->besideWall !== null) {
            return $isGouge ? 'A wall is cut {aside} too far in at X {x} Y {y}.' : 'A wall stands {aside} too far out at X {x} Y {y}.';
        }

        return $isGouge
            ? 'Gouged by {by} at X {x} Y {y}: Z {z} instead of {wanted}.'
            : '{by} of material is left at X {x} Y {y}: Z {z} instead of {wanted}.';
    }

    /** @return array<string, Quantity> */
    private static function figures(Difference $worst, float $cell): array
    {
        return [
            'aside' => Quantity::length($worst->besideWall ?? 0.0), 'cell' => Quantity::length($cell),
            'by' => Quantity::length($worst->by()), 'x' => Quantity::length($worst->x), 'y' => Quantity::length($worst->y),
            'z' => Quantity::length($worst->z), 'wanted' => Quantity::length($worst->wanted),
            'volume' => Quantity::volume($worst->volume),
        ];
    }
}
