<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Trace\Trace;

/**
 * A trace written out as plain G0 G1 G2 G3 blocks that make the same motion when they are read again with the same
 * setup. Work offsets, length offsets, tools, speeds, coolant and stops are said where they change.
 */
final class Expand
{
    private readonly Machine $machine;

    private readonly Units $units;

    private ?State $said = null;

    private string $motion = '';

    private float $feed = 0.0;

    private readonly ?int $lengthAxis;

    /** @var array<int, float>|null where the axes stand as written, with what is lifted */
    private ?array $at = null;

    private function __construct(Trace $trace, private readonly Setup $setup, private readonly int $decimals, private readonly float $lift)
    {
        $this->lengthAxis = $trace->axis($setup->machine->lengthAxis());
        $this->machine = $setup->machine;
        $this->units = $trace->end->units;
    }

    /**
     * @param  int|null  $decimals  of every coordinate; null for as many as hold the motion to 1e-6 mm
     * @param  float  $lift  how much higher everything a work offset carries is to run, mm
     * @param  string  $heading  the comment it begins with
     * @return iterable<string> lines without line breaks
     */
    public static function of(Trace $trace, Setup $setup, ?int $decimals = null, float $lift = 0.0, string $heading = 'WRITTEN OUT AS PLAIN MOVES - PROVE IT OUT BEFORE CUTTING'): iterable
    {
        $expand = new self($trace, $setup, $decimals ?? ($trace->end->units === Units::Inch ? 9 : 7), $lift);
        yield '%';
        yield "({$heading})";
        yield $expand->codes($expand->units === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre, Code::PlaneXY, Code::CutterOff, Code::LengthOff, Code::CycleOff, Code::Absolute, Code::FeedPerMinute);
        foreach ($trace->each() as $row) {
            yield from $row->moves() ? $expand->move($row) : $expand->event($row);
        }
        yield '%';
    }

    /** @return iterable<string> */
    private function move(Row $row): iterable
    {
        $state = $row->state;
        yield from $this->offsets($state);
        $shift = $this->shift($state);
        $code = $this->codes(match (true) {
            $row->arc !== null => $row->arc[2] < 0 ? Code::ArcClockwise : Code::ArcCounterClockwise,
            default => $row->kind === MotionKind::RAPID ? Code::Rapid : Code::Feed,
        });
        $words = $code === $this->motion ? '' : $code;
        $lifted = $this->lengthAxis !== null && ($row->marks & Mark::tied($this->lengthAxis)) !== 0 ? $this->lift : 0.0;
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
            // The centre counts from the start of the arc, which is lifted with it.
            $words .= $this->centre($state, $row->from, $row->arc[0], $row->arc[1]);
            $turns = (int) ceil(abs($row->arc[2]) / 360 - 1e-9);
            $words .= $turns > 1 ? ' '.$this->machine->control->words->arcTurns.$turns : '';
        }
        if ($row->kind !== MotionKind::RAPID && $row->feed !== $this->feed) {
            $this->feed = $row->feed;
            $words .= ' F'.$this->number($this->feed / $this->units->millimetres());
        }
        $this->motion = $code;
        yield ltrim($words);
    }

    /** @return iterable<string> */
    private function event(Row $row): iterable
    {
        $state = $row->state;
        $detail = $row->detail ?? '';
        yield match ($row->kind) {
            MotionKind::TOOL => sprintf('T%d ', $state->tool).$this->codes(Code::ToolChange),
            MotionKind::STOP => (string) $detail,
            MotionKind::SPINDLE => $state->spindleTurn === 0 ? $this->codes(Code::SpindleStop) : 'S'.$this->bare($state->rpm).' '.$this->codes($state->spindleTurn > 0 ? Code::SpindleClockwise : Code::SpindleCounterClockwise),
            MotionKind::COOLANT => $this->coolant($state),
            default => $this->codes(Code::Dwell).' '.$this->machine->control->words->dwell.$this->bare((float) $detail * ($this->machine->control->switches->dwellUnit === DwellUnit::Milliseconds ? 1000 : 1)),
        };
    }

    /** The codes of some functions on this control; what it has none for is left out. */
    private function codes(Code ...$functions): string
    {
        return implode(' ', array_filter(array_map($this->machine->control->codeOf(...), $functions)));
    }

    private function coolant(State $state): string
    {
        $on = array_filter([$state->flood ? Code::FloodOn : null, $state->mist ? Code::MistOn : null]);

        return $this->codes(...$on === [] ? [Code::CoolantOff] : $on);
    }

    private function workOffset(string $name): string
    {
        $control = $this->machine->control;
        $number = array_search($name, $control->workOffsets, true);
        if ($number !== false) {
            return $control::written('G', $number);
        }

        return $this->codes(Code::ExtendedWorkOffset).' '.$control->words->extendedOffset.substr($name, (int) strpos($name, 'P') + 1);
    }

    /** @return iterable<string> */
    private function offsets(State $state): iterable
    {
        $said = $this->said;
        if ($state === $said) {
            return;
        }
        $this->said = $state;
        if ($said === null || $said->work !== $state->work) {
            yield $this->workOffset($state->work);
        }
        if (($said->plane ?? Plane::XY) !== $state->plane) {
            yield $this->codes(['XY' => Code::PlaneXY, 'ZX' => Code::PlaneZX, 'YZ' => Code::PlaneYZ][$state->plane->value]);
        }
        if (($said->lengthNumber ?? 0) !== $state->lengthNumber || ($state->lengthSinceToolChange && ! ($said->lengthSinceToolChange ?? false))) {
            yield $state->lengthNumber === 0 ? $this->codes(Code::LengthOff) : $this->codes(Code::LengthAdd).' '.$this->machine->control->words->lengthNumber.$state->lengthNumber;
        }
    }

    /**
     * Axis position of zero as the setup has its offsets: what the program changed about them is in the places written.
     *
     * @return list<float>
     */
    private function shift(State $state): array
    {
        $work = $this->machine->ordered($this->setup->workOffsets[$state->work] ?? []);
        $length = ($this->setup->lengthOffsets[$state->lengthNumber] ?? null)?->total() ?? 0.0;
        $axis = $this->machine->axisIndex[$this->machine->lengthAxis()] ?? null;
        if ($axis !== null && $state->lengthNumber !== 0) {
            $work[$axis] += $length;
        }

        /** @var list<float> */
        return $work;
    }

    /** @param  array<int, float>  $from */
    private function centre(State $state, array $from, float $first, float $second): string
    {
        $a = $state->plane->first();
        $b = $state->plane->second();

        return sprintf(
            ' %s%s %s%s',
            $state->plane::centreLetter($a), $this->length($first - $from[$this->machine->axisIndex[$a]]),
            $state->plane::centreLetter($b), $this->length($second - $from[$this->machine->axisIndex[$b]]),
        );
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
