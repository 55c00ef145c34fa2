<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread of several starts that are not all cut, or not where they belong. */
final class ThreadStart extends LatheCheck
{
    /** Turns between two starts at least, for a thread of one: more than passes along a flank move on (geometry, 60°). */
    private const APART = 0.4;

    public function name(): string
    {
        return 'turning.thread-start';
    }

    public function why(): string
    {
        return 'Every start begins one pitch on along Z, or a part of a turn later. Two that begin alike cut the same groove again.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->lathe->eachThread($input->trace->states) as $thread) {
            [$tool, $lead, $begins] = [$thread->tool, $thread->lead, $thread->begins];
            $pitch = ($input->setup->tooling->tools[$tool] ?? null)->geometry->pitch ?? null;
            $starts = $pitch === null ? 0 : (int) round($lead / $pitch);
            if ($starts < 1) {
                continue;
            }
            $phases = [];
            foreach ($begins as $n) {
                // Where on its way round the spindle stands when the pass sets out, in turns.
                $phase = $input->lathe->threads[$n]['fromZ'] / $lead + $input->lathe->threads[$n]['angle'] / 360;
                $phases[] = $phase - floor($phase);
            }
            $cut = self::groups($phases, self::APART / $starts);
            if ($cut !== $starts) {
                yield new Finding(
                    $this->name(), Severity::Caution, $input->lathe->threads[$begins[0]]['place'], 1,
                    $starts === 1 ? 'This is a thread of one start; T{tool} begins its passes at {cut} places of a turn.'
                        : 'The lead makes this a thread of {starts} starts; T{tool} begins at {cut}.',
                    ['starts' => $starts, 'tool' => $tool, 'cut' => $cut],
                    $starts === 1 ? 'Begin every pass at the same place, a whole lead off, or at the same start angle.'
                        : 'Begin each start one pitch on along Z, or at its own start angle.',
                );
            }
        }
    }

    /**
     * How many places on the way round there are: passes of one start lie together, where each goes in along a flank.
     *
     * @param  non-empty-list<float>  $phases  in turns, 0 to 1
     * @param  float  $apart  of two starts at least
     */
    private static function groups(array $phases, float $apart): int
    {
        sort($phases);
        $groups = 0;
        foreach ($phases as $n => $phase) {
            $next = $phases[$n + 1] ?? $phases[0] + 1;
            $groups += $next - $phase > $apart ? 1 : 0;
        }

        return max(1, $groups);
    }
}
