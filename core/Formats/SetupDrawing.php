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

    /** @var list<string> */
    private array $parts = [];

    private function __construct(private readonly Setup $setup)
    {
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
            $this->text(4, $top - 16, $title, 'start');
            $this->box($x($stock->min[0]), $y($stock->max[$up]), $x($stock->max[0]), $y($stock->min[$up]), '#efe4c9', '#6e5c2d', 1.4);
            foreach ($this->obstacles() as [$obstacle, $shift]) {
                $points = $up === 1
                    ? array_map(static fn (array $corner): array => [$corner[0] + $shift[0], $corner[1] + $shift[1]], $obstacle->outline())
                    : self::rectangle(self::add($obstacle->min, $shift), self::add($obstacle->max, $shift));
                $this->polygon(array_map(static fn (array $point): string => self::at($x($point[0])).','.self::at($y($point[1])), $points));
                if ($up === 1) {
                    $this->text(
                        $x(($obstacle->min[0] + $obstacle->max[0]) / 2 + $shift[0]), $y(($obstacle->min[1] + $obstacle->max[1]) / 2 + $shift[1]) + 3,
                        $obstacle->name,
                    );
                }
            }
            $this->zero($x(0.0), $y(0.0), $this->frame);
            // Sizes along X stand above the plan; the elevation is below it.
            if ($up === 1) {
                $this->level($x($stock->min[0]), $x($stock->max[0]), $y($stock->max[1]) - 12, $stock->max[0] - $stock->min[0]);
            }
            $this->upright($y($stock->max[$up]), $y($stock->min[$up]), $x($stock->max[0]) + 14, $stock->max[$up] - $stock->min[$up]);
            // Where zero lies in the stock: from its left and from its front, or from its bottom.
            if ($up === 1 && $stock->min[0] < -1e-6 && $stock->max[0] > 1e-6) {
                $this->level($x($stock->min[0]), $x(0.0), $y($stock->min[$up]) + 14, -$stock->min[0]);
            }
            if ($stock->min[$up] < -1e-6 && $stock->max[$up] > 1e-6) {
                $this->upright($y(0.0), $y($stock->min[$up]), $x($stock->min[0]) - 14, -$stock->min[$up], isLeft: true);
            }
        }

        return sprintf('<svg xmlns="http://www.w3.org/2000/svg" width="%1$s" height="%2$s" viewBox="0 0 %1$s %2$s">', self::at(self::WIDTH), self::at($height))
            .implode('', $this->parts).'</svg>';
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

    private function level(float $from, float $to, float $y, float $size): void
    {
        $this->line($from, $y, $to, $y);
        $this->line($from, $y - 3, $from, $y + 3);
        $this->line($to, $y - 3, $to, $y + 3);
        $this->text(($from + $to) / 2, $y - 3, $this->figure($size));
    }

    private function upright(float $from, float $to, float $x, float $size, bool $isLeft = false): void
    {
        $this->line($x, $from, $x, $to);
        $this->line($x - 3, $from, $x + 3, $from);
        $this->line($x - 3, $to, $x + 3, $to);
        $this->text($x + ($isLeft ? -5 : 5), ($from + $to) / 2 + 3, $this->figure($size), $isLeft ? 'end' : 'start');
    }

    private function zero(float $x, float $y, string $name): void
    {
        $this->parts[] = sprintf('<circle cx="%s" cy="%s" r="4" fill="none" stroke="#7f501f" stroke-width="1.2"/>', self::at($x), self::at($y));
        $this->line($x - 9, $y, $x + 9, $y, '#7f501f');
        $this->line($x, $y - 9, $x, $y + 9, '#7f501f');
        $this->text($x + 8, $y - 6, $name, 'start');
    }

    private function line(float $x, float $y, float $toX, float $toY, string $ink = '#34403a'): void
    {
        $this->parts[] = sprintf(
            '<line x1="%s" y1="%s" x2="%s" y2="%s" stroke="%s" stroke-width="0.8"/>', self::at($x), self::at($y), self::at($toX), self::at($toY), $ink,
        );
    }

    private function box(float $left, float $top, float $right, float $bottom, string $fill, string $ink, float $width): void
    {
        $this->parts[] = sprintf(
            '<rect x="%s" y="%s" width="%s" height="%s" fill="%s" stroke="%s" stroke-width="%s"/>', self::at($left), self::at($top),
            self::at($right - $left), self::at($bottom - $top), $fill, $ink, self::at($width),
        );
    }

    /** @param  list<string>  $points */
    private function polygon(array $points): void
    {
        $this->parts[] = '<polygon points="'.implode(' ', $points).'" fill="#dcd5c4" stroke="#34403a" stroke-width="1"/>';
    }

    private function text(float $x, float $y, string $text, string $anchor = 'middle'): void
    {
        $this->parts[] = sprintf(
            '<text x="%s" y="%s" font-size="9" font-family="DejaVu Sans, sans-serif" text-anchor="%s" fill="#1d2822">%s</text>', self::at($x), self::at($y),
            $anchor, htmlspecialchars($text, ENT_QUOTES | ENT_XML1),
        );
    }

    private function figure(float $millimetres): string
    {
        $units = $this->setup->units;

        return rtrim(rtrim(number_format($millimetres / $units->millimetres(), $units->decimals(), '.', ''), '0'), '.');
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

    private static function at(float $value): string
    {
        return rtrim(rtrim(number_format($value, 2, '.', ''), '0'), '.');
    }
}
