<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Stock\Measure\Profile;

/** Looks for floors and walls that are thin where they have been cut. Lengths in mm, in the coordinates of the stock's work offset. */
final class ThinLeft
{
    /** A wall is at least so high, and thin over at least such a length; a floor at least so large (mm, mm²). */
    private const HIGH = 1.0;

    private const LONG = 1.0;

    private const LARGE = 1.0;

    /** Walls measured at the most, one in so many cells along X and along Y; steps of a line across one. */
    private const MOST = 60;

    private const PART = 24;

    private const FINE = 2_000;

    /** What is thinner than this is the rounding of figures: the floor is cut through, mm. */
    private const NOTHING = 1e-3;

    /** A wall that gets thicker all along by more than such a share of itself, and so many mm, is a wedge. */
    private const TAPER = 0.08;

    private const STRAIGHT = 0.01;

    /**
     * @param  float  $thickness  of the thinnest there
     * @param  float  $z  height of the floor, or of the top of the wall
     * @param  list<array{float, float}>  $trail  places along the wall, over the length it is to be thin
     */
    private function __construct(
        public readonly bool $isWall, public readonly float $x, public readonly float $y, public readonly float $z, public readonly float $thickness,
        private readonly bool $alongY = false, private readonly array $trail = [],
    ) {
    }

    /** The thinnest floor; null where none is thinner than it may be. */
    public static function floor(Body $body, float $thinnest): ?self
    {
        $field = $body->field;
        $limit = $field->bottom + $thinnest - 1e-6;
        $lowest = null;
        $cells = 0;
        foreach ($field->heights as $cell => $height) {
            if ($height < $limit && $height > $field->bottom + self::NOTHING && $body->takenOff($cell) > 0.0) {
                $cells++;
                $lowest = $lowest === null || $height < $field->heights[$lowest] ? $cell : $lowest;
            }
        }
        if ($lowest === null || $cells * $field->dx * $field->dy < self::LARGE) {
            return null;
        }
        [$x, $y] = $field->middle($lowest);

        return new self(false, $x, $y, $field->heights[$lowest], $field->heights[$lowest] - $field->bottom);
    }

    /**
     * The thinnest wall; null where none is thinner than it may be. By the cells a wall is found, and is measured by the moves where
     * there are not too many; otherwise it is as thick as its cells are, and not found where they are too coarse to tell.
     */
    public static function wall(Body $body, float $thinnest, ?MoveLog $log = null, int $number = 0): ?self
    {
        $isExact = $log !== null && $log->isWhole();
        $found = [...self::across($body, $thinnest, false, $isExact), ...self::across($body, $thinnest, true, $isExact)];
        if ($isExact) {
            $measured = array_map(static fn (self $wall): self => $wall->measured($body, $log, $number), array_slice($found, 0, self::MOST));
            $found = array_filter($measured, static fn (self $wall): bool => $wall->thickness < $thinnest - 1e-3);
        }
        usort($found, static fn (self $one, self $other): int => $one->thickness <=> $other->thickness);

        return $found[0] ?? null;
    }

    /** The same wall, as thick as it stands between the moves that have cut it, half way up. */
    private function measured(Body $body, MoveLog $log, int $number): self
    {
        /** @var array{float, float, float} $found */
        $found = array_map(fn (array $at): float => $this->measuredAt($body, $log, $number, ...$at), $this->trail);
        // Thin over all of it, and not the tip of a wedge that runs out.
        [$one, $middle, $other] = $found;
        $isTip = ($one - $middle) * ($middle - $other) > 0.0 && abs($one - $other) > self::TAPER * $middle + self::STRAIGHT;

        return new self(true, $this->x, $this->y, $this->z, $isTip ? INF : min($found), $this->alongY);
    }

    private function measuredAt(Body $body, MoveLog $log, int $number, float $x, float $y): float
    {
        $reach = $this->thickness + 2 * $body->field->cell();
        [$from, $to] = $this->alongY ? [[$x, $y - $reach], [$x, $y + $reach]] : [[$x - $reach, $y], [$x + $reach, $y]];
        $line = Profile::along(
            $body, $log->over($number, min($from[0], $to[0]), min($from[1], $to[1]), max($from[0], $to[0]), max($from[1], $to[1])), $from, $to,
            self::FINE,
        );
        $stands = array_keys(array_filter($line->heights, fn (float $height): bool => $height > $this->z - self::HIGH / 2));
        $thickness = 0;
        $run = 0;
        foreach ($stands as $i => $step) {
            $run = $i > 0 && $stands[$i - 1] === $step - 1 ? $run + 1 : 1;
            // One that goes on beyond the line is none.
            $isWhole = $step - $run >= 0 && $step + 1 < self::FINE && ! in_array($step + 1, $stands, true);
            $thickness = $isWhole ? max($thickness, $run) : $thickness;
        }

        return $thickness === 0 ? INF : $thickness * $line->step;
    }

    /**
     * @param  bool  $alongY  looks through columns of cells instead of rows
     * @param  bool  $isRough  whether what is found is measured later, so that it may be a cell thicker
     * @return list<self> the thinnest, or where it is rough one in each part of the stock
     */
    private static function across(Body $body, float $thinnest, bool $alongY, bool $isRough): array
    {
        $field = $body->field;
        [$step, $next, $count, $lines] = $alongY ? [$field->columns, 1, $field->rows, $field->columns] : [1, $field->columns, $field->columns, $field->rows];
        [$size, $aside] = $alongY ? [$field->dy, $field->dx] : [$field->dx, $field->dy];
        $most = (int) floor($thinnest / $size - 1e-9) + ($isRough ? 1 : 0);
        if ($most < 2 && ! $isRough) {
            return [];
        }
        $found = [];
        $enough = max(1, (int) ceil(self::LONG / $aside));
        /** @var array<int, list<int>> $runs where a wall begins => cells in its middle in the last lines */
        $runs = [];
        for ($line = 0; $line < $lines; $line++) {
            $before = $runs;
            $runs = [];
            $up = null;
            $last = $field->bottom;
            for ($n = 0; $n <= $count; $n++) {
                $height = $n === $count ? $field->bottom : $field->heights[$line * $next + $n * $step];
                if ($height - $last > self::HIGH) {
                    $up = $n;
                } elseif ($last - $height > self::HIGH && $up !== null) {
                    if ($n - $up <= $most && self::isCut($body, $line * $next, $step, $up, $n, $count)) {
                        // Thin in the line before too, as near as the next cell?
                        $behind = [];
                        foreach ([$up - 1, $up, $up + 1] as $beside) {
                            $behind = count($before[$beside] ?? []) > count($behind) ? $before[$beside] : $behind;
                        }
                        $runs[$up] = [...array_slice($behind, -max(0, $enough - 1), $enough - 1), $line * $next + intdiv($up + $n - 1, 2) * $step];
                        $thickness = ($n - $up) * $size;
                        $part = $isRough ? intdiv($up, self::PART).':'.intdiv($line, self::PART) : '';
                        if (count($runs[$up]) >= $enough && (! isset($found[$part]) || $thickness < $found[$part]->thickness - 1e-9)) {
                            $trail = array_map($field->middle(...), [$runs[$up][0], $runs[$up][intdiv($enough, 2)], $runs[$up][$enough - 1]]);
                            $found[$part] = new self(true, ...$trail[2], z: $last, thickness: $thickness, alongY: $alongY, trail: $trail);
                        }
                    }
                    $up = null;
                }
                $last = $height;
            }
        }

        return array_values($found);
    }

    /** Whether something has been cut on one side of a wall at least: stock may come with thin walls. */
    private static function isCut(Body $body, int $line, int $step, int $up, int $end, int $count): bool
    {
        return ($up > 0 && $body->takenOff($line + ($up - 1) * $step) > 0.0) || ($end < $count && $body->takenOff($line + $end * $step) > 0.0);
    }
}
