<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;

/** The moves that came as low as the stock, to be looked at again where it is measured. */
final class MoveLog
{
    /** More are not kept: see isWhole(). */
    public const MOST = 60_000;

    /** @var array<int, list<Move>> number of the body => moves in order */
    private array $moves = [];

    private int $count = 0;

    public function add(int $body, Move $move): void
    {
        if ($this->count++ < self::MOST) {
            $this->moves[$body][] = $move;
        }
    }

    /** Whether all of them are there. */
    public function isWhole(): bool
    {
        return $this->count <= self::MOST;
    }

    /** @return list<Move>|null all of a body in order; null where not all were kept */
    public function all(int $body): ?array
    {
        return $this->isWhole() ? $this->moves[$body] ?? [] : null;
    }

    /**
     * Those that come over a box in plan.
     *
     * @return list<Move>
     */
    public function over(int $body, float $left, float $front, float $right, float $back): array
    {
        return array_values(array_filter($this->moves[$body] ?? [], static function (Move $move) use ($left, $front, $right, $back): bool {
            $radius = $move->cutter->radius;
            if ($move->round !== null) {
                $reach = $move->round->radius($move->x0, $move->y0) + $radius;

                return $left <= $move->round->first + $reach && $right >= $move->round->first - $reach
                    && $front <= $move->round->second + $reach && $back >= $move->round->second - $reach;
            }
            foreach ($move->path as $n => $to) {
                $from = $move->path[max(0, $n - 1)];
                if (
                    max($to->x, $from->x) + $radius >= $left && min($to->x, $from->x) - $radius <= $right && max($to->y, $from->y) + $radius >= $front
                    && min($to->y, $from->y) - $radius <= $back
                ) {
                    return true;
                }
            }

            return false;
        }));
    }

    /** The last move over a point; null where none is. */
    public function nearest(int $body, float $x, float $y): ?Move
    {
        $moves = $this->over($body, $x - 1.0, $y - 1.0, $x + 1.0, $y + 1.0);

        return $moves[count($moves) - 1] ?? null;
    }

    /** The move that brought the material at a point down to a height; null where none did. */
    public function broughtTo(int $body, float $x, float $y, float $z): ?Move
    {
        foreach ($this->over($body, $x, $y, $x, $y) as $move) {
            $spot = HeightField::box(
                Box::of([$x - 0.05, $y - 0.05, min($z, $move->z0, $move->z1) - 1.0], [$x + 0.05, $y + 0.05, max($z, $move->z0, $move->z1) + 100.0]), 1.0,
            );
            $sweep = new Sweep($spot);
            foreach ($move->pieces() as $piece) {
                $move->round !== null ? $sweep->arc($move->cutter, ...$piece) : $sweep->straight($move->cutter, ...$piece);
            }
            if ($spot->heights[0] < $z + 0.05) {
                return $move;
            }
        }

        return null;
    }
}
