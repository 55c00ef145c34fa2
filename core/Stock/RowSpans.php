<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Solids\HeightField;

/**
 * From where to where a straight piece lies over each row of cells. What lies under it on both edges of a row lies under it all
 * between them; how far it comes elsewhere its ends tell.
 */
final class RowSpans
{
    /** @var array<int, int> row => its first column that may lie under the piece */
    public array $firsts = [];

    /** @var array<int, int> row => its last */
    public array $lasts = [];

    /** @var array<int, int> row => the first column that lies under it wholly; none where it is greater than the last */
    public array $innerFirsts = [];

    /** @var array<int, int> row => the last */
    public array $innerLasts = [];

    private readonly int $fromRow;

    private readonly int $toRow;

    private readonly float $startX;

    private readonly float $startY;

    /** Length from where what is new begins. */
    private readonly float $whole;

    /**
     * @param  float|null  $behind  how far before its start what is not cut yet begins, where the piece goes on from another; then it
     *                              has no round start
     * @param  float|null  $ahead  how far beyond its end it ends, where another goes on from it; then it has no round end
     */
    public function __construct(
        private readonly HeightField $field, private readonly StraightPath $path, private readonly float $radius, private readonly ?float $behind,
        private readonly ?float $ahead = null,
    ) {
        $this->startX = $path->x0 - ($behind ?? 0.0) * $path->alongX;
        $this->startY = $path->y0 - ($behind ?? 0.0) * $path->alongY;
        $this->whole = $path->length + ($behind ?? 0.0) + ($ahead ?? 0.0);
        $this->fromRow = max(0, (int) floor((min($path->y0, $path->y1) - $radius - $field->y) / $field->dy));
        $this->toRow = min($field->rows - 1, (int) floor((max($path->y0, $path->y1) + $radius - $field->y) / $field->dy));
        if ($this->fromRow > $this->toRow) {
            return;
        }
        if ($path->alongY === 0.0 && $behind !== null && $ahead !== null) {
            $this->band();

            return;
        }
        [$lows, $highs] = $path->alongY === 0.0 ? $this->edgesAlongX() : $this->edges();
        $this->columns($lows, $highs);
    }

    /** Along X with straight ends, as short moves of a pass are: the same of every row. */
    private function band(): void
    {
        [$left, $dx, $dy, $most, $across] = [$this->field->x, $this->field->dx, $this->field->dy, $this->field->columns - 1, $this->field->across];
        $end = $this->path->x1 + $this->ahead * $this->path->alongX;
        [$low, $high] = $this->startX < $end ? [$this->startX, $end] : [$end, $this->startX];
        $away = $this->field->y - $this->path->y0;
        $firsts = $lasts = $innerFirsts = $innerLasts = [];
        for ($row = $this->fromRow, $toRow = $this->toRow; $row <= $toRow; $row++) {
            $zero = $left + $across[$row] * $dx;
            if ($high < $zero) {
                continue;
            }
            $first = $low < $zero ? 0 : (int) (($low - $zero) / $dx) + 1;
            $last = (int) (($high - $zero) / $dx);
            $last = $last > $most ? $most : $last;
            if ($first > $last) {
                continue;
            }
            $firsts[$row] = $innerFirsts[$row] = $first;
            $lasts[$row] = $last;
            $edge = $away + $row * $dy;
            // A row that lies under it in part has nothing that lies under it wholly.
            $innerLasts[$row] = $edge >= -$this->radius && $edge + $dy <= $this->radius ? $last : -1;
        }
        [$this->firsts, $this->lasts, $this->innerFirsts, $this->innerLasts] = [$firsts, $lasts, $innerFirsts, $innerLasts];
    }

    /**
     * Along X, as most passes go: both round ends are as wide.
     *
     * @return array{list<float>, list<float>} X of the span at each edge between rows, from the lower edge of the first row on
     */
    private function edgesAlongX(): array
    {
        $path = $this->path;
        $radius2 = $this->radius * $this->radius;
        [$front, $dy, $y0, $x1] = [$this->field->y, $this->field->dy, $path->y0, $path->x1];
        $isTowardsPlus = $path->alongX > 0.0;
        // A round start draws back with the half width; a straight one stands. So does an end.
        [$start, $drawn] = $this->behind !== null ? [$this->startX, 0.0] : [$path->x0, $path->alongX];
        [$end, $pushed] = $this->ahead !== null ? [$x1 + $this->ahead * $path->alongX, 0.0] : [$x1, 1.0];
        $lows = $highs = [];
        for ($row = $this->fromRow; $row <= $this->toRow + 1; $row++) {
            $away = $front + $row * $dy - $y0;
            $half = $radius2 - $away * $away;
            if ($half < 0.0) {
                $lows[] = INF;
                $highs[] = -INF;
            } elseif ($isTowardsPlus) {
                $half = sqrt($half);
                $lows[] = $start - $drawn * $half;
                $highs[] = $end + $pushed * $half;
            } else {
                $half = sqrt($half);
                $lows[] = $end - $pushed * $half;
                $highs[] = $start - $drawn * $half;
            }
        }

        return [$lows, $highs];
    }

    /**
     * In any direction: the strip of the path and the round ends, which together are convex.
     *
     * @return array{list<float>, list<float>}
     */
    private function edges(): array
    {
        $ends = [
            ...($this->behind === null ? [[$this->startX, $this->startY]] : []), ...($this->ahead === null ? [[$this->path->x1, $this->path->y1]] : []),
        ];
        $lows = $highs = [];
        for ($row = $this->fromRow; $row <= $this->toRow + 1; $row++) {
            $y = $this->field->y + $row * $this->field->dy;
            [$low, $high] = $this->strip($y - $this->startY);
            foreach ($ends as [$x, $endY]) {
                $half = $this->radius * $this->radius - ($y - $endY) * ($y - $endY);
                if ($half >= 0.0) {
                    $half = sqrt($half);
                    $low = $x - $half < $low ? $x - $half : $low;
                    $high = $x + $half > $high ? $x + $half : $high;
                }
            }
            $lows[] = $low;
            $highs[] = $high;
        }

        return [$lows, $highs];
    }

    /**
     * Of the strip beside the path alone.
     *
     * @param  float  $away  of the line in question from where the strip begins
     * @return array{float, float} X; the first greater than the second where it does not lie over it at all
     */
    private function strip(float $away): array
    {
        // Aside of the path: away × alongX − x × alongY; along it: x × alongX + away × alongY.
        [$alongX, $alongY, $radius] = [$this->path->alongX, $this->path->alongY, $this->radius];
        $first = -INF;
        $last = INF;
        if (abs($alongY) > 1e-12) {
            $one = ($away * $alongX - $radius) / $alongY;
            $two = ($away * $alongX + $radius) / $alongY;
            [$first, $last] = $one < $two ? [$one, $two] : [$two, $one];
        } elseif (abs($away) > $radius) {
            return [INF, -INF];
        }
        if (abs($alongX) > 1e-12) {
            $one = (-$away * $alongY) / $alongX;
            $two = ($this->whole - $away * $alongY) / $alongX;
            $first = max($first, $one < $two ? $one : $two);
            $last = min($last, $one < $two ? $two : $one);
        } elseif ($away * $alongY < 0.0 || $away * $alongY > $this->whole) {
            return [INF, -INF];
        }

        return $first <= $last ? [$this->startX + $first, $this->startX + $last] : [INF, -INF];
    }

    /**
     * Between its edges a row may be reached further: by the middle of a round end, and by the corners of a straight one.
     *
     * @return array<int, array{float, float}> row => least and greatest X of such points in it
     */
    private function bulges(): array
    {
        $path = $this->path;
        $radius = $this->radius;
        $ahead = $this->ahead ?? 0.0;
        $points = [];
        foreach ([
            [$this->startX, $this->startY, $this->behind === null],
            [$path->x1 + $ahead * $path->alongX, $path->y1 + $ahead * $path->alongY, $this->ahead === null],
        ] as [$x, $y, $isRound]) {
            $isRound ? array_push($points, $x - $radius, $y, $x + $radius, $y) : array_push(
                $points, $x - $path->alongY * $radius, $y + $path->alongX * $radius, $x + $path->alongY * $radius, $y - $path->alongX * $radius,
            );
        }
        $bulges = [];
        for ($n = 0, $count = count($points); $n < $count; $n += 2) {
            $row = (int) floor(($points[$n + 1] - $this->field->y) / $this->field->dy);
            [$low, $high] = $bulges[$row] ?? [INF, -INF];
            $bulges[$row] = [$points[$n] < $low ? $points[$n] : $low, $points[$n] > $high ? $points[$n] : $high];
        }

        return $bulges;
    }

    /**
     * @param  list<float>  $lows
     * @param  list<float>  $highs
     */
    private function columns(array $lows, array $highs): void
    {
        [$left, $dx, $most] = [$this->field->x, $this->field->dx, $this->field->columns - 1];
        $across = $this->field->across;
        $bulges = $this->bulges();
        $firsts = $lasts = $innerFirsts = $innerLasts = [];
        $nextLow = $lows[0];
        $nextHigh = $highs[0];
        for ($row = $this->fromRow, $n = 0, $toRow = $this->toRow; $row <= $toRow; $row++, $n++) {
            $low = $nextLow;
            $high = $nextHigh;
            $nextLow = $lows[$n + 1];
            $nextHigh = $highs[$n + 1];
            $outerLow = $low < $nextLow ? $low : $nextLow;
            $outerHigh = $high > $nextHigh ? $high : $nextHigh;
            if (isset($bulges[$row])) {
                $outerLow = min($outerLow, $bulges[$row][0]);
                $outerHigh = max($outerHigh, $bulges[$row][1]);
            }
            $zero = $left + $across[$row] * $dx;
            if ($outerLow > $outerHigh || $outerHigh < $zero) {
                continue;
            }
            $first = $outerLow < $zero ? 0 : (int) (($outerLow - $zero) / $dx) + 1;
            $last = (int) (($outerHigh - $zero) / $dx);
            $last = $last > $most ? $most : $last;
            if ($first > $last) {
                continue;
            }
            $firsts[$row] = $first;
            $lasts[$row] = $last;
            $innerLow = $low > $nextLow ? $low : $nextLow;
            $innerHigh = $high < $nextHigh ? $high : $nextHigh;
            $innerFirsts[$row] = $innerLow < $zero ? 0 : ($innerLow > $innerHigh ? $last + 1 : (int) (($innerLow - $zero) / $dx) + 1);
            $inner = $innerHigh < $zero ? -1 : (int) (($innerHigh - $zero) / $dx);
            $innerLasts[$row] = $inner > $most ? $most : $inner;
        }
        [$this->firsts, $this->lasts, $this->innerFirsts, $this->innerLasts] = [$firsts, $lasts, $innerFirsts, $innerLasts];
    }
}
