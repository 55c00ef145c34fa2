<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** What last cut a surface that is measured: the feed in mm a turn. */
final readonly class Surface
{
    public function __construct(public int $place, public int $tool, public float $feed)
    {
    }
}
