<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Compared\Difference;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Material gouged or left, beyond tolerance, beside what is wanted. */
final class OffTarget extends MillCheck
{
    public function name(): string
    {
        return 'cutting.off-target';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->workpiece->target?->isWhole === false) {
            yield $this->gap('Of the drawing only the features given are compared: what is cut beside them is not.', 'target');
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
                self::where($worst, $isGouge).' In all {volume} '.($isGouge ? 'too much are gone.' : 'too much are there.').(
                    $input->setup->workpiece->target?->solid === null || $worst->besideWall !== null ? '' : ' It is looked at every {cell}.'
                ),
                self::figures($worst, $input->stock?->field()->cell() ?? 0.0), $isGouge
                    ? 'Look at the map of the turned view, as cut, beside what is wanted.'
                    : 'Is a pass missing, or is it left for another setup? Look at the map of the turned view.', field: 'target',
            );
        }
    }

    private static function where(Difference $worst, bool $isGouge): string
    {
        if ($worst->besideWall !== null) {
            return $isGouge ? 'A wall is cut {aside} too far in at X {x} Y {y}.' : 'A wall stands {aside} too far out at X {x} Y {y}.';
        }

        return $isGouge
            ? 'It is cut {by} too deep at X {x} Y {y}: to Z {z} instead of {wanted}.'
            : '{by} are left at X {x} Y {y}: it stands to Z {z} instead of {wanted}.';
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
