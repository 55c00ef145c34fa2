<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What X and Z beside the code for the reference point of a lathe are: a place it is gone through, or a way from where the tool is. */
enum HomeThrough: string
{
    case Absolute = 'absolute';
    case Incremental = 'incremental';
}
