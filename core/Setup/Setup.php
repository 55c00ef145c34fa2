<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Target\Target;

/** One clamping of a part on one machine. Lengths in millimetres; $units says what its file is written in. */
final readonly class Setup
{
    /** How far a cut may go past the bottom of the stock where the setup does not say (common practice). */
    public const USUAL_BREAK_THROUGH = 1.0;

    /** How near a limit calls for a look where the setup does not say (common practice). */
    public const USUAL_NEAR_LIMIT = 0.5;

    /** How thin a floor or a wall may be left where the setup does not say, mm (common practice). */
    public const USUAL_THINNEST = 0.5;

    /**
     * @param  array<string, float>  $start  machine coordinates by axis name
     * @param  array<string, array<string, float>>  $workOffsets  code => axis name => machine coordinate of zero
     * @param  array<int, Tool>  $tools  by number
     * @param  array<int, Offset>  $lengthOffsets  by H number
     * @param  array<int, Offset>  $diameterOffsets  by D number
     * @param  list<Obstacle>  $obstacles
     * @param  array<string, string>  $subprograms  name => text
     * @param  list<int>  $blockSkip  the skip switches that are on (1 to 9)
     * @param  array<string, LoweredSeverity>  $lowered  check => why its cautions are notes here
     * @param  list<Stock>  $moreStock  other pieces clamped beside it, at other work offsets
     * @param  float  $thinnest  thinnest floor or wall that may be left
     * @param  Target|null  $target  what the setup is to make of the stock
     * @param  array<string, RotaryCenter>  $rotaryCenters  by axis name
     */
    public function __construct(
        public Units $units,
        public Machine $machine,
        public array $start,
        public array $workOffsets,
        public ?LengthMethod $lengthMethod,
        public array $tools,
        public array $lengthOffsets,
        public array $diameterOffsets,
        public ?Stock $stock,
        public array $obstacles,
        public array $subprograms,
        public array $blockSkip,
        public bool $optionalStop,
        public ?float $clearance,
        public float $breakThrough,
        public float $nearLimit = self::USUAL_NEAR_LIMIT,
        public ?string $material = null,
        public array $lowered = [],
        public array $rotaryCenters = [],
        public ?Proof $proof = null,
        public array $moreStock = [],
        public ?Grip $grip = null,
        public float $thinnest = self::USUAL_THINNEST,
        public ?Target $target = null,
    ) {
    }

    /** @return list<Stock> every piece that is clamped, the first one first */
    public function stocks(): array
    {
        return $this->stock === null ? [] : [$this->stock, ...$this->moreStock];
    }

    /** The same with some of it changed, by name. */
    public function with(mixed ...$changes): self
    {
        return new self(...$changes + get_object_vars($this));
    }
}
