<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What Q of a thread counts where it has no point; with one it is in degrees. */
enum StartAngleUnit: string
{
    case Thousandths = '0.001-degree';
    case Degrees = 'degree';

    /** Degrees in one of it. */
    public function degrees(): float
    {
        return $this === self::Thousandths ? 0.001 : 1.0;
    }
}
