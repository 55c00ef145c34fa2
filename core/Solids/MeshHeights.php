<?php

declare(strict_types=1);

namespace OakTrace\Core\Solids;

/** How high a solid stands at single places: its triangles sorted into the squares they lie over, so that only a few are looked at. */
final class MeshHeights
{
    private const MOST_SQUARES = 200;

    /** @var array<int, list<int>> square => where in the corners the triangles over it begin */
    private array $squares = [];

    private readonly float $left;

    private readonly float $front;

    private readonly float $wide;

    private readonly float $deep;

    private readonly int $across;

    public function __construct(private readonly Mesh $solid)
    {
        $box = $solid->box();
        $this->across = (int) max(1, min(self::MOST_SQUARES, sqrt(count($solid->corners) / 9)));
        [$this->left, $this->front] = [$box->low->x, $box->low->y];
        [$this->wide, $this->deep] = [max(1e-9, $box->size(0)) / $this->across, max(1e-9, $box->size(1)) / $this->across];
        foreach ($solid->stretches($this->front, $this->deep, $this->across) as $n => $stretches) {
            foreach ($stretches as $row => [$low, $high]) {
                $to = min($this->across - 1, (int) floor(($high - $this->left) / $this->wide));
                for ($column = max(0, (int) floor(($low - $this->left) / $this->wide)); $column <= $to; $column++) {
                    $this->squares[$row * $this->across + $column][] = $n;
                }
            }
        }
    }

    /** -INF where there is nothing of it. */
    public function at(float $x, float $y): float
    {
        $highest = -INF;
        $column = (int) floor(($x - $this->left) / $this->wide);
        $row = (int) floor(($y - $this->front) / $this->deep);
        $corners = $this->solid->corners;
        foreach ($column < 0 || $column >= $this->across ? [] : $this->squares[$row * $this->across + $column] ?? [] as $n) {
            [$x0, $y0, $z0, $x1, $y1, $z1, $x2, $y2, $z2] = array_slice($corners, $n, 9);
            $double = ($x1 - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y1 - $y0);
            $second = (($x - $x0) * ($y2 - $y0) - ($x2 - $x0) * ($y - $y0)) / $double;
            $third = (($x1 - $x0) * ($y - $y0) - ($x - $x0) * ($y1 - $y0)) / $double;
            if ($second >= -1e-9 && $third >= -1e-9 && $second + $third <= 1 + 1e-9) {
                $highest = max($highest, $z0 + $second * ($z1 - $z0) + $third * ($z2 - $z0));
            }
        }

        return $highest;
    }
}
