<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What holds the stock, and what else stands in the way. */
final readonly class Workholding
{
    /** @param  list<Obstacle>  $obstacles */
    public function __construct(public ?Grip $grip = null, public array $obstacles = [], public ?Chuck $chuck = null)
    {
    }
}
