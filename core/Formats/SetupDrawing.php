<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\Shift;
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

    /** All that is drawn. */
    private readonly Box $room;

    private readonly SvgPen $pen;

    private function __construct(private readonly Setup $setup)
    {
        $this->pen = new SvgPen($setup->units);
        $stock = $setup->workpiece->stock;
        $this->frame = $stock->workOffset ?? $setup->machine->control->defaultWorkOffset;
        $room = $stock->around ?? Box::of([0.0, 0.0, 0.0], [1.0, 1.0, 1.0]);
        foreach ($this->obstacles() as [$obstacle, $shift]) {
            $room = $room->with($obstacle->around->plus($shift));
        }
        $this->room = $room;
        $this->scale = min(
            (self::WIDTH - 2 * self::EDGE) / max(1e-6, $room->size(0)), self::HIGHEST / max(1e-6, $room->size(1)), self::HIGHEST / max(1e-6, $room->size(2)),
        );
        $this->planHeight = $room->size(1) * $this->scale;
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
        $height = $elevationTop + $this->room->size(2) * $this->scale + self::EDGE;
        foreach ([[1, self::EDGE, 'PLAN'], [2, $elevationTop, 'ELEVATION']] as [$up, $top, $title]) {
            $x = fn (float $at): float => self::EDGE + ($at - $this->room->low->x) * $this->scale;
            $y = fn (float $at): float => $top + ($this->room->high->on($up) - $at) * $this->scale;
            $this->pen->text(4, $top - 16, $title, 'start');
            [$left, $right] = [$stock->around->low->x, $stock->around->high->x];
            [$from, $to] = [$stock->around->low->on($up), $stock->around->high->on($up)];
            $this->pen->box($x($left), $y($to), $x($right), $y($from), '#efe4c9', '#6e5c2d', 1.4);
            foreach ($this->obstacles() as [$obstacle, $shift]) {
                $points = $up === 1
                    ? array_map(static fn (array $corner): array => [$corner[0] + $shift->x, $corner[1] + $shift->y], $obstacle->outline())
                    : self::rectangle($obstacle->around->plus($shift));
                $this->pen->polygon(array_map(static fn (array $point): array => [$x($point[0]), $y($point[1])], $points));
                if ($up === 1) {
                    [$middleX, $middleY] = $obstacle->middle();
                    $this->pen->text($x($middleX + $shift->x), $y($middleY + $shift->y) + 3, $obstacle->name);
                }
            }
            $this->pen->zero($x(0.0), $y(0.0), $this->frame);
            // Sizes along X stand above the plan; the elevation is below it.
            if ($up === 1) {
                $this->pen->level($x($left), $x($right), $y($to) - 12, $right - $left);
            }
            $this->pen->upright($y($to), $y($from), $x($right) + 14, $to - $from);
            // Where zero lies in the stock: from its left and from its front, or from its bottom.
            if ($up === 1 && $left < -1e-6 && $right > 1e-6) {
                $this->pen->level($x($left), $x(0.0), $y($from) + 14, -$left);
            }
            if ($from < -1e-6 && $to > 1e-6) {
                $this->pen->upright($y(0.0), $y($from), $x($left) - 14, -$from, isLeft: true);
            }
        }

        return $this->pen->svg(self::WIDTH, $height);
    }

    /** @return list<array{Obstacle, Shift}> what is clamped beside the stock, and its shift to where the drawing is made from */
    private function obstacles(): array
    {
        $rows = [];
        foreach ($this->setup->workholding->obstacles as $obstacle) {
            if ($obstacle->workOffset !== Obstacle::MACHINE) {
                $rows[] = [$obstacle, $this->setup->zero($obstacle->workOffset)->minus($this->setup->zero($this->frame))];
            }
        }

        return $rows;
    }

    /** @return list<array{float, float}> in elevation */
    private static function rectangle(Box $box): array
    {
        [$low, $high] = [$box->low, $box->high];

        return [[$low->x, $low->z], [$high->x, $low->z], [$high->x, $high->z], [$low->x, $high->z]];
    }
}
