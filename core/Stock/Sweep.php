<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/**
 * Takes away what a cutter sweeps. Row by row of cells the span under the path is worked out, and within it every cell is
 * lowered to where the edge comes: exact in height, and at walls to the cell.
 */
final class Sweep
{
    private const GOLDEN = 0.6180339887498949;

    /** As far as a chord may stand off its arc, in cells. */
    private const CHORD_ERROR = 0.12;

    /** Taken away by the last path, mm³. */
    public float $volume = 0.0;

    /** How deep it cut, mm: the most it lowered a cell, but not where that is a sliver left at a wall; see end(). */
    public float $depth = 0.0;

    /** Cells it lowered. */
    public int $cells = 0;

    /** Squares of what each cell was lowered, in all. */
    private float $squares = 0.0;

    /** Cells looked at since the beginning. */
    public int $visits = 0;

    // Where the last piece ended. What lies under the cutter there is cut already, so that a piece that goes on from it has no round start.

    private ?Cutter $cutter = null;

    private float $endX = NAN;

    private float $endY = NAN;

    private float $endZ = NAN;

    /**
     * Where in its cells each row is asked, as a share of a cell: not the same from row to row, so that what a round wall takes too
     * much in one it lacks in another.
     *
     * @var list<float>
     */
    private readonly array $offsets;

    public function __construct(private readonly HeightField $field)
    {
        $this->offsets = $field->rows === 1 ? [0.5] : array_map(static fn (int $row): float => 0.1 + 0.8 * fmod($row * self::GOLDEN, 1.0), range(0, $field->rows - 1));
    }

    /** Along a straight path of the tip. */
    public function straight(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $this->begin();
        $this->part($cutter, $x0, $y0, $z0, $x1, $y1, $z1);
        $this->end();
    }

    /**
     * Along an arc about an upright axis, or a helix, which is taken in chords.
     *
     * @param  float  $sweep  degrees, minus clockwise
     */
    public function arc(Cutter $cutter, float $x, float $y, float $centreX, float $centreY, float $sweep, float $z0, float $z1): void
    {
        $this->begin();
        $radius = hypot($x - $centreX, $y - $centreY);
        $start = atan2($y - $centreY, $x - $centreX);
        $angle = deg2rad($sweep);
        if ($z0 === $z1) {
            $this->ring($cutter, $centreX, $centreY, $radius, $start, $angle, $z0);
            if (abs($sweep) < 360.0) {
                if ($cutter !== $this->cutter || abs($x - $this->endX) > 1e-9 || abs($y - $this->endY) > 1e-9 || abs($z0 - $this->endZ) > 1e-9) {
                    $this->part($cutter, $x, $y, $z0, $x, $y, $z0);
                }
                [$x, $y] = [$centreX + $radius * cos($start + $angle), $centreY + $radius * sin($start + $angle)];
                $this->part($cutter, $x, $y, $z0, $x, $y, $z0);
            }
            [$this->cutter, $this->endX, $this->endY, $this->endZ] = [$cutter, $x, $y, $z0];
        } else {
            $error = self::CHORD_ERROR * min($this->field->dx, $this->field->dy);
            $step = $radius <= $error ? M_PI_2 : 2 * acos(1 - $error / $radius);
            $chords = (int) max(1, min(20_000, ceil(abs($angle) / max($step, 1e-6))));
            for ($n = 1; $n <= $chords; $n++) {
                $to = $start + $angle * $n / $chords;
                [$nextX, $nextY] = [$centreX + $radius * cos($to), $centreY + $radius * sin($to)];
                $this->part($cutter, $x, $y, $z0 + ($z1 - $z0) * ($n - 1) / $chords, $nextX, $nextY, $z0 + ($z1 - $z0) * $n / $chords);
                [$x, $y] = [$nextX, $nextY];
            }
        }
        $this->end();
    }

    private function begin(): void
    {
        $this->volume = $this->depth = $this->squares = 0.0;
        $this->cells = 0;
    }

    /**
     * Cells beside a wall may be left by one path and taken by the next, as high as the wall is, and are no depth of cut. By the
     * squares of what is lowered the mean is that of a level cut itself, and two thirds of the deepest of a ramp.
     */
    private function end(): void
    {
        if ($this->volume > 0.0) {
            $this->depth = min($this->depth, 1.5 * $this->squares / $this->volume);
        }
        $this->volume *= $this->field->dx * $this->field->dy;
    }

    /** One straight piece. */
    private function part(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $bottom] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->bottom];
        $radius = $cutter->radius;
        $length = hypot($x1 - $x0, $y1 - $y0);
        [$alongX, $alongY] = $length > 1e-9 ? [($x1 - $x0) / $length, ($y1 - $y0) / $length] : [1.0, 0.0];
        if ($length <= 1e-9) {
            [$length, $z0] = [0.0, min($z0, $z1)];
            $z1 = $z0;
        }
        $level = $z0 === $z1;
        $plain = $level && $cutter->isFlat();
        $slope = $level ? 0.0 : ($z1 - $z0) / $length;
        $goesOn = $cutter === $this->cutter && $z1 >= $z0 && $length > 0.0 && abs($x0 - $this->endX) < 1e-9 && abs($y0 - $this->endY) < 1e-9 && abs($z0 - $this->endZ) < 1e-9;
        [$this->cutter, $this->endX, $this->endY, $this->endZ] = [$cutter, $x1, $y1, $z1];
        $startHalf = $goesOn ? 0.0 : 1.0;
        $radius2 = $radius * $radius;
        [$flat, $corner, $rise, $level2] = [$cutter->flat, $cutter->corner, $cutter->rise, $cutter->flat * $cutter->flat];
        $offsets = $this->offsets;
        $fromRow = max(0, (int) ceil((min($y0, $y1) - $radius - $front) / $dy - 0.5));
        $toRow = min($field->rows - 1, (int) floor((max($y0, $y1) + $radius - $front) / $dy - 0.5));
        // Taken out for the loop, so that they are changed where they are and not copied.
        $heights = $field->heights;
        $field->heights = [];
        $volume = $squares = 0.0;
        $depth = $this->depth;
        $cells = $visits = 0;
        $floor = $z0 > $bottom ? $z0 : $bottom;
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $y = $front + ($row + 0.5) * $dy;
            if ($alongY === 0.0) {
                // Along X, as most passes go: both round ends are as wide in a row.
                $half = $radius * $radius - ($y - $y0) * ($y - $y0);
                $half = $half > 0.0 ? sqrt($half) : 0.0;
                $low = $alongX > 0.0 ? $x0 - $startHalf * $half : $x1 - $half;
                $high = $alongX > 0.0 ? $x1 + $half : $x0 + $startHalf * $half;
            } else {
                [$low, $high] = self::span($y, $radius, $x0, $y0, $x1, $y1, $alongX, $alongY, $length, ! $goesOn);
            }
            if ($low > $high) {
                continue;
            }
            $at = $offsets[$row];
            $from = ($low - $left) / $dx - $at;
            $to = ($high - $left) / $dx - $at;
            if ($to < 0.0) {
                continue;
            }
            $from = $from < 0.0 ? 0 : (int) $from + 1;
            $to = (int) $to;
            $from += $row * $columns;
            $to = $row * $columns + ($to >= $columns ? $columns - 1 : $to);
            if ($to < $from) {
                continue;
            }
            $visits += $to - $from + 1;
            if ($plain) {
                for ($k = $from; $k <= $to; $k++) {
                    if ($heights[$k] > $floor) {
                        $over = $heights[$k] - $floor;
                        $volume += $over;
                        $squares += $over * $over;
                        $heights[$k] = $floor;
                        $cells++;
                        if ($over > $depth) {
                            $depth = $over;
                        }
                    }
                }

                continue;
            }
            $x = $left + ($from - $row * $columns + $at) * $dx - $x0;
            $away = $y - $y0;
            for ($k = $from; $k <= $to; $k++, $x += $dx) {
                $along = $x * $alongX + $away * $alongY;
                $aside = $away * $alongX - $x * $alongY;
                if ($level) {
                    $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                    $square = $aside * $aside + $past * $past;
                    if ($square > $radius2) {
                        continue;
                    }
                    // The cutter's height(), written out: this is where most of the time goes.
                    $z = $z0;
                    if ($square > $level2) {
                        $out = sqrt($square) - $flat;
                        $z += $corner > 0.0 ? $corner - sqrt(max(0.0, $corner * $corner - $out * $out)) : $out * $rise;
                    }
                } else {
                    $edge = $cutter->lowest($aside * $aside, $slope, -$along, $length - $along);
                    if ($edge === null) {
                        continue;
                    }
                    $z = $z0 + $slope * $along + $edge;
                }
                if ($z < $bottom) {
                    $z = $bottom;
                }
                $over = $heights[$k] - $z;
                if ($over > 0.0) {
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$k] = $z;
                    $cells++;
                    if ($over > $depth) {
                        $depth = $over;
                    }
                }
            }
        }
        $this->putBack($heights, $volume, $squares, $depth, $cells, $visits);
    }

    /**
     * A level arc without the round ends: the ring between its inner and its outer edge, as far as it goes round.
     *
     * @param  float  $start  radians
     * @param  float  $angle  radians, minus clockwise
     */
    private function ring(Cutter $cutter, float $centreX, float $centreY, float $radius, float $start, float $angle, float $z): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $bottom] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->bottom];
        $outer = $radius + $cutter->radius;
        $inner = max(0.0, $radius - $cutter->radius);
        $plain = $cutter->isFlat();
        $fromRow = max(0, (int) ceil(($centreY - $outer - $front) / $dy - 0.5));
        $toRow = min($field->rows - 1, (int) floor(($centreY + $outer - $front) / $dy - 0.5));
        $heights = $field->heights;
        $field->heights = [];
        $volume = $squares = 0.0;
        $depth = $this->depth;
        $cells = $visits = 0;
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $away = $front + ($row + 0.5) * $dy - $centreY;
            $half = sqrt(max(0.0, $outer * $outer - $away * $away));
            $hole = sqrt(max(0.0, $inner * $inner - $away * $away));
            $at = $this->offsets[$row];
            foreach (self::sector($start, $angle, $away) as [$first, $last]) {
                foreach ($hole > 0.0 ? [[-$half, -$hole], [$hole, $half]] : [[-$half, $half]] as [$low, $high]) {
                    $low = max($low, $first);
                    $high = min($high, $last);
                    if ($low > $high) {
                        continue;
                    }
                    $from = max(0, (int) ceil(($centreX + $low - $left) / $dx - $at)) + $row * $columns;
                    $to = min($columns - 1, (int) floor(($centreX + $high - $left) / $dx - $at)) + $row * $columns;
                    $visits += max(0, $to - $from + 1);
                    $x = $left + ($from - $row * $columns + $at) * $dx - $centreX;
                    for ($k = $from; $k <= $to; $k++, $x += $dx) {
                        $edge = $z;
                        if (! $plain) {
                            $off = sqrt($x * $x + $away * $away) - $radius;
                            $edge += $cutter->height($off * $off);
                        }
                        $over = $heights[$k] - ($edge > $bottom ? $edge : $bottom);
                        if ($over > 0.0) {
                            $volume += $over;
                            $squares += $over * $over;
                            $heights[$k] -= $over;
                            $cells++;
                            if ($over > $depth) {
                                $depth = $over;
                            }
                        }
                    }
                }
            }
        }
        $this->putBack($heights, $volume, $squares, $depth, $cells, $visits);
    }

    /**
     * What a loop has taken out and added up.
     *
     * @param  array<int, float>  $heights
     */
    private function putBack(array $heights, float $volume, float $squares, float $depth, int $cells, int $visits): void
    {
        $this->field->heights = $heights;
        $this->volume += $volume;
        $this->squares += $squares;
        $this->depth = $depth;
        $this->cells += $cells;
        $this->visits += $visits;
    }

    /**
     * What of a row lies in the sector an arc goes round, seen from its centre.
     *
     * @return list<array{float, float}> X from and to
     */
    private static function sector(float $start, float $angle, float $away): array
    {
        if (abs($angle) >= 2 * M_PI - 1e-9) {
            return [[-INF, INF]];
        }
        [$from, $to] = $angle >= 0.0 ? [$start, $start + $angle] : [$start + $angle, $start];
        if (abs($angle) <= M_PI) {
            $in = self::between($from, $to, $away);

            return $in[0] <= $in[1] ? [$in] : [];
        }
        $out = self::between($to, $from, $away);

        return $out[0] < $out[1] ? [[-INF, $out[0]], [$out[1], INF]] : [[-INF, INF]];
    }

    /**
     * What of a row lies to the left of one ray and to the right of another, which is half a turn on at the most.
     *
     * @return array{float, float} the first greater than the second where nothing does
     */
    private static function between(float $from, float $to, float $away): array
    {
        $low = -INF;
        $high = INF;
        foreach ([[cos($from), sin($from)], [-cos($to), -sin($to)]] as [$alongX, $alongY]) {
            // To the left of a ray: alongX × away − alongY × x is not less than nothing.
            if (abs($alongY) < 1e-12) {
                $high = $alongX * $away < 0.0 ? -INF : $high;
            } elseif ($alongY > 0.0) {
                $high = min($high, $alongX * $away / $alongY);
            } else {
                $low = max($low, $alongX * $away / $alongY);
            }
        }

        return [$low, $high];
    }

    /**
     * From where to where a piece lies over a row: the strip of its path and the round ends, which together are convex.
     *
     * @return array{float, float} X; the first greater than the second where it does not lie over it at all
     */
    private static function span(float $y, float $radius, float $x0, float $y0, float $x1, float $y1, float $alongX, float $alongY, float $length, bool $roundStart): array
    {
        $low = INF;
        $high = -INF;
        $away = $y - $y0;
        if ($length > 0.0) {
            // Aside of the path: away × alongX − x × alongY; along it: x × alongX + away × alongY.
            $first = -INF;
            $last = INF;
            if (abs($alongY) > 1e-12) {
                $one = ($away * $alongX - $radius) / $alongY;
                $two = ($away * $alongX + $radius) / $alongY;
                $first = $one < $two ? $one : $two;
                $last = $one < $two ? $two : $one;
            } elseif (abs($away) > $radius) {
                $last = -INF;
            }
            if (abs($alongX) > 1e-12) {
                $one = (-$away * $alongY) / $alongX;
                $two = ($length - $away * $alongY) / $alongX;
                $first = max($first, $one < $two ? $one : $two);
                $last = min($last, $one < $two ? $two : $one);
            } elseif ($away * $alongY < 0.0 || $away * $alongY > $length) {
                $last = -INF;
            }
            if ($first <= $last) {
                $low = $x0 + $first;
                $high = $x0 + $last;
            }
        }
        if ($roundStart && abs($away) <= $radius) {
            $half = sqrt($radius * $radius - $away * $away);
            $low = min($low, $x0 - $half);
            $high = max($high, $x0 + $half);
        }
        $away = $y - $y1;
        if (abs($away) <= $radius) {
            $half = sqrt($radius * $radius - $away * $away);
            $low = min($low, $x1 - $half);
            $high = max($high, $x1 + $half);
        }

        return [$low, $high];
    }
}
