<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

use OakTrace\Core\Setup\Units;

/**
 * How one control reads codes: the numbers it uses for each function, its switches, and what is in force when it is
 * switched on.
 */
final readonly class ControlProfile
{
    /**
     * @param  array<int, Code>  $gCodes  by G number in tenths
     * @param  array<int, Code>  $mCodes  by M number in tenths
     * @param  array<int, string>  $workOffsets  G number in tenths => name of the offset in the setup
     */
    public function __construct(
        public string $name,
        public string $title,
        public array $gCodes,
        public array $mCodes,
        public array $workOffsets,
        public string $defaultWorkOffset,
        public Units $defaultUnits,
        public Switches $switches,
    ) {
    }

    public function withSwitches(Switches $switches): self
    {
        return new self($this->name, $this->title, $this->gCodes, $this->mCodes, $this->workOffsets, $this->defaultWorkOffset, $this->defaultUnits, $switches);
    }
}
