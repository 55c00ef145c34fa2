<?php

declare(strict_types=1);

namespace OakTrace\Core\Load;

/** What a stretch of cutting asks of the machine and the tool. */
final readonly class Load
{
    /**
     * @param  int  $line  its place
     * @param  float  $rate  material taken off, cm³/min
     * @param  float  $power  at the cut, kW
     * @param  float  $torque  N m
     * @param  float  $force  along the way of the edge, on the teeth that are in the cut, N
     * @param  float  $feedPerTooth  mm
     * @param  float  $feedFactor  C of MachiningPower
     * @param  float  $wear  W of MachiningPower
     * @param  float  $deflection  of the tool's end, mm; 0 where it goes straight down or how far it sticks out is not given
     * @param  float  $stress  in the tool, N/mm²; 0 likewise
     * @param  float  $below  the top of the stock, mm
     */
    public function __construct(
        public int $line,
        public int $tool,
        public float $rate,
        public float $power,
        public float $torque,
        public float $force,
        public float $feedPerTooth,
        public float $feedFactor,
        public float $wear,
        public float $deflection,
        public float $stress,
        public float $below,
        public bool $isStraightDown,
    ) {
    }
}
