<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** A tool of the setup; lengths in millimetres, angles in degrees, speeds in rev/min. Null means not stated. */
final readonly class Tool
{
    /**
     * @param  array{float, float}|null  $feedPerTooth  least and greatest, mm
     * @param  array{float, float}|null  $surfaceSpeed  least and greatest, m/min
     * @param  list<array{diameter: float, length: float|null}>  $holder  its steps from the tool's end on; the length of the last may be open
     * @param  bool|null  $isCarbide  solid carbide, or high-speed steel
     * @param  array<string, mixed>  $more  fields of the file this version has no use for, kept for writing back
     */
    public function __construct(
        public int $number,
        public string $name,
        public ToolKind $kind,
        public ?float $diameter = null,
        public ?float $maxRpm = null,
        public ?float $pointAngle = null,
        public ?float $pitch = null,
        public ?string $hand = null,
        public ?string $coolant = null,
        public ?int $flutes = null,
        public ?float $stickout = null,
        public ?float $maxAxialDepth = null,
        public ?array $feedPerTooth = null,
        public ?array $surfaceSpeed = null,
        public float $cornerRadius = 0.0,
        public ?bool $centerCutting = null,
        public ?float $fluteLength = null,
        public ?float $maxRadialWidth = null,
        public array $holder = [],
        public ?bool $isCarbide = null,
        public ?float $shankDiameter = null,
        public array $more = [],
    ) {
    }

    /** Whether it can go straight down into material. */
    public function cutsAtCentre(): bool
    {
        return $this->centerCutting ?? $this->kind->cutsAtCentre();
    }

    public function radius(): float
    {
        return ($this->diameter ?? 0.0) / 2;
    }

    /** How far it has to go past the far side to be through with its full diameter, mm: its point, or the lead of a tap or a reamer (common practice). */
    public function leadLength(): float
    {
        return match ($this->kind) {
            ToolKind::Tap => 4 * ($this->pitch ?? 0.15 * ($this->diameter ?? 0.0)),
            ToolKind::Reamer => max(2.0, 0.3 * ($this->diameter ?? 0.0)),
            default => $this->pointLength(),
        };
    }

    /**
     * How far the point runs ahead of the full diameter, in millimetres: (d / 2) / tan(angle / 2).
     * For 118° this is 0.300 d (geometry).
     */
    public function pointLength(): float
    {
        if (! $this->kind->hasPoint()) {
            return 0.0;
        }

        return $this->radius() / tan(deg2rad(($this->pointAngle ?? $this->kind->usualPointAngle()) / 2));
    }
}
