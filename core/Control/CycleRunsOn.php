<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Which words of a block make a hole while a cycle is on: any of its position, or those of the plane alone. The others are stored. */
enum CycleRunsOn: string
{
    /** A place in the plane, the depth or R, as nearly every control has it: G81 Z-8. R2. drills where the tool stands. */
    case PositionWords = 'position-words';
    case PlaneWords = 'plane-words';
}
