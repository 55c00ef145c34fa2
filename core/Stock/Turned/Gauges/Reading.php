<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned\Gauges;

/** What a gauge shows, mm. */
final readonly class Reading
{
    /**
     * @param  float  $sure  what it may be off by
     * @param  array{float, float}|null  $at  Z and radius, where that is not the size itself
     */
    public function __construct(public float $got, public float $sure, public ?array $at = null)
    {
    }
}
