<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** What a move may do to the stock that is worth telling. */
enum Incident: string
{
    /** A rapid takes material off: how deep it goes in. */
    case RapidCuts = 'rapid cuts';

    /** A rapid across what stands there, closer to it than the clearance: how far above it. */
    case RapidLow = 'rapid low';

    /** The first way down of a tool ends at rapid closer to what stands there than the clearance: how far above it. */
    case ApproachLow = 'approach low';

    /** A cycle brings its tool at rapid hardly above what stands there: how far above it. */
    case CycleLow = 'cycle low';

    /** The part is turned at rapid to where the tool stands: how much higher than its tip it comes. */
    case TurnedInto = 'turned into';

    /** The program stops with the tool in material: how deep. */
    case StopsInCut = 'stops in cut';

    /** The tool is changed while it stands in material: how deep. */
    case ChangedInCut = 'changed in cut';

    /** Straight down with a tool that does not cut at its middle: how deep. */
    case PlungeNoCenter = 'plunge';

    /** A tool that follows a hole finds one that is much too small: how much its radius takes. */
    case HoleTooSmall = 'hole too small';

    /** A tap finds a hole nearly as large as itself: how large, on the radius. */
    case HoleTooLarge = 'hole too large';

    /** A tap ends in its hole before it has cut a whole thread: how deep, from the face around. */
    case TapShallow = 'tap shallow';

    /** Lowers the material by more than the tool may take. */
    case Deep = 'deep';

    /** Wider than the tool may take. */
    case Wide = 'wide';

    /** The whole front of the tool cuts: how deep. */
    case Slot = 'slot';

    /** The material stands higher than the flute is long: by how much. */
    case ShankRubs = 'shank';

    /** The material stands far higher than the cone of a tool that cuts with that alone: by how much. */
    case ConeBuried = 'cone';

    /** What holds the tool comes into material: how far. */
    case HolderHits = 'holder';

    /** A probe is fed into material: how deep. */
    case ProbeStrikes = 'probe strikes';

    /** A tool that cuts at its end alone is fed sideways into material: how deep. */
    case Sideways = 'sideways';

    /** A drill meets a face that is higher on one side: by how much. */
    case DrillAskew = 'askew';
}
