<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What holds the stock, and what else stands in the way. */
final readonly class Workholding
{
    /**
     * @param  list<Obstacle>  $obstacles
     * @param  list<Zone>  $zones  on a lathe
     */
    public function __construct(
        public ?Grip $grip = null, public array $obstacles = [], public ?Chuck $chuck = null, public ?Tailstock $tailstock = null,
        public ?Steady $steady = null, public array $zones = [], public ?SecondSpindle $second = null,
    ) {
    }

    /** Whether a point holds the free end. */
    public function hasCenter(): bool
    {
        return $this->tailstock !== null && ! $this->tailstock->retracted;
    }
}
