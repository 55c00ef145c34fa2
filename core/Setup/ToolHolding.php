<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What stands behind the flutes. Lengths in millimetres. Null means not stated. */
final readonly class ToolHolding
{
    /**
     * @param  float|null  $stickout  from the holder's face to the tip
     * @param  list<array{diameter: float, length: float|null}>  $holder  its steps from the tool's end on; the length of the last may be open
     */
    public function __construct(public ?float $stickout = null, public ?float $shankDiameter = null, public array $holder = [])
    {
    }
}
