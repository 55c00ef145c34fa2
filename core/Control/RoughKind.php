<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What shapes a roughing cycle takes: such as rise all the way, such as fall into pockets too, or those where the first block names X and Z. */
enum RoughKind: string
{
    case Monotone = 'monotone';
    case Pockets = 'pockets';
    case FirstBlock = 'first-block';

    /** @param  bool  $namesBoth  whether the first block of the shape names X and Z */
    public function takesPockets(bool $namesBoth): bool
    {
        return $this === self::Pockets || ($this === self::FirstBlock && $namesBoth);
    }
}
