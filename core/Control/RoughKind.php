<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What shapes a roughing cycle takes: such as rise all the way, or such as fall into pockets too. */
enum RoughKind: string
{
    case Monotone = 'monotone';
    case Pockets = 'pockets';
}
