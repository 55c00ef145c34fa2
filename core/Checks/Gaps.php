<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Question;

/** What of each question was not looked at: a tick beside a question is worth no more than what stands behind it. */
final class Gaps
{
    /** Notices of the reading after which every other answer lacks something => what it lacks. */
    private const LOST = [
        'missing-program' => 'what a missing program does',
        'missing-program-repeats' => 'what a missing program does',
        'unknown-code' => 'codes that are not known',
        'bad-word' => 'words that cannot be read',
        'no-target' => 'blocks behind a jump that leads nowhere',
        'alarm' => 'what stands behind an alarm',
        'probe-read' => 'what the probe will measure',
        'timer-read' => 'what the timer will show',
        'runaway' => self::ENDLESS,
        'endless' => self::ENDLESS,
        'never-ends' => self::ENDLESS,
        'called-too-often' => self::ENDLESS,
        'nested-too-deep' => self::ENDLESS,
    ];

    private const ENDLESS = 'what is left of an endless run';

    /** @return list<Gap> in the order of the questions */
    public static function of(CheckInput $input): array
    {
        $gaps = self::ofReading($input);
        foreach (CheckCatalogue::for($input->setup->machine) as $check) {
            array_push($gaps, ...$check->gaps($input));
        }
        $order = array_flip(array_column(Question::cases(), 'value'));
        usort($gaps, static fn (Gap $a, Gap $b): int => $order[$a->question->value] <=> $order[$b->question->value]);

        return $gaps;
    }

    /**
     * What could not be read is missing from every other answer.
     *
     * @return list<Gap>
     */
    private static function ofReading(CheckInput $input): array
    {
        $without = array_unique(array_intersect_key(self::LOST, $input->trace->noticeCounts));
        $gaps = [];
        foreach ($without === [] ? [] : Question::cases() as $question) {
            if ($question !== Question::Reads) {
                $gaps[] = new Gap($question, 'Judged without '.implode(', ', $without).'.');
            }
        }

        return $gaps;
    }
}
