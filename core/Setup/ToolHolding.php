<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What stands behind the flutes. Lengths in millimetres. Null means not stated. */
final readonly class ToolHolding
{
    /** How a driven tool points: along the spindle of the part, or across it. */
    public const ALONG = 'along';

    public const ACROSS = 'across';

    /**
     * @param  float|null  $length  as it was measured, from the gauge line to the tip
     * @param  float|null  $stickout  from the holder's face to the tip
     * @param  float|null  $projection  on a lathe from the face of the turret to the tip, across the spindle's axis
     * @param  string|null  $driven  on a lathe which way it points, in a holder that drives it
     * @param  list<array{diameter: float, length: float|null}>  $holder  its steps from the tool's end on; the length of the last may be open
     */
    public function __construct(
        public ?float $length = null, public ?float $stickout = null, public ?float $shankDiameter = null, public array $holder = [],
        public ?float $projection = null, public ?string $driven = null,
    ) {
    }

    /** From the gauge line to the tip by its holder and its stick-out, in millimetres; null where one of them is open. */
    public function assembledLength(): ?float
    {
        $holder = array_column($this->holder, 'length');

        return $this->stickout === null || $holder === [] || in_array(null, $holder, true) ? null : $this->stickout + array_sum($holder);
    }
}
