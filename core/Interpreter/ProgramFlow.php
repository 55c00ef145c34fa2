<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\SystemVariable;
use OakTrace\Core\Language\Expressions\ArithmeticProblem;
use OakTrace\Core\Language\Expressions\Comparison;
use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Flow;
use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\Statement;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\Patience;

/** Which block comes next: calls and returns, jumps, loops, and the budget that ends what would never end. */
final class ProgramFlow
{
    public const DEEPEST = 10;

    /** Rows a run may make before it is stopped as endless: so many, and so many more for each line of its text. */
    private const MOST_ROWS = 300_000;

    private const MOST_ROWS_A_LINE = 30;

    /** Jumps and calls between two looks at whether somebody still waits, and at the rows. */
    private const BREATH = 1024;

    /** A line is passed in a third of the time a block takes. */
    private const LINES_A_BLOCK = 3;

    /** Turns of a loop between two looks at whether it can end. */
    private const TURNS = 64;

    /** Letters of a macro call and the local parameters they become (common practice). */
    private const ARGUMENTS = [
        'A' => 1, 'B' => 2, 'C' => 3, 'I' => 4, 'J' => 5, 'K' => 6, 'D' => 7, 'E' => 8, 'F' => 9, 'H' => 11, 'M' => 13,
        'Q' => 17, 'R' => 18, 'S' => 19, 'T' => 20, 'U' => 21, 'V' => 22, 'W' => 23, 'X' => 24, 'Y' => 25, 'Z' => 26,
    ];

    /** Sets of I, J and K a call may have. */
    private const MOST_SETS = 10;

    public LineReader $reader;

    /** @var list<string> letters of words that stand twice in the block worked out last */
    public array $repeated = [];

    /** What to add to a line of the tape to have its place. */
    public int $place = 0;

    /** @var array{int, array<int, float>, int}|null program, locals and depth of a macro called after every move */
    public ?array $afterMoves = null;

    private readonly ParameterStore $parameters;

    private readonly RoundedWords $rounded;

    private Frame $frame;

    /** @var list<Frame> frames that wait for the one that runs */
    private array $callers = [];

    private int $steps = 0;

    /** @var array{int, int, int}|null places of the last jump back, and how often it was taken */
    private ?array $lastTurn = null;

    /** Lines the run has gone back over, blocks or not. */
    private int $linesAgain = 0;

    /** Values that could not be had, and have been noted. */
    private int $noted = 0;

    private readonly int $mostSteps;

    private ?LoopWatch $loops = null;

    /** Asked now and then while a run goes round; may throw to end it. */
    public ?Patience $patience = null;

    private bool $stopped = false;

    /** What that only the machine knows while it runs the last condition hung on: see ParameterStore. */
    private ?string $decidedBy = null;

    /** @var array{int, array<string, string>} place of a block, and the letters of its words whose value hangs on such => on what */
    private array $measuredWords = [0, []];

    /** Whether the run has gone straight down the text so far. */
    public bool $isStraight = true;

    public function __construct(private readonly Context $context, private readonly SystemVariables $state)
    {
        $this->parameters = new ParameterStore($state);
        $this->rounded = new RoundedWords($context);
        $this->mostSteps = $context->machine->control->options->mostBlocks;
        $this->enter(new Frame($context->program, new LineReader($context->program)));
    }

    /** The text of the next block, or null when the run is over. Where a tape has more, that is what its own next() gives. */
    public function next(): ?string
    {
        while (($text = $this->reader->next()) === null) {
            if ($this->stopped || $this->callers === []) {
                return null;
            }
            $this->context->notice('no-return', '', ['program' => $this->context->sources->program($this->context->block->line) ?? '']);
            $this->return();
        }

        return $this->stopped ? null : $text;
    }

    /**
     * Goes on with another text, which is the same up to a line.
     *
     * @param  array{int, int}  $section  of that line
     */
    public function goOnWith(Program $program, int $line, array $section): void
    {
        $this->enter(new Frame($program, LineReader::behind($program, $line, $section)));
    }

    /** The line of a block by its number: the next one of that number, or the first from the top; null where there is none. */
    public function lineOf(int $number): ?int
    {
        return $this->linesOf($number, $this->reader->line)[0] ?? null;
    }

    /** @return iterable<int, string> place => text of some lines of the text that runs */
    public function blocks(int $first, int $last): iterable
    {
        $this->isStraight = false; // what stands further down the text has a say
        $reader = new LineReader($this->frame->program, $last);
        $reader->seek($first);
        while (($text = $reader->next()) !== null) {
            yield $this->place + $reader->line => $text;
        }
    }

    /** Goes on behind a line. */
    public function passBehind(int $line): void
    {
        $this->reader->seek($line + 1);
    }

    public function isInCall(): bool
    {
        return $this->callers !== [];
    }

    /** Ends the run. */
    public function stop(): void
    {
        $this->stopped = true;
        $this->reader = new LineReader(Program::fromText(''));
    }

    /**
     * Works a statement out. Fills the words of the block where it has any.
     *
     * @return bool whether there are words to do
     */
    public function work(Statement $statement): bool
    {
        switch ($statement->flow) {
            case Flow::Jump:
                $this->jump($statement->target);

                return false;
            case Flow::JumpIf:
                $this->jumpIf($statement);

                return false;
            case Flow::LoopWhile:
                $this->loop($statement);

                return false;
            case Flow::LoopEnd:
                $this->endOfLoop($statement->loop);

                return false;
            case Flow::OnlyIf:
                return $this->holds($statement->condition) && $this->fill($statement);
            default:
                return $this->fill($statement);
        }
    }

    /** Calls a program with its number, so many times over. */
    public function call(int $number, int $times): void
    {
        $this->enterProgram($number, $times, null);
    }

    /** Runs the blocks of this program from a number on, until they return, so many times over. */
    public function callBlocks(int $number, int $times): void
    {
        $line = $this->targetLine($number, 'call');
        if ($line !== null) {
            $this->begin('N'.$number, [$this->frame->program, $this->frame->first, $this->frame->last], $times, start: $line);
        }
    }

    /**
     * Calls a macro with the words of the block as its local parameters.
     */
    public function callMacro(int $number, int $times): void
    {
        $this->enterProgram($number, $times, $this->arguments());
    }

    /** Calls a macro after every block from here on that moves. */
    public function callAfterMoves(int $number): void
    {
        $this->afterMoves = [$number, $this->arguments(), count($this->callers)];
    }

    /** After a block that moved. */
    public function moved(): void
    {
        if ($this->afterMoves !== null && $this->afterMoves[2] === count($this->callers)) {
            $this->enterProgram($this->afterMoves[0], 1, $this->afterMoves[1]);
        }
    }

    /**
     * The end of a called program: the next run of it, or back to the caller, there to a block where one is named.
     *
     * @return bool false where nobody called
     */
    public function return(?int $block = null): bool
    {
        if ($this->callers === []) {
            if ($block !== null) {
                $this->jumpTo($block);
            }

            return $block !== null;
        }
        if ($this->frame->repeats > 0 && $block === null && ! $this->repeatsNothing()) {
            $this->frame->repeats--;
            $this->frame->loops = [];
            $this->step();
            $this->reader->seek($this->frame->start ?? $this->frame->first);

            return true;
        }
        if ($this->frame->isMacro) {
            $this->parameters->leave();
        }
        /** @var Frame $caller */
        $caller = array_pop($this->callers);
        $this->enter($caller);
        if ($block !== null) {
            $this->jumpTo($block);
        }

        return true;
    }

    /** Whether a run of a called program has left everything as the run before it did, so that no later one does more. */
    private function repeatsNothing(): bool
    {
        $before = $this->frame->left;
        $left = [$this->context->trace->rows(), $this->parameters->changes];
        $isStill = array_slice($before, 0, 2) === $left;
        $this->frame->left = $isStill ? [...$left, $this->state->fingerprint()] : $left;

        return $isStill && $this->frame->left === $before;
    }

    private function enter(Frame $frame): void
    {
        $this->frame = $frame;
        $this->reader = $frame->reader;
        $this->place = $frame->place;
    }

    /** @param  array<int, float>|null  $locals  of a macro */
    private function enterProgram(int $number, int $times, ?array $locals): void
    {
        $context = $this->context;
        $found = $this->find($number);
        if ($found === null) {
            [$repeats, $other] = [intdiv($number, 10000), $number % 10000];
            $isRepeated = $locals === null && $repeats > 0 && $this->find($other) !== null;
            $context->notice(
                $isRepeated ? 'missing-program-repeats' : 'missing-program', $locals === null ? 'M' : 'G',
                ['program' => 'O'.$number] + ($isRepeated ? ['other' => 'O'.$other, 'times' => $repeats, 'word' => 'P'.$number] : []),
            );

            return;
        }
        $this->begin('O'.$number, $found, $times, $locals);
    }

    /**
     * @param  string  $name  of what is called
     * @param  array{Program, int, int}  $found  its text, first and last line
     * @param  array<int, float>|null  $locals  of a macro
     * @param  int|null  $start  line it begins at, where that is not the first
     */
    private function begin(string $name, array $found, int $times, ?array $locals = null, ?int $start = null): void
    {
        $this->isStraight = false;
        $context = $this->context;
        if (count($this->callers) >= self::DEEPEST) {
            $context->notice('nested-too-deep', '', ['most' => self::DEEPEST, 'program' => $name]);
            $this->stop();

            return;
        }
        if ($times < 1) {
            return;
        }
        if ($times > $this->mostSteps) {
            $context->notice('called-too-often', '', ['program' => $name, 'times' => $times]);
            $this->stop();

            return;
        }
        [$text, $first, $last] = $found;
        $this->step();
        $reader = new LineReader($text, $last);
        $reader->seek($start ?? $first);
        if ($locals !== null) {
            $this->parameters->enter($locals);
            $measured = $this->measuredWords[0] === $context->block->line ? $this->measuredWords[1] : [];
            foreach (array_intersect_key($measured, self::ARGUMENTS) as $letter => $by) {
                $this->parameters->markMeasured(self::ARGUMENTS[$letter], $by);
            }
        }
        $this->callers[] = $this->frame;
        $this->enter(
            new Frame(
                $text, $reader, $context->sources->call($name, $text, $context->block->line, $start ?? $first), $first, $last, $locals !== null, $times - 1,
                $start,
            ),
        );
    }

    /**
     * A program by its number: in the text that calls, in the main program, or in the setup.
     *
     * @return array{Program, int, int}|null its text, first and last line
     */
    private function find(int $number): ?array
    {
        foreach ([$this->frame->program, $this->context->program] as $text) {
            $numbers = $text->programNumbers();
            foreach ($numbers as $i => [$name, $line]) {
                if ($name === $number) {
                    return [$text, $line, ($numbers[$i + 1][1] ?? PHP_INT_MAX) - 1];
                }
            }
        }
        $text = $this->context->subprogram($number);

        return $text === null ? null : [$text, 1, ($text->programNumbers()[1][1] ?? PHP_INT_MAX) - 1];
    }

    /**
     * The words of a call by the local parameters they become; with sets of I, J and K each set takes the three behind the one before
     * (common practice).
     *
     * @return array<int, float>
     */
    private function arguments(): array
    {
        $block = $this->context->block;
        $locals = [];
        foreach ($block->words as $letter => $value) {
            if (isset(self::ARGUMENTS[$letter]) && ($block->sets === [] || ! in_array($letter, ['I', 'J', 'K'], true))) {
                $locals[self::ARGUMENTS[$letter]] = $value;
            }
        }
        [$set, $last] = [0, ''];
        foreach ($block->sets as [$letter, $value]) {
            $set += $letter <= $last ? 1 : 0;
            $last = $letter;
            if ($set < self::MOST_SETS) {
                $locals[self::ARGUMENTS[$letter] + 3 * $set] = $value;
            }
        }
        if ($block->m !== []) {
            $locals[self::ARGUMENTS['M']] = $block->m[0] / 10;
        }

        return $locals;
    }

    private function holds(?Expression $condition): bool
    {
        $this->parameters->forgetRead();
        $holds = $condition !== null && ($this->value($condition, isCondition: true) ?? 0.0) != 0.0;
        $this->decidedBy = $this->parameters->readMeasured;

        return $holds;
    }

    /**
     * The value of an expression; null where it has none, and then that has been noted.
     *
     * @param  int|string|null  $own  the parameter it is given to
     * @param  float  $roundTo  what ROUND rounds to
     */
    private function value(Expression $expression, int|string|null $own = null, bool $isCondition = false, float $roundTo = 1.0): ?float
    {
        $undefined = [];
        try {
            $value = $expression->evaluate($this->parameters, $undefined, $roundTo);
        } catch (ArithmeticProblem $problem) {
            $this->context->notice('no-value', '', ['why' => $problem->getMessage()]);
            $this->noted++;
            $value = null;
        }
        foreach ($undefined as $name) {
            if (($isCondition || $name === $own) && ParameterStore::isKept($name)) {
                [$this->parameters->readCounted, $this->parameters->readMeasured] = [$name, 'kept'];
                $this->context->notice('kept-parameter', '#', ['parameter' => '#'.$name]);
            } else {
                $this->noticeUndefined($name);
            }
        }

        return $value;
    }

    private function noticeUndefined(int|string $name): void
    {
        $this->noted++;
        $this->context->notice('undefined-parameter', '#', ['parameter' => is_int($name) ? '#'.$name : '#<'.mb_scrub($name, 'UTF-8').'>']);
    }

    /** What the control keeps may be counted on and compared; where anything else is made of it, it has no value. */
    private function noticeCounted(int|string|null $own = null): void
    {
        $read = $this->parameters->readCounted;
        if ($read !== null && $read !== $own) {
            $this->noticeUndefined($read);
        }
    }

    /** @return bool whether there are words */
    private function fill(Statement $statement): bool
    {
        $this->fillWords($statement);
        $this->assign($statement);
        $block = $this->context->block;

        return ! $this->stopped && ($block->words !== [] || $block->g !== [] || $block->m !== []);
    }

    private function fillWords(Statement $statement): void
    {
        $block = $this->context->block;
        $this->measuredWords = [$block->line, []];
        $sets = $this->repeated = [];
        foreach ($statement->words as [$letter, $expression]) {
            $this->parameters->forgetRead();
            $step = $expression->rounds ? $this->rounded->step($letter) : 1.0;
            $value = $this->value($expression, roundTo: $step);
            $this->noticeCounted();
            if ($value === null) {
                continue;
            }
            if ($step !== 1.0) {
                $this->rounded->tell($letter, $value, $expression, $this->parameters);
            }
            if ($this->parameters->readMeasured !== null) {
                $this->measuredWords[1][$letter] = $this->parameters->readMeasured;
            }
            if ($letter === 'G' || $letter === 'M') {
                $code = (int) round(max(-1e6, min(1e6, $value)) * 10);
                $letter === 'G' ? $block->g[] = $code : $block->m[] = $code;
            } else {
                if (isset($block->words[$letter])) {
                    $this->repeated[] = $letter;
                }
                if ($letter === 'I' || $letter === 'J' || $letter === 'K') {
                    $sets[] = [$letter, $value];
                }
                $block->words[$letter] = $value;
                $block->withoutPoint .= str_contains($statement->withoutPoint, $letter) ? $letter : '';
            }
        }
        unset($block->words['N']);
        $block->sets = $this->repeated === [] ? [] : $sets;
    }

    private function assign(Statement $statement): void
    {
        $values = [];
        foreach ($statement->assignments as [$name, $expression]) {
            $number = is_string($name) ? $name : $this->value($name);
            $own = is_float($number) ? (int) round(max(0.0, min(1e6, $number))) : $number;
            // What has no value for a reason that has been noted counts as 0 from here on, and is not noted again.
            $noted = $this->noted;
            $this->parameters->forgetRead();
            $value = $this->value($expression, $own);
            $this->noticeCounted($own);
            $values[] = [
                $own, $value ?? ($this->noted > $noted ? 0.0 : null), $this->parameters->readMeasured,
                $own !== null && $this->parameters->readCounted === $own,
            ];
        }
        foreach ($values as [$name, $value, $by, $isCounted]) {
            if ($name !== null) {
                $this->parameters->markMeasured($name, $by);
                $this->parameters->markCounted($name, $isCounted);
            }
            if ($name !== null && ! $this->sets($name, $value)) {
                $this->context->notice('parameter-is-fixed', '#', ['parameter' => '#'.(is_int($name) ? $name : mb_scrub($name, 'UTF-8'))]);
            }
        }
    }

    /**
     * Gives a parameter a value, and does what the control does then.
     *
     * @return bool false where it cannot be given one
     */
    private function sets(int|string $name, ?float $value): bool
    {
        if (! is_int($name) || $name < SystemVariables::FIRST) {
            return $this->parameters->set($name, $value);
        }
        $acts = $this->state->acts($name);
        if ($acts === null) {
            return $this->state->put($name, $value ?? 0.0) || $this->parameters->set($name, $value);
        }
        $message = preg_match('/\(([^)]*)\)/', $this->context->sources->text($this->context->block->line), $found) === 1 ? trim($found[1]) : '';
        if ($acts === SystemVariable::Alarm) {
            $this->context->notice('alarm', '', [
                'alarm' => (int) $value, 'message' => mb_scrub($message, 'UTF-8'), 'by' => $this->decidedBy ?? '',
            ]);
            $this->stop();
        } else {
            $this->context->recorder->line = $this->context->block->line;
            $this->context->stop($this->context->machine->control->codeOf(Code::ProgramStop) ?? '');
        }

        return true;
    }

    private function jump(?Expression $target): void
    {
        $number = $this->blockNumber($target);
        if ($number !== null) {
            $this->jumpTo($number);
        }
    }

    private function jumpIf(Statement $statement): void
    {
        $line = $this->reader->line;
        $holds = $this->holds($statement->condition);
        if ($statement->condition !== null) {
            $number = $this->blockNumber($statement->target);
            $this->watch()->decided(
                $this->place + $line, $statement->condition, $holds, $number === null ? 0 : $this->place + ($this->linesOf($number, $line)[0] ?? 0),
            );
        }
        if ($holds) {
            $this->jump($statement->target);
        }
    }

    private function blockNumber(?Expression $target): ?int
    {
        $number = $target === null ? null : $this->value($target);

        return $number === null ? null : (int) round(max(-1.0, min(1e9, $number)));
    }

    /** On to a block with a number: the next one of that number, or the first from the top. */
    private function jumpTo(int $number): void
    {
        $this->isStraight = false;
        $line = $this->targetLine($number, 'go to');
        if ($line !== null) {
            $this->back($line);
        }
    }

    /**
     * The line of the block with a number, which is told where there are several.
     *
     * @param  string  $act  what is done with it, for the notice
     * @return int|null null where there is none, and then the run is over
     */
    private function targetLine(int $number, string $act): ?int
    {
        $lines = $this->linesOf($number, $this->reader->line);
        if ($lines === []) {
            $this->context->notice('no-target', '', ['what' => "There is no block N{$number} to {$act}"]);
            $this->stop();

            return null;
        }
        if (count($lines) > 1) {
            $this->context->notice('duplicate-number', '', ['number' => 'N'.$number, 'line' => $lines[0]]);
        }

        return $lines[0];
    }

    /** @return list<int> lines of the program with a block number, those behind a line first */
    private function linesOf(int $number, int $line): array
    {
        $after = $before = [];
        foreach ($this->frame->program->linesOfBlock($number) as $each) {
            if ($each >= $this->frame->first && $each <= $this->frame->last) {
                $each > $line ? $after[] = $each : $before[] = $each;
            }
        }

        return [...$after, ...$before];
    }

    private function watch(): LoopWatch
    {
        return $this->loops ??= new LoopWatch($this->parameters);
    }

    /** Sets the tape to a line; one that lies behind is a step of a loop. */
    private function back(int $line): void
    {
        $from = $this->reader->line;
        $this->linesAgain += max(0, $from - $line);
        $this->step();
        if ($line <= $from) {
            $changes = $this->parameters->changes;
            if (($this->frame->jumps[$from] ?? null) === $changes && ! $this->parameters->readState && ! $this->stopped) {
                $this->neverEnds($this->place + $line, null, 0);
            }
            $this->frame->jumps[$from] = $changes;
            $turns = $this->frame->turns[$from] = ($this->frame->turns[$from] ?? 0) + 1;
            $this->lastTurn = [$this->place + $line, $this->place + $from, $turns];
            if ($turns % self::TURNS === 0) {
                $this->stopAtEndlessLoop(false);
            }
        }
        $this->reader->seek($line);
    }

    /** @param  bool  $isOver  whether the run has used up what it may */
    private function stopAtEndlessLoop(bool $isOver): void
    {
        $why = $this->lastTurn === null ? null : $this->watch()->endless($this->lastTurn[0], $this->lastTurn[1], $this->lastTurn[2], $isOver);
        if ($why !== null && ! $this->stopped) {
            $this->neverEnds($why['place'], $why['comparison'], $why['turns']);
        }
    }

    private function neverEnds(int $place, ?Comparison $comparison, int $turns): void
    {
        $parameter = $comparison?->parameter();
        $figures = ['turns' => $turns];
        if ($comparison !== null && $parameter !== null) {
            $value = fn (Expression $side): string => rtrim(rtrim(sprintf('%.4F', $this->value($side) ?? 0.0), '0'), '.');
            $figures += ['parameter' => $parameter, 'value' => $value($comparison->counter()), 'bound' => $value($comparison->bound())];
        }
        $this->context->trace->notice(new Notice('never-ends', $place, 1, $figures));
        $this->stop();
    }

    private function loop(Statement $statement): void
    {
        $this->isStraight = false;
        $line = $this->reader->line;
        $end = $this->endBelow($line, $statement->loop);
        if ($end === null) {
            return;
        }
        $open = end($this->frame->loops);
        if ($open !== [$statement->loop, $line]) {
            $this->frame->loops[] = [$statement->loop, $line];
        }
        $holds = $this->holds($statement->condition);
        if ($statement->condition !== null) {
            $this->watch()->decided($this->place + $line, $statement->condition, $holds, null);
        }
        if ($holds) {
            return;
        }
        array_pop($this->frame->loops);
        $this->reader->seek($end + 1);
    }

    /** The line that ends the loop begun in a line; null where there is none, and then the run is over. */
    private function endBelow(int $line, int $number): ?int
    {
        $other = null;
        foreach ($this->frame->program->loopEnds() as [$name, $at]) {
            if ($at > $line && $at <= $this->frame->last) {
                if ($name === $number) {
                    return $at;
                }
                $other ??= "; the next end is END{$name} in line {$at}";
            }
        }
        $this->context->notice('no-target', '', ['what' => "This loop has no END{$number} below it".($other ?? '')]);
        $this->stop();

        return null;
    }

    private function endOfLoop(int $number): void
    {
        for ($i = count($this->frame->loops) - 1; $i >= 0; $i--) {
            if ($this->frame->loops[$i][0] === $number) {
                $this->frame->loops = array_slice($this->frame->loops, 0, $i + 1);
                $this->back($this->frame->loops[$i][1]);

                return;
            }
        }
        $this->context->notice('no-target', '', ['what' => 'END'.$number.' has no WHILE before it']);
    }

    /** A jump or a call uses up the budget by the blocks it may lead to again. */
    private function step(): void
    {
        $this->isStraight = false;
        if ($this->steps % self::BREATH === 0) {
            $this->patience?->look($this->context->trace->rows());
            $this->stopAtTooManyRows();
        }
        if (
            ++$this->steps > $this->mostSteps || $this->linesAgain > self::LINES_A_BLOCK * $this->mostSteps
            || ($this->context->blocks > $this->mostSteps && $this->context->blocks > $this->mostSteps + $this->context->program->lineCount())
        ) {
            $this->endless();
        }
    }

    /** Ends a run that has made more rows than its text could ask for. */
    public function stopAtTooManyRows(): void
    {
        $rows = $this->context->trace->rows();
        if ($rows > self::MOST_ROWS && ! $this->stopped && $rows > self::MOST_ROWS + self::MOST_ROWS_A_LINE * $this->context->sources->lineCount()) {
            $this->stopAtEndlessLoop(true);
            if (! $this->stopped) {
                $this->context->notice('runaway', '', ['most' => self::MOST_ROWS + self::MOST_ROWS_A_LINE * $this->context->sources->lineCount()]);
                $this->stop();
            }
        }
    }

    private function endless(): void
    {
        $this->stopAtEndlessLoop(true);
        if (! $this->stopped) {
            $this->context->notice('endless', '', ['most' => $this->mostSteps]);
            $this->stop();
        }
    }
}
