<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** A tool of the setup. */
final readonly class Tool
{
    /**
     * @param  bool|null  $isCarbide  solid carbide, or high-speed steel; null where not stated
     * @param  array<string, mixed>  $more  fields of the file this version has no use for, kept for writing back
     */
    public function __construct(
        public int $number,
        public string $name,
        public ToolKind $kind,
        public ToolGeometry $geometry = new ToolGeometry,
        public ToolHolding $holding = new ToolHolding,
        public CuttingLimits $limits = new CuttingLimits,
        public ?bool $isCarbide = null,
        public array $more = [],
        public Insert $insert = new Insert,
    ) {
    }

    /** Whether it can go straight down into material. */
    public function cutsAtCenter(): bool
    {
        return $this->geometry->centerCutting ?? $this->kind->cutsAtCenter();
    }

    public function radius(): float
    {
        return ($this->geometry->diameter ?? 0.0) / 2;
    }

    /** A tool of no kind is taken for an end mill: with a pitch it can only be a tap. */
    public function isTap(): bool
    {
        return $this->kind === ToolKind::Tap || ($this->kind === ToolKind::EndMill && $this->geometry->pitch !== null);
    }

    /** How far it has to go past the far side to be through with its full diameter, mm: its point, or the lead of a tap or a reamer (common practice). */
    public function leadLength(): float
    {
        return match ($this->kind) {
            ToolKind::Tap => 4 * ($this->geometry->pitch ?? 0.15 * ($this->geometry->diameter ?? 0.0)),
            ToolKind::Reamer => max(2.0, 0.3 * ($this->geometry->diameter ?? 0.0)),
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

        return $this->radius() / tan(deg2rad(($this->geometry->pointAngle ?? $this->kind->usualPointAngle()) / 2));
    }
}
