<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Pieces;
use OakTrace\Core\Checks\StripOutline;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * An open outline along the side of the stock, with the cutter on the wrong side of it: it runs full in the material, and what it
 * should clean stands on the other side of the line as a thin strip. Looked at on straight, level moves, in the stock as it was
 * clamped. A slot beside a wall that is meant to be so thin looks the same; so it is a caution.
 */
final class StripLeft extends MillCheck
{
    /** A strip is no wider than this, nor than half the cutter's radius, mm. Common practice: what is left on a side to be cleaned. */
    private const WIDEST = 2.0;

    /** Where along a move it is looked, as shares of its length. */
    private const ALONG = [0.15, 0.5, 0.85];

    /** How far on the cutter's side the stock has to reach, in radii. */
    private const FULL = [0.5, 1.0, 1.9];

    /** Share of an outline's straight length in the stock that has to run so. */
    private const MOST_OF_IT = 0.6;

    public function name(): string
    {
        return 'compensation.strip-left';
    }

    public function why(): string
    {
        return 'The cutter runs full width in the material instead of along its edge. The load is several times higher, and the size is wrong by '
            .'a diameter.';
    }

    public function examine(CheckInput $input): iterable
    {
        $closed = array_map(static fn (array $folded): int => $folded[0]->line, $input->folded('compensation-wrong-side'));
        foreach ($input->turns->isStill() ? $this->outlines($input) : [] as $outline) {
            $isToldAlready = array_filter($closed, static fn (int $line): bool => $line >= $outline->lead && $line <= $outline->last) !== [];
            if ($outline->alongStrip > 0.0 && $outline->alongStrip >= self::MOST_OF_IT * $outline->inStock && ! $isToldAlready) {
                yield new Finding(
                    $this->name(), Severity::Caution, $outline->line, 1, $outline->widest > 0.01
                        ? 'T{tool} cuts at full width along this outline, and leaves a strip of {width} on the other side of the line.'
                        : 'T{tool} cuts at full width along this outline, and nothing is left on the other side of the line.',
                    ['tool' => $outline->tool, 'width' => Quantity::length($outline->widest)],
                    'Check the side: {code cutter-left} puts the cutter to the left of the line as it goes, {code cutter-right} to the right.',
                );
            }
        }
    }

    /** @return list<StripOutline> every outline under compensation in XY */
    private function outlines(CheckInput $input): array
    {
        $axes = $input->setup->machine->linearColumns();
        $pieces = Pieces::of($input->setup);
        if ($axes === null || $pieces->stocks === []) {
            return [];
        }
        $found = [];
        $before = $run = $outline = null; // the programmed point before, and what its outline is known by
        foreach ($input->trace->chunks() as $chunk) {
            $rows = $chunk->programmedRows();
            [$arcs, $heights] = $rows === [] ? [[], []] : [array_flip($chunk->arcRows()), $chunk->axis($axes[2])];
            foreach ($rows as $i => $row) {
                $state = $input->trace->states[$chunk->states()[$row]];
                $end = [$chunk->programmedFirst()[$i], $chunk->programmedSecond()[$i]];
                $key = [$state->tool, $state->work->name, $state->cutter->number, $state->cutter->side];
                if ($state->cutter->side === 0 || $state->modes->plane !== Plane::XY || $run !== $key || $before === null || $outline === null) {
                    if ($state->cutter->side !== 0) {
                        $found[] = $outline = new StripOutline($state->tool, $chunk->lines()[$row]);
                    }
                    [$before, $run] = [$end, $state->cutter->side === 0 ? null : $key];

                    continue;
                }
                $outline->last = max($outline->last, $chunk->lines()[$row]);
                $z = $row > 0 ? $heights[$row - 1] : $chunk->before[$axes[2]];
                if (! isset($arcs[$row]) && abs($heights[$row] - $z) < 1e-6) {
                    $this->follow($outline, $chunk, $row, $axes, $state, $pieces, $before, $end);
                }
                $before = $end;
            }
        }

        return $found;
    }

    /**
     * @param  array{int, int, int}  $axes
     * @param  array{float, float}  $from  axis positions the program gives
     * @param  array{float, float}  $to
     */
    private function follow(StripOutline $outline, Chunk $chunk, int $row, array $axes, State $state, Pieces $pieces, array $from, array $to): void
    {
        $radius = abs($state->cutter->radius);
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        if ($length < $radius) {
            return;
        }
        $along = [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length];
        // Which side the cutter is on is seen from where it stands.
        $side = $along[0] * ($chunk->axis($axes[1])[$row] - $to[1]) - $along[1] * ($chunk->axis($axes[0])[$row] - $to[0]) >= 0.0 ? 1 : -1;
        $offset = $state->length->on($axes);
        $piece = $pieces->at(($from[0] + $to[0]) / 2 - $offset->x, ($from[1] + $to[1]) / 2 - $offset->y, $state->work->name, 4 * $radius);
        [$stock, $zero] = [$pieces->stocks[$piece], $pieces->zeros[$piece]];
        $tip = $chunk->axis($axes[2])[$row] - $offset->z - $zero->z;
        if ($tip >= $stock->top()) {
            return;
        }
        $widest = $inStock = 0.0;
        foreach (self::ALONG as $share) {
            $line = [
                $from[0] + $share * ($to[0] - $from[0]) - $offset->x - $zero->x,
                $from[1] + $share * ($to[1] - $from[1]) - $offset->y - $zero->y,
            ];
            $at = static fn (float $aside): bool => self::holds($stock, $line[0] - $side * $along[1] * $aside, $line[1] + $side * $along[0] * $aside);
            $full = array_filter(self::FULL, static fn (float $radii): bool => $at($radii * $radius));
            $inStock += $full === [] ? 0.0 : $length / count(self::ALONG);
            $strip = count($full) === count(self::FULL) ? self::strip($at, min(self::WIDEST, $radius / 2)) : null;
            $widest = $strip === null || $widest === null ? null : max($widest, $strip);
        }
        $outline->inStock += $inStock;
        if ($widest !== null) {
            $outline->addStrip($chunk->lines()[$row], $length, $widest);
        }
    }

    /**
     * How wide the stock is on the other side of the line, mm; null where it is wider than a strip.
     *
     * @param  callable(float): bool  $at  whether there is stock so far on the cutter's side
     */
    private static function strip(callable $at, float $widest): ?float
    {
        if ($at(-$widest)) {
            return null;
        }
        [$in, $out] = [0.0, $widest];
        for ($i = 0; $i < 12; $i++) {
            $middle = ($in + $out) / 2;
            if ($at(-$middle)) {
                $in = $middle;
            } else {
                $out = $middle;
            }
        }

        return $out;
    }

    private static function holds(Stock $stock, float $x, float $y): bool
    {
        $nearest = $stock->blank->nearest($x, $y);

        return $nearest !== null && hypot($nearest[0] - $x, $nearest[1] - $y) < 1e-9;
    }
}
