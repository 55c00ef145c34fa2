<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

use LogicException;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\Holes\BackBore;
use OakTrace\Core\Cycles\Holes\Bore;
use OakTrace\Core\Cycles\Holes\BoreByHand;
use OakTrace\Core\Cycles\Holes\BoreDwell;
use OakTrace\Core\Cycles\Holes\BoreSpindleStop;
use OakTrace\Core\Cycles\Holes\ChipBreakDrill;
use OakTrace\Core\Cycles\Holes\Drill;
use OakTrace\Core\Cycles\Holes\DrillDwell;
use OakTrace\Core\Cycles\Holes\FineBore;
use OakTrace\Core\Cycles\Holes\HoleCycle;
use OakTrace\Core\Cycles\Holes\LeftTap;
use OakTrace\Core\Cycles\Holes\PeckDrill;
use OakTrace\Core\Cycles\Holes\Tap;

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
        Code::PeckDrillAcross->value => PeckDrill::class,
        Code::TapAcross->value => Tap::class,
        Code::BoreAcross->value => Bore::class,
    ];

    /** @var array<string, Cycle> */
    private static array $made = [];

    /** The cycle that serves a function of the cycle group. */
    public static function for(Code $code): Cycle
    {
        $class = self::CYCLES[$code->value] ?? throw new LogicException("No cycle serves {$code->value}.");

        return self::$made[$code->value] ??= new $class;
    }

    /** The same, of the family that makes holes. */
    public static function hole(Code $code): HoleCycle
    {
        $cycle = self::for($code);

        return $cycle instanceof HoleCycle ? $cycle : throw new LogicException("{$code->value} makes no hole.");
    }

    /** The cycle in force; null where there is none. */
    public static function inForce(?Code $code): ?Cycle
    {
        return $code === null ? null : self::for($code);
    }
}
