<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** What moves did to the stock that is worth telling. */
final class Incidents
{
    /** Of one kind and tool no more are kept: the first, and last the greatest of all that came after. */
    private const MOST = 200;

    /** @var array<string, array<int, list<Cut>>> what, see Incident => tool => moves */
    private array $incidents = [];

    /** @param  float  $by  the figure that makes it worth telling */
    public function add(Incident $incident, Move $move, float $by, int $stock): void
    {
        $kept = &$this->incidents[$incident->value][$move->tool->number];
        $kept ??= [];
        $last = $kept[count($kept) - 1] ?? null;
        $isNew = $last?->row !== $move->row || $last->stock !== $stock;
        if ($isNew && (count($kept) < self::MOST || $by > $kept[self::MOST - 1]->by)) {
            $kept[min(count($kept), self::MOST - 1)] = new Cut(
                $move->line, $move->row, $move->tool->number, $move->x1, $move->y1, min(array_column($move->path, 'z')), $by, $move->inCycle, $stock,
            );
        }
    }

    /** @return array<int, list<Cut>> tool => the moves that did it, in order */
    public function of(Incident $incident): array
    {
        return $this->incidents[$incident->value] ?? [];
    }
}
