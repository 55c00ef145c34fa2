<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\Quantity;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Trace\TraceBuilder;

/**
 * Reads a program as the control of a setup would and records the motion it makes. One reading per instance.
 *
 * Within a block things happen in the order of NISTIR 6556, with one difference: units come first, so that an F in the
 * block that states the units is counted in them.
 */
final class Interpreter
{
    /** Rows a run may make before it is stopped as endless: so many, and so many more for each block it has read. */
    private const MOST_ROWS = 300_000;

    private const MOST_ROWS_A_BLOCK = 5;

    /** Letters of words that give a place and so are counted in the units of length. */
    private const COORDINATES = 'XYZUVWABCIJKRQ';

    private const AXIS_LETTERS = 'XYZUVWABC';

    private readonly Context $context;

    // Of the context, close at hand for the blocks of which there are a million.

    private readonly Mover $mover;

    private readonly ModalState $modal;

    private readonly Block $block;

    private readonly Offsets $offsets;

    private readonly Arcs $arcs;

    private readonly CycleRunner $cycles;

    private readonly BlockReader $reader;

    /** @var array<int, string> G number in tenths => name of its modal group */
    private array $gGroups = [];

    /** @var array<int, string> */
    private array $mGroups = [];

    /** Letters of axis words the machine has no axis for. */
    private readonly string $missingAxes;

    /** @var list<int> mark bits an axis gets when the program sends it somewhere in the part */
    private array $commanded = [];

    private bool $ended = false;

    private int $blocks = 0;

    /** @param  list<ChunkReader>  $readers */
    private function __construct(Program $program, Setup $setup, array $readers)
    {
        $machine = $setup->machine;
        $profile = $machine->control;
        $this->context = new Context($program, $setup, new TraceBuilder($machine->axisNames, $machine->ordered($setup->start), $readers));
        $this->mover = $this->context->mover;
        $this->modal = $this->context->modal;
        $this->block = $this->context->block;
        $this->offsets = new Offsets($this->context);
        $this->arcs = new Arcs($this->context, $this->offsets);
        $this->cycles = new CycleRunner($this->context, $this->offsets);
        $this->reader = new BlockReader($profile->switches->semicolonComments);
        foreach ($profile->gCodes as $number => $code) {
            $this->gGroups[$number] = $code->group()->value;
        }
        foreach ($profile->mCodes as $number => $code) {
            $this->mGroups[$number] = $code->group()->value;
        }
        $this->missingAxes = implode('', array_diff(str_split(self::AXIS_LETTERS), $machine->axisNames));
        foreach (array_keys($machine->axisNames) as $axis) {
            $this->commanded[] = Mark::tied($axis) | Mark::touched($axis);
        }
    }

    /**
     * Never fails for a bad program: what could not be read stands in the trace's notices.
     *
     * @param  ChunkReader  ...$readers  shown the rows on the way
     */
    public static function read(Program $program, Setup $setup, ChunkReader ...$readers): Trace
    {
        return (new self($program, $setup, array_values($readers)))->run();
    }

    private function run(): Trace
    {
        $context = $this->context;
        $block = $context->block;
        $line = 0;
        foreach ($context->program->prepared() as $line => $text) {
            if ($text === '') {
                continue;
            }
            $clean = $this->reader->read($line, $text, $block);
            if (! $clean) {
                $this->noticeText();
            }
            if ($block->skip !== 0 && in_array($block->skip, $context->setup->blockSkip, true)) {
                continue;
            }
            if (strpbrk($text, $this->missingAxes) !== false) {
                $this->refuseMissingAxes();
            }
            if ($block->g === [] && $block->m === []) {
                if ($block->words === []) {
                    continue;
                }
                if ($block->withoutPoint === '' && ! isset($block->words['S']) && ! isset($block->words['T']) && ! isset($block->words['E'])) {
                    $this->blocks++;
                    $this->executePlain();

                    continue;
                }
            }
            $this->blocks++;
            $this->execute($clean);
            if ($this->ended) {
                break;
            }
            if ($context->trace->rows() > self::MOST_ROWS + self::MOST_ROWS_A_BLOCK * $this->blocks) {
                $context->notice('runaway', '', ['most' => self::MOST_ROWS]);
                break;
            }
        }

        if (! $context->modal->unitsStated && $context->trace->rows() > 0) {
            $context->trace->notice(new Notice('units-not-stated', 1, 1, ['units' => $context->modal->units->value]));
        }

        return $context->trace->finish($context->modal->snapshot(), $this->blocks, $this->ended, $line);
    }

    /** @param  bool  $clean whether all of the block could be read */
    private function execute(bool $clean): void
    {
        $context = $this->context;
        $block = $context->block;
        $control = $context->machine->control;
        $context->mover->line = $block->line;
        $gs = $block->g === [] ? [] : $this->resolve('G', $block->g, $control->gCodes, $this->gGroups);
        $ms = $block->m === [] ? [] : $this->resolve('M', $block->m, $control->mCodes, $this->mGroups);

        if (isset($gs[ModalGroup::Units->value])) {
            $this->useUnits($gs[ModalGroup::Units->value] === Code::UnitsInch ? Units::Inch : Units::Millimetre);
        }
        if ($block->withoutPoint !== '') {
            $this->bareNumbers($clean);
        }
        if (isset($block->words['E'])) {
            $context->notice('unknown-code', 'E', ['code' => 'E'.$block->words['E']]);
        }
        if (isset($gs[ModalGroup::FeedMode->value])) {
            $this->useFeedMode($gs[ModalGroup::FeedMode->value]);
        }
        $this->feedSpeedTool();
        if ($ms !== []) {
            $this->toolSpindleCoolant($ms);
        }
        if (isset($gs[Code::Dwell->value])) {
            $this->dwell();
        }
        if ($gs !== []) {
            $this->modes($gs);
            $this->motionMode($gs);
        }
        if ($gs === [] || ! $this->instead($gs)) {
            $this->move($gs);
        }
        if (isset($ms[ModalGroup::Stop->value])) {
            $this->stop($ms[ModalGroup::Stop->value]);
        }
    }

    /** A block of nothing but places and a feed, as most are: what execute() would do with it, and no more looked at. */
    private function executePlain(): void
    {
        $this->mover->line = $this->block->line;
        if (isset($this->block->words['F'])) {
            $this->useFeed($this->block->words['F']);
        }
        $this->move([]);
    }

    /**
     * Does what the block does with its axis words instead of moving there; false where nothing is done instead.
     *
     * @param  array<string, Code>  $gs
     */
    private function instead(array $gs): bool
    {
        switch (true) {
            case isset($gs[Code::Reference->value]):
                $this->reference($this->context->machine->home);
                break;
            case isset($gs[Code::SecondReference->value]):
                $this->reference($this->context->machine->secondHome + $this->context->machine->home);
                break;
            case isset($gs[Code::SetOffsets->value]):
                $this->offsets->set();
                break;
            case isset($gs[Code::LocalShift->value]):
                $this->offsets->shiftLocally();
                break;
            case isset($gs[Code::SetPosition->value]):
                $this->offsets->setPosition();
                break;
            case isset($gs[Code::CancelSetPosition->value]):
                $this->offsets->cancelPosition();
                break;
            default:
                return isset($gs[Code::Dwell->value]);
        }

        return true;
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
                $this->context->notice('unknown-code', $letter, ['code' => self::codeName($letter, $number)], $at + 1);

                continue;
            }
            $group = $groups[$number];
            if ($group === ModalGroup::None->value) {
                $codes[$code->value] = $code;

                continue;
            }
            if (isset($taken[$group]) && $taken[$group] !== $number) {
                $this->context->notice('modal-conflict', $letter, [
                    'first' => self::codeName($letter, $taken[$group]), 'second' => self::codeName($letter, $number), 'group' => $group,
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
        if ($modal->unitsStated && $units !== $modal->units) {
            $this->context->notice('units-switched', 'G', ['units' => $units->value]);
        }
        $modal->unitsStated = true;
        $this->context->useUnits($units);
    }

    /** A feed said in one mode means nothing in another. */
    private function useFeedMode(Code $mode): void
    {
        if ($mode !== $this->modal->feedMode) {
            $this->modal->feedMode = $mode;
            $this->modal->feed = $this->modal->feedWord = 0.0;
            $this->mover->stateChanged();
        }
    }

    private function useFeed(float $word): void
    {
        $modal = $this->modal;
        $modal->feedWord = $modal->feedMode === Code::InverseTime ? $word : $word * $this->context->unit;
        $modal->refreshFeed();
    }

    private function feedSpeedTool(): void
    {
        $modal = $this->modal;
        $words = $this->block->words;
        if (isset($words['F'])) {
            $this->useFeed($words['F']);
        }
        if (isset($words['S'])) {
            $modal->rpm = $words['S'];
            $modal->refreshFeed();
            $this->mover->stateChanged();
            if ($modal->spindleTurn !== 0) {
                $this->mover->event(MotionKind::SPINDLE);
            }
        }
        if (isset($words['T'])) {
            $modal->toolCalled = (int) $words['T'];
        }
    }

    /** @param  array<string, Code>  $ms */
    private function toolSpindleCoolant(array $ms): void
    {
        $modal = $this->modal;
        $mover = $this->mover;
        if (isset($ms[Code::ToolChange->value])) {
            $this->changeTool();
        }
        $spindle = $ms[ModalGroup::Spindle->value] ?? $ms[Code::SpindleOrient->value] ?? null;
        if ($spindle !== null) {
            $mover->turnSpindle(match ($spindle) {
                Code::SpindleClockwise => 1,
                Code::SpindleCounterClockwise => -1,
                default => 0,
            });
        }
        $coolant = $ms[ModalGroup::Coolant->value] ?? null;
        if ($coolant !== null) {
            $modal->flood = $coolant === Code::FloodOn || ($coolant === Code::MistOn && $modal->flood);
            $modal->mist = $coolant === Code::MistOn || ($coolant === Code::FloodOn && $modal->mist);
            $mover->stateChanged();
            $mover->event(MotionKind::COOLANT);
        }
    }

    /** The spindle stops for a tool change (NISTIR 6556, M6); a length offset stated before it belongs to the old tool. */
    private function changeTool(): void
    {
        $modal = $this->modal;
        $mover = $this->mover;
        $machine = $this->context->machine;
        if ($modal->cycle !== null) {
            $this->context->notice('cycle-at-tool-change', 'M', ['cycle' => $modal->cycle->words()]);
        }
        if ($modal->toolCalled === null) {
            $this->context->notice('tool-change-without-tool', 'M');
        }
        $target = $mover->at;
        foreach ($machine->toolChangeAt as $name => $position) {
            $axis = $machine->axisIndex[$name] ?? null;
            if ($axis !== null) {
                $target[$axis] = $position;
                $this->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        $mover->rapid($target, Mark::MACHINE);
        $modal->tool = $modal->toolCalled ?? $modal->tool;
        $modal->spindleTurn = 0;
        $modal->lengthSinceToolChange = false;
        $modal->refreshFeed();
        $mover->stateChanged();
        $mover->event(MotionKind::TOOL, (string) $modal->tool);
    }

    private function dwell(): void
    {
        $words = $this->block->words;
        $seconds = $words['P'] ?? $words['X'] ?? null;
        if ($seconds === null) {
            $this->context->notice('dwell-without-time', 'G');

            return;
        }
        if ($this->context->machine->control->switches->dwellUnit === DwellUnit::Milliseconds && isset($words['P'])) {
            $seconds /= 1000;
        }
        $this->mover->event(MotionKind::DWELL, max(0.0, $seconds));
    }

    /** @param  array<string, Code>  $gs */
    private function modes(array $gs): void
    {
        $modal = $this->modal;
        if (isset($gs[ModalGroup::Length->value])) {
            $this->offsets->useLength($gs[ModalGroup::Length->value]);
        }
        if (isset($gs[ModalGroup::Distance->value])) {
            $modal->absolute = $gs[ModalGroup::Distance->value] === Code::Absolute;
        }
        if (isset($gs[ModalGroup::ArcCentre->value])) {
            $modal->centreAbsolute = $gs[ModalGroup::ArcCentre->value] === Code::CentreAbsolute;
        }
        if (isset($gs[ModalGroup::ReturnMode->value])) {
            $modal->returnToInitial = $gs[ModalGroup::ReturnMode->value] === Code::ReturnInitial;
        }
        if (isset($gs[ModalGroup::Plane->value])) {
            $modal->plane = Plane::of($gs[ModalGroup::Plane->value]);
        }
        $this->mover->stateChanged();
    }

    /**
     * What kind of motion is in force from this block on. A motion code alone ends a cycle; a cycle code beside one wins.
     *
     * @param  array<string, Code>  $gs
     */
    private function motionMode(array $gs): void
    {
        $motion = $gs[ModalGroup::Motion->value] ?? null;
        if ($motion !== null) {
            $this->modal->motion = $motion;
            $this->modal->motionStated = true;
        }
        $cycle = $gs[ModalGroup::Cycle->value] ?? null;
        if ($cycle === Code::CycleOff || ($cycle === null && $motion !== null)) {
            $this->cycles->end();
        } elseif ($cycle !== null) {
            $this->cycles->start($cycle);
        }
    }

    /** @param  array<string, Code>  $gs */
    private function move(array $gs): void
    {
        $modal = $this->modal;
        $mover = $this->mover;
        if ($modal->cycle !== null) {
            $this->cycles->run(isset($gs[ModalGroup::Cycle->value]), $this->target(...));

            return;
        }
        if (isset($gs[Code::MachineCoordinates->value])) {
            $this->moveInMachineCoordinates();

            return;
        }
        $words = $this->block->words;
        $target = $this->target($words);
        if (isset($gs[Code::Probe->value])) {
            $mover->feed($target ?? $mover->at);
        } elseif ($modal->motion === Code::ArcClockwise || $modal->motion === Code::ArcCounterClockwise) {
            if ($target !== null || isset($words['I']) || isset($words['J']) || isset($words['K'])) {
                $this->arcs->move($target ?? $mover->at, $modal->motion === Code::ArcClockwise);
            }
        } elseif ($target !== null) {
            if (! $modal->motionStated) {
                $this->context->notice('no-motion-code', '');
                $modal->motionStated = true;
            }
            if ($modal->motion === Code::Feed) {
                $mover->feed($target);
            } else {
                $mover->rapid($target);
            }
        }
    }

    /**
     * Where axis words lead, or null where there are none. Marks the axes as moved on the way.
     *
     * @param  array<string, float>  $words
     * @return list<float>|null
     */
    private function target(array $words): ?array
    {
        $mover = $this->mover;
        $target = $mover->at;
        $marks = $mover->axisMarks;
        $any = false;
        $absolute = $this->modal->absolute;
        $scale = $this->context->scale;
        $shift = $this->offsets->shift;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if (isset($words[$letter])) {
                $any = true;
                if ($absolute) {
                    $target[$axis] = $words[$letter] * $scale[$axis] + $shift[$axis];
                    $marks |= $this->commanded[$axis];
                } else {
                    $target[$axis] += $words[$letter] * $scale[$axis];
                    $marks |= Mark::touched($axis);
                }
            }
        }
        $mover->axisMarks = $marks;

        /** @var list<float> $target */
        return $any ? $target : null;
    }

    private function refuseMissingAxes(): void
    {
        foreach (array_keys($this->block->words) as $letter) {
            if (str_contains($this->missingAxes, $letter)) {
                $this->context->notice('missing-axis', $letter, ['axis' => $letter]);
            }
        }
    }

    private function moveInMachineCoordinates(): void
    {
        $mover = $this->mover;
        $target = $mover->at;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if (isset($this->block->words[$letter])) {
                $target[$axis] = $this->block->words[$letter] * $this->context->scale[$axis];
                $this->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        if ($this->modal->motion === Code::Feed) {
            $mover->feed($target, Mark::MACHINE);
        } else {
            $mover->rapid($target, Mark::MACHINE);
        }
    }

    /**
     * Through the given point, then home with the axes named; with no axis named, all of them go home.
     *
     * @param  array<string, float>  $home  machine coordinates by axis name
     */
    private function reference(array $home): void
    {
        $words = $this->block->words;
        $through = $this->target($words);
        if ($through !== null) {
            $this->mover->rapid($through);
        }
        $target = $this->mover->at;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if ($through === null || isset($words[$letter])) {
                $target[$axis] = $home[$letter] ?? 0.0;
                $this->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        $this->mover->rapid($target, Mark::MACHINE);
    }

    private function stop(Code $code): void
    {
        if ($code === Code::OptionalStop && ! $this->context->setup->optionalStop) {
            return;
        }
        $m = $this->block->m;
        $this->context->stop(self::codeName('M', $m[count($m) - 1] ?? 0));
        $this->ended = $code === Code::ProgramEnd;
    }

    /** Marks an axis as standing somewhere no work offset carries it. */
    private function leaveWorkOffset(int $axis): void
    {
        $mover = $this->mover;
        $mover->axisMarks = ($mover->axisMarks | Mark::touched($axis)) & ~Mark::tied($axis);
    }

    /** Coordinates without a decimal point: whole units, or steps of the least increment where the profile says so. */
    private function bareNumbers(bool $report): void
    {
        $block = $this->block;
        $letters = array_filter(str_split($block->withoutPoint), static fn (string $letter): bool => str_contains(self::COORDINATES, $letter));
        if ($letters === []) {
            return;
        }
        $letter = reset($letters);
        $value = $block->words[$letter];
        $increment = $this->modal->units->leastIncrement();
        $readAs = $this->context->machine->control->switches->bareNumbers;
        if ($report) {
            $this->context->notice('bare-number', $letter, [
                'word' => $letter.(string) $value,
                'inUnits' => Quantity::length($value * $this->context->unit),
                'inIncrements' => Quantity::length($value * $increment),
                'readAs' => $readAs->value,
            ]);
        }
        if ($readAs === BareNumbers::LeastIncrements) {
            foreach ($letters as $each) {
                $block->words[$each] *= $increment / $this->context->unit;
            }
        }
    }

    private function noticeText(): void
    {
        $line = $this->block->line;
        $given = $this->context->program->line($line);
        foreach ($this->reader->problems() as [$problem, $offset, $piece]) {
            $this->context->trace->notice(new Notice('bad-word', $line, BlockReader::columnOfOffset($given, $offset), [
                'problem' => $problem->value, 'piece' => mb_strimwidth($piece, 0, 40, '…'),
            ]));
        }
        foreach ($this->reader->repeated() as $letter) {
            $this->context->notice('repeated-word', $letter, ['letter' => $letter], 2);
        }
    }

    private static function codeName(string $letter, int $tenths): string
    {
        return $letter.($tenths % 10 === 0 ? (string) intdiv($tenths, 10) : sprintf('%.1f', $tenths / 10));
    }
}
