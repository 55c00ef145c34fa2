<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\LowMove;

/** Folds moves of one tool with one fault into the first of them, and the lines of the rest. */
final class MovesByTool
{
    /**
     * @param  list<LowMove>  $moves
     * @return list<array{LowMove, list<int>}> the first move of each tool, and the lines of its others
     */
    public static function of(array $moves): array
    {
        $first = $lines = [];
        foreach ($moves as $move) {
            $first[$move->tool] ??= $move;
            $lines[$move->tool][$move->line] = true;
        }
        $folded = [];
        foreach ($first as $tool => $move) {
            $folded[] = [$move, array_values(array_diff(array_keys($lines[$tool]), [$move->line]))];
        }

        return $folded;
    }
}
