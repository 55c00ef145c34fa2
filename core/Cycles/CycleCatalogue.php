<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

use OakTrace\Core\Control\Code;

/** Every canned cycle and the function it serves. A new cycle is a class and a line here. */
final class CycleCatalogue
{
    private const CYCLES = [
        Code::Drill->value => Drill::class,
        Code::DrillDwell->value => DrillDwell::class,
        Code::PeckDrill->value => PeckDrill::class,
    ];

    /** @var array<string, Cycle> */
    private array $made = [];

    public function for(Code $code): Cycle
    {
        return $this->made[$code->value] ??= new (self::CYCLES[$code->value]);
    }
}
