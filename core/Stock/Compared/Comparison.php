<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Compared;

use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Measure\Measured;
use OakTrace\Core\Stock\Measure\Measurement;
use OakTrace\Core\Stock\MoveLog;
use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Target\Target;

/**
 * The stock as it is cut beside what was wanted: the sizes of every feature, measured, and what is left and what is gouged at the
 * place of every cell, where both are exact. A wall may stand beside where it is drawn by the tolerance.
 */
final readonly class Comparison
{
    /** What lies so near to a wall is the wall's affair, mm. */
    private const AT_WALL = 2.0;

    /** So many places where less than three cells are off are looked at for a wall of a solid that is. */
    private const NARROW = 4;

    /** What the facets of a solid may stand beside the wall they were made from, mm (common practice). */
    private const FACETS = 0.02;

    /** So far from a wall is looked for the move that cut it, mm. */
    private const BESIDE = 0.1;

    /**
     * @param  list<SizeResult>  $sizes  none where there are too many moves to measure by
     * @param  array<int, float>  $map  of each cell: how much is left (more than nothing) or gouged (less); NAN where nothing is wanted of it
     * @param  Difference|null  $left  where most is left beyond the tolerance
     * @param  Difference|null  $gouged  where it is cut deepest beyond the tolerance
     */
    private function __construct(public array $sizes, public array $map, public ?Difference $left, public ?Difference $gouged)
    {
    }

    public static function of(Target $target, Body $body, MoveLog $log): self
    {
        $map = self::map($target, $body);
        $measurement = Measurement::of($body, $log, 0);
        $sizes = [];
        foreach ($log->isWhole() ? $target->features : [] as $feature) {
            array_push($sizes, ...self::sizes($feature, $target, $body, $log, $measurement));
        }
        // What a feature's size tells is not told again by the cells at its walls.
        $told = array_filter($sizes, static fn (SizeResult $size): bool => ! $size->isWithin());
        $extremes = [null, null];
        $narrow = [[], []];
        $volumes = [0.0, 0.0];
        foreach ($map as $cell => $over) {
            if (is_nan($over) || abs($over) <= $target->tolerance) {
                continue;
            }
            $sign = $over > 0.0 ? 0 : 1;
            $volumes[$sign] += abs($over) * $body->field->dx * $body->field->dy;
            if ($extremes[$sign] !== null && abs($over) <= abs($map[$extremes[$sign]]) + 1e-6) {
                continue;
            }
            if (! self::isWide($map, $cell, $body->field->columns, $sign === 0 ? $target->tolerance : -$target->tolerance)) {
                $narrow[$sign][$cell] = abs($over);
            } else {
                [$x, $y] = $body->field->place($cell);
                foreach ($told as $size) {
                    if (self::tells($size, $x, $y)) {
                        continue 2;
                    }
                }
                $extremes[$sign] = $cell;
            }
        }
        $differences = [null, null];
        $walls = $target->solid !== null && $log->isWhole() ? new SolidWall($target->solid, $body, $log) : null;
        foreach ($extremes as $sign => $worst) {
            arsort($narrow[$sign]);
            $cells = $worst !== null ? [$worst] : array_slice(array_keys($narrow[$sign]), 0, $walls === null ? 0 : self::NARROW);
            $differences[$sign] = self::difference(
                $cells, $worst === null ? $target->tolerance + self::FACETS : null, $map, $volumes[$sign], $body, $log, $walls,
            );
        }

        return new self($sizes, $map, ...$differences);
    }

    /**
     * The first of some cells that is one.
     *
     * @param  list<int>  $cells
     * @param  float|null  $atWall  how far off the wall there has to be; null where the height alone tells
     * @param  array<int, float>  $map
     */
    private static function difference(array $cells, ?float $atWall, array $map, float $volume, Body $body, MoveLog $log, ?SolidWall $walls): ?Difference
    {
        foreach ($cells as $cell) {
            [$x, $y] = $body->field->place($cell);
            $z = $body->field->heights[$cell];
            $besideWall = $walls?->beside($x, $y, $z, $z - $map[$cell]);
            if ($atWall === null || $besideWall > $atWall) {
                return new Difference($x, $y, $z, $z - $map[$cell], $volume, $log->broughtTo(0, $x, $y, $z)?->line, $besideWall);
            }
        }

        return null;
    }

    /** Whether a size that is off tells of a place: at the walls every size does, within them a depth, a height, or one that is not there. */
    private static function tells(SizeResult $size, float $x, float $y): bool
    {
        $distance = $size->feature->outline->distance($x, $y);
        $isOfFloor = $size->got === null || in_array($size->dimension->what, ['depth', 'height'], true);

        return $distance < self::AT_WALL && ($isOfFloor || $distance > -self::AT_WALL);
    }

    /** @return list<SizeResult> */
    private static function sizes(Feature $feature, Target $target, Body $body, MoveLog $log, Measurement $measurement): array
    {
        $outline = $feature->outline;
        $measured = $measurement->expected($outline, $feature->stands);
        $sizes = [];
        foreach ($feature->dimensions as $dimension) {
            $sizes[] = new SizeResult(
                $feature, $dimension, $measured === null ? null : self::got($dimension, $feature, $measured, $target),
                self::lineOf($feature, $dimension, $measured, $log),
            );
        }

        return $sizes;
    }

    /** The last move that cut the floor of a feature, or its wall. */
    private static function lineOf(Feature $feature, Dimension $dimension, ?Measured $measured, MoveLog $log): ?int
    {
        $outline = $feature->outline;
        if ($measured === null) {
            return $log->nearest(0, $outline->x, $outline->y)?->line;
        }
        $isFloor = in_array($dimension->what, ['depth', 'height'], true);
        $out = $isFloor ? 0.0 : (
            $measured->sizes['diameter'] ?? $measured->sizes['length'] ?? $outline->length
        ) / 2 + ($feature->stands ? self::BESIDE : -self::BESIDE);
        $angle = deg2rad($outline->angle);
        $move = $log->broughtTo(
            0, $measured->middle[0] + $out * cos($angle), $measured->middle[1] + $out * sin($angle),
            $feature->stands && ! $isFloor ? $measured->rim : $measured->floor,
        );

        return ($move->line ?? null) ?? $log->nearest(0, $measured->middle[0], $measured->middle[1])?->line;
    }

    private static function got(Dimension $dimension, Feature $feature, Measured $measured, Target $target): ?float
    {
        return match ($dimension->what) {
            'depth' => $target->top - $measured->floor,
            'height' => $measured->floor - $target->top,
            'place' => hypot($measured->middle[0] - $feature->outline->x, $measured->middle[1] - $feature->outline->y),
            default => $measured->sizes[$dimension->what] ?? null,
        };
    }

    /**
     * Whether the cells on both sides of one, along X or along Y, are off like it: a single one is the rounding of a figure.
     *
     * @param  array<int, float>  $map
     */
    private static function isWide(array $map, int $cell, int $columns, float $tolerance): bool
    {
        $isOff = static fn (int $at): bool => $tolerance > 0.0 ? ($map[$at] ?? NAN) > $tolerance : ($map[$at] ?? NAN) < $tolerance;

        return ($isOff($cell - 1) && $isOff($cell + 1)) || ($isOff($cell - $columns) && $isOff($cell + $columns));
    }

    /** @return array<int, float> */
    private static function map(Target $target, Body $body): array
    {
        $field = $body->field;
        $wanted = $target->heights($field);
        $uncut = $body->uncut();
        $lowest = $target->solid === null ? (new Allowance($target))->lowest($field, $wanted) : [];
        $map = $off = [];
        foreach ($field->heights as $cell => $height) {
            // Where the blank has nothing, or not enough, nothing has been cut too deep.
            if ($wanted[$cell] === null || $uncut[$cell] <= $field->bottom + 1e-9 || ($uncut[$cell] < $wanted[$cell] && $height > $uncut[$cell] - 1e-9)) {
                $map[$cell] = NAN;

                continue;
            }
            $over = $height - $wanted[$cell];
            $map[$cell] = 0.0;
            if ($over > 1e-9 || ($over < -1e-9 && (! isset($lowest[$cell]) || $height < $lowest[$cell] - 1e-9))) {
                $off[$cell] = $over;
            }
        }
        // Most cells are as wanted; only of the others it has to be known whether a wall is near.
        $walls = $target->atWalls($field, $wanted, $off);
        foreach (array_keys($off) as $cell) {
            $height = $field->heights[$cell];
            [$low, $high] = $walls[$cell] ?? [$wanted[$cell], $wanted[$cell]];
            $low = min($low, $lowest[$cell] ?? INF);
            $map[$cell] = $height > $high ? $height - $high : ($height < $low ? $height - $low : 0.0);
        }

        return $map;
    }
}
