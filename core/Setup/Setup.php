<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;

/** One clamping of a part on one machine. Lengths in millimetres; $units says what its file is written in. */
final readonly class Setup
{
    /**
     * @param  array<string, float>  $start  machine coordinates by axis name
     * @param  array<string, array<string, float>>  $workOffsets  code => axis name => machine coordinate of zero
     * @param  array<string, RotaryCenter>  $rotaryCenters  by axis name
     * @param  array<string, LoweredSeverity>  $lowered  check => why its cautions are notes here
     * @param  array<string, UntrustedOffset>  $notTrusted  H2, D2 or G54 => why it is not to be relied on
     * @param  array<string, string>  $places  work offset => the usual place of the machine it is at
     */
    public function __construct(
        public Units $units,
        public Machine $machine,
        public array $start,
        public array $workOffsets,
        public array $rotaryCenters,
        public Tooling $tooling,
        public Workpiece $workpiece,
        public Workholding $workholding,
        public ProgramInputs $inputs,
        public Margins $margins,
        public array $lowered = [],
        public ?Proof $proof = null,
        public array $notTrusted = [],
        public array $places = [],
        public OnMachine $onMachine = new OnMachine,
    ) {
    }

    /** @return list<Stock> every piece that is clamped, the first one first */
    public function stocks(): array
    {
        return $this->workpiece->stock === null ? [] : [$this->workpiece->stock, ...$this->workpiece->moreStock];
    }

    /** Where the zero of a work offset lies in the machine; at its own where the offset is not set. */
    public function zero(string $workOffset): Shift
    {
        $zero = $this->workOffsets[$workOffset] ?? [];

        return new Shift($zero[AxisName::X] ?? 0.0, $zero[AxisName::Y] ?? 0.0, $zero[AxisName::Z] ?? 0.0);
    }

    /** Where a rotary axis turns, in the coordinates of a work offset. */
    public function centerFrom(RotaryCenter $center, string $workOffset): PartPoint
    {
        return $center->point()->plus($this->zero($center->workOffset))->minus($this->zero($workOffset));
    }

    /** The offset of a turning tool that is in force with a station in and a number called; null where it is not set, or none is. */
    public function turningOffset(int $station, int $number): ?TurningOffset
    {
        return TurningOffset::inForce($this->tooling->turningOffsets, $station, $number, $this->machine->control->options->turning->offsetCarries);
    }

    /** The same machine with nothing clamped on it. */
    public function emptied(): self
    {
        return $this->with(
            workpiece: new Workpiece(material: $this->workpiece->material, target: $this->workpiece->target),
            workholding: new Workholding($this->workholding->grip),
        );
    }

    /**
     * The same with some of it changed; null leaves a value as it is.
     *
     * @param  array<string, array<string, float>>|null  $workOffsets
     * @param  array<string, RotaryCenter>|null  $rotaryCenters
     */
    public function with(
        ?array $workOffsets = null, ?array $rotaryCenters = null, ?Tooling $tooling = null, ?Workpiece $workpiece = null,
        ?Workholding $workholding = null, ?Proof $proof = null,
    ): self {
        return new self(
            $this->units, $this->machine, $this->start, $workOffsets ?? $this->workOffsets, $rotaryCenters ?? $this->rotaryCenters, $tooling ?? $this->tooling,
            $workpiece ?? $this->workpiece, $workholding ?? $this->workholding, $this->inputs, $this->margins, $this->lowered, $proof ?? $this->proof,
            $this->notTrusted, $this->places, $this->onMachine,
        );
    }
}
