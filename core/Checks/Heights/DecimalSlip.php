<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\Slip;
use OakTrace\Core\Language\Library;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A depth or coordinate out of all proportion to the stock, with the value it may have meant. */
final class DecimalSlip implements Check
{
    /** The texts its lines are of. */
    private Library $library;

    public function name(): string
    {
        return 'heights.decimal-slip';
    }

    public function examine(Evidence $evidence): iterable
    {
        $this->library = $evidence->trace->library;
        foreach ($evidence->slips()->slips as $slip) {
            $stock = $evidence->stockAt($slip->move);
            if ($stock === null) {
                continue;
            }
            [$text, $figures] = match (true) {
                $slip->isSign && $slip->word->letter === 'Z' => $this->above($stock, $slip),
                $slip->word->letter === 'Z' => $this->depth($stock, $slip),
                default => $this->beside($stock, $slip),
            };
            yield new Finding(
                $this->name(), Severity::Stop, $slip->word->line, $slip->word->column, $text,
                $figures + ['letter' => $slip->word->letter, 'meant' => $slip->meant],
                'Was {letter}{meant} meant?', $slip->alsoAt, $slip->word->replacedBy($slip->meant),
            );
        }
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function depth(Stock $stock, Slip $slip): array
    {
        $figures = [
            'z' => Quantity::length($slip->move->z),
            'by' => Quantity::length($stock->bottom() - $slip->move->z),
            'thickness' => Quantity::length($stock->thickness()),
        ];
        $text = $slip->move->z < $stock->bottom()
            ? 'Z {z} is {by} below the stock, which is {thickness} thick.'
            : 'Z {z} is out of step with the passes before it.';

        return $slip->like === null
            ? [$text, $figures]
            : [$text.' The cut on line {like} went to {likeZ}.', $figures + ['like' => $this->lineOf($slip->like), 'likeZ' => Quantity::length($slip->like->z)]];
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function above(Stock $stock, Slip $slip): array
    {
        return ['The cut at Z {z} runs {by} above the stock and takes nothing.'.($slip->like === null ? '' : ' The cut on line {like} went to {likeZ}.'), [
            'z' => Quantity::length($slip->move->z), 'by' => Quantity::length($slip->move->z - $stock->top()),
            'like' => $slip->like === null ? '' : $this->lineOf($slip->like), 'likeZ' => Quantity::length($slip->like->z ?? 0.0),
        ]];
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function beside(Stock $stock, Slip $slip): array
    {
        $axis = $slip->word->letter === 'X' ? 0 : 1;
        $at = $axis === 0 ? $slip->move->x : $slip->move->y;

        return ['{letter} {at} is {by} beside the stock, which is {size} wide.', [
            'at' => Quantity::length($at),
            'by' => Quantity::length(max($stock->min[$axis] - $at, $at - $stock->max[$axis])),
            'size' => Quantity::length($stock->max[$axis] - $stock->min[$axis]),
        ]];
    }

    /** The line of a move, and of which text where it is not the program's own. */
    private function lineOf(LowMove $move): int|string
    {
        return $this->library->program($move->line) === null ? $move->line : $this->library->words($move->line);
    }
}
