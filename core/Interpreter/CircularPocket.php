<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\DIs;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;

/**
 * A round pocket cut from its centre, where the tool stands (common practice): down to Z at feed, out along the first axis of
 * the plane, a full circle, and so on in steps of Q from radius I to radius K, then back to the centre. I alone is the
 * finished radius. L goes down by Z so many times in incremental positions. Radii are the pocket's; the cutter's radius of D
 * is taken off.
 */
final readonly class CircularPocket
{
    private const MOST_CIRCLES = 10_000;

    public function __construct(private Context $context, private Offsets $offsets)
    {
    }

    /** @param  callable(array<string, float>): (list<float>|null)  $target  where axis words lead */
    public function cut(bool $clockwise, callable $target): void
    {
        $context = $this->context;
        $words = $context->block->words;
        $plane = $context->modal->modes->plane;
        $axes = $context->planeAxes('A circular pocket');
        if ($axes === null) {
            return;
        }
        $radii = $this->radii($words, $this->cutter());
        $times = max(1, (int) min(self::MOST_CIRCLES + 1, $words['L'] ?? 1));
        if ($radii === null) {
            return;
        }
        if ($times * count($radii) > self::MOST_CIRCLES) {
            $context->notice('runaway', 'G', ['most' => self::MOST_CIRCLES]);

            return;
        }
        $recorder = $context->recorder;
        $recorder->rowMarks |= Mark::CYCLE;
        for ($i = 0; $i < $times; $i++) {
            $down = $target(array_intersect_key($words, [$plane->normal() => 1]));
            if ($down !== null) {
                $recorder->feed($down);
            }
            $this->circles($radii, ...$axes, clockwise: $clockwise);
        }
        $recorder->rowMarks &= ~Mark::CYCLE;
    }

    /** @param  list<float>  $radii of the tool's centre */
    private function circles(array $radii, int $first, int $second, bool $clockwise): void
    {
        $recorder = $this->context->recorder;
        $center = $recorder->at;
        foreach ($radii as $radius) {
            $out = $center;
            $out[$first] += $radius;
            /** @var list<float> $out */
            $recorder->feed($out);
            $arc = new ArcSolver($this->context->machine->control->options->arcTolerance);
            $arc->fromCenter($out[$first], $out[$second], $out[$first], $out[$second], -$radius, 0.0, $clockwise);
            $recorder->arc($out, $arc);
        }
        $recorder->feed($center);
    }

    /**
     * @param  array<string, float>  $words
     * @return list<float>|null radii of the tool's centre, or null where they cannot be
     */
    private function radii(array $words, float $cutter): ?array
    {
        $unit = $this->context->unit;
        $from = abs($words['I'] ?? 0.0) * $unit;
        $to = abs($words['K'] ?? $words['I'] ?? 0.0) * $unit;
        $step = abs($words['Q'] ?? 0.0) * $unit;
        if ($to <= 0.0 || (isset($words['K'], $words['I']) && $to > $from && $step === 0.0)) {
            $this->context->notice('cycle-word-missing', 'G', ['letter' => $to <= 0.0 ? 'I' : 'Q']);

            return null;
        }
        if ($to - $cutter <= 0.0) {
            $this->context->notice('compensation-too-tight', 'G', ['radius' => Quantity::length($cutter), 'inside' => Quantity::length($to)]);

            return null;
        }
        $radii = [];
        for ($radius = $from > 0.0 ? $from : $step; $step > 0.0 && $radius < $to - 1e-9 && count($radii) <= self::MOST_CIRCLES; $radius += $step) {
            if ($radius > $cutter) {
                $radii[] = $radius - $cutter;
            }
        }
        $radii[] = $to - $cutter;

        return $radii;
    }

    private function cutter(): float
    {
        $number = $this->context->modal->cutter->number;
        $total = $number === 0 ? 0.0 : $this->offsets->diameter($number)?->total();
        if ($total === null) {
            $this->context->notice('no-diameter', 'D', ['number' => $number]);
        }

        return ($total ?? 0.0) / ($this->context->machine->control->options->dIs === DIs::Diameter ? 2 : 1);
    }
}
