<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** Text that cannot be read, and codes that lack the words they need. */
final class BadWord implements Check
{
    public function name(): string
    {
        return 'reading.bad-word';
    }

    private const PROBLEMS = [
        'letter-for-zero' => ['{piece} has the letter O where a zero belongs.', 'Write the figure 0.'],
        'missing-number' => ['{piece} has no number.', 'Give the word its number, or take the letter out.'],
        'second-point' => ['A number has a second decimal point ({piece}).', 'Take one of the points out.'],
        'open-comment' => ['A comment is opened and not closed: the control takes the rest of the line for comment, or stops.', 'Close the comment with ).'],
        'line-too-long' => ['The line is {piece} characters long; only its beginning is read.', 'Break the line.'],
        'expression' => ['Parameters and expressions are not read yet: {piece} was left out.', 'Write the value instead, and check this program on the control.'],
        'stray-character' => ['{piece} cannot be read here.', 'Take it out, or put it in a comment.'],
    ];

    private const INCOMPLETE = [
        'cycle-word-missing' => ['The cycle has no {letter}, so it makes no hole.', 'Give the cycle its {letter}.'],
        'dwell-without-time' => ['The dwell says no time.', 'Give the dwell a P.'],
        'length-without-number' => ['A length offset is called without its number.', 'Add the H of the tool.'],
        'offset-without-number' => ['An offset is called or set without its {letter}.', 'Give the block its {letter}.'],
        'no-motion-code' => ['Axis words before any motion code: what the control does with them depends on how it was left.', 'Begin the line with G0 or G1.'],
    ];

    public function examine(Evidence $evidence): iterable
    {
        foreach ($evidence->trace->noticesOf('bad-word') as $notice) {
            [$text, $remedy] = self::PROBLEMS[$notice->word('problem')];
            yield new Finding($this->name(), Severity::Stop, $notice->line, $notice->column, $text, $notice->figures, $remedy);
        }
        foreach (self::INCOMPLETE as $kind => [$text, $remedy]) {
            foreach ($evidence->folded($kind, 'letter') as [$notice, $also]) {
                yield new Finding($this->name(), Severity::Stop, $notice->line, $notice->column, $text, $notice->figures, $remedy, $also);
            }
        }
    }
}
