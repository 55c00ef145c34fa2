<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** What holds the part. Lengths in mm, forces in N. */
final readonly class Grip
{
    /**
     * @param  string  $kind  jaws or dovetail
     * @param  float  $depth  height of the jaws on the part, or depth of the dovetail
     * @param  float|null  $force  that presses them together
     */
    public function __construct(public string $kind, public float $depth, public ?float $force = null)
    {
    }
}
