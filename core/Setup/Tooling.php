<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Quantities\Median;

/** The tools in the machine, and what its offset pages say of them. */
final readonly class Tooling
{
    /**
     * @param  array<int, Tool>  $tools  by number
     * @param  array<int, Offset>  $lengthOffsets  by H number
     * @param  array<int, Offset>  $diameterOffsets  by D number
     * @param  LengthMethod|null  $lengthMethod  how the lengths are measured
     * @param  array<int, TurningOffset>  $turningOffsets  by the number in the T of a lathe
     */
    public function __construct(
        public array $tools = [], public array $lengthOffsets = [], public array $diameterOffsets = [], public ?LengthMethod $lengthMethod = null,
        public array $turningOffsets = [],
    ) {
    }

    /**
     * From the machine's Z of the tip, seen from the gauge line at home, to what work and length offset say of it, in millimetres:
     * H − L, the same for every tool (nothing where lengths count from the gauge line). Null where no tool tells both.
     */
    public function gaugeShift(): ?float
    {
        if ($this->lengthMethod === LengthMethod::GaugeLine) {
            return 0.0;
        }
        $shifts = [];
        foreach ($this->tools as $number => $tool) {
            $length = $tool->holding->length ?? $tool->holding->assembledLength();
            if ($length !== null && isset($this->lengthOffsets[$number])) {
                $shifts[] = $this->lengthOffsets[$number]->geometry - $length;
            }
        }

        return $shifts === [] ? null : Median::of($shifts);
    }
}
