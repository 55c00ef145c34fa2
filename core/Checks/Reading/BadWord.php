<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Reading;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\TextProblem;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Text that cannot be read, and codes that lack the words they need. */
final class BadWord extends MachineCheck
{
    public function name(): string
    {
        return 'reading.bad-word';
    }

    public function why(): string
    {
        return 'The control stops with an alarm here, or reads something other than was meant. Either way the rest of the run is not the one that '
            .'was checked.';
    }

    private const PROBLEMS = [
        'letter-for-zero' => ['{piece} has the letter O where a zero belongs.', 'Write the digit 0.'],
        'decimal-comma' => ['{piece} has a comma where the decimal point belongs.', 'Write the point.'],
        'missing-number' => ['{piece} has no number.', 'Give the word its number, or remove the letter.'],
        'second-point' => ['A number has a second decimal point ({piece}).', 'Remove one of the points.'],
        'open-comment' => ['A comment is opened and not closed: the control takes the rest of the line for comment, or stops.', 'Close the comment with ).'],
        'line-too-long' => ['The line is {piece} characters long; only its beginning is read.', 'Break the line.'],
        'number-too-large' => [
            '{piece} is beyond any machine; the word was ignored.', 'Check the number: is a decimal point missing, or was it typed twice?',
        ],
        'expression' => ['This cannot be read as an expression: {piece}. The block was ignored.', 'Check brackets, operators and the names of functions.'],
        'stray-character' => ['{piece} cannot be read here.', 'Remove it, or put it in a comment.'],
    ];

    private const INCOMPLETE = [
        'cycle-word-missing' => ['The cycle has no {letter}, so it cuts nothing.', 'Give the cycle its {letter}.'],
        'dwell-without-time' => ['The dwell has no time.', 'Give the dwell a {letter dwell}.'],
        'length-without-number' => ['A length offset is called without its number.', 'Add the {letter lengthNumber} of the tool.'],
        'offset-without-number' => ['An offset is called or set without its {letter}.', 'Give the block its {letter}.'],
        'call-without-block' => ['A call without its {letter}: which block it begins at is not known.', 'Give the call its {letter}.'],
        'call-without-program' => ['A call without its {letter}: which program is meant is not known.', 'Give the call its {letter}.'],
        'placement-without-word' => ['{what} cannot be done without a good {letter}.', 'Give the block its {letter}.'],
        'negative-word' => ['{word} cannot be negative: the control stops here.', 'Remove the minus.'],
        'no-value' => ['An expression in this block has no value: {why}.', 'Check the values of its variables here.'],
        'not-whole' => ['{word} is no whole number; {taken} was taken for it.', 'Write the number without a fraction.'],
        'parameter-is-fixed' => [
            '{parameter} belongs to the control and cannot be given a value here.', 'Use a variable of your own, #100 to #199 or #500 to #999.',
        ],
        'not-at-reference' => [
            '{axis} is at {at} and not at the reference point ({home}): the control stops with an alarm.',
            'Go there with {code reference}, or check the work offset.',
        ],
        'no-motion-code' => [
            'Axis words before any motion code: what the control does with them depends on how it was left.',
            'Begin the line with {code rapid} or {code feed}.',
        ],
    ];

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->onceALine('bad-word') as $notice) {
            [$text, $remedy] = self::PROBLEMS[$notice->word('problem')];
            if (preg_match('/^,\s*[CR]/i', substr($input->trace->sources->text($notice->line), $notice->column - 1)) === 1) {
                $remedy = 'If this control breaks corners with ,C and ,R, say so in its profile.';
            }
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column, $text, $notice->figures, $remedy,
                edit: $notice->word('problem') === TextProblem::DecimalComma->value ? new Edit($notice->line, $notice->column, 1, '.', 'Put the point')
                    : $this->figureZero($input, $notice),
            );
        }
        foreach (self::INCOMPLETE as $kind => [$text, $remedy]) {
            foreach ($input->folded($kind, 'letter', 'why', 'parameter', 'word') as [$notice, $also]) {
                yield new Finding($this->name(), Severity::Stop, $notice->line, $notice->column, $text, $notice->figures, $remedy, $also);
            }
        }
    }

    /** Figures in the place of the letters O of a number. */
    private function figureZero(CheckInput $input, Notice $notice): ?Edit
    {
        $rest = substr($input->trace->sources->text($notice->line), $notice->column - 1);
        if ($notice->word('problem') !== 'letter-for-zero' || preg_match('/^O+/i', $rest, $letters) !== 1) {
            return null;
        }
        $zeros = str_repeat('0', strlen($letters[0]));

        return new Edit($notice->line, $notice->column, strlen($zeros), $zeros, 'Put the digit '.$zeros);
    }
}
