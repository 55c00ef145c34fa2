<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Trace\Quantity;

/** A depth or coordinate out of all proportion to the stock, with the value it may have meant. */
final class DecimalSlip implements Check
{
    public function name(): string
    {
        return 'heights.decimal-slip';
    }

    public function examine(Evidence $evidence): iterable
    {
        $stock = $evidence->setup->stock;
        if ($stock === null) {
            return;
        }
        $done = [];
        foreach ($evidence->heights()->below as $move) {
            $word = self::slippedDepth($evidence, $stock, $move);
            if ($word === null || isset($done[$word->line.'Z'])) {
                continue;
            }
            $done[$word->line.'Z'] = true;
            [$meant, $like] = self::meant($evidence, $word, $move);
            yield new Finding(
                $this->name(), Severity::Stop, $word->line, $word->column,
                $like === null
                    ? 'Z {z} is {by} below the stock, which is {thickness} thick.'
                    : 'Z {z} is {by} below the stock, which is {thickness} thick. The cut on line {like} went to {likeZ}.',
                [
                    'z' => Quantity::length($move->z), 'by' => Quantity::length($stock->bottom() - $move->z),
                    'thickness' => Quantity::length($stock->thickness()), 'meant' => $meant,
                ] + ($like === null ? [] : ['like' => $like->line, 'likeZ' => Quantity::length($like->z)]),
                'Was Z{meant} meant?', self::alsoAt($evidence, $word, $move), $word->replacedBy($meant),
            );
        }
        foreach ($evidence->heights()->farBeside as $move) {
            yield from $this->beside($evidence, $stock, $move, $done);
        }
    }

    /**
     * Lines of the moves whose depth this check answers for.
     *
     * @return array<int, true>
     */
    public static function lines(Evidence $evidence): array
    {
        $stock = $evidence->setup->stock;
        $lines = [];
        foreach ($evidence->heights()->below as $move) {
            if ($stock !== null && self::slippedDepth($evidence, $stock, $move) !== null) {
                $lines[$move->line] = true;
            }
        }

        return $lines;
    }

    /**
     * The Z word behind a move below the stock, where it looks like a slip of the point: deeper below the stock than the
     * stock is thick, or written without a point, or ten or a hundred times a depth the program goes to elsewhere.
     */
    private static function slippedDepth(Evidence $evidence, Stock $stock, LowMove $move): ?PlacedWord
    {
        $word = $evidence->wordAt($move->line, 'Z');
        if ($word === null || $word->value() == 0.0) {
            return null;
        }
        $far = $stock->bottom() - $move->z >= $stock->thickness();
        $alike = self::meant($evidence, $word, $move)[1] !== null;

        return $far || $alike || ! $word->hasPoint() ? $word : null;
    }

    /**
     * The number that may have been meant, and the move that goes to that depth, if one does.
     *
     * @return array{string, LowMove|null}
     */
    private static function meant(Evidence $evidence, PlacedWord $word, LowMove $move): array
    {
        $depths = $evidence->heights()->depths;
        $own = $depths[$move->tool] ?? [];
        unset($depths[$move->tool]);
        foreach ([1, 2, 3] as $places) {
            foreach ([$own, ...$depths] as $plunges) {
                foreach ($plunges as $plunge) {
                    if ($plunge->line !== $move->line && $plunge->z < 0 && abs($move->z / 10 ** $places - $plunge->z) < 1e-4) {
                        return [$word->movedPoint($places), $plunge];
                    }
                }
            }
        }

        return [$word->movedPoint(1), null];
    }

    /** @return list<int> lines that stay at the slipped depth */
    private static function alsoAt(Evidence $evidence, PlacedWord $word, LowMove $move): array
    {
        $lines = [];
        foreach ($evidence->heights()->below as $other) {
            if ($other->tool === $move->tool && $other->line !== $word->line && abs($other->z - $move->z) < 1e-6) {
                $lines[$other->line] = true;
            }
        }

        return array_keys($lines);
    }

    /**
     * @param  array<string, true>  $done
     * @return iterable<Finding>
     */
    private function beside(Evidence $evidence, Stock $stock, LowMove $move, array &$done): iterable
    {
        foreach (['X' => $move->x, 'Y' => $move->y] as $letter => $at) {
            $axis = $letter === 'X' ? 0 : 1;
            $size = $stock->max[$axis] - $stock->min[$axis];
            $word = $evidence->wordAt($move->line, $letter);
            $away = max($stock->min[$axis] - $at, $at - $stock->max[$axis]);
            if ($away < $size || $word === null || isset($done[$word->line.$letter])) {
                continue;
            }
            $done[$word->line.$letter] = true;
            $meant = $word->movedPoint(1);
            yield new Finding(
                $this->name(), Severity::Stop, $word->line, $word->column,
                '{letter} {at} is {by} beside the stock, which is {size} wide.',
                ['letter' => $letter, 'at' => Quantity::length($at), 'by' => Quantity::length($away), 'size' => Quantity::length($size), 'meant' => $meant],
                'Was {letter}{meant} meant?', edit: $word->replacedBy($meant),
            );
        }
    }
}
