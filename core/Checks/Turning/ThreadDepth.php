<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\TurnedThread;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread that is cut in air, whose depth does not go with its pitch, that is cut too deep at once, or that runs into a shoulder. */
final class ThreadDepth extends LatheCheck
{
    /** Depth of a 60° thread in pitches, outside to d3 and inside to D (ISO 68-1, ISO 724, from memory). */
    private const OUTSIDE = 0.6134;

    private const INSIDE = 0.5413;

    /** The round crest and root of a 55° form are deeper (BS 84, from memory). */
    private const DEEPEST = 0.6403;

    /** Crests are turned small and cores drilled large, by as much as their tolerances (6g and 6H of ISO 965-1, from memory). */
    private const LESS = 0.2;

    private const LESS_INSIDE = 0.25;

    /** Pitches one pass goes deeper: a first pass takes 0.2 to 0.3 (common practice); half of one is most of the thread. */
    private const AT_ONCE = 0.35;

    private const ALL_AT_ONCE = 0.5;

    private const MORE = 0.1;

    public function name(): string
    {
        return 'turning.thread-depth';
    }

    public function why(): string
    {
        return 'A thread that is too shallow does not go together, one that is too deep is weak. Most often the diameter before it or its X is wrong.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $open = [];
        foreach ($input->lathe->threads as $pass) {
            $tool = $input->trace->states[$pass['state']]->tool;
            if (isset($input->setup->tooling->tools[$tool]) && $input->setup->tooling->tools[$tool]->geometry->pitch === null) {
                $open[$tool] = $tool;
            }
        }
        yield from $this->gapOf($input, $open, 'No pitch given for {tools}: the depth of the thread was not checked.', 'pitch');
        if ($input->lathe->threads !== [] && $input->turned?->isComplete() !== true) {
            yield $this->gap('Without the stock the depth of the thread was not checked.');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->turned?->isComplete() !== true || count($input->turned->threadDepths) !== count($input->lathe->threads)) {
            return;
        }
        foreach ($input->lathe->eachThread($input->trace->states) as $thread) {
            [$number, $passes] = [$thread->tool, $thread->passes];
            $depths = array_filter(array_map(static fn (int $n): ?float => $input->turned->threadDepths[$n], $passes), is_float(...));
            $first = $input->lathe->threads[$passes[0]];
            $place = $first['place'];
            if ($depths === []) {
                yield from $input->turned->partings === [] ? [$this->inAir($input, $thread)] : []; // what was parted off is told by turning.part-off

                continue;
            }
            $depth = max($depths);
            $pitch = ($input->setup->tooling->tools[$number] ?? null)->geometry->pitch ?? null;
            $state = $input->trace->states[$first['state']];
            $isBore = $input->setup->turningOffset($state->tool, $state->length->number)?->tip()[1] > 0;
            $wanted = ($isBore ? self::INSIDE : self::OUTSIDE) * ($pitch ?? 0.0);
            if ($depth <= 0.0) {
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} cuts its thread in air: its last pass stays {off} off what is to be threaded.',
                    ['tool' => $number, 'off' => Quantity::length(-$depth)], 'Is the diameter before the thread right, and X of its last pass?',
                );

                continue;
            }
            if ($pitch !== null) {
                yield from $this->tooDeepAtOnce($input, $thread, $pitch);
            }
            $wall = max(array_map(static fn (int $n): float => $input->turned->threadWalls[$n] ?? 0.0, $passes));
            if ($wall > $depth + self::ALL_AT_ONCE * ($pitch ?? $thread->lead)) {
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'T{tool} runs its thread {by} deep into a shoulder.',
                    ['tool' => $number, 'by' => Quantity::length($wall)], 'End the thread in front of the shoulder, in its relief.',
                );
            }
            if ($pitch !== null && self::isOff($depth, $wanted, $pitch, $isBore)) {
                yield new Finding(
                    $this->name(), Severity::Caution, $place, 1,
                    'T{tool} cuts its thread {depth} deep; a pitch of {pitch} wants {wanted}.',
                    ['tool' => $number, 'depth' => Quantity::length($depth), 'pitch' => Quantity::length($pitch), 'wanted' => Quantity::length($wanted)],
                    'Is the diameter before the thread right, and X of its last pass?',
                );
            }
        }
    }

    private function inAir(CheckInput $input, TurnedThread $thread): Finding
    {
        $first = $input->lathe->threads[$thread->passes[0]];
        $zero = $input->trace->states[$first['state']]->shift($input->setup->machine->axisIndex[AxisName::Z] ?? 0);

        return new Finding(
            $this->name(), Severity::Caution, $first['place'], 1, 'Nothing stands where T{tool} cuts its thread, from Z {from} to Z {to}.', [
                'tool' => $thread->tool, 'from' => Quantity::length($first['fromZ'] - $zero), 'to' => Quantity::length($first['toZ'] - $zero),
            ], 'Is the sign of Z right, and X of the thread?',
        );
    }

    /** @return iterable<Finding> the first pass that goes deeper below the one before than an insert stands */
    private function tooDeepAtOnce(CheckInput $input, TurnedThread $thread, float $pitch): iterable
    {
        $before = 0.0;
        foreach ($thread->passes as $n) {
            $depth = $input->turned->threadDepths[$n] ?? null;
            $by = ($depth ?? 0.0) - $before;
            if ($by > self::AT_ONCE * $pitch) {
                yield new Finding(
                    $this->name(), $by > self::ALL_AT_ONCE * $pitch ? Severity::Stop : Severity::Caution, $input->lathe->threads[$n]['place'], 1,
                    'One pass of T{tool} goes {by} deeper than the one before.', ['tool' => $thread->tool, 'by' => Quantity::length($by)],
                    'Take the thread in more passes. Is its height right, and the depth of the first pass?',
                );

                return;
            }
            $before = max($before, $depth ?? 0.0);
        }
    }

    private static function isOff(float $depth, float $wanted, float $pitch, bool $isBore): bool
    {
        return $depth < (1 - ($isBore ? self::LESS_INSIDE : self::LESS)) * $wanted || $depth > (1 + self::MORE) * max($wanted, self::DEEPEST * $pitch);
    }
}
