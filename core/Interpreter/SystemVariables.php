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

    public function __construct(private Context $context, private Offsets $offsets)
    {
    }

    /** In the units in force; null where the number stands for nothing. */
    public function value(int $number): ?float
    {
        foreach ($this->context->machine->control->systemVariables as [$first, $last, $what]) {
            if ($number >= $first && $number <= $last) {
                return $this->read($what, $number - $first);
            }
        }

        return null;
    }

    /** Equal for two moments at which the same is in force at the same place. */
    public function fingerprint(): string
    {
        return serialize([$this->context->modal->snapshot(), $this->context->modal->motion, $this->offsets->programPosition(), $this->context->recorder->at]);
    }

    private function read(SystemVariable $what, int $index): ?float
    {
        return match ($what) {
            SystemVariable::Position => $this->onAxis($index, fn (int $axis): float => $this->offsets->programPosition()->on($axis)),
            SystemVariable::MachinePosition => $this->onAxis($index, fn (int $axis): float => $this->context->recorder->at[$axis]),
            SystemVariable::Home => $this->onAxis($index, fn (int $axis, string $name): float => $this->context->machine->home[$name] ?? 0.0),
            SystemVariable::SecondHome => $this->onAxis($index, fn (int $axis, string $name): float => $this->context->machine->secondHome[$name] ?? 0.0),
            SystemVariable::Shift => $this->onAxis($index, fn (int $axis): float => $this->offsets->localShift()[$axis]),
            SystemVariable::WorkOffsets => $this->onAxis(
                $index % self::OFFSET_STEP, fn (int $axis): float => $this->offsets->workOffset(1 + intdiv($index, self::OFFSET_STEP))[$axis],
            ),
            SystemVariable::LengthOffsets => ($this->offsets->length($index + 1)?->total() ?? 0.0) / $this->context->unit,
            default => $this->inForce($what, $this->context->modal),
        };
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
            SystemVariable::MotionCode => $this->codeNumber($modal->cycle ?? $modal->motion),
            SystemVariable::PlaneCode => $this->codeNumber($modal->modes->plane->code()),
            SystemVariable::DistanceCode => $this->codeNumber($modal->modes->absolute ? Code::Absolute : Code::Incremental),
            SystemVariable::UnitsCode => $this->codeNumber($modal->modes->units === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre),
            default => null,
        };
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

    private function codeNumber(Code $code): float
    {
        return (array_search($code, $this->context->machine->control->gCodes, true) ?: 0) / 10;
    }
}
