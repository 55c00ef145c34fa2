<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Solids\HeightField;

/** Where a cutter touches the material as it stands, looked at from points on its rim; nothing is taken away. Lengths in mm. */
final class Contact
{
    /** Arc between two points on the rim, in cells. */
    private const STEP = 1.4;

    /** Points on the front of the rim at most: one every two degrees. */
    private const MOST = 90;

    /** Points on a whole circle at most. */
    private const MOST_ON = 4_000;

    /** Engaged angle of the last place looked at, degrees. */
    public float $angle = 0.0;

    /** Radial width of cut there, mm. */
    public float $width = 0.0;

    /** How high the material before a rounded or pointed cutter stands above its tip there, mm. */
    public float $over = 0.0;

    /** @var array<int, array{list<float>, list<float>}> number of points => see rimOf() */
    private array $rims = [];

    public function __construct(private readonly HeightField $field)
    {
    }

    /**
     * The front half of the cutter on its way along a level or sloping path. The rim is looked at a cell within the cutter, so that
     * a wall it has cut before is not taken for material.
     *
     * @param  float  $alongX  direction of the path, of length 1
     * @param  ShortMoves|null  $short  it belongs to: what that has cut already counts as material
     * @return bool whether it cuts there
     */
    public function ahead(Cutter $cutter, float $x, float $y, float $z, float $alongX, float $alongY, ?ShortMoves $short = null): bool
    {
        $this->angle = $this->width = $this->over = 0.0;
        $rim = $this->rim($cutter, $x, $y, $z, $alongX, $alongY) - $this->field->cell();
        if ($rim <= 0.0) {
            return $this->field->at($x, $y) > $z + 1e-6;
        }
        $points = max(9, min(self::MOST, (int) ceil(M_PI * $rim / (self::STEP * $this->field->cell()))));
        $edge = $z + $cutter->height($rim * $rim) + 1e-6;
        $engaged = 0;
        $left = INF;
        $right = -INF;
        // The field's at(), written out: it is asked for more often than all else here.
        $field = $this->field;
        [$dx, $dy, $columns, $rows, $fromX, $fromY] = [$field->dx, $field->dy, $field->columns, $field->rows, $x - $field->x, $y - $field->y];
        $edge = max($edge, $field->bottom + 1e-9);
        [$heights, $alongX, $alongY] = [$field->heights, $rim * $alongX, $rim * $alongY];
        [$stood, $earlier] = $short?->kept() ?? [[], []];
        $asides = ($this->rims[$points] ??= self::rimOf($points))[1];
        foreach ($this->rims[$points][0] as $n => $ahead) {
            $aside = $asides[$n];
            $column = (int) (($fromX + $ahead * $alongX - $aside * $alongY) / $dx + 1.0) - 1;
            $row = (int) (($fromY + $ahead * $alongY + $aside * $alongX) / $dy + 1.0) - 1;
            if ($column < 0 || $row < 0 || $column >= $columns || $row >= $rows) {
                continue;
            }
            $cell = $row * $columns + $column;
            if ($heights[$cell] > $edge || ($short !== null && ($stood[$cell] ?? $earlier[$cell] ?? -INF) > $edge)) {
                $engaged++;
                $left = min($left, $aside);
                $right = max($right, $aside);
            }
        }
        if ($engaged === 0) {
            return false;
        }
        $this->angle = 180.0 * $engaged / $points;
        // The cut ends half a step beyond its outermost points, and goes on to the rim itself.
        $beyond = $rim * M_PI / $points / 2 * (sqrt(1 - $left * $left) + sqrt(1 - $right * $right));
        $this->width = min(2 * $cutter->radius, ($right - $left) * $rim + $beyond + 2 * $this->field->cell() * ($engaged === $points ? 1.0 : 0.5));

        return true;
    }

    /** @return array{list<float>, list<float>} how far ahead and aside each of so many points on the front of a rim lies */
    private static function rimOf(int $points): array
    {
        $ahead = $aside = [];
        for ($n = 0; $n < $points; $n++) {
            $ahead[] = cos(M_PI * (($n + 0.5) / $points - 0.5));
            $aside[] = sin(M_PI * (($n + 0.5) / $points - 0.5));
        }

        return [$ahead, $aside];
    }

    /** The highest material within a distance of a point; -INF where there is none. */
    public function highest(float $x, float $y, float $radius): float
    {
        $highest = $this->field->at($x, $y);
        for ($ring = $radius; $ring > $this->field->cell() / 2; $ring -= max($this->field->cell(), $radius / 4)) {
            $highest = max($highest, $this->highestOn($x, $y, $ring));
        }

        return $highest;
    }

    /** The highest material on a circle. */
    public function highestOn(float $x, float $y, float $radius): float
    {
        $highest = -INF;
        $points = max(8, min(self::MOST_ON, (int) ceil(2 * M_PI * $radius / (2 * $this->field->cell()))));
        for ($n = 0; $n < $points; $n++) {
            $turn = 2 * M_PI * $n / $points;
            $highest = max($highest, $this->field->at($x + $radius * cos($turn), $y + $radius * sin($turn)));
        }

        return $highest;
    }

    /**
     * How much higher the material stands on one side of a circle than on the other; where its middle is lower than both, a
     * hole is begun there, and no slope.
     */
    public function tilt(float $x, float $y, float $radius): float
    {
        // A cell tells of a place that may lie on one side of the middle.
        [$dx, $dy] = [$this->field->dx, $this->field->dy];
        $around = array_map(
            fn (array $by): float => $this->field->at($x + $by[0], $y + $by[1]), [[0.0, 0.0], [-$dx, 0.0], [$dx, 0.0], [0.0, -$dy], [0.0, $dy]],
        );
        $middle = max($this->field->bottom, min($around));
        $tilt = 0.0;
        for ($n = 0; $n < 8; $n++) {
            [$a, $b] = [cos(M_PI * $n / 8) * $radius, sin(M_PI * $n / 8) * $radius];
            $one = max($this->field->at($x + $a, $y + $b), $this->field->bottom);
            $other = max($this->field->at($x - $a, $y - $b), $this->field->bottom);
            $tilt = $middle < min($one, $other) - 1e-6 ? $tilt : max($tilt, abs($one - $other));
        }

        return $tilt;
    }

    /** Radius at which the cutter meets the top of what lies before it. */
    private function rim(Cutter $cutter, float $x, float $y, float $z, float $alongX, float $alongY): float
    {
        if ($cutter->isFlat()) {
            return $cutter->radius;
        }
        $over = 0.0;
        foreach ([-1.2, -0.6, 0.0, 0.6, 1.2] as $turn) {
            [$ahead, $aside] = [$cutter->radius * cos($turn), $cutter->radius * sin($turn)];
            foreach ([1.0, 0.5] as $share) {
                $over = max(
                    $over,
                    $this->field->at($x + $share * ($ahead * $alongX - $aside * $alongY), $y + $share * ($ahead * $alongY + $aside * $alongX)) - $z,
                );
            }
        }

        $this->over = $over;

        return $cutter->radiusAt($over);
    }
}
