<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Stock\Turned\Solid;
use OakTrace\Core\Stock\Turned\TurnedStock;

/** A setup of a lathe from the side as SVG: the bar in its chuck, what holds its end, part zero, how far it stands out. */
final class TurnedSetupDrawing
{
    private const WIDTH = 520.0;

    private const EDGE = 46.0;

    private const HIGHEST = 230.0;

    /** How far a drawn shape may stand off what it is of, mm. */
    private const FINE = 0.25;

    /** How much of the chuck is drawn where its body is not given, mm. */
    private const DEEP = 25.0;

    private readonly SvgPen $pen;

    private readonly float $from;

    private readonly float $to;

    private readonly float $radius;

    private readonly float $scale;

    private function __construct(private readonly Setup $setup, private readonly Stock $stock)
    {
        $this->pen = new SvgPen($setup->units);
        $chuck = $setup->workholding->chuck;
        // Of chuck and tailstock as much as tells where they are: the bar is what is looked at.
        [$from, $to, $radius] = [$stock->around->low->z, $stock->around->high->z, 1.4 * $stock->around->high->x];
        $from = min($from, ($chuck->jawFaceZ ?? $from) - self::DEEP);
        foreach (Solid::around($setup) as $solid) {
            $to = max($to, $solid->profile[1][0]);
            $radius = max($radius, $solid->profile[1][1]);
        }
        [$this->from, $this->to, $this->radius] = [$from, $to, $radius];
        $this->scale = min((self::WIDTH - 2 * self::EDGE) / max(1e-6, $to - $from), self::HIGHEST / max(1e-6, 2 * $radius));
    }

    /** @return string|null null where there is no bar to be drawn */
    public static function svg(Setup $setup): ?string
    {
        $stock = $setup->workpiece->stock;

        return $stock === null ? null : (new self($setup, $stock))->draw();
    }

    private function draw(): string
    {
        $chuck = $this->setup->workholding->chuck;
        if ($chuck?->jawFaceZ !== null) {
            $inner = ($chuck->jawInner ?? 2 * $this->stock->around->high->x) / 2;
            $outer = min($this->radius, ($chuck->jawOuter ?? 4 * $inner) / 2);
            foreach ([1, -1] as $side) {
                $this->area([
                    [$chuck->faceZ ?? $this->from, $side * $inner], [$chuck->jawFaceZ, $side * $inner], [$chuck->jawFaceZ, $side * $outer],
                    [$chuck->faceZ ?? $this->from, $side * $outer],
                ]);
            }
        }
        foreach (Solid::around($this->setup) as $solid) {
            $back = array_map(static fn (array $point): array => [$point[0], -$point[1]], array_reverse($solid->profile));
            $this->area([...$solid->profile, ...$back]);
        }
        [$low, $high] = [$this->stock->around->low->z, $this->stock->around->high->z];
        foreach (TurnedStock::in($this->setup)?->profile->stretches(self::FINE) ?? [] as [$from, $to, $radii]) {
            $outer = $radii[count($radii) - 1];
            $this->pen->box($this->x($from), $this->y($outer), $this->x($to), $this->y(-$outer), '#efe4c9', '#6e5c2d', 1.0);
        }
        $this->pen->line($this->x($this->from), $this->y(0.0), $this->x($this->to), $this->y(0.0), '#8b877c');
        $this->pen->zero($this->x(0.0), $this->y(0.0), $this->stock->workOffset);
        $foot = $this->y(-$this->radius) + 14;
        $this->pen->level($this->x($low), $this->x($high), $foot, $high - $low);
        if ($chuck?->jawFaceZ !== null && $chuck->jawFaceZ > $low) {
            $this->pen->level($this->x($chuck->jawFaceZ), $this->x($high), $this->y($this->radius) - 8, $high - $chuck->jawFaceZ);
        }
        $this->pen->text($this->x($low) + 4, $this->y(0.0) - 4, 'Ø'.$this->pen->figure(2 * $this->stock->around->high->x), 'start');

        return $this->pen->svg($this->x($this->to) + self::EDGE, $foot + 12);
    }

    /** @param  list<array{float, float}>  $points  Z and radius */
    private function area(array $points): void
    {
        $within = fn (array $point): array => [
            $this->x(max($this->from, min($this->to, $point[0]))), $this->y(max(-$this->radius, min($this->radius, $point[1]))),
        ];
        $this->pen->polygon(array_map($within, $points));
    }

    private function x(float $z): float
    {
        return self::EDGE + ($z - $this->from) * $this->scale;
    }

    private function y(float $radius): float
    {
        return 24.0 + ($this->radius - $radius) * $this->scale;
    }
}
