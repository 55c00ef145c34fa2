<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ThreadShift;

/**
 * A thread in passes of the same area: the nth is Δ √n deep, none by less than the least, then the finishing cut and as many passes at
 * full depth as are asked for (common practice, from memory). Two blocks: P(passes, pull-off in tenths of a lead, flank angle) Q(least)
 * R(finish), then X Z R(taper) P(height) Q(first) F. One block: X Z I(taper) K(height) D(first) A(flank angle) P F.
 */
final class ThreadSeries implements TurningCycle
{
    /** More passes than anybody cuts a thread in. */
    private const MOST_PASSES = 10_000;

    public function missing(TurningCall $call): array
    {
        [$height, $first] = $call->isOneLine() ? ['K', 'D'] : ['P', 'Q'];

        return array_keys(array_filter([
            'X' => $call->toX === null, 'Z' => $call->toZ === null, $height => ! $call->has($height) || $call->fine($height) <= 0.0,
            $first => ! $call->has($first) || $call->fine($first) <= 0.0, 'F' => $call->lead <= 0.0,
        ]));
    }

    public function words(bool $isFirst, bool $isOneLine): array
    {
        return match (true) {
            $isFirst => ['P' => 'finishing passes, lead-out in tenths of a lead, flank angle; two figures each', 'Q' => 'least depth of a pass',
                'R' => 'finishing cut'],
            $isOneLine => ['I' => 'radius of the start less that of the end: a cone', 'K' => 'height of the thread', 'D' => 'depth of the first pass',
                'A' => 'flank angle', 'F' => 'lead'],
            default => ['R' => 'radius of the start less that of the end: a cone', 'P' => 'height of the thread', 'Q' => 'depth of the first pass',
                'F' => 'lead'],
        };
    }

    public function strokes(TurningCall $call, TurningMotion $motion): void
    {
        $code = (int) $call->firstNumber('P', 10000);
        [$spring, $tenths, $angle] = [max(1, intdiv($code, 10000)), intdiv($code, 100) % 100, $code % 100];
        if ($call->isOneLine()) {
            [$height, $first, $least, $finish, $taper] = [$call->length('K'), $call->fine('D'), 0.0, 0.0, $call->length('I')];
            [$spring, $angle, $pullOff] = [0, $call->number('A'), $call->options->threadPullOff * $call->lead];
        } else {
            [$height, $first, $least, $finish, $taper] = [$call->fine('P'), $call->fine('Q'), $call->firstFine('Q'), $call->firstLength('R'),
                $call->length('R')];
            $pullOff = $tenths / 10 * $call->lead;
        }
        if ($call->options->threadDepths === ThreadDepths::Count) {
            $first = $call->number($call->isOneLine() ? 'D' : 'Q');
        }
        [$x, $z] = [$call->toX ?? $call->x, $call->toZ ?? $call->z];
        $side = $call->x > $x ? 1 : -1;
        $stroke = new ThreadStroke($call->z, $call->x, $taper, $pullOff, $call->lead);
        $toShift = tan(deg2rad(min(90.0, max(0.0, $angle)) / 2)) * ($z < $call->z ? -1 : 1);
        $series = $call->options->threadDepths;
        foreach ([...self::depths($height, $first, $least, $finish, $series), ...array_fill(0, $spring, $height)] as $n => $depth) {
            // From the first touch on the flank moves towards the end; counted to the start the last pass has no shift left.
            $base = $call->options->threadShift === ThreadShift::ToStart ? 0.0 : $height;
            $shift = $toShift * ($base + ($series === ThreadDepths::Zigzag && $n % 2 === 1 ? $height - $depth : $depth - $height));
            $stroke->make($call->z + $shift, $z, $x + $side * ($height - $depth), $motion);
        }
    }

    /**
     * @param  float  $height  of the thread, mm
     * @param  float  $first  depth of the first pass, or how many there are
     * @param  float  $finish  what the finishing cut takes
     * @return list<float> depth of each roughing pass below the crest
     */
    public static function depths(float $height, float $first, float $least, float $finish, ThreadDepths $series = ThreadDepths::Area): array
    {
        $rough = max(0.0, $height - $finish);
        if ($series === ThreadDepths::Count) {
            $count = (int) min(self::MOST_PASSES, max(1.0, round($first)));

            return array_map(static fn (int $n): float => $rough * sqrt($n / $count), range(1, $count));
        }
        $depths = [];
        $depth = 0.0;
        for ($n = 1; $depth < $rough - 1e-9 && $n <= self::MOST_PASSES; $n++) {
            $step = $series === ThreadDepths::Constant ? $first : max($first * sqrt($n) - ($n > 1 ? $first * sqrt($n - 1) : 0.0), $least);
            $depths[] = $depth = min($rough, $depth + $step);
        }

        return $depths;
    }
}
