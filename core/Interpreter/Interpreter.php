<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use LogicException;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Control\RepeatIn;
use OakTrace\Core\Control\RoughingCompensation;
use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\Patience;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Trace\TraceBuilder;
use UnexpectedValueException;

/**
 * Reads a program as the control of a setup would and records the motion it makes. One reading per instance.
 *
 * Within a block things happen in the order of NISTIR 6556, with one difference: units come first, so that an F in the
 * block that states the units is counted in them.
 */
final class Interpreter
{
    private const AXIS_LETTERS = 'XYZUVWABC';

    /** Letters that mean something beside few codes. */
    private const SELDOM = ['I' => 0, 'J' => 0, 'K' => 0, 'R' => 0, 'P' => 0, 'Q' => 0, 'L' => 0, 'H' => 0];

    /** Groups whose codes take no such word, or one that is looked at by itself. */
    private const WITHOUT_WORDS = [
        'motion', 'cycle', 'plane', 'distance mode', 'arc centre', 'feed mode', 'path mode', 'units', 'tool length', 'return level', 'work offset',
        'spindle', 'coolant', 'speed mode', 'cutter compensation',
    ];

    /** Groups whose codes stay in force behind the block, so that a run that skips it is another one. */
    private const STAYING = [
        ModalGroup::Plane, ModalGroup::Distance, ModalGroup::FeedMode, ModalGroup::Units, ModalGroup::Cutter, ModalGroup::Scaling, ModalGroup::Mirror,
        ModalGroup::Rotation, ModalGroup::Polar, ModalGroup::Length, ModalGroup::WorkOffset,
    ];

    /** Groups whose codes may stand in the blocks of a shape. */
    private const IN_SHAPE = [
        ModalGroup::Motion, ModalGroup::Distance, ModalGroup::Cutter, ModalGroup::FeedMode, ModalGroup::SpeedMode, ModalGroup::Coolant, ModalGroup::Spindle,
    ];

    private readonly Context $context;

    // Of the context, close at hand for the blocks of which there are a million.

    private readonly MotionRecorder $recorder;

    private readonly ModalState $modal;

    private readonly Block $block;

    private readonly Offsets $offsets;

    private readonly Coordinates $coordinates;

    private readonly Compensator $compensator;

    private readonly CycleRunner $cycles;

    private readonly MachineFunctions $functions;

    private readonly Motions $motions;

    private readonly TurningRunner $turning;

    private readonly HandAxis $hand;

    private readonly BareWords $bare;

    private readonly ProgramFlow $flow;

    private readonly BlockReader $reader;

    /** @var array<int, string> G number in tenths => name of its modal group */
    private array $gGroups = [];

    /** @var array<int, string> */
    private array $mGroups = [];

    /** Letters of axis words the control has no axis for. */
    private readonly string $missingAxes;

    private bool $ended = false;

    private ?Patience $patience = null;

    /** The line watch() is asked for; 0 for none. */
    private int $watched = 0;

    /** @var list<Moment> */
    private array $moments = [];

    private ?ReadingMemory $kept = null;

    /** @param  list<ChunkReader>  $readers */
    private function __construct(SourceMap $sources, Setup $setup, array $readers)
    {
        $machine = $setup->machine;
        $profile = $machine->control;
        $context = $this->context = new Context($sources, $setup, new TraceBuilder($machine->axisNames, $machine->ordered($setup->start), $readers));
        $this->recorder = $context->recorder;
        $this->modal = $context->modal;
        $this->block = $context->block;
        $this->offsets = new Offsets($context);
        $this->coordinates = new Coordinates($context, $this->offsets);
        $this->offsets->placedBy($this->coordinates);
        $this->compensator = new Compensator($context, $this->offsets, $this->coordinates);
        $this->cycles = new CycleRunner($context, $this->offsets);
        $this->functions = new MachineFunctions($context, $this->offsets, $this->compensator);
        $places = new TurningPlaces($context, $this->offsets);
        $this->turning = new TurningRunner($context, $places);
        $this->motions = new Motions(
            $context, $this->offsets, $this->coordinates, new Arcs(
                $context, $this->offsets, $this->coordinates,
            ), $this->cycles, $this->compensator, $places, $this->turning, new AngledMoves($context, $places),
        );
        $this->hand = new HandAxis($context, $this->offsets);
        $this->bare = new BareWords($context);
        $this->flow = new ProgramFlow($context, new SystemVariables($context, $this->offsets));
        $this->turning->readBy($this->readShape(...));
        $this->reader = new BlockReader($profile->options->semicolonComments, $profile->options->turning->hasCommaWords());
        foreach ($profile->gCodes as $number => $code) {
            $this->gGroups[$number] = $code->group()->value;
        }
        foreach ($profile->mCodes as $number => $code) {
            $this->mGroups[$number] = $code->group()->value;
        }
        $this->missingAxes = implode('',
            array_diff(str_split(self::AXIS_LETTERS), $machine->axisNames, $places->ways->letters,
                $profile->options->turning->cornerWords === CornerWords::Plain ? [AxisName::C] : [], $profile->options->turning->angleWords->letters(false)))
            .($machine->isLengthByHand() ? $machine->lengthAxis() : '');
    }

    /**
     * Never fails for a bad program: what could not be read stands in the trace's notices.
     *
     * @param  Program|SourceMap  $program  or the library it is the main text of, for readers that have to know it
     * @param  ChunkReader  ...$readers  shown the rows on the way; one with patience is asked as well
     */
    public static function read(Program|SourceMap $program, Setup $setup, ChunkReader ...$readers): Trace
    {
        return (
            new self($program instanceof Program ? new SourceMap($program) : $program, $setup, array_values($readers))
        )->watchedBy($readers)->run() ?? throw new LogicException('A reading that keeps nothing has nothing to end at.');
    }

    /**
     * The same, going on from what was kept of a reading before as far as the text has not changed, and keeping this one.
     *
     * @return array{Trace, list<ChunkReader>} the trace, and the readers that have seen all of it
     */
    public static function readAgain(Program $program, Setup $setup, ReadingMemory $kept, ChunkReader ...$readers): array
    {
        $checkpoint = $kept->resumeAt($program, $setup);
        $lasting = array_values(array_filter($readers, static fn (ChunkReader $reader): bool => ! $reader instanceof Patience));
        $interpreter = $checkpoint === null ? new self(new SourceMap($program), $setup, $lasting) : unserialize($checkpoint->state);
        if (! $interpreter instanceof self) {
            throw new UnexpectedValueException('What was kept of a reading is none.');
        }
        if ($checkpoint !== null) {
            $interpreter->context->goOnWith($program);
            $interpreter->context->trace->goOnAfter($kept->chunksBefore($checkpoint));
            $interpreter->flow->goOnWith($program, $checkpoint->line, $checkpoint->section);
            $interpreter->turning->readBy($interpreter->readShape(...));
        }
        $interpreter->kept = $kept;
        $trace = $interpreter->watchedBy($readers)->run();
        if ($trace === null) {
            return $kept->rest($program, $interpreter->context->trace->chunks());
        }
        $kept->finish($trace, $interpreter->context->trace->readers(), $interpreter->flow->isStraight);

        return [$trace, $interpreter->context->trace->readers()];
    }

    /** @param  array<ChunkReader>  $readers */
    private function watchedBy(array $readers): self
    {
        foreach ($readers as $reader) {
            if ($reader instanceof Patience) {
                $this->patience = $this->flow->patience = $reader;
            }
        }

        return $this;
    }

    /**
     * Keeps a place to go on from, where nothing further down the text has had a say.
     *
     * @return bool whether the rest of the run is as it was
     */
    private function keep(ReadingMemory $kept): bool
    {
        $flow = $this->flow;
        if (! $flow->isStraight || $this->ended) {
            return false;
        }
        $patience = $this->patience;
        $this->kept = $this->patience = $flow->patience = null; // those are of this reading alone
        $isAsBefore = $kept->keep(new Checkpoint($flow->reader->line, $flow->reader->portionOf(), $this->context->trace->packed, serialize($this)));
        $this->kept = $kept;
        $this->patience = $flow->patience = $patience;

        return $isAsBefore;
    }

    /**
     * What a line of the program's text finds in force and leaves in force, each time it is run, called or not; the first few times only.
     *
     * @return list<Moment>
     */
    public static function watch(Program $program, Setup $setup, int $line, int $times = 1): array
    {
        $interpreter = new self(new SourceMap($program), $setup, []);
        $interpreter->watched = $line;
        while (count($interpreter->moments) < $times && ($text = $interpreter->flow->next()) !== null) {
            $interpreter->stepWatched($interpreter->flow->place + $interpreter->flow->reader->line, $text);
        }

        return array_slice($interpreter->moments, 0, $times);
    }

    /** Reads one line, and notes what it finds and leaves where it is the one that is watched. */
    private function stepWatched(int $place, string $text): void
    {
        if (SourceMap::lineNumber($place) !== $this->watched || ! $this->context->sources->isInMain($place)) {
            $this->step($place, $text);

            return;
        }
        $before = $this->standing();
        $this->cycles->made = null;
        $this->step($place, $text);
        $this->moments[] = new Moment($before, $this->standing(), clone $this->block, $this->cycles->made);
    }

    /** @return Trace|null null where the rest of the run is as it was read before */
    private function run(): ?Trace
    {
        $context = $this->context;
        $flow = $this->flow;
        $short = new StraightLine($context, $this->offsets, $this->coordinates, $this->functions, $this->motions);
        $trace = $context->trace;
        $packed = $trace->packed;
        while (true) {
            $taken = $flow->afterMoves === null ? $short->take($flow->reader, $flow->place) : 0;
            if ($taken === 0) {
                $text = $flow->reader->next() ?? $flow->next();
                if ($text === null) {
                    break;
                }
                if ($text !== '') {
                    $this->step($flow->place + $flow->reader->line, $text);
                }
            }
            if ($trace->packed !== $packed) {
                $packed = $trace->packed;
                $this->patience?->look($trace->rows());
                if ($this->kept !== null && $this->keep($this->kept)) {
                    return null;
                }
            }
        }
        if ($context->modal->cutter->side !== 0) {
            $this->compensator->refuse('the end of the program');
        }
        $context->recorder->dropCutter(true);
        if (! $context->modal->unitsStated && $context->trace->rows() > 0) {
            $context->trace->notice(new Notice('units-not-stated', 1, 1, ['units' => $context->modal->modes->units->value]));
        }

        return $context->trace->finish(
            $context->modal->snapshot(), $context->blocks, $this->ended, $context->sources->mainLine($context->block->line), $context->sources,
        );
    }

    private function standing(): MachineState
    {
        return new MachineState($this->modal->snapshot(), $this->modal->motion, $this->modal->feed, $this->recorder->at, $this->offsets->programPosition());
    }

    /** Reads one line and does what it says. */
    private function step(int $place, string $text): void
    {
        $context = $this->context;
        $block = $this->block;
        $clean = $this->reader->read($place, $text, $block);
        if (! $clean) {
            $this->noticeText();
        }
        if ($block->skip !== 0 && $this->isSkipped()) {
            return;
        }
        if ($block->statement !== null) {
            $context->blocks++;
            if (! $this->flow->work($block->statement)) {
                return;
            }
            $this->noticeRepeated($this->flow->repeated);
        }
        if (strpbrk($text, $this->missingAxes) !== false) {
            $this->refuseMissingAxes();
        }
        if ($block->g === [] && $block->m === []) {
            if ($block->words === []) {
                if ($block->programNumber !== null && $context->trace->rows() > 0 && ! $this->flow->isInCall()) {
                    $this->flow->stop(); // another program begins here
                }

                return;
            }
            if (
                $block->withoutPoint === '' && ! isset($block->words['S']) && ! isset($block->words['T']) && ! isset($block->words['D'])
                && ! isset($block->words['E'])
            ) {
                $context->blocks++;
                $this->executePlain();

                return;
            }
        }
        $context->blocks++;
        $this->execute($clean);
        if (($context->blocks & 63) === 0 && ! $this->ended) {
            $this->flow->stopAtTooManyRows();
        }
    }

    private function isSkipped(): bool
    {
        $this->noticeSkippedModes();

        return in_array($this->block->skip, $this->context->setup->inputs->blockSkip, true);
    }

    /** @param  bool  $clean whether all of the block could be read */
    private function execute(bool $clean): void
    {
        $context = $this->context;
        $block = $context->block;
        $control = $context->machine->control;
        $context->recorder->line = $block->line;
        $gs = $block->g === [] ? [] : $this->resolve('G', $block->g, $control->gCodes, $this->gGroups);
        if (isset($gs[Code::CallMacro->value]) || isset($gs[ModalGroup::MacroCall->value])) {
            $this->callMacro($gs[ModalGroup::MacroCall->value] ?? Code::CallMacro);

            return;
        }
        $ms = $block->m === [] ? [] : $this->resolve('M', $block->m, $control->mCodes, $this->mGroups);

        $this->readAs($clean, $gs);
        $clamps = isset($block->words['S']) && (isset($gs[Code::SetPosition->value]) || ($gs[ModalGroup::Scaling->value] ?? null) === Code::ScaleOff);
        $this->functions->chooseSpindle($ms);
        $this->functions->feedSpeedTool($clamps, isset($ms[ModalGroup::SecondSpindle->value]));
        if ($ms !== []) {
            $this->functions->toolSpindleCoolant($ms);
        }
        if (isset($gs[Code::Dwell->value])) {
            $this->functions->dwell();
        }
        $moved = $this->moves($gs);
        if (isset($ms[ModalGroup::Stop->value])) {
            $this->stop($ms[ModalGroup::Stop->value]);
        }
        if (isset($ms[Code::CallSubprogram->value])) {
            $this->callSubprogram();
        } elseif (isset($ms[Code::CallBlocks->value])) {
            $this->callBlocks();
        } elseif (isset($ms[Code::SubprogramEnd->value])) {
            $this->endSubprogram();
        } elseif ($moved && $this->flow->afterMoves !== null) {
            $this->flow->moved();
        } elseif ($block->g !== [] || $block->m === []) {
            $this->noticeUnused($gs);
        }
    }

    /**
     * What has to be known before a word of the block means anything.
     *
     * @param  array<string, Code>  $gs
     */
    private function readAs(bool $clean, array $gs): void
    {
        $block = $this->block;
        if (isset($gs[ModalGroup::Units->value])) {
            $this->useUnits($gs[ModalGroup::Units->value] === Code::UnitsInch ? Units::Inch : Units::Millimetre);
        }
        if ($block->withoutPoint !== '') {
            $this->bare->read($clean, $gs);
        }
        if (isset($block->words['E'])) {
            $this->context->notice('unknown-code', 'E', ['code' => 'E'.$block->words['E']]);
        }
        if (! $this->context->machine->isLathe()) {
            $this->noticeFractions();
        }
        if (isset($gs[ModalGroup::FeedMode->value])) {
            $this->functions->useFeedMode($gs[ModalGroup::FeedMode->value]);
        }
        if (isset($gs[ModalGroup::SpeedMode->value])) {
            $this->functions->useSpeedMode($gs[ModalGroup::SpeedMode->value]);
        }
    }

    /** Numbers of tools and offsets are whole. */
    private function noticeFractions(): void
    {
        $letters = $this->context->machine->control->letters;
        foreach (array_intersect_key($this->block->words, ['T' => 0, $letters->lengthNumber => 0, $letters->cutterNumber => 0]) as $letter => $number) {
            if (abs($number - $this->block->whole($letter)) > 1e-6) {
                $this->context->notice('not-whole', $letter, [
                    'word' => $letter.Quantity::written($number), 'taken' => $letter.$this->block->whole($letter),
                ]);
            }
        }
    }

    /**
     * @param  array<string, Code>  $gs
     * @return bool whether the axes went anywhere
     */
    private function moves(array $gs): bool
    {
        if (count($gs) === 1 && isset($gs[ModalGroup::Motion->value])) {
            $this->motions->useMode($gs); // G0 or G1 alone, as most blocks with a code are

            return $this->motions->move($gs);
        }
        if ($gs !== []) {
            $this->modes($gs);
            $this->motions->useMode($gs);
        }

        return ($gs === [] || ! $this->motions->instead($gs)) && $this->motions->move($gs);
    }

    /**
     * Words the block has no use for: the centre of an arc in another plane, a count written as another control would.
     *
     * @param  array<string, Code>  $gs
     */
    private function noticeUnused(array $gs): void
    {
        $words = array_intersect_key($this->block->words, self::SELDOM);
        $context = $this->context;
        if ($words === [] || $context->unknownAt === $this->block->line || $this->flow->afterMoves !== null) {
            return;
        }
        foreach ($gs as $group => $code) {
            if (! in_array($group, self::WITHOUT_WORDS, true) || $code === Code::ExtendedWorkOffset
                || ($code->isThread() && ! $context->machine->isLathe())) {
                return; // a code with words of its own
            }
        }
        $letters = $context->machine->control->letters;
        $plane = $this->modal->modes->plane;
        $used = $this->usedWords();
        if (isset($gs[ModalGroup::Length->value])) {
            $used[] = $letters->lengthNumber;
        }
        $unused = array_diff(array_keys($words), $used);
        // Some letters are ways along an axis, as H is along C.
        foreach ($unused === [] ? [] : array_diff($unused, (new WayLetters($context->machine))->letters) as $letter) {
            $context->notice(
                'unused-word', $letter,
                [
                    'word' => $letter.Quantity::written($words[$letter]), 'plane' => $plane->value,
                    'in' => $this->modal->cycle !== null ? 'cycle' : ($this->modal->motion === Code::Feed || $used === [] ? 'block' : 'arc'),
                ],
            );
        }
    }

    /** @return array<int, string> letters the motion in force has a use for, of those that mean something beside few codes */
    private function usedWords(): array
    {
        $letters = $this->context->machine->control->letters;
        $plane = $this->modal->modes->plane;

        return match (true) {
            $this->modal->cycle !== null => array_diff(
                array_keys(self::SELDOM), $this->context->machine->control->options->shrinkingPecks ? [] : array_diff(['K', 'L'], [$letters->cycleRepeats]),
                ['H'],
            ),
            $this->modal->motion === Code::ArcClockwise || $this->modal->motion === Code::ArcCounterClockwise => [
                'R', $letters->arcTurns, Plane::centerLetter($plane->first()), Plane::centerLetter($plane->second()),
            ],
            $this->modal->motion === Code::Thread => ['Q'],
            $this->modal->motion->isThread() => ['Q', 'K'],
            TurningCatalogue::isSingle($this->modal->motion) => array_keys(TurningCatalogue::for($this->modal->motion)->words(
                false, $this->context->machine->control->options->turning->cycleForm === CycleForm::OneLine,
            )),
            $this->modal->motion === Code::Feed => $this->context->machine->control->options->turning->cornerWords->letters(),
            default => [],
        };
    }

    /** A block of nothing but places and a feed, as most are: what execute() would do with it, and no more looked at. */
    private function executePlain(): void
    {
        $this->recorder->line = $this->block->line;
        $words = $this->block->words;
        if (isset($words['F'])) {
            $this->functions->useFeed($words['F']);
        }
        if ($this->motions->move([]) && $this->flow->afterMoves !== null) {
            $this->flow->moved();
        } elseif (isset($words['R']) || isset($words['I']) || isset($words['J']) || isset($words['K'])
            || isset($words['P']) || isset($words['Q']) || isset($words['L']) || isset($words['H'])) {
            $this->noticeUnused([]); // as it finds out by itself; most blocks have none of them
        }
    }

    /** A mode that changes in a block that may be skipped. */
    private function noticeSkippedModes(): void
    {
        foreach ($this->block->g as $at => $number) {
            $code = $this->context->machine->control->gCodes[$number] ?? null;
            if ($code !== null && in_array($code->group(), self::STAYING, true)) {
                $this->context->trace->notice(
                    new Notice(
                        'mode-in-skipped-block', $this->block->line, 1,
                        ['code' => ControlProfile::written('G', $number), 'group' => $code->group()->value],
                    ),
                );

                return;
            }
        }
    }

    private function callMacro(Code $code): void
    {
        $words = $this->context->block->words;
        $letters = $this->context->machine->control->letters;
        if ($code === Code::CallAfterMovesOff) {
            $this->flow->afterMoves = null;
        } elseif (! isset($words[$letters->program])) {
            $this->context->notice('call-without-program', 'G', ['letter' => $letters->program]);
        } elseif ($code === Code::CallMacro) {
            $this->flow->callMacro($this->block->whole($letters->program), $this->calls());
        } else {
            $this->flow->callAfterMoves($this->block->whole($letters->program));
        }
    }

    private function callSubprogram(): void
    {
        $words = $this->context->block->words;
        $control = $this->context->machine->control;
        $called = $words[$control->letters->program] ?? null;
        if ($called === null) {
            $this->context->notice('call-without-program', 'M', ['letter' => $control->letters->program]);

            return;
        }
        $number = $this->block->whole($control->letters->program);
        $times = $this->calls();
        if ($control->options->subprogramRepeats === RepeatIn::LeadingDigits && $number > 9999) {
            $times = intdiv($number, 10000);
            $number %= 10000;
        }
        $this->flow->call($number, $times);
    }

    private function callBlocks(): void
    {
        $letter = $this->context->machine->control->letters->program;
        if (isset($this->context->block->words[$letter])) {
            $this->flow->callBlocks($this->block->whole($letter), $this->calls());
        } else {
            $this->context->notice('call-without-block', 'M', ['letter' => $letter]);
        }
    }

    /** How often the block has a program run. */
    private function calls(): int
    {
        $letter = $this->context->machine->control->letters->callRepeats;
        if ($this->context->isNegative($letter)) {
            return 0;
        }
        $word = $this->context->block->words[$letter] ?? 1.0;
        if (self::count($word) === 0) {
            $this->context->notice('unused-word', $letter, ['in' => 'call', 'word' => $letter.Quantity::written($word)]);
        }

        return self::count($word);
    }

    /** Back to the caller; in a program nobody called it is the end, as where a bar is fed on. */
    private function endSubprogram(): void
    {
        $block = $this->context->block->words['P'] ?? null;
        if (! $this->flow->return($block === null ? null : $this->block->whole('P'))) {
            $this->ended = true;
            $this->flow->stop();
        }
    }

    /** What changes the meaning of positions and is still in force when the next run begins. */
    private function noticeLeftOn(): void
    {
        if (! $this->modal->modes->absolute) {
            $this->context->notice('increment-left-on', 'M', ['where' => 'the end of the program']);
        }
        $left = array_keys(array_filter([
            Code::LocalShift->value => array_filter($this->offsets->localShift()) !== [],
            Code::RotateOn->value => $this->modal->placement?->isTurned() === true,
            Code::ScaleOn->value => $this->modal->placement?->isScaled() === true,
            Code::MirrorOn->value => $this->modal->placement?->isMirrored() === true,
            Code::PolarOn->value => $this->modal->modes->polar,
        ]));
        if ($this->modal->modes->partHeld) {
            $this->context->notice('held-at-end', 'M');
        }
        if ($this->modal->modes->second?->joined !== null) {
            $this->context->notice('together-at-end', 'M');
        }
        if ($left !== []) {
            $this->context->notice('shift-left-on', 'M', ['begunBy' => implode(' ', $left)]);
        }
    }

    private static function count(float $word): int
    {
        return (int) floor(max(0.0, min(1e9, $word)) + 1e-6);
    }

    /**
     * The codes of a block by modal group; codes of no group stand under their own name.
     *
     * @param  list<int>  $numbers  in tenths
     * @param  array<int, Code>  $table
     * @param  array<int, string>  $groups
     * @return array<string, Code>
     */
    private function resolve(string $letter, array $numbers, array $table, array $groups): array
    {
        $codes = [];
        $taken = [];
        foreach ($numbers as $at => $number) {
            $code = $table[$number] ?? null;
            if ($code === null) {
                $this->context->unknownAt = $this->block->line;
                $this->context->notice('unknown-code', $letter, ['code' => ControlProfile::written($letter, $number)], $at + 1);

                continue;
            }
            $group = $groups[$number];
            if ($group === ModalGroup::None->value) {
                $codes[$code->value] = $code;

                continue;
            }
            if (isset($taken[$group]) && $taken[$group] !== $number) {
                $this->context->notice('modal-conflict', $letter, [
                    'first' => ControlProfile::written($letter, $taken[$group]), 'second' => ControlProfile::written($letter, $number), 'group' => $group,
                ], $at + 1);
            }
            $taken[$group] = $number;
            $codes[$group] = $code;
            if ($code === Code::WorkOffset) {
                $this->offsets->useWork($this->context->machine->control->workOffsets[$number]);
            } elseif ($code === Code::ExtendedWorkOffset) {
                $this->offsets->useExtendedWork();
            }
        }

        return $codes;
    }

    private function useUnits(Units $units): void
    {
        $modal = $this->modal;
        if ($modal->unitsStated && $units !== $modal->modes->units) {
            $this->context->notice('units-switched', 'G', ['units' => $units->value]);
        }
        $modal->unitsStated = true;
        $this->context->useUnits($units);
    }

    /** @param  array<string, Code>  $gs */
    private function modes(array $gs): void
    {
        $modal = $this->modal;
        if (isset($gs[ModalGroup::Length->value])) {
            $this->offsets->useLength($gs[ModalGroup::Length->value]);
        }
        if (isset($gs[ModalGroup::Distance->value])) {
            $modal->modes = $modal->modes->with(absolute: $gs[ModalGroup::Distance->value] === Code::Absolute);
        }
        if (isset($gs[ModalGroup::ArcCenter->value])) {
            $modal->centerAbsolute = $gs[ModalGroup::ArcCenter->value] === Code::CenterAbsolute;
        }
        if (isset($gs[ModalGroup::ReturnMode->value])) {
            $modal->modes = $modal->modes->with(returnToInitial: $gs[ModalGroup::ReturnMode->value] === Code::ReturnInitial);
        }
        if (isset($gs[ModalGroup::Plane->value])) {
            $plane = Plane::of($gs[ModalGroup::Plane->value]);
            if ($plane !== $modal->modes->plane) {
                $this->compensator->refuse('a change of plane', 'G');
            }
            $modal->modes = $modal->modes->with(plane: $plane);
        }
        if (isset($gs[ModalGroup::Path->value])) {
            $modal->modes = $modal->modes->with(exactStop: $gs[ModalGroup::Path->value] === Code::ExactStop);
        }
        if (isset($gs[ModalGroup::Polar->value])) {
            $this->coordinates->use($gs[ModalGroup::Polar->value]);
        }
        if (isset($gs[ModalGroup::Cutter->value])) {
            $this->compensator->use($gs[ModalGroup::Cutter->value]);
        }
        $this->recorder->stateChanged();
    }

    private function refuseMissingAxes(): void
    {
        if ($this->context->callsMacro()
            || TurningCatalogue::repeated(array_intersect_key($this->context->machine->control->gCodes, array_flip($this->block->g))) !== null) {
            return; // those words mean something else
        }
        foreach (array_keys($this->block->words) as $letter) {
            if (str_contains($this->missingAxes, $letter)) {
                $this->context->notice('missing-axis', $letter, ['axis' => $letter]);
                if (isset($this->context->machine->axisIndex[$letter])) {
                    // It is there, and moved by hand.
                    unset($this->block->words[$letter]);
                    $this->block->withoutPoint = str_replace($letter, '', $this->block->withoutPoint);
                }
            }
        }
    }

    /**
     * The blocks of a turned shape: run where they stand, or only looked at for where they lead, with everything left as it was.
     *
     * @param  int  $first  number of the first block
     * @param  int  $last  and of the last
     * @return Contour|null  null where there is none, or where they are run
     */
    private function readShape(int $first, int $last, bool $runs): ?Contour
    {
        [$from, $to] = [$this->flow->lineOf($first), $this->flow->lineOf($last)];
        foreach ([[$from, $first], [$to, $last]] as [$line, $number]) {
            if ($line === null) {
                $this->context->notice('shape-block-missing', 'G', ['number' => 'N'.$number]);

                return null;
            }
        }
        if ($from > $to) {
            $this->context->notice('shape-reversed', 'G', ['first' => 'N'.$first, 'last' => 'N'.$last]);

            return null;
        }
        $called = $this->flow->reader->line;
        $block = clone $this->block;
        $index = $this->context->machine->axisIndex;
        $recorder = $this->recorder;
        $before = [clone $this->modal, $recorder->at, $recorder->axisMarks, $this->offsets->pending];
        $capture = $recorder->capture = $runs ? null : new ContourCapture($index[AxisName::Z], $index[AxisName::X]);
        foreach ($this->flow->blocks((int) $from, (int) $to) as $place => $text) {
            if (self::isForbiddenInShape($this->context->machine->control, $text)) {
                $this->block->line = $place;
                $this->context->notice('shape-code', 'G');
            } elseif ($text !== '') {
                $this->stepWatched($place, $text);
            }
            if ($place === $from) {
                $capture?->begin($this->block->words, new WayLetters($this->context->machine));
            }
            $capture?->end($place, $this->modal);
        }
        $recorder->dropCorner();
        $this->block->become($block);
        $recorder->line = $this->block->line;
        if ($capture !== null) {
            $recorder->capture = null;
            [$modal, $recorder->at, $recorder->axisMarks, $this->offsets->pending] = $before;
            $this->modal->restore($modal);
            $recorder->stateChanged();
        }
        if ($from > $called) {
            $this->flow->passBehind((int) $to);
        }
        $contour = $capture?->contour();
        if ($capture !== null && ($contour === null || $contour->shape() === [])) {
            $this->context->notice('shape-empty', 'G', ['first' => 'N'.$first, 'last' => 'N'.$last]);

            return null;
        }
        if ($contour !== null && $this->context->machine->control->options->turning->roughingCompensation === RoughingCompensation::Used) {
            $contour = $this->compensator->beside($contour, $capture);
        }
        $this->turning->shapeSays($capture?->words() ?? []);

        return $contour;
    }

    /** Calls, jumps, stops and other cycles have no place in the blocks of a shape. */
    private static function isForbiddenInShape(ControlProfile $control, string $text): bool
    {
        foreach ($control->codesIn($text) as ['code' => $code]) {
            if (! in_array($code->group(), self::IN_SHAPE, true)) {
                return true;
            }
        }

        return strpbrk($text, '#[=') !== false && preg_match('/GOTO|WHILE|END|IF/', $text) === 1;
    }

    private function stop(Code $code): void
    {
        if ($code === Code::OptionalStop && ! $this->context->setup->inputs->optionalStop) {
            return;
        }
        $m = $this->block->m;
        if ($code === Code::ProgramEnd) {
            $this->compensator->refuse('the end of the program', 'M');
            $this->noticeLeftOn();
            $this->ended = true;
            $this->flow->stop();
        }
        $this->context->stop(ControlProfile::written('M', $m[count($m) - 1] ?? 0));
        $this->hand->follow();
    }

    /** @param  list<string>  $letters  that stand twice in the block: those of a macro call may be its sets of I, J and K */
    private function noticeRepeated(array $letters): void
    {
        foreach ($letters as $letter) {
            if (! in_array($letter, ['I', 'J', 'K'], true) || ! $this->context->callsMacro()) {
                $this->context->notice('repeated-word', $letter, ['letter' => $letter], 2);
            }
        }
    }

    private function noticeText(): void
    {
        $line = $this->block->line;
        $given = $this->context->sources->text($line);
        foreach ($this->reader->problems() as [$problem, $offset, $piece]) {
            $this->context->trace->notice(new Notice('bad-word', $line, BlockReader::columnOfOffset($given, $offset), [
                'problem' => $problem->value, 'piece' => mb_strimwidth($piece, 0, 80, '…'),
            ]));
        }
        $this->noticeRepeated($this->reader->repeated());
    }
}
