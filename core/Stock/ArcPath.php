<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Solids\HeightField;

/** An arc about an upright axis, or a helix, as the way of a cutter. Places are given from its centre, in the coordinates of a body, mm. */
final readonly class ArcPath
{
    /** 1 counter-clockwise, -1 clockwise. */
    private float $sense;

    /** How far it goes round, radians. */
    private float $turn;

    private bool $isWhole;

    /** @var array{float, float} direction of its start from the centre */
    private array $from;

    /** @var array{float, float} and of its end */
    private array $to;

    /**
     * @param  float  $start  radians
     * @param  float  $angle  radians, minus clockwise
     */
    public function __construct(
        public float $centerX, public float $centerY, public float $radius, private float $start, private float $angle, public float $z0,
        public float $z1,
    ) {
        [$this->sense, $this->turn] = [$angle < 0.0 ? -1.0 : 1.0, abs($angle)];
        $this->isWhole = $this->turn >= 2 * M_PI - 1e-9;
        $this->from = [cos($start), sin($start)];
        $this->to = [cos($start + $angle), sin($start + $angle)];
    }

    /**
     * The cells of a field that may lie within reach of it, row by row.
     *
     * @return list<array{int, int, int}> row, first and last column
     */
    public function stretches(HeightField $field, float $reach): array
    {
        [$lowX, $highX, $lowY, $highY] = self::bounds($this->radius, $this->start, $this->angle);
        $outer2 = ($this->radius + $reach) ** 2;
        $hole = max(0.0, $this->radius - $reach);
        $fromRow = max(0, (int) floor(($this->centerY + $lowY - $reach - $field->y) / $field->dy));
        $toRow = min($field->rows - 1, (int) floor(($this->centerY + $highY + $reach - $field->y) / $field->dy));
        $stretches = [];
        for ($row = $fromRow; $row <= $toRow; $row++) {
            $edge = $field->y + $row * $field->dy - $this->centerY;
            // The nearest and the farthest of a row from the centre's height: out to where it may lie under the path, and from where to where surely not.
            $near = $edge > 0.0 ? $edge : ($edge + $field->dy < 0.0 ? $edge + $field->dy : 0.0);
            $far = max(abs($edge), abs($edge + $field->dy));
            $half = sqrt(max(0.0, $outer2 - $near * $near));
            $open = $hole > $far ? sqrt($hole * $hole - $far * $far) : 0.0;
            [$low, $high] = [max(-$half, $lowX - $reach), min($half, $highX + $reach)];
            foreach ($open > 0.0 ? [[$low, min($high, -$open)], [max($low, $open), $high]] : [[$low, $high]] as [$from, $to]) {
                $first = max(0, (int) ceil(($this->centerX + $from - $field->x) / $field->dx - $field->across[$row]));
                $last = min($field->columns - 1, (int) floor(($this->centerX + $to - $field->x) / $field->dx - $field->across[$row]));
                if ($first <= $last) {
                    $stretches[] = [$row, $first, $last];
                }
            }
        }

        return $stretches;
    }

    /** How far a place is from it, seen from above: in the sector it goes round from the circle, beside it from the nearer end. */
    public function distance(float $x, float $y): float
    {
        $ahead = $this->sense * ($this->from[0] * $y - $this->from[1] * $x) >= 0.0;
        $before = $this->sense * ($x * $this->to[1] - $y * $this->to[0]) >= 0.0;
        if ($this->isWhole || ($this->turn <= M_PI ? $ahead && $before : $ahead || $before)) {
            return abs(sqrt($x * $x + $y * $y) - $this->radius);
        }

        return sqrt(min(
            ($x - $this->radius * $this->from[0]) ** 2 + ($y - $this->radius * $this->from[1]) ** 2,
            ($x - $this->radius * $this->to[0]) ** 2 + ($y - $this->radius * $this->to[1]) ** 2,
        ));
    }

    /** How low a flat cutter comes over a place that is no further from the circle than it reaches; null where it never is over it. */
    public function lowestOver(float $x, float $y, float $reach): ?float
    {
        $at = $this->sense * (atan2($y, $x) - $this->start);
        $way = self::lowestOn(sqrt($x * $x + $y * $y), $this->radius, $reach, $at, $this->turn, $this->z1 < $this->z0);

        return $way === null ? null : $this->z0 + ($this->z1 - $this->z0) / $this->turn * $way;
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
}
