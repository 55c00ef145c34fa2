<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\LowMove;

/** Folds moves of one tool at one piece of stock with one fault into the first of them, and the lines of the rest. */
final class MovesByTool
{
    /**
     * @param  list<LowMove>  $moves
     * @return list<array{LowMove, list<int>}> the first move of each tool at each piece, or the lowest of its line where that goes down in pecks, and
     *                                         the lines of all of them there
     */
    public static function of(array $moves): array
    {
        $first = $lines = [];
        foreach ($moves as $move) {
            $key = $move->tool.':'.$move->piece;
            if (! isset($first[$key]) || ($move->line === $first[$key]->line && $move->z < $first[$key]->z)) {
                $first[$key] = $move;
            }
            $lines[$key][$move->line] = true;
        }
        $folded = [];
        foreach ($first as $key => $move) {
            $folded[] = [$move, array_keys($lines[$key])];
        }

        return $folded;
    }
}
