<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Kinematics\Machine;
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
    /** Rows one run may make before it is stopped as endless. */
    private const MOST_ROWS = 5_000_000;

    /** Repeats of one cycle block no real program asks for. */
    private const MOST_REPEATS = 10_000;

    /** Letters of words that give a place and so are counted in the units of length. */
    private const COORDINATES = 'XYZUVWABCIJKRQ';

    private const AXIS_LETTERS = 'XYZUVWABC';

    private readonly Machine $machine;

    private readonly ModalState $modal;

    private readonly TraceBuilder $trace;

    private readonly Mover $mover;

    private readonly ArcSolver $arcs;

    private readonly CycleRunner $cycles;

    private readonly BlockReader $reader;

    private readonly Block $block;

    /** @var array<int, string> G number in tenths => name of its modal group */
    private array $gGroups = [];

    /** @var array<int, string> */
    private array $mGroups = [];

    /** @var list<float> what one unit of each axis word is worth in mm (degrees for a rotary axis) */
    private array $scale = [];

    /** mm in one unit of a length that belongs to no axis (I J K R Q) */
    private float $unit = 1.0;

    /** @var list<float> axis position of program zero, per axis */
    private array $shift;

    /** Letters of axis words the machine has no axis for. */
    private readonly string $missingAxes;

    /** @var list<int> mark bits an axis gets when the program sends it somewhere in the part */
    private array $commanded = [];

    private bool $ended = false;

    private int $blocks = 0;

    /** @param  list<ChunkReader>  $readers */
    private function __construct(private readonly Program $program, private readonly Setup $setup, array $readers)
    {
        $machine = $this->machine = $setup->machine;
        $profile = $machine->control;
        $this->modal = new ModalState($profile, $machine->ordered($setup->workOffsets[$profile->defaultWorkOffset] ?? []));
        $start = $machine->ordered($setup->start);
        $this->trace = new TraceBuilder($machine->axisNames, $start, $readers);
        $this->mover = new Mover($machine, $this->modal, $this->trace, $start);
        $this->arcs = new ArcSolver($profile->switches->arcTolerance);
        $this->cycles = new CycleRunner($machine, $this->modal, $this->mover);
        $this->reader = new BlockReader($profile->switches->semicolonComments);
        $this->block = new Block;
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
        $this->useUnits($profile->defaultUnits);
        $this->refreshShift();
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
        $line = 0;
        foreach ($this->program->prepared() as $line => $text) {
            if ($text === '') {
                continue;
            }
            $clean = $this->reader->read($line, $text, $this->block);
            if (! $clean) {
                $this->noticeText();
            }
            $block = $this->block;
            if ($block->skip !== 0 && in_array($block->skip, $this->setup->blockSkip, true)) {
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
            if ($this->trace->rows() > self::MOST_ROWS) {
                $this->notice('runaway', '', ['most' => self::MOST_ROWS]);
                break;
            }
        }

        if (! $this->modal->unitsStated && $this->trace->rows() > 0) {
            $this->trace->notice(new Notice('units-not-stated', 1, 1, ['units' => $this->modal->units->value]));
        }

        return $this->trace->finish($this->modal->snapshot(), $this->blocks, $this->ended, $line);
    }

    /** @param  bool  $clean whether all of the block could be read */
    private function execute(bool $clean): void
    {
        $block = $this->block;
        $modal = $this->modal;
        $this->mover->line = $block->line;
        $gs = $block->g === [] ? [] : $this->resolve('G', $block->g, $this->machine->control->gCodes, $this->gGroups);
        $ms = $block->m === [] ? [] : $this->resolve('M', $block->m, $this->machine->control->mCodes, $this->mGroups);

        if (isset($gs[ModalGroup::Units->value])) {
            $this->useUnits($gs[ModalGroup::Units->value] === Code::UnitsInch ? Units::Inch : Units::Millimetre);
            $modal->unitsStated = true;
        }
        if ($block->withoutPoint !== '') {
            $this->bareNumbers($clean);
        }
        if (isset($block->words['E'])) {
            $this->notice('unknown-code', 'E', ['code' => 'E'.$block->words['E']]);
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
        if (isset($gs[Code::Reference->value])) {
            $this->reference();
        } elseif (! isset($gs[Code::Dwell->value])) {
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
            $this->modal->feed = $this->block->words['F'] * $this->unit;
        }
        $this->move([]);
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
        foreach ($numbers as $number) {
            $code = $table[$number] ?? null;
            if ($code === null) {
                $this->notice('unknown-code', $letter, ['code' => self::codeName($letter, $number)], $this->occurrence($letter, $number));

                continue;
            }
            $group = $groups[$number];
            if ($group === ModalGroup::None->value) {
                $codes[$code->value] = $code;

                continue;
            }
            if (isset($taken[$group]) && $taken[$group] !== $number) {
                $this->notice('modal-conflict', $letter, [
                    'first' => self::codeName($letter, $taken[$group]), 'second' => self::codeName($letter, $number), 'group' => $group,
                ], $this->occurrence($letter, $number));
            }
            $taken[$group] = $number;
            $codes[$group] = $code;
            if ($code === Code::WorkOffset) {
                $this->useWorkOffset($this->machine->control->workOffsets[$number]);
            }
        }

        return $codes;
    }

    private function feedSpeedTool(): void
    {
        $words = $this->block->words;
        if (isset($words['F'])) {
            $this->modal->feed = $words['F'] * $this->unit;
        }
        if (isset($words['S'])) {
            $this->modal->rpm = $words['S'];
            $this->mover->stateChanged();
            if ($this->modal->spindleTurn !== 0) {
                $this->mover->event(MotionKind::SPINDLE);
            }
        }
        if (isset($words['T'])) {
            $this->modal->toolCalled = (int) $words['T'];
        }
    }

    /** @param  array<string, Code>  $ms */
    private function toolSpindleCoolant(array $ms): void
    {
        if (isset($ms[Code::ToolChange->value])) {
            $this->changeTool();
        }
        $spindle = $ms[ModalGroup::Spindle->value] ?? null;
        if ($spindle !== null) {
            $this->modal->spindleTurn = match ($spindle) {
                Code::SpindleClockwise => 1,
                Code::SpindleCounterClockwise => -1,
                default => 0,
            };
            $this->mover->stateChanged();
            $this->mover->event(MotionKind::SPINDLE);
        }
        $coolant = $ms[ModalGroup::Coolant->value] ?? null;
        if ($coolant !== null) {
            $this->modal->flood = $coolant === Code::FloodOn || ($coolant === Code::MistOn && $this->modal->flood);
            $this->modal->mist = $coolant === Code::MistOn || ($coolant === Code::FloodOn && $this->modal->mist);
            $this->mover->stateChanged();
            $this->mover->event(MotionKind::COOLANT);
        }
    }

    /** The spindle stops for a tool change (NISTIR 6556, M6); a length offset stated before it belongs to the old tool. */
    private function changeTool(): void
    {
        $modal = $this->modal;
        if ($modal->cycle !== null) {
            $this->notice('cycle-at-tool-change', 'M', ['cycle' => $modal->cycle->words()]);
        }
        if ($modal->toolCalled === null) {
            $this->notice('tool-change-without-tool', 'M');
        }
        $target = $this->mover->at;
        foreach ($this->machine->toolChangeAt as $name => $position) {
            $axis = $this->machine->axisIndex[$name] ?? null;
            if ($axis !== null) {
                $target[$axis] = $position;
                $this->markAxis($axis, false);
            }
        }
        /** @var list<float> $target */
        $this->mover->rapid($target, Mark::MACHINE);
        $modal->tool = $modal->toolCalled ?? $modal->tool;
        $modal->spindleTurn = 0;
        $modal->lengthSinceToolChange = false;
        $this->mover->stateChanged();
        $this->mover->event(MotionKind::TOOL, (string) $modal->tool);
    }

    private function dwell(): void
    {
        $words = $this->block->words;
        $seconds = $words['P'] ?? $words['X'] ?? null;
        if ($seconds === null) {
            $this->notice('dwell-without-time', 'G');

            return;
        }
        if ($this->machine->control->switches->dwellUnit === DwellUnit::Milliseconds && isset($words['P'])) {
            $seconds /= 1000;
        }
        $this->mover->event(MotionKind::DWELL, max(0.0, $seconds));
    }

    /** @param  array<string, Code>  $gs */
    private function modes(array $gs): void
    {
        $modal = $this->modal;
        $length = $gs[ModalGroup::Length->value] ?? null;
        if ($length !== null) {
            $this->useLength($length);
        }
        if (isset($gs[ModalGroup::Distance->value])) {
            $modal->absolute = $gs[ModalGroup::Distance->value] === Code::Absolute;
            $this->mover->stateChanged();
        }
        if (isset($gs[ModalGroup::ReturnMode->value])) {
            $modal->returnToInitial = $gs[ModalGroup::ReturnMode->value] === Code::ReturnInitial;
            $this->mover->stateChanged();
        }
        if (isset($gs[ModalGroup::Plane->value])) {
            $modal->plane = Plane::XY;
            $this->mover->stateChanged();
        }
    }

    private function useUnits(Units $units): void
    {
        if ($this->modal->unitsStated && $units !== $this->modal->units) {
            $this->notice('units-switched', 'G', ['units' => $units->value]);
        }
        $this->modal->units = $units;
        $this->unit = $units->millimetres();
        $this->scale = [];
        foreach ($this->machine->axes as $axis) {
            $this->scale[] = $axis->isRotary() ? 1.0 : $this->unit * ($axis->isDiameter ? 0.5 : 1.0);
        }
        $this->mover->stateChanged();
    }

    private function useWorkOffset(string $name): void
    {
        $modal = $this->modal;
        if ($name !== $modal->work) {
            $this->mover->axisMarks &= ~((1 << Mark::AXES) - 1);
        }
        $modal->work = $name;
        $modal->workStated = true;
        $modal->workShift = $this->machine->ordered($this->setup->workOffsets[$name] ?? []);
        $this->refreshShift();
    }

    private function useLength(Code $code): void
    {
        $modal = $this->modal;
        $number = $code === Code::LengthAdd ? (int) ($this->block->words['H'] ?? 0) : 0;
        if ($code === Code::LengthAdd && ! isset($this->block->words['H'])) {
            $this->notice('length-without-number', 'G');
        }
        $modal->lengthNumber = $number;
        $modal->lengthSinceToolChange = $number !== 0;
        $modal->lengthShift = $this->machine->ordered(
            [$this->machine->lengthAxis() => $number === 0 ? 0.0 : ($this->setup->lengthOffsets[$number] ?? null)?->total() ?? 0.0],
        );
        $this->refreshShift();
    }

    private function refreshShift(): void
    {
        $this->shift = [];
        foreach ($this->modal->workShift as $axis => $work) {
            $this->shift[] = $work + $this->modal->lengthShift[$axis];
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
            $this->endCycle();
        } elseif ($cycle !== null) {
            $this->startCycle($cycle);
        }
    }

    /** @param  array<string, Code>  $gs */
    private function move(array $gs): void
    {
        $modal = $this->modal;
        if ($modal->cycle !== null) {
            $this->cycle(isset($gs[ModalGroup::Cycle->value]));

            return;
        }
        if (isset($gs[Code::MachineCoordinates->value])) {
            $this->moveInMachineCoordinates();

            return;
        }
        $words = $this->block->words;
        $target = $this->target($words);
        if ($modal->motion === Code::ArcClockwise || $modal->motion === Code::ArcCounterClockwise) {
            if ($target !== null || isset($words['I']) || isset($words['J']) || isset($words['K'])) {
                $this->arc($target ?? $this->mover->at, $modal->motion === Code::ArcClockwise);
            }
        } elseif ($target !== null) {
            if (! $modal->motionStated) {
                $this->notice('no-motion-code', '');
                $modal->motionStated = true;
            }
            if ($modal->motion === Code::Feed) {
                $this->mover->feed($target);
            } else {
                $this->mover->rapid($target);
            }
        }
    }

    /**
     * Where the axis words of a block lead, or null where it has none. Marks the axes as moved on the way.
     *
     * @param  array<string, float>  $words
     * @return list<float>|null
     */
    private function target(array $words): ?array
    {
        $target = $this->mover->at;
        $marks = $this->mover->axisMarks;
        $any = false;
        $absolute = $this->modal->absolute;
        foreach ($this->machine->axisNames as $axis => $letter) {
            if (isset($words[$letter])) {
                $any = true;
                if ($absolute) {
                    $target[$axis] = $words[$letter] * $this->scale[$axis] + $this->shift[$axis];
                    $marks |= $this->commanded[$axis];
                } else {
                    $target[$axis] += $words[$letter] * $this->scale[$axis];
                    $marks |= Mark::touched($axis);
                }
            }
        }
        $this->mover->axisMarks = $marks;

        /** @var list<float> $target */
        return $any ? $target : null;
    }

    private function refuseMissingAxes(): void
    {
        foreach (array_keys($this->block->words) as $letter) {
            if (str_contains($this->missingAxes, $letter)) {
                $this->notice('missing-axis', $letter, ['axis' => $letter]);
            }
        }
    }

    private function moveInMachineCoordinates(): void
    {
        $target = $this->mover->at;
        foreach ($this->machine->axisNames as $axis => $letter) {
            if (isset($this->block->words[$letter])) {
                $target[$axis] = $this->block->words[$letter] * $this->scale[$axis];
                $this->markAxis($axis, false);
            }
        }
        /** @var list<float> $target */
        if ($this->modal->motion === Code::Feed) {
            $this->mover->feed($target, Mark::MACHINE);
        } else {
            $this->mover->rapid($target, Mark::MACHINE);
        }
    }

    /** Through the given point, then home with the axes named; with no axis named, all of them go home. */
    private function reference(): void
    {
        $words = $this->block->words;
        $through = $this->target($words);
        if ($through !== null) {
            $this->mover->rapid($through);
        }
        $home = $this->mover->at;
        foreach ($this->machine->axisNames as $axis => $letter) {
            if ($through === null || isset($words[$letter])) {
                $home[$axis] = $this->machine->home[$letter] ?? 0.0;
                $this->markAxis($axis, false);
            }
        }
        /** @var list<float> $home */
        $this->mover->rapid($home, Mark::MACHINE);
    }

    /** @param  list<float>  $target */
    private function arc(array $target, bool $clockwise): void
    {
        $plane = $this->modal->plane;
        $first = $this->machine->axisIndex[$plane->first()] ?? null;
        $second = $this->machine->axisIndex[$plane->second()] ?? null;
        if ($first === null || $second === null) {
            return; // the missing axis has been reported
        }
        $words = $this->block->words;
        $at = $this->mover->at;
        $arc = $this->arcs;
        $toFirst = $words[Plane::centreLetter($plane->first())] ?? null;
        $toSecond = $words[Plane::centreLetter($plane->second())] ?? null;
        if ($toFirst !== null || $toSecond !== null) {
            $problem = $arc->fromCentre($at[$first], $at[$second], $target[$first], $target[$second], ($toFirst ?? 0.0) * $this->unit, ($toSecond ?? 0.0) * $this->unit, $clockwise);
        } elseif (isset($words['R'])) {
            $problem = $arc->fromRadius($at[$first], $at[$second], $target[$first], $target[$second], $words['R'] * $this->unit, $clockwise);
        } else {
            $problem = ArcSolver::NO_CENTRE;
        }

        if ($problem === ArcSolver::OK) {
            $this->mover->arc($target, $arc);

            return;
        }
        $this->noticeArc($problem, $target, $first, $second);
        if ($problem === ArcSolver::RADIUS_MISMATCH) {
            $this->mover->arc($target, $arc, Mark::UNCERTAIN);
        } else {
            $this->mover->feed($target, Mark::UNCERTAIN);
        }
    }

    /** @param  list<float>  $target */
    private function noticeArc(string $problem, array $target, int $first, int $second): void
    {
        $at = $this->mover->at;
        $arc = $this->arcs;
        $figures = [];
        if ($problem === ArcSolver::RADIUS_MISMATCH) {
            // The centre that fits: the given one moved square onto the bisector of start and end.
            $chordFirst = $target[$first] - $at[$first];
            $chordSecond = $target[$second] - $at[$second];
            $chord = max(1e-12, $chordFirst ** 2 + $chordSecond ** 2);
            $along = (($arc->centreFirst - $at[$first] - $chordFirst / 2) * $chordFirst + ($arc->centreSecond - $at[$second] - $chordSecond / 2) * $chordSecond) / $chord;
            $figures = [
                'startRadius' => Quantity::length($arc->startRadius),
                'endRadius' => Quantity::length($arc->endRadius),
                'by' => Quantity::length(abs($arc->startRadius - $arc->endRadius)),
                'centerI' => Quantity::length($arc->centreFirst - $along * $chordFirst - $at[$first]),
                'centerJ' => Quantity::length($arc->centreSecond - $along * $chordSecond - $at[$second]),
            ];
        } elseif ($problem === ArcSolver::RADIUS_TOO_SMALL) {
            $chord = hypot($target[$first] - $at[$first], $target[$second] - $at[$second]);
            $figures = ['radius' => Quantity::length($arc->startRadius), 'chord' => Quantity::length($chord), 'least' => Quantity::length($chord / 2)];
        }
        $this->notice($problem, 'G', $figures);
    }

    private function startCycle(Code $code): void
    {
        if ($this->modal->cycle === null) {
            $this->cycles->start($this->mover->at);
        }
        if ($this->modal->cycle !== $code) {
            $this->modal->cycle = $code;
            $this->mover->stateChanged();
        }
    }

    private function endCycle(): void
    {
        if ($this->modal->cycle !== null) {
            $this->modal->cycle = null;
            $this->cycles->forget();
            $this->mover->stateChanged();
        }
    }

    /** @param  bool  $stated whether the block itself says the cycle's code */
    private function cycle(bool $stated): void
    {
        $words = $this->block->words;
        $plane = $this->modal->plane;
        $depth = $plane->normal();
        $axis = $this->machine->axisIndex[$depth] ?? null;
        if ($axis === null) {
            $this->notice('missing-axis', $depth, ['axis' => $depth]);

            return;
        }
        $this->cycles->store($words, $axis, $depth, $this->shift[$axis], $this->scale[$axis], $this->unit);
        if (! $stated && isset($words[$depth]) && $this->cycles->bottomIsAboveR()) {
            $this->notice('cycle-on-at-move', $depth, ['cycle' => $this->modal->cycle?->words() ?? '', 'axis' => $depth]);
        }
        $holes = isset($words[$plane->first()]) || isset($words[$plane->second()]);
        $repeats = (int) min(self::MOST_REPEATS, max(0.0, $words['L'] ?? 1.0));
        if (! $holes || $repeats === 0) {
            return;
        }
        $missing = $this->cycles->missing();
        if ($missing !== []) {
            $this->notice('cycle-word-missing', 'G', ['letter' => implode(' and ', $missing)]);

            return;
        }
        if (($words['L'] ?? 1.0) > self::MOST_REPEATS || $this->cycles->pecks() > self::MOST_REPEATS) {
            $this->notice('runaway', 'G', ['most' => self::MOST_REPEATS]);

            return;
        }
        $places = $words;
        unset($places[$depth]);
        for ($i = 0; $i < $repeats && $this->trace->rows() < self::MOST_ROWS; $i++) {
            $this->cycles->hole($this->target($places) ?? $this->mover->at, $axis);
        }
    }

    private function stop(Code $code): void
    {
        if ($code === Code::OptionalStop && ! $this->setup->optionalStop) {
            return;
        }
        $number = $this->block->m[count($this->block->m) - 1] ?? 0;
        $this->mover->event(MotionKind::STOP, self::codeName('M', $number));
        $this->ended = $code === Code::ProgramEnd;
    }

    private function markAxis(int $axis, bool $tied): void
    {
        $this->mover->axisMarks |= Mark::touched($axis);
        $this->mover->axisMarks = $tied ? $this->mover->axisMarks | Mark::tied($axis) : $this->mover->axisMarks & ~Mark::tied($axis);
    }

    /** Coordinates without a decimal point: whole units, or steps of the least increment where the profile says so. */
    private function bareNumbers(bool $report): void
    {
        $letters = array_filter(str_split($this->block->withoutPoint), static fn (string $letter): bool => str_contains(self::COORDINATES, $letter));
        if ($letters === []) {
            return;
        }
        $letter = reset($letters);
        $value = $this->block->words[$letter];
        $increment = $this->modal->units->leastIncrement();
        if ($report) {
            $this->notice('bare-number', $letter, [
                'word' => $letter.(string) $value,
                'inUnits' => Quantity::length($value * $this->unit),
                'inIncrements' => Quantity::length($value * $increment),
                'readAs' => $this->machine->control->switches->bareNumbers->value,
            ]);
        }
        if ($this->machine->control->switches->bareNumbers === BareNumbers::LeastIncrements) {
            foreach ($letters as $each) {
                $this->block->words[$each] *= $increment / $this->unit;
            }
        }
    }

    private function noticeText(): void
    {
        $given = $this->program->line($this->block->line);
        foreach ($this->reader->problems() as [$problem, $offset, $piece]) {
            $this->trace->notice(new Notice('bad-word', $this->block->line, BlockReader::columnOfOffset($given, $offset), [
                'problem' => $problem->value, 'piece' => mb_strimwidth($piece, 0, 40, '…'),
            ]));
        }
        foreach ($this->reader->repeated() as $letter) {
            $this->notice('repeated-word', $letter, ['letter' => $letter], 2);
        }
    }

    /** @param  array<string, Quantity|string|int>  $figures */
    private function notice(string $kind, string $letter, array $figures = [], int $occurrence = 1): void
    {
        $column = $letter === '' ? 1 : BlockReader::column($this->program->line($this->block->line), $letter, $occurrence);
        $this->trace->notice(new Notice($kind, $this->block->line, $column, $figures));
    }

    /** Which of a block's words with one letter has this number, counted from 1. */
    private function occurrence(string $letter, int $number): int
    {
        $all = $letter === 'G' ? $this->block->g : $this->block->m;

        return (int) array_search($number, $all, true) + 1;
    }

    private static function codeName(string $letter, int $tenths): string
    {
        return $letter.($tenths % 10 === 0 ? (string) intdiv($tenths, 10) : sprintf('%.1f', $tenths / 10));
    }
}
