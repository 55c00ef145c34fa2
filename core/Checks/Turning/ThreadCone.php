<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\ThreadForm;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread whose cone is not that of what it is cut into. */
final class ThreadCone extends LatheCheck
{
    /** A thread that is deeper at one end by more is another cone: share of its depth, and mm. */
    private const SHARE = 0.1;

    private const LEAST = 0.05;

    /** How far half of its places may be off a slope, as a share of what that makes from end to end. */
    private const STRAYS = 0.1;

    /** So many places make a slope. */
    private const PLACES = 4;

    public function name(): string
    {
        return 'turning.thread-cone';
    }

    public function why(): string
    {
        return 'The taper of a cycle counts from where the pass begins, its run-in included. Left out, the thread is deep at one end and shallow at the other.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->turned;
        if ($stock === null || ! $stock->isComplete()) {
            return; // which the depth of the thread has told
        }
        foreach ($input->lathe->eachThread($input->trace->states) as $thread) {
            $form = ThreadForm::of($input, $thread);
            $depths = $form->depths($stock);
            $deepest = max([0.0, ...array_column($depths, 1)]);
            // Where an edge is broken or a relief is cut the thread is not at its depth.
            $full = array_values(array_filter($depths, static fn (array $at): bool => $at[1] > $deepest / 2));
            $along = $full === [] ? 0.0 : $full[count($full) - 1][0] - $full[0][0];
            $slope = count($full) < self::PLACES || $along === 0.0 ? 0.0 : self::slope($full);
            $more = $slope * $along;
            // A part that is turned down behind the thread makes a step, and no slope.
            if (abs($more) > max(self::LEAST, self::SHARE * $deepest) && self::strays($full, $slope) < abs($more) * self::STRAYS) {
                yield new Finding(
                    $this->name(), Severity::Stop, $input->lathe->threads[$form->number]['place'], 1,
                    'T{tool} cuts its thread {by} deeper at its {end} than at its {other}: its cone is not that of the part.',
                    [
                        'tool' => $thread->tool, 'by' => Quantity::length(abs($more)), 'end' => $more > 0.0 ? 'end' : 'beginning',
                        'other' => $more > 0.0 ? 'beginning' : 'end',
                    ],
                    'The taper is half the difference of the diameters over the whole pass, its run-in included.',
                );
            }
        }
    }

    /**
     * How far the places are off a slope, the middle one of them, mm.
     *
     * @param  list<array{float, float}>  $places
     */
    private static function strays(array $places, float $slope): float
    {
        $levels = array_map(static fn (array $at): float => $at[1] - $slope * $at[0], $places);
        sort($levels);
        $middle = $levels[intdiv(count($levels), 2)];
        $off = array_map(static fn (float $level): float => abs($level - $middle), $levels);
        sort($off);

        return $off[intdiv(count($off), 2)];
    }

    /**
     * The middle one of all slopes between two places, which a chamfer or a relief does not turn (Theil and Sen).
     *
     * @param  list<array{float, float}>  $places
     */
    private static function slope(array $places): float
    {
        $slopes = [];
        foreach ($places as $n => [$z, $depth]) {
            foreach (array_slice($places, $n + 1) as [$otherZ, $other]) {
                $slopes[] = ($other - $depth) / ($otherZ - $z);
            }
        }
        sort($slopes);

        return $slopes[intdiv(count($slopes), 2)] ?? 0.0;
    }
}
