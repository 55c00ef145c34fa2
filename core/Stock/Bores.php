<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Setup\ToolKind;

/** The holes that tools straight down have made, by the tools' own diameters: exact where the cells of the stock are coarse. Lengths in mm. */
final class Bores
{
    /** Of all places no more are kept. */
    private const MOST = 20_000;

    /** @var array<string, array<int, array{float, float}>> place => tool => radius, and how deep the hole is as wide as that */
    private array $bores = [];

    /** A stroke; of tools that make no hole as wide as they are nothing is kept. */
    public function add(Move $move): void
    {
        $place = self::place($move);
        if (
            $move->z1 < $move->z0 && in_array($move->tool->kind, [ToolKind::Drill, ToolKind::Reamer, ToolKind::EndMill], true)
            && (isset($this->bores[$place]) || count($this->bores) < self::MOST)
        ) {
            $bottom = $move->z1 + $move->cutter->height($move->cutter->radius ** 2);
            $this->bores[$place][$move->tool->number] = [
                $move->cutter->radius, min($bottom, $this->bores[$place][$move->tool->number][1] ?? INF),
            ];
        }
    }

    /**
     * Radius of the widest hole that other tools have made down to where a stroke ends, or through; null where they made none.
     *
     * @param  float  $through  height of the bottom of the material
     */
    public function widestUnder(Move $move, float $through): ?float
    {
        $widest = null;
        foreach ($this->bores[self::place($move)] ?? [] as $tool => [$radius, $bottom]) {
            if ($tool !== $move->tool->number && $bottom <= max($move->z1, $through) + 1e-6) {
                $widest = max($widest ?? 0.0, $radius);
            }
        }

        return $widest;
    }

    private static function place(Move $move): string
    {
        return sprintf('%.3F %.3F', $move->x1, $move->y1);
    }
}
