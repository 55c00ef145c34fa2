<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** How the codes that turn the second spindle of a lathe are meant: as it sees them itself, or as the main one does, which it faces. */
enum SecondSense: string
{
    case Own = 'own';
    case AsMain = 'as-main';
}
