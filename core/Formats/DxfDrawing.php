<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Trace\Trace;

/**
 * The path of a run as a drawing exchange file of release 12: straight pieces in space on the layers CUT and RAPID, arcs as
 * chords, the stock on the layer STOCK. In the units and coordinates of the setup's first stock.
 */
final class DxfDrawing
{
    private const COLOURS = ['STOCK' => 8, 'CUT' => 3, 'RAPID' => 1];

    /** @return iterable<string> the file, piece by piece */
    public static function of(Trace $trace, Setup $setup): iterable
    {
        yield self::pairs([[0, 'SECTION'], [2, 'HEADER'], [9, '$INSUNITS'], [70, $setup->units->value === 'mm' ? 4 : 1], [0, 'ENDSEC']]);
        yield self::pairs([[0, 'SECTION'], [2, 'TABLES'], [0, 'TABLE'], [2, 'LAYER'], [70, count(self::COLOURS)]]);
        foreach (self::COLOURS as $layer => $colour) {
            yield self::pairs([[0, 'LAYER'], [2, $layer], [70, 0], [62, $colour], [6, 'CONTINUOUS']]);
        }
        yield self::pairs([[0, 'ENDTAB'], [0, 'ENDSEC'], [0, 'SECTION'], [2, 'ENTITIES']]);
        yield from self::stock($setup);
        $columns = DrawingColumns::of($trace, $setup);
        [$x, $y, $z] = [$columns->numbers('cornerX'), $columns->numbers('cornerY'), $columns->numbers('cornerZ')];
        $kinds = $columns->numbers('kind');
        $at = 0;
        foreach ($columns->numbers('corners') as $row => $count) {
            $layer = $kinds[$row] === MotionKind::RAPID ? 'RAPID' : 'CUT';
            for ($n = 0; $n < $count; $n++, $at++) {
                if ($at > 0) {
                    yield self::line($layer, [$x[$at - 1], $y[$at - 1], $z[$at - 1]], [$x[$at], $y[$at], $z[$at]]);
                }
            }
        }
        yield self::pairs([[0, 'ENDSEC'], [0, 'EOF']]);
    }

    /** @return iterable<string> the twelve edges of the box around the stock */
    private static function stock(Setup $setup): iterable
    {
        $stock = $setup->workpiece->stock;
        if ($stock === null || $stock->workOffset !== Tip::inPart($setup)->workOffset) {
            return;
        }
        $unit = $setup->units->millimetres();
        $corner = static fn (int $n): array => array_map(
            static fn (int $axis): float => (($n >> $axis & 1) === 1 ? $stock->around->high->on($axis) : $stock->around->low->on($axis)) / $unit, [0, 1, 2],
        );
        for ($n = 0; $n < 8; $n++) {
            foreach ([1, 2, 4] as $bit) {
                if (($n & $bit) === 0) {
                    yield self::line('STOCK', $corner($n), $corner($n | $bit));
                }
            }
        }
    }

    /**
     * @param  array<int, float|int>  $from
     * @param  array<int, float|int>  $to
     */
    private static function line(string $layer, array $from, array $to): string
    {
        return self::pairs([
            [0, 'LINE'], [8, $layer], [10, $from[0]], [20, $from[1]], [30, $from[2]], [11, $to[0]], [21, $to[1]], [31, $to[2]],
        ]);
    }

    /** @param  list<array{int, string|float|int}>  $pairs  group code and value */
    private static function pairs(array $pairs): string
    {
        $text = '';
        foreach ($pairs as [$code, $value]) {
            $text .= sprintf("%3d\r\n%s\r\n", $code, is_float($value) ? rtrim(rtrim(number_format($value, 6, '.', ''), '0'), '.') : $value);
        }

        return $text;
    }
}
