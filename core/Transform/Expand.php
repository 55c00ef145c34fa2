<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Trace\SpindleState;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\ThreadDetail;
use OakTrace\Core\Trace\Trace;

/**
 * A trace written out as plain G0 G1 G2 G3 blocks that make the same motion when they are read again with the same
 * setup. Work offsets, length offsets, tools, speeds, coolant and stops are said where they change.
 */
final class Expand
{
    /** How far the ends of an arc may lie at different radii to be read by any control, mm: half of what is usual. */
    private const WELL_READ = 0.001;

    private readonly Machine $machine;

    private readonly Units $units;

    private ?State $said = null;

    private string $motion = '';

    private float $feed = 0.0;

    private Code $feedMode = Code::FeedPerMinute;

    /** Surface speed and clamp as said. */
    private ?float $surface = null;

    private ?float $limit = null;

    private ?bool $tailstockIn = null;

    private bool $catcherOut = false;

    private bool $partHeld = false;

    /** Whether the spindle of the part turns. */
    private bool $partTurns = false;

    /** Number of the turning offset as said. */
    private int $offset = 0;

    private readonly ?int $lengthAxis;

    /** @var array<int, float>|null where the axes stand as written, with what is lifted */
    private ?array $at = null;

    /** Whether the height the tool stands at is the part's, by whatever offset it came there, and not the machine's own. */
    private bool $isCarried = false;

    /** Greatest height of what is lifted, axis position as the program has it. */
    private float $highest = -INF;

    private function __construct(private readonly Trace $trace, private readonly Setup $setup, private readonly int $decimals, private readonly float $lift)
    {
        $this->lengthAxis = $trace->axis($setup->machine->lengthAxis());
        $this->machine = $setup->machine;
        $this->units = $trace->end->modes->units;
    }

    /**
     * @param  int|null  $decimals  of every coordinate; null for as many as hold the motion to 1e-6 mm
     * @return iterable<string> lines without line breaks
     */
    public static function of(Trace $trace, Setup $setup, ?int $decimals = null): iterable
    {
        $expand = new self($trace, $setup, $decimals ?? ($trace->end->modes->units === Units::Inch ? 9 : 7), 0.0);
        yield '%';
        yield '(WRITTEN OUT AS PLAIN MOVES - PROVE IT OUT BEFORE CUTTING)';
        yield $expand->head();
        foreach ($trace->each() as $row) {
            yield from $row->moves() ? $expand->move($row) : $expand->event($row);
        }
        yield '%';
    }

    /**
     * The same higher up, to be run with nothing to cut: no coolant, and a spindle that does not turn back inside of cycles.
     * Lifted is what stands where it does because of the part, whichever work offset took it there; the machine's own places stay.
     *
     * @param  float  $lift  mm
     * @param  string  $heading  the comment it begins with
     * @return iterable<int, string> lines without line breaks, each under the place it comes from, 0 for what comes from none
     */
    public static function lifted(Trace $trace, Setup $setup, float $lift, string $heading): iterable
    {
        $expand = new self($trace, $setup, $trace->end->modes->units->decimals(), $lift);
        yield 0 => '%';
        $number = $trace->sources->main->programNumbers()[0][0] ?? null;
        if ($number !== null) {
            yield 0 => sprintf('O%04d', $number);
        }
        yield 0 => "({$heading})";
        yield 0 => $expand->head();
        foreach ($trace->each() as $row) {
            if ($row->moves()) {
                $lines = $expand->move($row);
            } elseif ($row->kind === MotionKind::COOLANT || ($row->kind === MotionKind::SPINDLE && ($row->marks & Mark::CYCLE) !== 0)) {
                continue;
            } else {
                $lines = $expand->event($row);
            }
            foreach ($lines as $line) {
                yield $row->line => $row->kind === MotionKind::TOOL ? $line.$expand->toolName($row->state->tool) : $line;
            }
        }
        yield 0 => '%';
    }

    /** The greatest lift with which nothing leaves the travel upwards, mm; INF where nothing is lifted or there is no limit. */
    public static function mostLift(Trace $trace, Setup $setup): float
    {
        $expand = new self($trace, $setup, 0, 0.0);
        foreach ($trace->each() as $row) {
            if ($row->moves()) {
                $expand->liftOf($row);
            }
        }
        $limit = $setup->machine->axes[$setup->machine->lengthAxis()]->max ?? INF;

        return $expand->highest === -INF ? INF : $limit - $expand->highest;
    }

    private function head(): string
    {
        return $this->codes(
            $this->units === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre, $this->machine->control->defaultPlane->code(), Code::CutterOff,
            Code::LengthOff, Code::CycleOff, Code::Absolute, $this->feedMode,
        );
    }

    private function toolName(int $number): string
    {
        $name = strtoupper((string) preg_replace('/[^\x20-\x7e]|[()]/', ' ', $this->setup->tooling->tools[$number]->name ?? ''));

        return trim($name) === '' ? '' : ' ('.trim((string) preg_replace('/ +/', ' ', $name)).')';
    }

    /** How much higher a row is to run. */
    private function liftOf(Row $row): float
    {
        if ($this->lengthAxis === null) {
            return 0.0;
        }
        $rises = $row->to[$this->lengthAxis] !== $row->from[$this->lengthAxis];
        if (($row->marks & Mark::tied($this->lengthAxis)) !== 0) {
            $this->isCarried = true;
        } elseif ($rises) {
            // An increment from the machine's own place leads to the part as any word does.
            $this->isCarried = ($row->marks & Mark::MACHINE) === 0;
        }
        if (! $this->isCarried) {
            return 0.0;
        }
        $this->highest = max($this->highest, $row->to[$this->lengthAxis]);

        return $this->lift;
    }

    /** @return iterable<string> */
    private function move(Row $row): iterable
    {
        $state = $row->state;
        yield from $this->offsets($state);
        yield from $this->modes($row);
        $shift = $this->shift($state);
        $isThread = ($row->marks & Mark::THREAD) !== 0;
        $thread = ThreadDetail::of($isThread ? $row->detail : null);
        $code = $this->codes(match (true) {
            $isThread => $thread->code(),
            $row->arc !== null => $row->arc->sweep < 0 ? Code::ArcClockwise : Code::ArcCounterClockwise,
            default => $row->kind === MotionKind::RAPID ? Code::Rapid : Code::Feed,
        });
        $words = $code === $this->motion ? '' : $code;
        $lifted = $this->liftOf($row);
        $from = $this->at ?? $row->from;
        $to = $row->to;
        if ($this->lengthAxis !== null) {
            $to[$this->lengthAxis] += $lifted;
        }
        $this->at = $to;
        foreach ($this->machine->axisNames as $axis => $name) {
            if ($to[$axis] !== $from[$axis]) {
                $words .= ' '.$name.$this->axisValue($axis, $name, $to[$axis] - $shift[$axis]);
            }
        }
        if ($row->arc !== null) {
            if ($this->isTooSmallToWrite($row)) {
                return;
            }
            // The centre counts from the start of the arc, which is lifted with it.
            $words .= $this->center($row, $row->arc->first, $row->arc->second, $shift);
            $turns = (int) ceil(abs($row->arc->sweep) / 360 - 1e-9);
            $words .= $turns > 1 ? ' '.$this->machine->control->letters->arcTurns.$turns : '';
        }
        $feed = $isThread ? $this->lead($row, $thread) : $row->feed;
        if ($row->kind !== MotionKind::RAPID && $feed !== $this->feed) {
            $this->feed = $feed;
            $words .= ' F'.$this->number($this->feed / $this->units->millimetres());
        }
        $words .= $this->threadWords($thread);
        $this->motion = $code;
        yield ltrim($words);
    }

    /** @return iterable<string> */
    private function event(Row $row): iterable
    {
        $state = $row->state;
        $detail = $row->detail ?? '';
        yield from $this->held($state);
        if ($row->kind === MotionKind::TOOL) {
            $this->feed = 0.0; // each tool says its own
        }
        yield match ($row->kind) {
            MotionKind::TOOL => $this->toolWord($state),
            MotionKind::STOP => (string) $detail,
            MotionKind::SPINDLE => is_string($row->detail) ? $this->second($state, Code::from($row->detail)) : $this->spindle($state->spindle),
            MotionKind::COOLANT => $this->coolant($state),
            default => $this->codes(Code::Dwell).' '.$this->machine->control->letters->dwell.$this->bare(
                (float) $detail * ($this->machine->control->options->dwellUnit === DwellUnit::Milliseconds ? 1000 : 1),
            ),
        };
    }

    private function second(State $state, Code $function): string
    {
        $speed = in_array($function, [Code::SecondClockwise, Code::SecondCounterClockwise], true) ? 'S'.$this->bare($state->modes->second->rpm ?? 0.0).' ' : '';

        return $speed.$this->codes($function);
    }

    /** @return iterable<string> the code of the C axis, where that is switched: before a spindle turns */
    private function held(State $state): iterable
    {
        if ($state->modes->partHeld !== $this->partHeld) {
            $this->partHeld = $state->modes->partHeld;
            yield $this->codes($this->partHeld ? Code::PartHeld : Code::PartTurns);
        }
    }

    private function spindle(SpindleState $spindle): string
    {
        if ($spindle->turn === 0) {
            $this->partTurns = $spindle->isDriven() && $this->partTurns;

            return $this->codes($spindle->isDriven() ? Code::DrivenStop : Code::SpindleStop);
        }
        $this->partTurns = ! $spindle->isDriven() || $this->partTurns;
        $before = $this->surface;
        $this->surface = $spindle->surfaceSpeed;
        $turn = $this->codes(match (true) {
            $spindle->isDriven() => $spindle->turn > 0 ? Code::DrivenClockwise : Code::DrivenCounterClockwise,
            default => $spindle->turn > 0 ? Code::SpindleClockwise : Code::SpindleCounterClockwise,
        });
        if ($spindle->surfaceSpeed === null) {
            return ($before === null ? '' : $this->codes(Code::SpindleSpeed).' ').'S'.$this->bare($spindle->rpm).' '.$turn;
        }

        return $this->codes(Code::SurfaceSpeed).' S'.$this->bare($spindle->surfaceSpeed / ($this->units === Units::Inch ? 304.8 : 1000)).' '.$turn;
    }

    /** T alone with M6, or station and offset in one number, or the offset in D. */
    private function toolWord(State $state): string
    {
        $word = $this->machine->control->options->turning->toolWord;
        $digits = $word->offsetDigits();
        $this->offset = $digits === null ? $this->offset : $state->length->number;

        return $digits === null ? sprintf('T%d ', $state->tool).$this->codes(Code::ToolChange)
            : sprintf($word === ToolWord::WithD ? 'T%d D%d' : "T%d%0{$digits}d", $state->tool, $state->length->number)
                .rtrim(' '.$this->codes(Code::ToolChange));
    }

    /**
     * Clamp, kind of speed and kind of feed, where they are not as they were said.
     *
     * @return iterable<string>
     */
    private function modes(Row $row): iterable
    {
        $spindle = $row->state->spindle;
        if ($spindle->limit !== null && $spindle->limit !== $this->limit) {
            yield $this->codes(Code::SetPosition).' S'.$this->bare($spindle->limit);
        }
        if ($spindle->surfaceSpeed !== $this->surface && $spindle->turn !== 0) {
            yield $this->spindle($spindle);
        }
        $this->limit = $spindle->limit ?? $this->limit;
        $tailstock = $row->state->modes->tailstockIn;
        if ($tailstock !== null && $tailstock !== $this->tailstockIn) {
            $this->tailstockIn = $tailstock;
            yield $this->codes($tailstock ? Code::TailstockIn : Code::TailstockOut);
        }
        if ($row->state->modes->catcherOut !== $this->catcherOut) {
            $this->catcherOut = $row->state->modes->catcherOut;
            yield $this->codes($this->catcherOut ? Code::CatcherOut : Code::CatcherBack);
        }
        if ($spindle->isDriven() && $spindle->ofPart()->turn === 0 && $this->partTurns) {
            $this->partTurns = false;
            yield $this->codes(Code::SpindleStop);
        }
        yield from $this->held($row->state);
        $isThread = ($row->marks & Mark::THREAD) !== 0;
        $mode = $row->state->feedsByTurn() || $isThread ? Code::FeedPerRevolution : Code::FeedPerMinute;
        if ($row->kind !== MotionKind::RAPID && $mode !== $this->feedMode) {
            $this->feedMode = $mode;
            $this->feed = 0.0;
            yield $this->codes($mode);
        }
    }

    /** Lead of a thread, mm, as F says it. */
    private function lead(Row $row, ThreadDetail $thread): float
    {
        $rpm = $row->state->spindle->rpm;

        return match (true) {
            $thread->change !== 0.0 => $thread->lead,
            default => $rpm <= 0.0 ? 0.0 : $row->feed / $rpm * $this->machine->leadShare($row->from, $row->to),
        };
    }

    /** What a pass of a thread says beside its end and lead. */
    private function threadWords(ThreadDetail $thread): string
    {
        return ($thread->change === 0.0 ? '' : ' K'.$this->number(abs($thread->change) / $this->units->millimetres()))
            .($thread->angle === 0.0 ? '' : ' Q'.$this->number($thread->angle));
    }

    /** The codes of some functions on this control; what it has none for is left out. */
    private function codes(Code ...$functions): string
    {
        return implode(' ', array_filter(array_map($this->machine->control->codeOf(...), $functions)));
    }

    private function coolant(State $state): string
    {
        $on = array_filter([$state->coolant->flood ? Code::FloodOn : null, $state->coolant->mist ? Code::MistOn : null]);

        return $this->codes(...$on === [] ? [Code::CoolantOff] : $on);
    }

    private function workOffset(string $name): string
    {
        $control = $this->machine->control;
        $number = array_search($name, $control->workOffsets, true);
        if ($number !== false) {
            return $control::written('G', $number);
        }

        return $this->codes(Code::ExtendedWorkOffset).' '.$control->letters->extendedOffset.substr($name, (int) strpos($name, 'P') + 1);
    }

    /** @return iterable<string> */
    private function offsets(State $state): iterable
    {
        $said = $this->said;
        if ($state === $said) {
            return;
        }
        $this->said = $state;
        if ($said === null || $said->work->name !== $state->work->name) {
            yield $this->workOffset($state->work->name);
        }
        if (($said->modes->plane ?? $this->machine->control->defaultPlane) !== $state->modes->plane) {
            yield $this->codes($state->modes->plane->code());
        }
        if ($this->machine->isLathe()) {
            if ($state->length->number !== $this->offset && $state->tool !== 0) {
                yield $this->toolWord($state);
            }
        } elseif (($said->length->number ?? 0) !== $state->length->number || ($state->length->sinceToolChange && ! ($said->length->sinceToolChange ?? false))) {
            yield $state->length->number === 0
                ? $this->codes(Code::LengthOff)
                : $this->codes(Code::LengthAdd).' '.$this->machine->control->letters->lengthNumber.$state->length->number;
        }
    }

    /**
     * Axis position of zero as the setup has its offsets: what the program changed about them is in the places written.
     *
     * @return list<float>
     */
    private function shift(State $state): array
    {
        $work = $this->machine->ordered($this->setup->workOffsets[$state->work->name] ?? []);
        $turning = $this->setup->turningOffset($state->tool, $state->length->number);
        if ($this->machine->isLathe()) {
            $shift = $this->machine->ordered(array_map(static fn (Offset $offset): float => $offset->total(), $turning->axes ?? []));

            return array_map(static fn (float $zero, float $own): float => $zero + $own, $work, $shift);
        }
        $length = ($this->setup->tooling->lengthOffsets[$state->length->number] ?? null)?->total() ?? 0.0;
        $axis = $this->machine->axisIndex[$this->machine->lengthAxis()] ?? null;
        if ($axis !== null && $state->length->number !== 0) {
            $work[$axis] += $length;
        }

        /** @var list<float> */
        return $work;
    }

    /** An arc whose ends are the same place as written would be read as a whole turn. */
    private function isTooSmallToWrite(Row $row): bool
    {
        if ($row->arc === null || abs($row->arc->sweep) > 180.0) {
            return false;
        }
        foreach ([$row->state->modes->plane->first(), $row->state->modes->plane->second()] as $axis) {
            $column = $this->machine->axisIndex[$axis];
            if ($this->rounded($row->to[$column]) !== $this->rounded($row->from[$column])) {
                return false;
            }
        }

        return true;
    }

    /**
     * The centre counted from the start as written. The figures have few decimals on some files: of the points around the centre
     * the one is taken that lies as far from both ends as they are written.
     *
     * @param  list<float>  $shift
     */
    private function center(Row $row, float $first, float $second, array $shift): string
    {
        $plane = $row->state->modes->plane;
        [$a, $b] = [$this->machine->axisIndex[$plane->first()], $this->machine->axisIndex[$plane->second()]];
        $exact = [$first - $row->from[$a], $second - $row->from[$b]];
        $way = [
            $this->rounded($row->to[$a] - $shift[$a]) - $this->rounded($row->from[$a] - $shift[$a]),
            $this->rounded($row->to[$b] - $shift[$b]) - $this->rounded($row->from[$b] - $shift[$b]),
        ];
        $step = $this->units->millimetres() / 10 ** $this->decimals;
        $best = $exact;
        $least = INF;
        foreach ([0, -1, 1] as $i) {
            foreach ([0, -1, 1] as $j) {
                $at = [$this->rounded($exact[0]) + $i * $step, $this->rounded($exact[1]) + $j * $step];
                $off = abs(hypot(...$at) - hypot($at[0] - $way[0], $at[1] - $way[1]));
                if ($off < $least && $least > self::WELL_READ) {
                    [$best, $least] = [$at, $off];
                }
            }
        }

        return sprintf(
            ' %s%s %s%s', $plane::centerLetter($plane->first()), $this->length($best[0]), $plane::centerLetter($plane->second()),
            $this->length($best[1]),
        );
    }

    /** A length as it comes out when it has been written and read again. */
    private function rounded(float $millimetres): float
    {
        return round($millimetres / $this->units->millimetres(), $this->decimals) * $this->units->millimetres();
    }

    private function axisValue(int $axis, string $name, float $value): string
    {
        if ($this->machine->axes[$name]->isRotary()) {
            return $this->number($value);
        }

        return $this->length($this->machine->axes[$name]->isDiameter ? 2 * $value : $value);
    }

    private function length(float $millimetres): string
    {
        return $this->number($millimetres / $this->units->millimetres());
    }

    /** A number with its point and no more zeros than it needs. */
    private function number(float $value): string
    {
        $text = rtrim(sprintf('%.'.$this->decimals.'F', $value), '0');

        return $text === '-0.' ? '0.' : $text;
    }

    /** A number without a point where it is whole. */
    private function bare(float $value): string
    {
        return rtrim(rtrim(sprintf('%.4F', $value), '0'), '.');
    }
}
