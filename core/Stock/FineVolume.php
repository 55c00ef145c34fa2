<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Trace\MotionKind;

/**
 * What has been taken off a body whose cells are too coarse to say it: a hole of a few cells is some per cent out, since a cell is in it or
 * not. The moves are taken once more out of tiles of cells as fine as so small a cut allows, wherever they came.
 */
final class FineVolume
{
    /** More cells than this lowered say it well enough: within a tenth of a per cent. */
    private const MANY = 40_000;

    /** Edge of a tile, in cells of the body. */
    private const TILE = 4;

    /** Cells of all tiles, each as often as a move comes over it: so many are wanted, and more only for the smallest tool to have some across. */
    private const WANTED = 600_000;

    private const MOST = 5_000_000;

    private const ACROSS = 20;

    /** The same in the coarsest of such tiles, with chords and places looked at: more than this is left alone. */
    private const MOST_WORK = 1_500_000;

    /** As many cells as a chord takes the time of. */
    private const CHORD = 20;

    // How much finer than those of the body they are, at the least and at the most.

    private const LEAST_FINER = 2;

    private const MOST_FINER = 32;

    /** @var array<int, array{Box, list<Move>}> number of a tile => where it is, and the moves over it */
    private array $tiles = [];

    private int $passages = 0;

    /** Cells that will have been looked at, about. */
    private int $work = 0;

    private function __construct(private readonly Body $body)
    {
    }

    /**
     * Taken off it, mm³.
     *
     * @param  list<Move>  $moves  all that came near it, in order
     * @return float|null  null where its own cells say it as well, or there is too much to look at
     */
    public static function removed(Body $body, array $moves): ?float
    {
        // Holes straight down are known exactly.
        $isMilled = array_filter($moves, static fn (Move $move): bool => $move->kind !== MotionKind::RAPID && ! $move->isPlunge()) !== [];
        if (! $isMilled || $body->removed <= 0.0 || $body->hasLowered(self::MANY)) {
            return null;
        }
        $volume = new self($body);
        foreach ($moves as $move) {
            if (! $volume->lay($move)) {
                return null;
            }
        }

        return $volume->cut();
    }

    /** Puts a move down to every tile it comes over; false where they are too many. */
    private function lay(Move $move): bool
    {
        $field = $this->body->field;
        [$width, $depth] = [self::TILE * $field->dx, self::TILE * $field->dy];
        [$across, $along] = [intdiv($field->columns - 1, self::TILE), intdiv($field->rows - 1, self::TILE)];
        $reach = $move->cutter->radius;
        [$left, $front, $right, $back] = $move->bounds();
        $work = (self::TILE * self::LEAST_FINER) ** 2 + self::CHORD * $this->chords($move);
        $fromColumn = max(0, (int) floor(($left - $reach - $field->x) / $width));
        $toColumn = min($across, (int) floor(($right + $reach - $field->x) / $width));
        $toRow = min($along, (int) floor(($back + $reach - $field->y) / $depth));
        for ($row = max(0, (int) floor(($front - $reach - $field->y) / $depth)); $row <= $toRow; $row++) {
            for ($column = $fromColumn; $column <= $toColumn; $column++) {
                [$x, $y] = [$field->x + ($column + 0.5) * $width, $field->y + ($row + 0.5) * $depth];
                $isOver = $move->distance($x, $y) <= $reach + hypot($width, $depth) / 2;
                $this->work += ($move->round === null ? count($move->path) : 1) + ($isOver ? $work : 0);
                if ($this->work > self::MOST_WORK) {
                    return false;
                }
                if (! $isOver) {
                    continue;
                }
                $this->passages++;
                $this->tiles[$row * ($across + 1) + $column] ??= [
                    Box::of([$x - $width / 2, $y - $depth / 2, $field->bottom], [
                        min($x + $width / 2, $field->x + $field->columns * $field->dx), min($y + $depth / 2, $field->y + $field->rows * $field->dy),
                        $field->top,
                    ]), [],
                ];
                $this->tiles[$row * ($across + 1) + $column][1][] = $move;
            }
        }

        return true;
    }

    /** In how many chords a move is taken out. */
    private function chords(Move $move): int
    {
        if ($move->round === null) {
            return count($move->path) - 1;
        }
        if ($move->z0 === $move->z1 || $move->cutter->isFlat()) {
            return 1;
        }
        $radius = $move->round->radius($move->x0, $move->y0);

        return Sweep::chordsOf($this->body->field->cell() / self::LEAST_FINER, $radius, deg2rad($move->round->sweep));
    }

    private function cut(): float
    {
        [$each, $smallest] = [self::TILE ** 2 * max(1, $this->passages), INF];
        foreach ($this->tiles as [, $moves]) {
            $smallest = min($smallest, ...array_map(static fn (Move $move): float => $move->cutter->radius, $moves));
        }
        $needed = min(ceil(self::ACROSS * $this->body->field->cell() / $smallest), sqrt(self::MOST / $each));
        $finer = (int) min(self::MOST_FINER, max(self::LEAST_FINER, sqrt(self::WANTED / $each), $needed));
        $removed = 0.0;
        foreach ($this->tiles as [$box, $moves]) {
            $cell = $this->body->field->cell() / $finer;
            $tile = $this->body->isLevelAlong([$box->low->x + $cell, $box->low->y + $cell], [$box->high->x - $cell, $box->high->y - $cell])
                ? HeightField::box($box, $cell) : HeightField::over($box, $cell, $this->body->before(...));
            $whole = $tile->volume();
            $sweep = new Sweep($tile);
            foreach ($moves as $move) {
                foreach ($move->pieces() as $piece) {
                    $move->round !== null ? $sweep->arc($move->cutter, ...$piece) : $sweep->straight($move->cutter, ...$piece);
                }
            }
            $removed += $whole - $tile->volume();
        }

        return $removed;
    }
}
