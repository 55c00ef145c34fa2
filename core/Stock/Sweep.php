<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Solids\HeightField;

/**
 * Takes away what a cutter sweeps. Row by row of cells the spans are worked out that lie under the path wholly and in part; every
 * cell the place of which lies under it is lowered to where the edge comes.
 */
final class Sweep
{
    /** Within so many cells of its edge the sweep may lower slivers that another path has left at a wall, as high as the wall. */
    private const RIM = 1.5;

    /** As far as a chord may stand off its arc, in cells. */
    private const CHORD_ERROR = 0.12;

    private const MOST_CHORDS = 20_000;

    /** Taken away by the last path, mm³. */
    public float $volume = 0.0;

    /** How deep it cut, mm: the most it lowered a cell, but not where that is a sliver left at a wall; see end(). */
    public float $depth = 0.0;

    /** The most it lowered a cell at its rim, mm. */
    private float $rim = 0.0;

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

    public function __construct(private readonly HeightField $field)
    {
    }

    /** Along a straight path of the tip. */
    public function straight(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $this->begin();
        $this->part($cutter, $x0, $y0, $z0, $x1, $y1, $z1);
        $this->end();
    }

    /**
     * Along an arc about an upright axis, or a helix, which is taken in chords where the cutter is not flat.
     *
     * @param  float  $sweep  degrees, minus clockwise
     */
    public function arc(Cutter $cutter, float $x, float $y, float $centreX, float $centreY, float $sweep, float $z0, float $z1): void
    {
        $this->begin();
        $radius = hypot($x - $centreX, $y - $centreY);
        $start = atan2($y - $centreY, $x - $centreX);
        $angle = deg2rad($sweep);
        if ($z0 === $z1 || $cutter->isFlat()) {
            $this->round($cutter, $centreX, $centreY, $radius, $start, $angle, $z0, $z1);
            [$this->cutter, $this->endX, $this->endY, $this->endZ] = [$cutter, $centreX + $radius * cos($start + $angle), $centreY + $radius * sin($start + $angle), $z1];
        } else {
            $error = self::CHORD_ERROR * min($this->field->dx, $this->field->dy);
            $chords = Arc::chords($radius, $angle, $error, self::MOST_CHORDS);
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
        $this->volume = $this->depth = $this->rim = $this->squares = 0.0;
        $this->cells = 0;
    }

    /**
     * Cells at a wall may be left by one path and taken by the next, as high as the wall is, and are no depth of cut. Where all that
     * is lowered lies at the rim, by the squares of what is lowered the mean is that of a level cut itself, and two thirds of the deepest of a ramp.
     */
    private function end(): void
    {
        if ($this->volume > 0.0) {
            $this->depth = max($this->depth, min($this->rim, 1.5 * $this->squares / $this->volume));
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
        $behind = $z1 < $z0 ? $cutter->behind(-$slope) : 0.0;
        $goesOn = $cutter === $this->cutter && $behind < $radius && $length > 0.0 && abs($x0 - $this->endX) < 1e-9 && abs($y0 - $this->endY) < 1e-9 && abs($z0 - $this->endZ) < 1e-9;
        [$this->cutter, $this->endX, $this->endY, $this->endZ] = [$cutter, $x1, $y1, $z1];
        $radius2 = $radius * $radius;
        $isBall = $cutter->flat === 0.0 && $cutter->corner > 0.0;
        $isFlat = $cutter->isFlat();
        $isPlain = $isBall || $isFlat;
        $lean = $slope / sqrt(1 + $slope * $slope);
        [$flat, $corner, $rise, $level2] = [$cutter->flat, $cutter->corner, $cutter->rise, $cutter->flat * $cutter->flat];
        $fromRow = max(0, (int) floor((min($y0, $y1) - $radius - $front) / $dy));
        $toRow = min($field->rows - 1, (int) floor((max($y0, $y1) + $radius - $front) / $dy));
        // Taken out for the loop, so that they are changed where they are and not copied.
        $heights = $field->heights;
        $field->heights = [];
        [$across, $rises] = [$field->across, $field->along];
        $volume = $squares = 0.0;
        [$depth, $rim] = [$this->depth, $this->rim];
        $within = max(0.0, $radius - self::RIM * max($dx, $dy));
        $within2 = $within * $within;
        $cells = $visits = 0;
        $floor = $z0 > $bottom ? $z0 : $bottom;
        $behind = $goesOn ? $behind : 0.0;
        [$startX, $startY, $whole] = [$x0 - $behind * $alongX, $y0 - $behind * $alongY, $length + $behind];
        $leftmost = $x0 < $x1 ? [$goesOn ? $startX : $x0 - $radius, $y0] : [$x1 - $radius, $y1];
        $rightmost = $x0 > $x1 ? [$goesOn ? $startX : $x0 + $radius, $y0] : [$x1 + $radius, $y1];
        $corners = $goesOn ? [[$startX - $alongY * $radius, $startY + $alongX * $radius], [$startX + $alongY * $radius, $startY - $alongX * $radius]] : [];
        [$nextLow, $nextHigh] = self::span($front + $fromRow * $dy, $radius, $startX, $startY, $x1, $y1, $alongX, $alongY, $whole, ! $goesOn);
        $lowest = min($z0, $z1);
        for ($row = $fromRow; $row <= $toRow; $row++) {
            // What lies under the path on both edges of a row lies under it all between them; how far it comes elsewhere its ends tell.
            [$low, $high] = [$nextLow, $nextHigh];
            $edge = $front + $row * $dy;
            if ($alongY === 0.0) {
                // Along X, as most passes go: both round ends are as wide.
                $half = $radius2 - ($edge + $dy - $y0) * ($edge + $dy - $y0);
                if ($half < 0.0) {
                    [$nextLow, $nextHigh] = [INF, -INF];
                } else {
                    $half = sqrt($half);
                    $start = $goesOn ? $startX : $x0 - $alongX * $half;
                    [$nextLow, $nextHigh] = $alongX > 0.0 ? [$start, $x1 + $half] : [$x1 - $half, $start];
                }
            } else {
                [$nextLow, $nextHigh] = self::span($edge + $dy, $radius, $startX, $startY, $x1, $y1, $alongX, $alongY, $whole, ! $goesOn);
            }
            $outerLow = $low < $nextLow ? $low : $nextLow;
            $outerHigh = $high > $nextHigh ? $high : $nextHigh;
            if ($leftmost[0] < $outerLow && $leftmost[1] >= $edge && $leftmost[1] <= $edge + $dy) {
                $outerLow = $leftmost[0];
            }
            if ($rightmost[0] > $outerHigh && $rightmost[1] >= $edge && $rightmost[1] <= $edge + $dy) {
                $outerHigh = $rightmost[0];
            }
            foreach ($corners as [$cornerX, $cornerY]) {
                if ($cornerY >= $edge && $cornerY <= $edge + $dy) {
                    $outerLow = $cornerX < $outerLow ? $cornerX : $outerLow;
                    $outerHigh = $cornerX > $outerHigh ? $cornerX : $outerHigh;
                }
            }
            if ($outerLow > $outerHigh) {
                continue;
            }
            $at = $across[$row];
            $first = ($outerLow - $left) / $dx - $at;
            $last = ($outerHigh - $left) / $dx - $at;
            if ($last < 0.0) {
                continue;
            }
            $first = $first < 0.0 ? 0 : (int) $first + 1;
            $last = (int) $last;
            $last = $last >= $columns ? $columns - 1 : $last;
            if ($last < $first) {
                continue;
            }
            $visits += $last - $first + 1;
            $base = $row * $columns;
            if ($plain) {
                $from = (($low > $nextLow ? $low : $nextLow) - $left) / $dx - $at;
                $to = (($high < $nextHigh ? $high : $nextHigh) - $left) / $dx - $at;
                $from = $from < 0.0 ? 0 : (int) $from + 1;
                $to = $to < 0.0 ? -1 : (int) $to;
                $to = $to >= $columns ? $columns - 1 : $to;
                if ($from > $to) {
                    $from = $last + 1;
                    $to = $last;
                }
                // In part under it before and behind, wholly between.
                for ($column = $first; $column <= $last; $column++) {
                    if ($column === $from) {
                        for ($k = $base + $from, $end = $base + $to; $k <= $end; $k++) {
                            if ($heights[$k] > $floor) {
                                $over = $heights[$k] - $floor;
                                $volume += $over;
                                $squares += $over * $over;
                                $heights[$k] = $floor;
                                $cells++;
                                if ($over > $depth) {
                                    $column = $k - $base;
                                    $x = $left + ($column + $at) * $dx - $x0;
                                    $away = $edge + $rises[$column] * $dy - $y0;
                                    $on = $x * $alongX + $away * $alongY;
                                    $aside = $away * $alongX - $x * $alongY;
                                    $past = $on < 0.0 ? $on : ($on > $length ? $on - $length : 0.0);
                                    if ($aside * $aside + $past * $past <= $within2) {
                                        $depth = $over;
                                    } elseif ($over > $rim) {
                                        $rim = $over;
                                    }
                                }
                            }
                        }
                        $column = $to;

                        continue;
                    }
                    $k = $base + $column;
                    if ($heights[$k] > $floor) {
                        $x = $left + ($column + $at) * $dx - $x0;
                        $away = $edge + $rises[$column] * $dy - $y0;
                        $on = $x * $alongX + $away * $alongY;
                        $aside = $away * $alongX - $x * $alongY;
                        $past = $on < 0.0 ? $on : ($on > $length ? $on - $length : 0.0);
                        $square = $aside * $aside + $past * $past;
                        if ($square <= $radius2) {
                            $over = $heights[$k] - $floor;
                            $volume += $over;
                            $squares += $over * $over;
                            $heights[$k] = $floor;
                            $cells++;
                            if ($over > $depth && $square <= $within2) {
                                $depth = $over;
                            } elseif ($over > $rim) {
                                $rim = $over;
                            }
                        }
                    }
                }

                continue;
            }
            $x = $left + ($first + $at) * $dx - $x0;
            $edge -= $y0;
            // Nowhere in the row does the edge come lower than where the row is nearest to the path.
            $nearest = $isFlat ? 0.0 : self::nearest($edge * $alongX - $x * $alongY, $dy * $alongX, ($last - $first) * $dx * $alongY);
            $least = max($bottom, $lowest + $cutter->height(min($radius2, $nearest * $nearest)));
            for ($column = $first; $column <= $last; $column++, $x += $dx) {
                if ($heights[$base + $column] <= $least) {
                    continue;
                }
                $away = $edge + $rises[$column] * $dy;
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
                } elseif ($isPlain) {
                    // The cutter's lowest() of a ball or a flat end, written out.
                    $room = $radius2 - $aside * $aside;
                    if ($room < 0.0) {
                        continue;
                    }
                    $reach = sqrt($room);
                    $nearest = -$along > -$reach ? -$along : -$reach;
                    $farthest = $length - $along < $reach ? $length - $along : $reach;
                    if ($nearest > $farthest) {
                        continue;
                    }
                    if ($isBall) {
                        $on = -$lean * $reach;
                        $on = $on < $nearest ? $nearest : ($on > $farthest ? $farthest : $on);
                        $under = $room - $on * $on;
                        $z = $z0 + $slope * ($along + $on) + $radius - ($under > 0.0 ? sqrt($under) : 0.0);
                    } else {
                        $z = $z0 + $slope * ($along + ($slope < 0.0 ? $farthest : $nearest));
                    }
                } else {
                    $edgeAt = $cutter->lowest($aside * $aside, $slope, -$along, $length - $along);
                    if ($edgeAt === null) {
                        continue;
                    }
                    $z = $z0 + $slope * $along + $edgeAt;
                }
                if ($z < $bottom) {
                    $z = $bottom;
                }
                $over = $heights[$base + $column] - $z;
                if ($over > 0.0) {
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$base + $column] = $z;
                    $cells++;
                    if ($over > $depth) {
                        $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                        if ($aside * $aside + $past * $past <= $within2) {
                            $depth = $over;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $this->putBack($heights, $volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * An arc, ends and all, or a helix of a flat cutter. A place is under the cutter while its axis goes round from so far before it to
     * so far behind; where it goes down it is lowest at the last of these, where it goes up at the first.
     *
     * @param  float  $start  radians
     * @param  float  $angle  radians, minus clockwise
     */
    private function round(Cutter $cutter, float $centreX, float $centreY, float $radius, float $start, float $angle, float $z0, float $z1): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $bottom] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->bottom];
        $reach = $cutter->radius;
        $outer2 = ($radius + $reach) ** 2;
        $hole = max(0.0, $radius - $reach);
        $hole2 = $hole * $hole;
        $plain = $cutter->isFlat();
        $level = $z0 === $z1;
        [$sense, $turn] = [$angle < 0.0 ? -1.0 : 1.0, abs($angle)];
        $isWhole = $turn >= 2 * M_PI - 1e-9;
        $slope = $turn > 0.0 ? ($z1 - $z0) / $turn : 0.0;
        $floor = max($bottom, min($z0, $z1));
        [$startX, $startY, $endX, $endY] = [$radius * cos($start), $radius * sin($start), $radius * cos($start + $angle), $radius * sin($start + $angle)];
        [$unitX, $unitY, $lastX, $lastY] = [cos($start), sin($start), cos($start + $angle), sin($start + $angle)];
        [$lowX, $highX, $lowY, $highY] = self::bounds($radius, $start, $angle);
        $fromRow = max(0, (int) floor(($centreY + $lowY - $reach - $front) / $dy));
        $toRow = min($field->rows - 1, (int) floor(($centreY + $highY + $reach - $front) / $dy));
        $reach2 = $reach * $reach;
        $within = max(0.0, $reach - self::RIM * max($dx, $dy));
        $heights = $field->heights;
        $field->heights = [];
        [$across, $rises] = [$field->across, $field->along];
        $volume = $squares = 0.0;
        [$depth, $rim] = [$this->depth, $this->rim];
        $cells = $visits = 0;
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $edge = $front + $row * $dy - $centreY;
            $at = $across[$row];
            $base = $row * $columns;
            // The nearest and the farthest of a row from the centre's height: out to where it may lie under the path, and from where to where surely not.
            $near = $edge > 0.0 ? $edge : ($edge + $dy < 0.0 ? $edge + $dy : 0.0);
            $far = max(abs($edge), abs($edge + $dy));
            $half = sqrt(max(0.0, $outer2 - $near * $near));
            $open = $hole > $far ? sqrt($hole2 - $far * $far) : 0.0;
            [$low, $high] = [max(-$half, $lowX - $reach), min($half, $highX + $reach)];
            foreach ($open > 0.0 ? [[$low, min($high, -$open)], [max($low, $open), $high]] : [[$low, $high]] as [$from, $to]) {
                $first = max(0, (int) ceil(($centreX + $from - $left) / $dx - $at));
                $last = min($columns - 1, (int) floor(($centreX + $to - $left) / $dx - $at));
                $visits += max(0, $last - $first + 1);
                for ($column = $first; $column <= $last; $column++) {
                    $k = $base + $column;
                    if ($heights[$k] <= $floor) {
                        continue;
                    }
                    $x = $left + ($column + $at) * $dx - $centreX;
                    $y = $edge + $rises[$column] * $dy;
                    $square = $x * $x + $y * $y;
                    if ($square > $outer2 || $square < $hole2) {
                        continue;
                    }
                    $z = $z0;
                    if ($level) {
                        // How far from the path: in the sector it goes round from the circle, beside it from the nearer end.
                        $ahead = $sense * ($unitX * $y - $unitY * $x);
                        $behind = $sense * ($x * $lastY - $y * $lastX);
                        if ($isWhole || ($turn <= M_PI ? $ahead >= 0.0 && $behind >= 0.0 : $ahead >= 0.0 || $behind >= 0.0)) {
                            $off = abs(sqrt($square) - $radius);
                        } else {
                            $off = sqrt(min(($x - $startX) ** 2 + ($y - $startY) ** 2, ($x - $endX) ** 2 + ($y - $endY) ** 2));
                            if ($off > $reach) {
                                continue;
                            }
                        }
                        if (! $plain) {
                            $z += $cutter->height(min($reach2, $off * $off));
                        }
                    } else {
                        $distance = sqrt($square);
                        $off = abs($distance - $radius);
                        $way = self::lowestOn($distance, $radius, $reach, $sense * (atan2($y, $x) - $start), $turn, $slope < 0.0);
                        if ($way === null) {
                            continue;
                        }
                        $z += $slope * $way;
                    }
                    $over = $heights[$k] - ($z > $bottom ? $z : $bottom);
                    if ($over > 0.0) {
                        $volume += $over;
                        $squares += $over * $over;
                        $heights[$k] -= $over;
                        $cells++;
                        if ($over > $depth) {
                            if ($off <= $within) {
                                $depth = $over;
                            } elseif ($over > $rim) {
                                $rim = $over;
                            }
                        }
                    }
                }
            }
        }
        $this->putBack($heights, $volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * How far round the axis of a cutter is where it is lowest over a place, radians on its way; null where it never is over it.
     *
     * @param  float  $distance  of the place from the centre
     * @param  float  $at  angle of the place from the start, the way it goes round
     * @param  float  $turn  how far it goes round
     * @param  bool  $goesDown  lowest at the last, and not at the first
     */
    private static function lowestOn(float $distance, float $radius, float $reach, float $at, float $turn, bool $goesDown): ?float
    {
        $apart = 2 * $distance * $radius;
        $cosine = $apart > 0.0 ? ($distance * $distance + $radius * $radius - $reach * $reach) / $apart : -1.0;
        if ($cosine <= -1.0) {
            return $goesDown ? $turn : 0.0; // under it all the way
        }
        $half = acos(min(1.0, $cosine));
        if ($goesDown) {
            $rounds = floor(($turn - $at + $half) / (2 * M_PI));
            $way = min($turn, $at + $half + 2 * M_PI * $rounds);

            return $way < 0.0 ? null : $way;
        }
        $rounds = ceil((-$at - $half) / (2 * M_PI));
        $way = max(0.0, $at - $half + 2 * M_PI * $rounds);

        return $way > $turn ? null : $way;
    }

    /** @return array{float, float, float, float} least and greatest X and Y of an arc from its centre */
    private static function bounds(float $radius, float $start, float $angle): array
    {
        $xs = [cos($start), cos($start + $angle)];
        $ys = [sin($start), sin($start + $angle)];
        [$from, $to] = $angle < 0.0 ? [$start + $angle, $start] : [$start, $start + $angle];
        for ($quarter = (int) ceil($from / M_PI_2), $end = min($quarter + 3, (int) floor($to / M_PI_2)); $quarter <= $end; $quarter++) {
            $xs[] = [1.0, 0.0, -1.0, 0.0][($quarter % 4 + 4) % 4];
            $ys[] = [0.0, 1.0, 0.0, -1.0][($quarter % 4 + 4) % 4];
        }

        return [$radius * min($xs), $radius * max($xs), $radius * min($ys), $radius * max($ys)];
    }

    /**
     * What a loop has taken out and added up.
     *
     * @param  array<int, float>  $heights
     */
    private function putBack(array $heights, float $volume, float $squares, float $depth, float $rim, int $cells, int $visits): void
    {
        $this->field->heights = $heights;
        $this->volume += $volume;
        $this->squares += $squares;
        $this->depth = $depth;
        $this->rim = $rim;
        $this->cells += $cells;
        $this->visits += $visits;
    }

    /**
     * How near a row of cells comes to the line of a path.
     *
     * @param  float  $aside  how far its first corner lies aside of it
     * @param  float  $across  how much farther the corner beyond
     * @param  float  $along  how much less far its other end
     */
    private static function nearest(float $aside, float $across, float $along): float
    {
        $low = $aside + ($across < 0.0 ? $across : 0.0) - ($along > 0.0 ? $along : 0.0);
        $high = $aside + ($across > 0.0 ? $across : 0.0) - ($along < 0.0 ? $along : 0.0);

        return $low > 0.0 ? $low : ($high < 0.0 ? -$high : 0.0);
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
