<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Distance;
use OakTrace\Core\Stock\Turned\Gauges\Reading;
use OakTrace\Core\Stock\Turned\Measured;
use OakTrace\Core\Stock\Turned\Surface;
use OakTrace\Core\Target\ThreadShape;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;
use OakTrace\Core\Trace\MotionKind;

/** The sizes the drawing of a turned part wants, as they come out: what stands at the end, and the threads that are cut. */
final readonly class WantedSizes
{
    /** What the root and the end of a thread may be off by the rounding of figures, mm. */
    private const SURE = 0.002;

    /** @return list<Measured> none where the stock was not cut to the end */
    public static function of(SurveyedRun $input): array
    {
        $target = $input->setup->workpiece->target;
        $measured = Measured::all($input->turned, $target);
        foreach ($target === null || $input->turned?->isComplete() !== true ? [] : $target->turned as $size) {
            if ($size->shape instanceof ThreadShape) {
                $measured[] = self::ofThread($input, $size, $size->shape);
            }
        }

        return $measured;
    }

    /**
     * The feed that comes nearest to a place of the part, the last of those that do.
     *
     * @param  array{float, float}  $at  Z and radius, mm
     */
    public static function cutAt(SurveyedRun $input, array $at): ?int
    {
        [$z, $x] = [$input->trace->axis(AxisName::Z), $input->trace->axis(AxisName::X)];
        [$nearest, $place] = [INF, null];
        if ($z === null || $x === null) {
            return null;
        }
        foreach ($input->trace->chunks() as $chunk) {
            [$zs, $xs, $kinds, $lines, $states] = [$chunk->axis($z), $chunk->axis($x), $chunk->kinds(), $chunk->lines(), $chunk->states()];
            [$fromZ, $fromX] = [$chunk->before[$z], $chunk->before[$x]];
            foreach ($kinds as $row => $kind) {
                if ($kind === MotionKind::FEED || $kind === MotionKind::ARC) {
                    $state = $input->trace->states[$states[$row]];
                    [$shiftZ, $shiftX] = [$state->shift($z), $state->shift($x)];
                    $away = Distance::fromWay($at, [$fromZ - $shiftZ, $fromX - $shiftX], [$zs[$row] - $shiftZ, $xs[$row] - $shiftX]);
                    if ($away <= $nearest + self::SURE) {
                        [$nearest, $place] = [min($nearest, $away), $lines[$row]];
                    }
                }
                [$fromZ, $fromX] = [$zs[$row], $xs[$row]];
            }
        }

        return $place;
    }

    private static function ofThread(SurveyedRun $input, TurnedSize $size, ThreadShape $shape): Measured
    {
        $best = null;
        foreach ($input->lathe->eachThread($input->trace->states) as $thread) {
            $passes = array_map(static fn (int $n): array => $input->lathe->threads[$n], $thread->passes);
            $state = $input->trace->states[$passes[0]['state']];
            $zero = $state->shift((int) $input->trace->axis(AxisName::Z));
            $ends = [...array_column($passes, 'fromZ'), ...array_column($passes, 'toZ')];
            $isBore = $input->setup->turningOffset($state->tool, $state->length->number)?->tip()[1] > 0;
            $overlap = min(max($ends) - $zero, $size->to) - max(min($ends) - $zero, $size->from);
            if ($isBore === $shape->isBore && $overlap > ($best[0] ?? 0.0)) {
                $roots = [...array_column($passes, 'toX'), ...array_column($passes, 'fromX')];
                $best = [$overlap, match ($size->kind) {
                    TurnedKind::ThreadPitch => $thread->lead / max(1, $shape->starts),
                    TurnedKind::ThreadEnd => min($ends) - $zero,
                    default => 2 * ($isBore ? max($roots) : min(array_column($passes, 'toX'))),
                }, new Surface($passes[count($passes) - 1]['place'], $state->tool, 0.0)];
            }
        }

        return new Measured($size, $best === null ? null : new Reading($best[1], self::SURE), $best[2] ?? null);
    }
}
