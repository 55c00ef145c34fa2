<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** What moves did to the stock that is worth telling. */
final class Deeds
{
    /** Of one kind and tool no more are kept. */
    private const MOST = 200;

    /** @var array<string, array<int, list<Cut>>> what, see Deed => tool => moves */
    private array $deeds = [];

    /** @param  float  $by  the figure that makes it worth telling */
    public function add(Deed $deed, Move $move, float $by, int $stock): void
    {
        $kept = &$this->deeds[$deed->value][$move->tool->number];
        $kept ??= [];
        $last = $kept[count($kept) - 1] ?? null;
        if (($last?->row !== $move->row || $last->stock !== $stock) && count($kept) < self::MOST) {
            $kept[] = new Cut($move->line, $move->row, $move->tool->number, $move->x1, $move->y1, min(array_column($move->path, 2)), $by, $move->inCycle, $stock);
        }
    }

    /** @return array<int, list<Cut>> tool => the moves that did it, in order */
    public function of(Deed $deed): array
    {
        return $this->deeds[$deed->value] ?? [];
    }
}
