<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Which way G2 goes round on a lathe: by the right hand, seen from plus Y, or as it looks to the operator of a front turret. */
enum ArcSense: string
{
    case RightHanded = 'right-handed';
    case SeenOnFront = 'as-seen-on-front';
}
