<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Geometry\Arc;

/**
 * One row of a trace taken out of its columns, for those who write rows one by one. Whoever goes over many rows to work
 * something out reads the columns instead.
 */
final readonly class Row
{
    /**
     * @param  array<int, float>  $from  machine position of every axis before the row
     * @param  array<int, float>  $to  the same after it
     * @param  Arc|null  $arc  machine positions of its centre
     * @param  float|string|null  $detail  seconds of a dwell, code of a stop
     */
    public function __construct(
        public int $number,
        public int $line,
        public int $kind,
        public State $state,
        public array $from,
        public array $to,
        public float $feed,
        public float $seconds,
        public ?Arc $arc,
        public float|string|null $detail,
        public int $marks,
    ) {
    }

    public function moves(): bool
    {
        return $this->kind <= MotionKind::ARC;
    }
}
