<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Trace\Trace;

/** The plan of a run as a picture of a thumb's size: the stock's outline, and where it is cut, in whole dots from the top left. */
final class PlanSketch
{
    public const WIDTH = 96;

    public const HEIGHT = 64;

    private const EDGE = 3;

    /** Rows beyond which nobody would make out a line. */
    private const MOST_ROWS = 100_000;

    /** @return array{stock: list<int>|null, cuts: string}|null  stock: x, y, width, height; cuts: path data of SVG. Null where nothing is cut. */
    public static function of(Trace $trace, Setup $setup): ?array
    {
        if ($trace->rows() > self::MOST_ROWS) {
            return null;
        }
        $lines = self::lines(DrawingColumns::of($trace, $setup), $setup->machine->isLathe());
        if ($lines === []) {
            return null;
        }
        $stock = $setup->workpiece->stock?->workOffset === Tip::inPart($setup)->workOffset ? $setup->workpiece->stock : null;
        $unit = $setup->units->millimetres();
        // A lathe's part is seen from the front: Z runs across, X up.
        [$across, $up] = $setup->machine->isLathe() ? [2, 0] : [0, 1];
        $box = $stock?->around->times(1 / $unit);
        $corners = array_merge(...$lines, ...($box === null ? [] : [[
            [$box->low->on($across), $box->low->on($up)], [$box->high->on($across), $box->high->on($up)],
        ]]));
        [$left, $right] = [min(array_column($corners, 0)), max(array_column($corners, 0))];
        [$front, $back] = [min(array_column($corners, 1)), max(array_column($corners, 1))];
        $scale = min((self::WIDTH - 2 * self::EDGE) / max($right - $left, 1e-6), (self::HEIGHT - 2 * self::EDGE) / max($back - $front, 1e-6));
        $x = static fn (float $at): int => (int) round(self::WIDTH / 2 + ($at - ($left + $right) / 2) * $scale);
        $y = static fn (float $at): int => (int) round(self::HEIGHT / 2 - ($at - ($front + $back) / 2) * $scale);

        return [
            'stock' => $box === null ? null : [
                $x($box->low->on($across)), $y($box->high->on($up)), $x($box->high->on($across)) - $x($box->low->on($across)),
                $y($box->low->on($up)) - $y($box->high->on($up)),
            ],
            'cuts' => self::path($lines, $x, $y),
        ];
    }

    /** @return list<non-empty-list<array{float, float}>> connected cuts, in plan, or from the front */
    private static function lines(PackedColumns $drawing, bool $isTurned): array
    {
        [$kinds, $counts] = [$drawing->numbers('kind'), $drawing->numbers('corners')];
        [$xs, $ys] = $isTurned
            ? [$drawing->numbers('cornerZ'), $drawing->numbers('cornerX')] : [$drawing->numbers('cornerX'), $drawing->numbers('cornerY')];
        $lines = [];
        $line = [];
        $at = 0;
        foreach ($counts as $row => $count) {
            $cuts = $kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC;
            if (! $cuts && $count > 0 && count($line) > 1) {
                $lines[] = $line;
            }
            if ($cuts && $line === [] && $at > 0) {
                $line[] = [(float) $xs[$at - 1], (float) $ys[$at - 1]];
            }
            for ($n = 0; $n < $count; $n++, $at++) {
                if ($cuts) {
                    $line[] = [(float) $xs[$at], (float) $ys[$at]];
                }
            }
            $line = $cuts || $count === 0 ? $line : [];
        }

        return count($line) > 1 ? [...$lines, $line] : $lines;
    }

    /**
     * @param  list<non-empty-list<array{float, float}>>  $lines
     * @param  callable(float): int  $x
     * @param  callable(float): int  $y
     */
    private static function path(array $lines, callable $x, callable $y): string
    {
        $path = '';
        $drawn = [];
        foreach ($lines as $line) {
            [$before, $at] = [null, null];
            foreach ($line as [$atX, $atY]) {
                $dot = $x($atX).' '.$y($atY);
                $isNew = $dot !== $before && ! isset($drawn["{$before}-{$dot}"]);
                if ($before === null || ! $isNew) {
                    $before = $dot;

                    continue;
                }
                $drawn["{$before}-{$dot}"] = true;
                $path .= ($at === $before ? '' : "M{$before}")."L{$dot}";
                $before = $at = $dot;
            }
        }

        return $path === '' ? self::dots($lines, $x, $y) : $path;
    }

    /**
     * Of a run that only goes down: where it does.
     *
     * @param  list<non-empty-list<array{float, float}>>  $lines
     * @param  callable(float): int  $x
     * @param  callable(float): int  $y
     */
    private static function dots(array $lines, callable $x, callable $y): string
    {
        return implode('', array_unique(array_map(static fn (array $line): string => 'M'.$x($line[0][0]).' '.$y($line[0][1]).'h1', $lines)));
    }
}
