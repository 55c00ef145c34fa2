<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** What brings a tool of a lathe in: its T, or a code behind it. */
enum ChangesTool: string
{
    case OnT = 'on-t';
    case OnCode = 'on-m6';
}
