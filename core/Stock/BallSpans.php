<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Solids\HeightField;

/**
 * The cells a ball may lower along a short piece between two others, in stretches of a row. On a slope it touches ahead of its axis, or
 * behind, by its lean × √(radius² − aside²); what lies before where it touches as the piece begins, and beyond where it does as it ends, the
 * two others bring as low, where all go the same way along X or Y.
 */
final class BallSpans
{
    /** @var list<int> row of each stretch */
    public array $rows = [];

    /** @var list<int> its first column */
    public array $firsts = [];

    /** @var list<int> its last, not before the first */
    public array $lasts = [];

    // The piece begins and ends on its path so far from its ends, and so much farther for each mm of √(radius² − aside²).

    private float $from = 0.0;

    private float $fromLean = 0.0;

    private float $to = 0.0;

    private float $toLean = 0.0;

    // Passes along X have the same rows all along.

    private float $y = NAN;

    private float $radius = NAN;

    /** @var list<array{int, float, float, float}> number, least and greatest √(radius² − aside²), X of its first place */
    private array $under = [];

    public function __construct(private readonly HeightField $field)
    {
    }

    /**
     * Finds those of a piece.
     *
     * @param  float|null  $leanBefore  of the piece before, where that left off at what it touched; null where it did not
     * @param  float  $behind  how far before its start what is new begins, where the one before did not leave off so
     * @param  float|null  $ahead  how far beyond its end it ends, where the one behind does not begin so
     */
    public function find(StraightPath $path, float $radius, ?float $leanBefore, float $behind, ?float $ahead): void
    {
        $lean = $path->lean();
        [$this->from, $this->fromLean] = $leanBefore === null ? [-$behind, 0.0] : [0.0, $leanBefore < $lean ? $leanBefore : $lean];
        [$this->to, $this->toLean] = $ahead === null ? [0.0, $lean] : [$ahead, 0.0];
        $this->rows = $this->firsts = $this->lasts = [];
        if ($path->alongY === 0.0) {
            $this->alongX($path, $radius);
        } elseif ($path->alongX === 0.0) {
            $this->alongY($path, $radius);
        } else {
            $this->aslant($path, $radius);
        }
    }

    private function alongX(StraightPath $path, float $radius): void
    {
        if ($path->y0 !== $this->y || $radius !== $this->radius) {
            $this->findRows($path->y0, $radius);
        }
        [$dx, $most, $direction, $isPlus] = [$this->field->dx, $this->field->columns - 1, $path->alongX, $path->alongX > 0.0];
        [$start, $end] = [$path->x0 + $direction * $this->from, $path->x1 + $direction * $this->to];
        [$startLean, $endLean] = [$direction * $this->fromLean, $direction * $this->toLean];
        [$startsNear, $endsFar] = [$this->fromLean > 0.0, $this->toLean > 0.0];
        $rows = $firsts = $lasts = [];
        foreach ($this->under as [$row, $near, $far, $zero]) {
            $low = $start + $startLean * ($startsNear ? $near : $far);
            $high = $end + $endLean * ($endsFar ? $far : $near);
            if (! $isPlus) {
                [$low, $high] = [$high, $low];
            }
            if ($high < $zero) {
                continue;
            }
            $first = $low < $zero ? 0 : (int) (($low - $zero) / $dx) + 1;
            $last = (int) (($high - $zero) / $dx);
            if ($last > $most) {
                $last = $most;
            }
            if ($first <= $last) {
                $rows[] = $row;
                $firsts[] = $first;
                $lasts[] = $last;
            }
        }
        [$this->rows, $this->firsts, $this->lasts] = [$rows, $firsts, $lasts];
    }

    /** The rows a ball comes over on its way along X. */
    private function findRows(float $y, float $radius): void
    {
        [$this->y, $this->radius, $this->under] = [$y, $radius, []];
        [$field, $away] = [$this->field, $this->field->y - $y];
        $toRow = min($field->rows - 1, (int) floor(($radius - $away) / $field->dy));
        for ($row = max(0, (int) floor((-$radius - $away) / $field->dy)); $row <= $toRow; $row++) {
            [$edge, $other] = [$away + $row * $field->dy, $away + ($row + 1) * $field->dy];
            [$one, $two] = [sqrt(max(0.0, $radius * $radius - $edge * $edge)), sqrt(max(0.0, $radius * $radius - $other * $other))];
            $this->under[] = [$row, min($one, $two), $edge <= 0.0 && $other >= 0.0 ? $radius : max($one, $two), $field->x + $field->across[$row] * $field->dx];
        }
    }

    /** A row has two stretches where the ball has touched its middle before, or will later. */
    private function alongY(StraightPath $path, float $radius): void
    {
        $field = $this->field;
        [$left, $dx, $dy, $isUp] = [$field->x - $path->x0, $field->dx, $field->dy, $path->alongY > 0.0];
        [$start, $end] = [$path->y0 + $path->alongY * $this->from, $path->y1 + $path->alongY * $this->to];
        $leans = $radius * max(abs($this->fromLean), abs($this->toLean));
        $row = max(0, (int) floor((min($start, $end) - $leans - $field->y) / $dy));
        $toRow = min($field->rows - 1, (int) floor((max($start, $end) + $leans - $field->y) / $dy));
        for (; $row <= $toRow; $row++) {
            $edge = $field->y + $row * $dy;
            // No place of the row lies farther beyond where it begins than this, and none farther before where it ends than that.
            [$beyond, $before] = $isUp ? [$edge + $dy - $start, $end - $edge] : [$start - $edge, $edge + $dy - $end];
            [$innerFrom, $outerFrom] = self::halves($radius, $beyond, $this->fromLean);
            [$innerTo, $outerTo] = self::halves($radius, $before, -$this->toLean);
            $inner = $innerFrom > $innerTo ? $innerFrom : $innerTo;
            $outer = $outerFrom < $outerTo ? $outerFrom : $outerTo;
            $zero = $left + $field->across[$row] * $dx;
            if ($inner <= 0.0) {
                $this->add($row, (-$outer - $zero) / $dx, ($outer - $zero) / $dx);
            } else {
                $this->add($row, (-$outer - $zero) / $dx, (-$inner - $zero) / $dx);
                $this->add($row, ($inner - $zero) / $dx, ($outer - $zero) / $dx);
            }
        }
    }

    /**
     * How far aside places lie that are not before a boundary: along − lean × √(radius² − aside²) is not below nothing.
     *
     * @return array{float, float} no nearer than the first, no farther than the second; which is −1 where there is none
     */
    private static function halves(float $radius, float $along, float $lean): array
    {
        if ($lean === 0.0) {
            return $along < 0.0 ? [0.0, -1.0] : [0.0, $radius];
        }
        $reach = $along / $lean;
        $aside = $radius * $radius - $reach * $reach;
        if ($lean > 0.0) {
            return $reach < 0.0 ? [0.0, -1.0] : [$aside > 0.0 ? sqrt($aside) : 0.0, $radius];
        }

        return $reach <= 0.0 ? [0.0, $radius] : ($aside < 0.0 ? [0.0, -1.0] : [0.0, sqrt($aside)]);
    }

    /** Between its sides and its ends, which are lines: of each, the farthest it comes anywhere in a row. */
    private function aslant(StraightPath $path, float $radius): void
    {
        $field = $this->field;
        [$alongX, $alongY, $dx, $dy, $most, $across] = [$path->alongX, $path->alongY, $field->dx, $field->dy, $field->columns - 1, $field->across];
        [$front, $back] = [min($path->y0, $path->y1) - $radius, max($path->y0, $path->y1) + $radius];
        // From one row to the next.
        [$bySide, $byEnd] = [$dy * $alongX / $alongY, -$dy * $alongY / $alongX];
        $row = max(0, (int) floor(($front - $field->y) / $dy));
        $toRow = min($field->rows - 1, (int) floor(($back - $field->y) / $dy));
        $away = $field->y + $row * $dy - $path->y0;
        $half = abs($radius / $alongY);
        $side = $path->x0 + $away * $alongX / $alongY - $field->x;
        $end = $path->x0 - $away * $alongY / $alongX - $field->x;
        $one = $this->from / $alongX;
        $two = ($path->length + $this->to) / $alongX;
        $sideLow = $side - $half + ($bySide < 0.0 ? $bySide : 0.0);
        $sideHigh = $side + $half + ($bySide > 0.0 ? $bySide : 0.0);
        $endLow = $end + ($one < $two ? $one : $two) + ($byEnd < 0.0 ? $byEnd : 0.0);
        $endHigh = $end + ($one < $two ? $two : $one) + ($byEnd > 0.0 ? $byEnd : 0.0);
        $rows = $firsts = $lasts = [];
        for (; $row <= $toRow; $row++) {
            $zero = $across[$row] * $dx;
            $low = ($sideLow > $endLow ? $sideLow : $endLow) - $zero;
            $high = ($sideHigh < $endHigh ? $sideHigh : $endHigh) - $zero;
            $sideLow += $bySide;
            $sideHigh += $bySide;
            $endLow += $byEnd;
            $endHigh += $byEnd;
            if ($high < 0.0) {
                continue;
            }
            $first = $low < 0.0 ? 0 : (int) ($low / $dx) + 1;
            $last = (int) ($high / $dx);
            if ($last > $most) {
                $last = $most;
            }
            if ($first <= $last) {
                $rows[] = $row;
                $firsts[] = $first;
                $lasts[] = $last;
            }
        }
        [$this->rows, $this->firsts, $this->lasts] = [$rows, $firsts, $lasts];
    }

    /** From place to place, counted in cells from that of the first. */
    private function add(int $row, float $low, float $high): void
    {
        $first = $low < 0.0 ? 0 : (int) ceil($low);
        $last = $high < 0.0 ? -1 : min($this->field->columns - 1, (int) $high);
        if ($first <= $last) {
            $this->rows[] = $row;
            $this->firsts[] = $first;
            $this->lasts[] = $last;
        }
    }
}
