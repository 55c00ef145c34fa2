<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\PartPoint;

/** Where a rotary axis turns: a point of its line in the coordinates of a work offset, mm by axis name; and the table under it, if it is known. */
final readonly class RotaryCenter
{
    /**
     * @param  array<string, float>  $at
     * @param  float|null  $table  Z of the table in the same coordinates, mm
     */
    public function __construct(public string $workOffset, public array $at, public ?float $table = null)
    {
    }

    /** In the coordinates of its work offset; 0 on an axis that is not given. */
    public function point(): PartPoint
    {
        return new PartPoint($this->at[AxisName::X] ?? 0.0, $this->at[AxisName::Y] ?? 0.0, $this->at[AxisName::Z] ?? 0.0);
    }
}
