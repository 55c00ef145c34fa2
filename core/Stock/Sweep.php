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

    /** So few cells of a row are looked at one by one. */
    private const FEW = 4;

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

    /** The pass the last path belongs to; null where it stands for itself. */
    private ?ShortMoves $short = null;

    /** Squares of what each cell was lowered, in all. */
    private float $squares = 0.0;

    /** Cells looked at since the beginning. */
    public int $visits = 0;

    // Where the last piece ended. What lies under the cutter there is cut already, so that a piece that goes on from it has no round start.

    private ?Cutter $cutter = null;

    private float $endX = NAN;

    private float $endY = NAN;

    private float $endZ = NAN;

    /** The last piece, where what lies before its end was left to the next. */
    private ?StraightPath $open = null;

    /** Its lean, where a ball left off at what it touched at its end: the next begins there; see BallSpans. */
    private ?float $lean = null;

    private readonly BallSpans $ballSpans;

    public function __construct(private readonly HeightField $field)
    {
        $this->ballSpans = new BallSpans($field);
    }

    /** The same over a copy of what it sweeps, so that it goes on from where it is. */
    public function over(HeightField $field): self
    {
        $copy = new self($field);
        $copy->visits = $this->visits;
        [$copy->cutter, $copy->endX, $copy->endY, $copy->endZ] = [$this->cutter, $this->endX, $this->endY, $this->endZ];
        [$copy->open, $copy->lean] = [$this->open, $this->lean];

        return $copy;
    }

    /** Along a straight path of the tip. */
    public function straight(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $this->along(null, $cutter, $x0, $y0, $z0, $x1, $y1, $z1);
    }

    /**
     * The same as a part of a pass.
     *
     * @param  ShortMoves|null  $short  how deep it cuts is how deep all of that does
     */
    public function along(?ShortMoves $short, Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $this->begin();
        $this->short = $short;
        $this->part($cutter, $x0, $y0, $z0, $x1, $y1, $z1);
        $this->end();
    }

    /**
     * Along an arc about an upright axis, or a helix, which is taken in chords where the cutter is not flat.
     *
     * @param  float  $sweep  degrees, minus clockwise
     */
    public function arc(Cutter $cutter, float $x, float $y, float $centerX, float $centerY, float $sweep, float $z0, float $z1): void
    {
        $this->begin();
        $this->short = null;
        $radius = hypot($x - $centerX, $y - $centerY);
        $start = atan2($y - $centerY, $x - $centerX);
        $angle = deg2rad($sweep);
        if ($z0 === $z1 || $cutter->isFlat()) {
            $path = new ArcPath($centerX, $centerY, $radius, $start, $angle, $z0, $z1);
            $z0 === $z1 ? $this->levelArc($cutter, $path) : $this->flatHelix($cutter, $path);
            [$this->cutter, $this->endX, $this->endY, $this->endZ] = [
                $cutter, $centerX + $radius * cos($start + $angle), $centerY + $radius * sin($start + $angle), $z1,
            ];
        } else {
            $chords = self::chordsOf(min($this->field->dx, $this->field->dy), $radius, $angle);
            for ($n = 1; $n <= $chords; $n++) {
                $to = $start + $angle * $n / $chords;
                [$nextX, $nextY] = [$centerX + $radius * cos($to), $centerY + $radius * sin($to)];
                $this->part($cutter, $x, $y, $z0 + ($z1 - $z0) * ($n - 1) / $chords, $nextX, $nextY, $z0 + ($z1 - $z0) * $n / $chords);
                [$x, $y] = [$nextX, $nextY];
            }
        }
        $this->end();
    }

    /** How many chords an arc is taken in that rises, under an edge that is not level. */
    public static function chordsOf(float $cell, float $radius, float $angle): int
    {
        return Arc::chords($radius, $angle, self::CHORD_ERROR * $cell, self::MOST_CHORDS);
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
        $path = new StraightPath($x0, $y0, $z0, $x1, $y1, $z1);
        $behind = $this->behind($cutter, $path);
        $ahead = $this->ahead($cutter, $path);
        [$this->cutter, $this->endX, $this->endY, $this->endZ] = [$cutter, $path->x1, $path->y1, $path->z1];
        $this->open = $ahead === null ? null : $path;
        [$leanBefore, $this->lean] = [$this->lean, null];
        if ($behind !== null && $ahead !== null && $cutter->isBall()) {
            $this->lean = $this->short?->goesStraightOn === true ? $path->lean() : null;
            $this->ballSpans->find($path, $cutter->radius, $leanBefore, $behind, $this->lean === null ? $ahead : null);
            $this->ball($cutter, $path, $this->ballSpans->rows, $this->ballSpans->firsts, $this->ballSpans->lasts);

            return;
        }
        $spans = new RowSpans($this->field, $path, $cutter->radius, $behind, $ahead);
        match (true) {
            $path->isLevel() && $cutter->isFlat() => $this->flatLevel($cutter, $path, $spans),
            $path->isLevel() => $this->level($cutter, $path, $spans),
            $cutter->isBall() => $this->ball($cutter, $path, array_keys($spans->firsts), array_values($spans->firsts), array_values($spans->lasts)),
            $cutter->isFlat() => $this->flatOnSlope($cutter, $path, $spans),
            default => $this->onSlope($cutter, $path, $spans),
        };
    }

    /**
     * How far before its start a piece has anything new, where it goes on from the end of another; null where it does not. A piece that
     * falls lies deeper there than the other went.
     */
    private function behind(Cutter $cutter, StraightPath $path): ?float
    {
        if (
            $cutter !== $this->cutter || $path->length <= 0.0 || abs($path->x0 - $this->endX) >= 1e-9 || abs($path->y0 - $this->endY) >= 1e-9
            || abs($path->z0 - $this->endZ) >= 1e-9
        ) {
            return null;
        }
        $behind = $path->slope < 0.0 ? $cutter->behind(-$path->slope) : 0.0;
        if ($this->lean !== null && -$this->lean * $cutter->radius > $behind) {
            $behind = -$this->lean * $cutter->radius;
        }
        if ($this->open !== null) {
            // What it left open on the outside of a turn lies within so far of the corner.
            $turn = abs($path->alongX * $this->open->alongY - $path->alongY * $this->open->alongX);
            $behind = $turn < 1e-9 ? $behind : ($cutter->isFlat() ? $cutter->radius : max($behind, $turn * $cutter->radius));
        }

        return $behind < $cutter->radius ? $behind : null;
    }

    /**
     * How far beyond its end a piece comes lower than the one that goes on from there will: all else before it is left to that. Null where
     * none does. A piece that rises lies lower there than where it is going.
     */
    private function ahead(Cutter $cutter, StraightPath $path): ?float
    {
        if ($this->short?->goesOn !== true) {
            return null;
        }
        $ahead = $path->slope > 0.0 ? $cutter->behind($path->slope) : 0.0;

        return $ahead < $cutter->radius ? $ahead : null;
    }

    /** Square of how far from the path a cell lies that surely is no sliver at a wall. */
    private function within2(float $radius): float
    {
        return max(0.0, $radius - self::RIM * max($this->field->dx, $this->field->dy)) ** 2;
    }

    // The loops are written out in full: this is where most of the time goes. Each takes the heights out of the field, so that they
    // are changed where they are and not copied.

    /**
     * A flat end at one height: in part under it before and behind, wholly between.
     */
    private function flatLevel(Cutter $cutter, StraightPath $path, RowSpans $spans): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along];
        [$x0, $y0] = [$path->x0, $path->y0];
        [$radius2, $within2] = [$cutter->radius * $cutter->radius, $this->within2($cutter->radius)];
        $floor = max($path->z0, $field->bottom);
        [$innerFirsts, $innerLasts] = [$spans->innerFirsts, $spans->innerLasts];
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $heights = $field->heights;
        $field->heights = [];
        $short = $this->short;
        [$stood, $earlier] = $short?->taken() ?? [[], []];
        foreach ($spans->firsts as $row => $first) {
            $last = $spans->lasts[$row];
            $to = $innerLasts[$row];
            $from = $innerFirsts[$row] <= $to ? $innerFirsts[$row] : -1;
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $edge = $front + $row * $dy - $y0;
            $start = $left + $across[$row] * $dx - $x0;
            for ($column = $first; $column <= $last; $column++) {
                if ($column === $from) {
                    for ($k = $base + $from, $end = $base + $to; $k <= $end; $k++) {
                        if ($heights[$k] > $floor) {
                            $over = $heights[$k] - $floor;
                            $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $heights[$k]) - $floor;
                            $volume += $over;
                            $squares += $over * $over;
                            $heights[$k] = $floor;
                            $cells++;
                            if ($deep > $depth) {
                                $off = $path->square($start + ($k - $base) * $dx, $edge + $rises[$k - $base] * $dy);
                                [$depth, $rim] = $off <= $within2 ? [$deep, $rim] : [$depth, max($rim, $over)];
                            }
                        }
                    }
                    $column = $to;

                    continue;
                }
                $k = $base + $column;
                if ($heights[$k] > $floor) {
                    $off = $path->square($start + $column * $dx, $edge + $rises[$column] * $dy);
                    if ($off <= $radius2) {
                        $over = $heights[$k] - $floor;
                        $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $heights[$k]) - $floor;
                        $volume += $over;
                        $squares += $over * $over;
                        $heights[$k] = $floor;
                        $cells++;
                        if ($deep > $depth && $off <= $within2) {
                            $depth = $deep;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $field->heights = $heights;
        $short?->put($stood, $earlier);
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * Any other end at one height.
     */
    private function level(Cutter $cutter, StraightPath $path, RowSpans $spans): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises, $bottom] = [
            $field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along, $field->bottom,
        ];
        [$x0, $y0, $z0, $length, $alongX, $alongY] = [$path->x0, $path->y0, $path->z0, $path->length, $path->alongX, $path->alongY];
        [$radius2, $within2] = [$cutter->radius * $cutter->radius, $this->within2($cutter->radius)];
        [$flat, $corner, $rise, $flat2] = [$cutter->flat, $cutter->corner, $cutter->rise, $cutter->flat * $cutter->flat];
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $lowest = max($bottom, min($path->z0, $path->z1));
        $heights = $field->heights;
        $field->heights = [];
        $short = $this->short;
        [$stood, $earlier] = $short?->taken() ?? [[], []];
        foreach ($spans->firsts as $row => $first) {
            $last = $spans->lasts[$row];
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $edge = $front + $row * $dy - $y0;
            $x = $left + ($first + $across[$row]) * $dx - $x0;
            // Of a few cells that is more work than they are.
            $least = $last - $first < self::FEW ? $lowest : $this->least($cutter, $path, $edge, $x, ($last - $first) * $dx);
            for ($column = $first; $column <= $last; $column++, $x += $dx) {
                $k = $base + $column;
                if ($heights[$k] <= $least) {
                    continue;
                }
                $away = $edge + $rises[$column] * $dy;
                $along = $x * $alongX + $away * $alongY;
                $aside = $away * $alongX - $x * $alongY;
                $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                $square = $aside * $aside + $past * $past;
                if ($square > $radius2) {
                    continue;
                }
                $z = $z0;
                if ($square > $flat2) {
                    $out = sqrt($square) - $flat;
                    $z += $corner > 0.0 ? $corner - sqrt(max(0.0, $corner * $corner - $out * $out)) : $out * $rise;
                }
                $z = $z < $bottom ? $bottom : $z;
                $over = $heights[$k] - $z;
                if ($over > 0.0) {
                    $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $heights[$k]) - $z;
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$k] = $z;
                    $cells++;
                    if ($deep > $depth) {
                        if ($square <= $within2) {
                            $depth = $deep;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $field->heights = $heights;
        $short?->put($stood, $earlier);
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * A ball, up or down or level.
     *
     * @param  list<int>  $rows  of each stretch of cells
     * @param  list<int>  $firsts  its columns
     * @param  list<int>  $lasts
     */
    private function ball(Cutter $cutter, StraightPath $path, array $rows, array $firsts, array $lasts): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises, $bottom] = [
            $field->x - $path->x0, $field->y - $path->y0, $field->dx, $field->dy, $field->columns, $field->across, $field->along, $field->bottom,
        ];
        [$length, $alongX, $alongY, $slope, $lean] = [$path->length, $path->alongX, $path->alongY, $path->slope, $path->lean()];
        [$radius2, $within2, $secant] = [$cutter->radius * $cutter->radius, $this->within2($cutter->radius), sqrt(1 + $slope * $slope)];
        [$middle0, $middle1, $lowest] = [$path->z0 + $cutter->radius, $path->z1 + $cutter->radius, max($bottom, min($path->z0, $path->z1))];
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $heights = $field->heights;
        $field->heights = [];
        $short = $this->short;
        [$stood, $earlier] = $short?->taken() ?? [[], []];
        foreach ($rows as $n => $row) {
            $column = $firsts[$n];
            $last = $lasts[$n];
            $visits += $last - $column + 1;
            $edge = $front + $row * $dy;
            $x = $left + ($column + $across[$row]) * $dx;
            for ($base = $row * $columns; $column <= $last; $column++, $x += $dx) {
                $height = $heights[$base + $column];
                if ($height <= $lowest) {
                    continue;
                }
                $away = $edge + $rises[$column] * $dy;
                $aside = $away * $alongX - $x * $alongY;
                $room = $radius2 - $aside * $aside;
                if ($room < 0.0) {
                    continue;
                }
                $reach = sqrt($room);
                $along = $x * $alongX + $away * $alongY;
                $at = $along - $lean * $reach;
                if ($at > 0.0 && $at < $length) {
                    $z = $middle0 + $slope * $along - $secant * $reach;
                } else {
                    $past = $at > 0.0 ? $along - $length : $along;
                    $under = $room - $past * $past;
                    if ($under < 0.0) {
                        continue;
                    }
                    $z = ($at > 0.0 ? $middle1 : $middle0) - sqrt($under);
                }
                if ($z < $bottom) {
                    $z = $bottom;
                }
                if ($height > $z) {
                    $k = $base + $column;
                    $over = $height - $z;
                    $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $height) - $z;
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$k] = $z;
                    $cells++;
                    if ($deep > $depth) {
                        $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                        if ($aside * $aside + $past * $past <= $within2) {
                            $depth = $deep;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $field->heights = $heights;
        $short?->put($stood, $earlier);
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    private function flatOnSlope(Cutter $cutter, StraightPath $path, RowSpans $spans): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises, $bottom] = [
            $field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along, $field->bottom,
        ];
        [$x0, $y0, $z0, $length, $alongX, $alongY, $slope] = [$path->x0, $path->y0, $path->z0, $path->length, $path->alongX, $path->alongY, $path->slope];
        [$radius2, $within2] = [$cutter->radius * $cutter->radius, $this->within2($cutter->radius)];
        $least = max($bottom, min($path->z0, $path->z1));
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $heights = $field->heights;
        $field->heights = [];
        $short = $this->short;
        [$stood, $earlier] = $short?->taken() ?? [[], []];
        foreach ($spans->firsts as $row => $first) {
            $last = $spans->lasts[$row];
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $edge = $front + $row * $dy - $y0;
            $x = $left + ($first + $across[$row]) * $dx - $x0;
            for ($column = $first; $column <= $last; $column++, $x += $dx) {
                $k = $base + $column;
                if ($heights[$k] <= $least) {
                    continue;
                }
                $away = $edge + $rises[$column] * $dy;
                $along = $x * $alongX + $away * $alongY;
                $aside = $away * $alongX - $x * $alongY;
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
                $z = $z0 + $slope * ($along + ($slope < 0.0 ? $farthest : $nearest));
                $z = $z < $bottom ? $bottom : $z;
                $over = $heights[$k] - $z;
                if ($over > 0.0) {
                    $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $heights[$k]) - $z;
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$k] = $z;
                    $cells++;
                    if ($deep > $depth) {
                        $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                        if ($aside * $aside + $past * $past <= $within2) {
                            $depth = $deep;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $field->heights = $heights;
        $short?->put($stood, $earlier);
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * Any other end on a slope.
     */
    private function onSlope(Cutter $cutter, StraightPath $path, RowSpans $spans): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises, $bottom] = [
            $field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along, $field->bottom,
        ];
        [$x0, $y0, $z0, $length, $alongX, $alongY, $slope] = [$path->x0, $path->y0, $path->z0, $path->length, $path->alongX, $path->alongY, $path->slope];
        $within2 = $this->within2($cutter->radius);
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $lowest = max($bottom, min($path->z0, $path->z1));
        $heights = $field->heights;
        $field->heights = [];
        $short = $this->short;
        [$stood, $earlier] = $short?->taken() ?? [[], []];
        foreach ($spans->firsts as $row => $first) {
            $last = $spans->lasts[$row];
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $edge = $front + $row * $dy - $y0;
            $x = $left + ($first + $across[$row]) * $dx - $x0;
            // Of a few cells that is more work than they are.
            $least = $last - $first < self::FEW ? $lowest : $this->least($cutter, $path, $edge, $x, ($last - $first) * $dx);
            for ($column = $first; $column <= $last; $column++, $x += $dx) {
                $k = $base + $column;
                if ($heights[$k] <= $least) {
                    continue;
                }
                $away = $edge + $rises[$column] * $dy;
                $along = $x * $alongX + $away * $alongY;
                $aside = $away * $alongX - $x * $alongY;
                $edgeAt = $cutter->lowest($aside * $aside, $slope, -$along, $length - $along);
                if ($edgeAt === null) {
                    continue;
                }
                $z = max($bottom, $z0 + $slope * $along + $edgeAt);
                $over = $heights[$k] - $z;
                if ($over > 0.0) {
                    $deep = $short === null ? $over : ($stood[$k] ??= $earlier[$k] ?? $heights[$k]) - $z;
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$k] = $z;
                    $cells++;
                    if ($deep > $depth) {
                        $past = $along < 0.0 ? $along : ($along > $length ? $along - $length : 0.0);
                        if ($aside * $aside + $past * $past <= $within2) {
                            $depth = $deep;
                        } elseif ($over > $rim) {
                            $rim = $over;
                        }
                    }
                }
            }
        }
        $field->heights = $heights;
        $short?->put($stood, $earlier);
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * Nowhere in a row does the edge come lower than this: where the row is nearest to the path.
     *
     * @param  float  $y  lower edge of the row, from the start of the path
     * @param  float  $x  of its first cell
     * @param  float  $wide  how far it goes on
     */
    private function least(Cutter $cutter, StraightPath $path, float $y, float $x, float $wide): float
    {
        $nearest = self::nearest($y * $path->alongX - $x * $path->alongY, $this->field->dy * $path->alongX, $wide * $path->alongY);

        return max($this->field->bottom, min($path->z0, $path->z1) + $cutter->height(min($cutter->radius * $cutter->radius, $nearest * $nearest)));
    }

    /** An arc at one height, ends and all. */
    private function levelArc(Cutter $cutter, ArcPath $path): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along];
        [$floor, $isFlat, $reach2] = [max($field->bottom, $path->z0), $cutter->isFlat(), $cutter->radius * $cutter->radius];
        $within = sqrt($this->within2($cutter->radius));
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $stretches = $path->stretches($field, $cutter->radius);
        $heights = $field->heights;
        $field->heights = [];
        foreach ($stretches as [$row, $first, $last]) {
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $start = $left + $across[$row] * $dx - $path->centerX;
            $edge = $front + $row * $dy - $path->centerY;
            for ($column = $first; $column <= $last; $column++) {
                if ($heights[$base + $column] <= $floor) {
                    continue;
                }
                $off = $path->distance($start + $column * $dx, $edge + $rises[$column] * $dy);
                if ($off > $cutter->radius) {
                    continue;
                }
                $over = $heights[$base + $column] - ($isFlat ? $floor : max($field->bottom, $path->z0 + $cutter->height(min($reach2, $off * $off))));
                if ($over > 0.0) {
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$base + $column] -= $over;
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
        $field->heights = $heights;
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /**
     * A helix of a flat cutter. A place is under it while its axis goes round from so far before it to so far behind; where it goes
     * down it is lowest at the last of these, where it goes up at the first.
     */
    private function flatHelix(Cutter $cutter, ArcPath $path): void
    {
        $field = $this->field;
        [$left, $front, $dx, $dy, $columns, $across, $rises] = [$field->x, $field->y, $field->dx, $field->dy, $field->columns, $field->across, $field->along];
        $floor = max($field->bottom, min($path->z0, $path->z1));
        $within = sqrt($this->within2($cutter->radius));
        [$volume, $squares, $depth, $rim, $cells, $visits] = [0.0, 0.0, $this->depth, $this->rim, 0, 0];
        $stretches = $path->stretches($field, $cutter->radius);
        $heights = $field->heights;
        $field->heights = [];
        foreach ($stretches as [$row, $first, $last]) {
            $visits += $last - $first + 1;
            $base = $row * $columns;
            $start = $left + $across[$row] * $dx - $path->centerX;
            $edge = $front + $row * $dy - $path->centerY;
            for ($column = $first; $column <= $last; $column++) {
                if ($heights[$base + $column] <= $floor) {
                    continue;
                }
                $x = $start + $column * $dx;
                $y = $edge + $rises[$column] * $dy;
                $off = abs(sqrt($x * $x + $y * $y) - $path->radius);
                $lowest = $off > $cutter->radius ? null : $path->lowestOver($x, $y, $cutter->radius);
                if ($lowest === null) {
                    continue;
                }
                $over = $heights[$base + $column] - max($field->bottom, $lowest);
                if ($over > 0.0) {
                    $volume += $over;
                    $squares += $over * $over;
                    $heights[$base + $column] -= $over;
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
        $field->heights = $heights;
        $this->add($volume, $squares, $depth, $rim, $cells, $visits);
    }

    /** What a loop has added up. */
    private function add(float $volume, float $squares, float $depth, float $rim, int $cells, int $visits): void
    {
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
}
