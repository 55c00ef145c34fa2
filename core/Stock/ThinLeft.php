<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** Looks for floors and walls that are thin where they have been cut. Lengths in mm, in the coordinates of the stock's work offset. */
final class ThinLeft
{
    /** A wall is at least so high, and thin over at least such a length; a floor at least so large (mm, mm²). */
    private const HIGH = 1.0;

    private const LONG = 1.0;

    private const LARGE = 1.0;

    /**
     * @param  float  $thickness  of the thinnest there
     * @param  float  $z  height of the floor, or of the top of the wall
     */
    private function __construct(public readonly bool $isWall, public readonly float $x, public readonly float $y, public readonly float $z, public readonly float $thickness)
    {
    }

    /** The thinnest floor; null where none is thinner than it may be. */
    public static function floor(Body $body, float $thinnest): ?self
    {
        $field = $body->field;
        $limit = $field->bottom + $thinnest - 1e-6;
        $lowest = null;
        $cells = 0;
        foreach ($field->heights as $cell => $height) {
            if ($height < $limit && $height > $field->bottom && $body->takenOff($cell) > 0.0) {
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

    /** The thinnest wall; null where none is thinner than it may be, or the cells are too coarse to tell. */
    public static function wall(Body $body, float $thinnest): ?self
    {
        $found = null;
        foreach ([false, true] as $alongY) {
            $wall = self::across($body, $thinnest, $alongY);
            $found = $wall !== null && ($found === null || $wall->thickness < $found->thickness) ? $wall : $found;
        }

        return $found;
    }

    /** @param  bool  $alongY  looks through columns of cells instead of rows */
    private static function across(Body $body, float $thinnest, bool $alongY): ?self
    {
        $field = $body->field;
        [$step, $next, $count, $lines] = $alongY ? [$field->columns, 1, $field->rows, $field->columns] : [1, $field->columns, $field->columns, $field->rows];
        [$size, $aside] = $alongY ? [$field->dy, $field->dx] : [$field->dx, $field->dy];
        $most = (int) floor($thinnest / $size - 1e-9);
        if ($most < 2) {
            return null;
        }
        $found = null;
        /** @var array<int, int> $runs where a wall begins => how many lines it goes on */
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
                        $long = 1 + max($before[$up - 1] ?? 0, $before[$up] ?? 0, $before[$up + 1] ?? 0);
                        $runs[$up] = $long;
                        $thickness = ($n - $up) * $size;
                        if ($long * $aside >= self::LONG && ($found === null || $thickness < $found->thickness - 1e-9)) {
                            [$x, $y] = $field->middle($line * $next + intdiv($up + $n - 1, 2) * $step);
                            $found = new self(true, $x, $y, $last, $thickness);
                        }
                    }
                    $up = null;
                }
                $last = $height;
            }
        }

        return $found;
    }

    /** Whether something has been cut on one side of a wall at least: stock may come with thin walls. */
    private static function isCut(Body $body, int $line, int $step, int $up, int $end, int $count): bool
    {
        return ($up > 0 && $body->takenOff($line + ($up - 1) * $step) > 0.0) || ($end < $count && $body->takenOff($line + $end * $step) > 0.0);
    }
}
