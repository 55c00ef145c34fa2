<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Trace\SpindleState;

/** What a block of a turned shape says beside where it leads. */
final readonly class ShapeWords
{
    /**
     * @param  float  $feed  F as it stands behind the block, mm
     * @param  int  $side  of the nose: 1 left of the shape, -1 right of it, 0 on neither
     */
    public function __construct(public float $feed, public SpindleState $spindle, public int $side)
    {
    }
}
