<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\SystemVariable;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Units;

/** What a program may ask its control: positions, offsets, tool, modes, by the parameter numbers of the profile. */
final readonly class SystemVariables
{
    /** Axes in the order of their parameters (NISTIR 6556). */
    private const AXES = [...AxisName::LINEAR, ...AxisName::ROTARY, ...AxisName::SECOND];

    /** Parameters from one work offset to the next (NISTIR 6556: 5221, 5241, …). */
    private const OFFSET_STEP = 20;

    /** Below are the program's own (common practice): most assignments are to one of those. */
    public const FIRST = 1000;

    private Timers $timers;

    public function __construct(private Context $context, private Offsets $offsets)
    {
        $this->timers = new Timers;
    }

    /** In the units in force; null where the number stands for nothing. */
    public function value(int $number): ?float
    {
        $found = $this->find($number);

        return $found === null ? null : $this->read(...$found);
    }

    /** What tells the number only while the machine runs, probe or timer; null for all others. */
    public function measuredBy(int $number): ?string
    {
        return match ($this->find($number)[0] ?? null) {
            SystemVariable::ProbePosition => 'probe',
            SystemVariable::Timer => 'timer',
            default => null,
        };
    }

    /** What the control does, beside keeping the value, where a number is given one; null where that is nothing. */
    public function acts(int $number): ?SystemVariable
    {
        $what = $this->find($number)[0] ?? null;

        return in_array($what, [SystemVariable::Alarm, SystemVariable::MessageStop], true) ? $what : null;
    }

    /**
     * Gives an offset another value, in the units in force, or a timer.
     *
     * @return bool whether the number is one of those
     */
    public function put(int $number, float $value): bool
    {
        [$what, $index] = $this->find($number) ?? [null, 0];
        if ($what === SystemVariable::Timer) {
            $this->timers->set($index, $value);

            return true;
        }
        if ($what === SystemVariable::LengthOffsets) {
            $this->offsets->putLength($index + 1, $value * $this->context->unit);

            return true;
        }
        $axis = $this->context->machine->axisIndex[self::AXES[$index % self::OFFSET_STEP] ?? ''] ?? null;

        return $what === SystemVariable::WorkOffsets && $axis !== null
            && $this->offsets->putWork(1 + intdiv($index, self::OFFSET_STEP), $axis, $value * $this->context->scale[$axis]);
    }

    /** @return array{SystemVariable, int}|null what a number stands for, and the how-manieth of it, from 0 */
    private function find(int $number): ?array
    {
        foreach ($number < self::FIRST ? [] : $this->context->machine->control->systemVariables as [$first, $last, $what]) {
            if ($number >= $first && $number <= $last) {
                return [$what, $number - $first];
            }
        }

        return null;
    }

    /** Equal for two moments at which the same is in force at the same place. */
    public function fingerprint(): string
    {
        return serialize([$this->context->modal->snapshot(), $this->context->modal->motion, $this->offsets->programPosition(), $this->context->recorder->at])
            .$this->timers->fingerprint();
    }

    private function read(SystemVariable $what, int $index): ?float
    {
        return match ($what) {
            SystemVariable::Position => $this->onAxis($index, fn (int $axis): float => $this->offsets->programPosition()->on($axis)),
            SystemVariable::MachinePosition => $this->onAxis($index, fn (int $axis): float => $this->context->recorder->at[$axis]),
            SystemVariable::ProbePosition => $this->probed($index),
            SystemVariable::Home => $this->onAxis($index, fn (int $axis, string $name): float => $this->context->machine->home[$name]),
            SystemVariable::SecondHome => $this->onAxis($index, fn (int $axis, string $name): float => $this->context->machine->secondHome[$name] ?? 0.0),
            SystemVariable::Shift => $this->onAxis($index, fn (int $axis): float => $this->offsets->localShift()[$axis]),
            SystemVariable::WorkOffsets => $this->onAxis(
                $index % self::OFFSET_STEP, fn (int $axis): float => $this->offsets->workOffset(1 + intdiv($index, self::OFFSET_STEP))[$axis],
            ),
            SystemVariable::LengthOffsets => ($this->offsets->length($index + 1)?->total() ?? 0.0) / $this->context->unit,
            SystemVariable::Timer => $this->timed($index),
            default => $this->inForce($what, $this->context->modal),
        };
    }

    private function timed(int $index): float
    {
        $this->context->noticeOnce('timer-read');

        return $this->timers->look($index);
    }

    /** Null before the first probe move. */
    private function probed(int $index): ?float
    {
        $probed = $this->context->probed;
        if ($probed !== null) {
            $this->context->noticeOnce('probe-read');
        }

        return $probed === null ? null : $this->onAxis($index, static fn (int $axis): float => $probed->on($axis));
    }

    private function inForce(SystemVariable $what, ModalState $modal): ?float
    {
        return match ($what) {
            SystemVariable::WorkOffsetNumber => (float) $this->offsets->workNumber($modal->work->name),
            SystemVariable::Tool => (float) $modal->tool,
            SystemVariable::Speed => $modal->spindle->rpm,
            SystemVariable::Feed => $modal->modes->feedMode === Code::InverseTime ? $modal->feedWord : $modal->feedWord / $this->context->unit,
            SystemVariable::LengthNumber => (float) $modal->length->number,
            SystemVariable::CutterNumber => (float) $modal->cutter->number,
            SystemVariable::WorkOffsetCode => $this->workOffsetCode($modal->work->name),
            default => $this->codeNumber($this->codeInForce($what, $modal)),
        };
    }

    private function codeInForce(SystemVariable $what, ModalState $modal): ?Code
    {
        $modes = $modal->modes;

        return match ($what) {
            SystemVariable::MotionCode => $modal->cycle ?? $modal->motion,
            SystemVariable::PlaneCode => $modes->plane->code(),
            SystemVariable::DistanceCode => $modes->absolute ? Code::Absolute : Code::Incremental,
            SystemVariable::UnitsCode => $modes->units === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre,
            SystemVariable::FeedModeCode => $modes->feedMode,
            SystemVariable::CutterCode => [-1 => Code::CutterRight, 0 => Code::CutterOff, 1 => Code::CutterLeft][$modal->cutter->side],
            SystemVariable::LengthCode => $modal->length->code(),
            SystemVariable::CycleCode => $modal->cycle ?? Code::CycleOff,
            SystemVariable::ReturnCode => $modes->returnToInitial ? Code::ReturnInitial : Code::ReturnR,
            default => null,
        };
    }

    /** 54.1 for every extended one. */
    private function workOffsetCode(string $name): ?float
    {
        $number = array_search($name, $this->context->machine->control->workOffsets, true);

        return $number === false ? $this->codeNumber(Code::ExtendedWorkOffset) : $number / 10;
    }

    /** @param  callable(int, string): float  $value  mm or degrees */
    private function onAxis(int $index, callable $value): ?float
    {
        $name = self::AXES[$index] ?? '';
        $axis = $this->context->machine->axisIndex[$name] ?? null;
        if ($axis === null) {
            return isset(self::AXES[$index]) ? 0.0 : null;
        }

        return $value($axis, $name) / $this->context->scale[$axis];
    }

    private function codeNumber(?Code $code): ?float
    {
        return $code === null ? null : (array_search($code, $this->context->machine->control->gCodes, true) ?: 0) / 10;
    }
}
