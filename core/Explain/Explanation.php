<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Interpreter\Moment;
use OakTrace\Core\Language\Flow;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Wording\Wording;

/** One line of a program in plain words: what each word does here, what was in force, where the axes end up and why. */
final readonly class Explanation
{
    /**
     * @param  list<array{string, string}>  $words  word, what it does; switches of the profile that decided something stand last
     * @param  list<array{string, string}>  $before  what was in force when the line was come to
     * @param  list<array{string, string}>  $after  what is in force after it and was not before
     * @param  list<array{string, string}>  $axes  axis, where it ends up and why
     * @param  HoleStrokes|null  $hole  the last hole it made with a canned cycle
     */
    private function __construct(
        public int $line,
        public string $text,
        public string $note,
        public array $words = [],
        public array $before = [],
        public array $after = [],
        public array $axes = [],
        public ?HoleStrokes $hole = null,
    ) {
    }

    /** The line as it is when the program first comes to it. */
    public static function of(Program $program, Setup $setup, int $line): self
    {
        $text = $program->line($line);
        $moment = Interpreter::watch($program, $setup, $line)[0] ?? null;
        if ($moment === null) {
            return new self(
                $line, $text, $line < 1 || $line > $program->lineCount() ? 'The program has no such line.' : 'The program never comes to this line.',
            );
        }
        $state = new StateWords($setup);
        $before = $state->words($moment->before->state);
        $after = $state->words($moment->after->state);
        $words = (new WordMeanings($setup, $moment))->all();

        return new self(
            $line, $text, self::note($moment, $words), $words, $before,
            StateWords::changes($before, $after), self::axes($setup, $moment), HoleStrokes::of($setup, $moment),
        );
    }

    /** @return iterable<string> for a terminal */
    public function lines(): iterable
    {
        yield "line {$this->line}  {$this->text}";
        if ($this->note !== '') {
            yield '  '.$this->note;
        }
        if ($this->hole !== null) {
            yield '  '.ucfirst($this->hole->words()).'.';
        }
        foreach ([
            'Words' => $this->words, 'Active before' => $this->before, 'Changes' => $this->after, 'Ends at' => $this->axes,
        ] as $title => $entries) {
            if ($entries !== []) {
                yield '';
                yield $title;
            }
            foreach ($entries as [$name, $meaning]) {
                yield sprintf('  %-16s %s', $name, $meaning);
            }
        }
    }

    /** @param  list<array{string, string}>  $words */
    private static function note(Moment $moment, array $words): string
    {
        $statement = $moment->block->statement;
        if ($statement !== null && $words === [] && $statement->flow === Flow::Straight && $statement->assignments === []) {
            return 'The control prints this, or shows it; nothing moves.';
        }
        if ($statement !== null) {
            return $words === [] ? 'A calculation of the program; nothing moves.' : 'Its values are calculated when the line is reached.';
        }

        $cycle = $moment->after->state->cycle;
        if ($moment->hole !== null && $cycle !== null && $cycle === $moment->before->state->cycle) {
            return 'Another hole is made here: the '.$cycle->words().' is still active.';
        }

        return $words === [] ? 'Nothing happens on this line.' : '';
    }

    /** @return list<array{string, string}> */
    private static function axes(Setup $setup, Moment $moment): array
    {
        $wording = new Wording($setup->units);
        $state = $moment->after->state;
        $axes = [];
        foreach ($setup->machine->axisNames as $axis => $name) {
            if ($moment->after->axes[$axis] === $moment->before->axes[$axis]) {
                continue;
            }
            $figure = static fn (float $value): string => $wording->figure($setup->machine->shown($name, $value));
            $placed = $state->placement === null ? $moment->after->position->on($axis) : $state->placement->apply($moment->after->position)[$axis];
            $local = $moment->after->axes[$axis] - $placed - $state->shift($axis);
            $sum = $figure($moment->after->position->on($axis)).' in the program';
            $sum .= $state->placement === null ? '' : ', '.$figure($placed).' where rotation, scaling and mirror put it';
            $length = ($setup->machine->control->letters->lengthNumber ?: 'offset ').$state->length->number;
            foreach (['shift of zero' => $local, $state->work->name => $state->work->shift[$axis], $length => $state->length->shift[$axis]] as $what => $part) {
                if (abs($part) > 1e-7) {
                    $sum .= ($part < 0 ? ' − ' : ' + ').$figure(abs($part)).' '.$what;
                }
            }
            $limits = $setup->machine->axes[$name];
            $over = ($limits->min !== null && $moment->after->axes[$axis] < $limits->min - 1e-6) || (
                $limits->max !== null && $moment->after->axes[$axis] > $limits->max + 1e-6
            );
            // Where compensation takes it hangs on the next block.
            $on = $state->cutter->side === 0 ? ' on the machine = ' : ' on the machine, without compensation = ';
            $axes[] = [$name, $figure($moment->after->axes[$axis]).$on.$sum.($over ? ': past its limit' : '')];
        }

        return $axes;
    }
}
