<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Where controls differ in reading the same text. Lengths in millimetres. */
final readonly class Switches
{
    /** @param  array<string, mixed>  $more switches of the file this version has no use for, kept for writing back */
    public function __construct(
        public RapidPath $rapidPath = RapidPath::Straight,
        public BareNumbers $bareNumbers = BareNumbers::Units,
        public DwellUnit $dwellUnit = DwellUnit::Seconds,
        public float $arcTolerance = 0.002,
        public float $peckClearance = 0.5,
        public float $chipBreakRetract = 0.25,
        public bool $semicolonComments = true,
        public array $more = [],
    ) {
    }
}
