<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/**
 * Takes away what a cutter sweeps. Row by row of cells the span under the path is worked out, and within it every cell is
 * lowered to where the edge comes: exact in height, and at walls to the cell.
 */
final class Sweep
{
    /** Taken away by the last path, mm³. */
    public float $volume = 0.0;

    /** The most it lowered a cell, mm. */
    public float $depth = 0.0;

    /** Cells it lowered. */
    public int $cells = 0;

    /** Cells looked at since the beginning. */
    public int $visits = 0;

    /** As far as a chord may stand off its arc, in cells. */
    private const CHORD_ERROR = 0.12;

    public function __construct(private readonly HeightField $field)
    {
    }

    /** Along a straight path of the tip. */
    public function straight(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1): void
    {
        $this->begin();
        $this->part($cutter, $x0, $y0, $z0, $x1, $y1, $z1, 0.0, 0.0, true, true);
        $this->volume *= $this->field->dx * $this->field->dy;
    }

    /**
     * Along an arc about an upright axis, or a helix. In chords; where it is level a chord goes on from the one before without
     * the round end of the cutter, which would look at most cells many times.
     *
     * @param  float  $sweep  degrees, minus clockwise
     */
    public function arc(Cutter $cutter, float $x, float $y, float $centreX, float $centreY, float $sweep, float $z0, float $z1): void
    {
        $this->begin();
        $radius = hypot($x - $centreX, $y - $centreY);
        $start = atan2($y - $centreY, $x - $centreX);
        $angle = deg2rad($sweep);
        $error = self::CHORD_ERROR * min($this->field->dx, $this->field->dy);
        $step = $radius <= $error ? M_PI_2 : 2 * acos(1 - $error / $radius);
        $chords = (int) max(1, min(20_000, ceil(abs($angle) / max($step, 1e-6))));
        $level = $z0 === $z1;
        $joint = $cutter->radius * tan(min(1.0, abs($angle) / $chords / 2));
        for ($n = 1; $n <= $chords; $n++) {
            $to = $start + $angle * $n / $chords;
            [$nextX, $nextY, $nextZ] = [$centreX + $radius * cos($to), $centreY + $radius * sin($to), $z0 + ($z1 - $z0) * $n / $chords];
            $this->part(
                $cutter, $x, $y, $z0 + ($z1 - $z0) * ($n - 1) / $chords, $nextX, $nextY, $nextZ,
                $level && $n > 1 ? $joint : 0.0, $level && $n < $chords ? $joint : 0.0, ! $level || $n === 1, ! $level || $n === $chords,
            );
            [$x, $y] = [$nextX, $nextY];
        }
        $this->volume *= $this->field->dx * $this->field->dy;
    }

    private function begin(): void
    {
        $this->volume = $this->depth = 0.0;
        $this->cells = 0;
    }

    /**
     * One straight piece.
     *
     * @param  float  $before  how far its strip begins before the start, and
     * @param  float  $behind  ends behind the end, for the joint to the next piece
     * @param  bool  $roundStart  whether the round of the cutter stands about its start, and
     * @param  bool  $roundEnd  about its end
     */
    private function part(Cutter $cutter, float $x0, float $y0, float $z0, float $x1, float $y1, float $z1, float $before, float $behind, bool $roundStart, bool $roundEnd): void
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
        $fromRow = max(0, (int) ceil((min($y0, $y1) - $radius - $front) / $dy - 0.5));
        $toRow = min($field->rows - 1, (int) floor((max($y0, $y1) + $radius - $front) / $dy - 0.5));
        // Taken out for the loop, so that they are changed where they are and not copied.
        $heights = $field->heights;
        $field->heights = [];
        $volume = 0.0;
        $depth = $this->depth;
        $cells = 0;
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $y = $front + ($row + 0.5) * $dy;
            [$low, $high] = $this->span($y, $radius, $x0, $y0, $x1, $y1, $alongX, $alongY, $length, $before, $behind, $roundStart, $roundEnd);
            if ($low > $high) {
                continue;
            }
            $from = (int) ceil(($low - $left) / $dx - 0.5);
            $to = (int) floor(($high - $left) / $dx - 0.5);
            $from = $row * $columns + ($from < 0 ? 0 : $from);
            $to = $row * $columns + ($to >= $columns ? $columns - 1 : $to);
            if ($to < $from) {
                continue;
            }
            $this->visits += $to - $from + 1;
            if ($plain) {
                $z = $z0 > $bottom ? $z0 : $bottom;
                for ($k = $from; $k <= $to; $k++) {
                    $over = $heights[$k] - $z;
                    if ($over > 0.0) {
                        $volume += $over;
                        $heights[$k] = $z;
                        $cells++;
                        if ($over > $depth) {
                            $depth = $over;
                        }
                    }
                }

                continue;
            }
            $x = $left + ($from - $row * $columns + 0.5) * $dx - $x0;
            $away = $y - $y0;
            for ($k = $from; $k <= $to; $k++, $x += $dx) {
                $along = $x * $alongX + $away * $alongY;
                $aside = $away * $alongX - $x * $alongY;
                if ($level) {
                    $past = $along < -$before ? $along + $before : ($along > $length + $behind ? $along - $length - $behind : 0.0);
                    $square = $aside * $aside + $past * $past;
                    if ($square > $radius * $radius) {
                        continue;
                    }
                    $z = $z0 + $cutter->height($square);
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
                    $heights[$k] = $z;
                    $cells++;
                    if ($over > $depth) {
                        $depth = $over;
                    }
                }
            }
        }
        $field->heights = $heights;
        $this->volume += $volume;
        $this->depth = $depth;
        $this->cells += $cells;
    }

    /**
     * From where to where a piece lies over a row: the strip of its path and the round ends, which together are convex.
     *
     * @return array{float, float} X; the first greater than the second where it does not lie over it at all
     */
    private function span(float $y, float $radius, float $x0, float $y0, float $x1, float $y1, float $alongX, float $alongY, float $length, float $before, float $behind, bool $roundStart, bool $roundEnd): array
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
                $one = (-$before - $away * $alongY) / $alongX;
                $two = ($length + $behind - $away * $alongY) / $alongX;
                $first = max($first, $one < $two ? $one : $two);
                $last = min($last, $one < $two ? $two : $one);
            } elseif ($away * $alongY < -$before || $away * $alongY > $length + $behind) {
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
        if ($roundEnd && abs($away) <= $radius) {
            $half = sqrt($radius * $radius - $away * $away);
            $low = min($low, $x1 - $half);
            $high = max($high, $x1 + $half);
        }

        return [$low, $high];
    }
}
