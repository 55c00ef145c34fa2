<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles;

use LogicException;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\Turning\PeckAcross;
use OakTrace\Core\Cycles\Turning\PeckAlong;
use OakTrace\Core\Cycles\Turning\RoughAcross;
use OakTrace\Core\Cycles\Turning\RoughAlong;
use OakTrace\Core\Cycles\Turning\RoughPattern;
use OakTrace\Core\Cycles\Turning\ThreadPass;
use OakTrace\Core\Cycles\Turning\ThreadSeries;
use OakTrace\Core\Cycles\Turning\TurnAcross;
use OakTrace\Core\Cycles\Turning\TurnAlong;
use OakTrace\Core\Cycles\Turning\TurningCycle;

/** Every turning cycle and the function it serves. A new one is a class and a line here. */
final class TurningCatalogue
{
    /** Said once, and done again for every place behind it. */
    private const SINGLE = [
        Code::TurnAlong->value => TurnAlong::class,
        Code::TurnAcross->value => TurnAcross::class,
        Code::ThreadPass->value => ThreadPass::class,
    ];

    /** Done once for each block that says it. */
    private const REPEATED = [
        Code::RoughAlong->value => RoughAlong::class,
        Code::RoughAcross->value => RoughAcross::class,
        Code::RoughPattern->value => RoughPattern::class,
        Code::PeckAlong->value => PeckAlong::class,
        Code::PeckAcross->value => PeckAcross::class,
        Code::ThreadSeries->value => ThreadSeries::class,
    ];

    public static function for(Code $code): TurningCycle
    {
        $class = (self::SINGLE + self::REPEATED)[$code->value] ?? throw new LogicException("No turning cycle serves {$code->value}.");

        return new $class;
    }

    public static function isSingle(Code $code): bool
    {
        return isset(self::SINGLE[$code->value]);
    }

    /** Whether it is given a shape in blocks P to Q, which it works towards. */
    public static function hasShape(Code $code): bool
    {
        return in_array($code, [Code::RoughAlong, Code::RoughAcross, Code::RoughPattern], true);
    }

    /**
     * The cycle among the codes of a block that is done once: also the one that runs the blocks of a shape.
     *
     * @param  array<array-key, Code>  $codes
     */
    public static function repeated(array $codes): ?Code
    {
        foreach ($codes as $code) {
            if (isset(self::REPEATED[$code->value]) || $code === Code::FinishShape) {
                return $code;
            }
        }

        return null;
    }
}
