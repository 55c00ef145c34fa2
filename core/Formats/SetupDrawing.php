<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;

/** A setup in plan and elevation as SVG: stock, clamps and part zero, with the sizes and where zero lies in the stock. */
final class SetupDrawing
{
    private const WIDTH = 520.0;

    private const EDGE = 46.0;

    private const HIGHEST = 250.0;

    private const GAP = 56.0;

    private readonly string $frame;

    private readonly float $scale;

    private readonly float $planHeight;

    /** @var array{float, float, float} */
    private array $low;

    /** @var array{float, float, float} */
    private array $high;

    private readonly SvgPen $pen;

    private function __construct(private readonly Setup $setup)
    {
        $this->pen = new SvgPen($setup->units);
        $stock = $setup->workpiece->stock;
        $this->frame = $stock->workOffset ?? $setup->machine->control->defaultWorkOffset;
        $boxes = [[$stock->min ?? [0.0, 0.0, 0.0], $stock->max ?? [1.0, 1.0, 1.0]]];
        foreach ($this->obstacles() as [$obstacle, $shift]) {
            $boxes[] = [self::add($obstacle->min, $shift), self::add($obstacle->max, $shift)];
        }
        $edge = static fn (int $end, int $axis): array => array_map(static fn (array $box): float => $box[$end][$axis], $boxes);
        $this->low = [min($edge(0, 0)), min($edge(0, 1)), min($edge(0, 2))];
        $this->high = [max($edge(1, 0)), max($edge(1, 1)), max($edge(1, 2))];
        $this->scale = min(
            (self::WIDTH - 2 * self::EDGE) / max(1e-6, $this->high[0] - $this->low[0]),
            self::HIGHEST / max(1e-6, $this->high[1] - $this->low[1]), self::HIGHEST / max(1e-6, $this->high[2] - $this->low[2]),
        );
        $this->planHeight = ($this->high[1] - $this->low[1]) * $this->scale;
    }

    /** @return string|null null where there is no stock to be drawn */
    public static function svg(Setup $setup): ?string
    {
        return $setup->workpiece->stock === null ? null : (new self($setup))->draw();
    }

    private function draw(): string
    {
        $stock = $this->setup->workpiece->stock ?? throw new \LogicException('There is no stock.');
        $elevationTop = self::EDGE + $this->planHeight + self::GAP;
        $height = $elevationTop + ($this->high[2] - $this->low[2]) * $this->scale + self::EDGE;
        foreach ([[1, self::EDGE, 'PLAN'], [2, $elevationTop, 'ELEVATION']] as [$up, $top, $title]) {
            $x = fn (float $at): float => self::EDGE + ($at - $this->low[0]) * $this->scale;
            $y = fn (float $at): float => $top + ($this->high[$up] - $at) * $this->scale;
            $this->pen->text(4, $top - 16, $title, 'start');
            $this->pen->box($x($stock->min[0]), $y($stock->max[$up]), $x($stock->max[0]), $y($stock->min[$up]), '#efe4c9', '#6e5c2d', 1.4);
            foreach ($this->obstacles() as [$obstacle, $shift]) {
                $points = $up === 1
                    ? array_map(static fn (array $corner): array => [$corner[0] + $shift[0], $corner[1] + $shift[1]], $obstacle->outline())
                    : self::rectangle(self::add($obstacle->min, $shift), self::add($obstacle->max, $shift));
                $this->pen->polygon(array_map(static fn (array $point): array => [$x($point[0]), $y($point[1])], $points));
                if ($up === 1) {
                    $this->pen->text(
                        $x(($obstacle->min[0] + $obstacle->max[0]) / 2 + $shift[0]), $y(($obstacle->min[1] + $obstacle->max[1]) / 2 + $shift[1]) + 3,
                        $obstacle->name,
                    );
                }
            }
            $this->pen->zero($x(0.0), $y(0.0), $this->frame);
            // Sizes along X stand above the plan; the elevation is below it.
            if ($up === 1) {
                $this->pen->level($x($stock->min[0]), $x($stock->max[0]), $y($stock->max[1]) - 12, $stock->max[0] - $stock->min[0]);
            }
            $this->pen->upright($y($stock->max[$up]), $y($stock->min[$up]), $x($stock->max[0]) + 14, $stock->max[$up] - $stock->min[$up]);
            // Where zero lies in the stock: from its left and from its front, or from its bottom.
            if ($up === 1 && $stock->min[0] < -1e-6 && $stock->max[0] > 1e-6) {
                $this->pen->level($x($stock->min[0]), $x(0.0), $y($stock->min[$up]) + 14, -$stock->min[0]);
            }
            if ($stock->min[$up] < -1e-6 && $stock->max[$up] > 1e-6) {
                $this->pen->upright($y(0.0), $y($stock->min[$up]), $x($stock->min[0]) - 14, -$stock->min[$up], isLeft: true);
            }
        }

        return $this->pen->svg(self::WIDTH, $height);
    }

    /** @return list<array{Obstacle, array{float, float, float}}> what is clamped beside the stock, and its shift to where the drawing is made from */
    private function obstacles(): array
    {
        $zero = fn (string $work, string $axis): float => $this->setup->workOffsets[$work][$axis] ?? 0.0;
        $rows = [];
        foreach ($this->setup->workholding->obstacles as $obstacle) {
            if ($obstacle->workOffset !== Obstacle::MACHINE) {
                $by = fn (string $axis): float => $zero($obstacle->workOffset, $axis) - $zero($this->frame, $axis);
                $rows[] = [$obstacle, [$by('X'), $by('Y'), $by('Z')]];
            }
        }

        return $rows;
    }

    /**
     * @param  array{float, float, float}  $low
     * @param  array{float, float, float}  $high
     * @return list<array{float, float}> in elevation
     */
    private static function rectangle(array $low, array $high): array
    {
        return [[$low[0], $low[2]], [$high[0], $low[2]], [$high[0], $high[2]], [$low[0], $high[2]]];
    }

    /**
     * @param  array{float, float, float}  $place
     * @param  array{float, float, float}  $shift
     * @return array{float, float, float}
     */
    private static function add(array $place, array $shift): array
    {
        return [$place[0] + $shift[0], $place[1] + $shift[1], $place[2] + $shift[2]];
    }
}
