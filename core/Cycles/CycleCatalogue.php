<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

use LogicException;
use OakTrace\Core\Control\Code;

/** Every canned cycle and the function it serves. A new cycle is a class and a line here. */
final class CycleCatalogue
{
    private const CYCLES = [
        Code::Drill->value => Drill::class,
        Code::DrillDwell->value => DrillDwell::class,
        Code::PeckDrill->value => PeckDrill::class,
        Code::ChipBreakDrill->value => ChipBreakDrill::class,
        Code::Tap->value => Tap::class,
        Code::LeftTap->value => LeftTap::class,
        Code::Bore->value => Bore::class,
        Code::BoreSpindleStop->value => BoreSpindleStop::class,
        Code::BackBore->value => BackBore::class,
        Code::BoreByHand->value => BoreByHand::class,
        Code::BoreDwell->value => BoreDwell::class,
        Code::FineBore->value => FineBore::class,
    ];

    /** @var array<string, Cycle> */
    private static array $made = [];

    /** The cycle that serves a function of the cycle group. */
    public static function for(Code $code): Cycle
    {
        $class = self::CYCLES[$code->value] ?? throw new LogicException("No cycle serves {$code->value}.");

        return self::$made[$code->value] ??= new $class;
    }

    /** The cycle in force; null where there is none. */
    public static function inForce(?Code $code): ?Cycle
    {
        return $code === null ? null : self::for($code);
    }
}
