<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;

/**
 * A program lifted clear of the part, to be run once with nothing to cut: plain moves, every height that comes from a work
 * offset so much higher, home and tool changes where they are. It says at its head that it is lifted and by how much.
 */
final readonly class DryRun
{
    /** House rule for how far a dry run is lifted, mm; and what rapids are run at, as a share (common practice). */
    public const USUAL_LIFT = 150.0;

    public const RAPID_OVERRIDE = 0.25;

    /**
     * @param  list<Finding>  $overruns  where the lifted motion leaves the travel, at the lines of the program it is made of
     * @param  float|null  $most  the greatest lift that fits, mm; null where this one does, or none
     */
    private function __construct(public string $text, public array $overruns, public float $seconds, public ?float $most)
    {
    }

    /** @param  float  $lift  mm */
    public static function of(Program $program, Setup $setup, float $lift = self::USUAL_LIFT): self
    {
        $trace = Verification::trace($program, $setup);
        $by = (new Wording($trace->end->modes->units))->figure(Quantity::length($lift));
        $text = '';
        $places = [];
        foreach (Expand::lifted($trace, $setup, $lift, 'DRY RUN - RAISED BY '.strtoupper($by).' - NOTHING IS CUT - KEEP RAPIDS SLOW') as $place => $line) {
            $text .= $line."\n";
            $places[] = $trace->sources->mainLine($place);
        }
        // Its own check: nothing is there to be cut or hit, the machine's travel is.
        $check = Verification::of(Program::fromText($text), $setup->emptied());
        $overruns = [];
        foreach ($check->findings as $finding) {
            if (in_array($finding->check, ['travel.overrun', 'travel.does-not-fit'], true)) {
                $overruns[] = $finding->fromLines($places);
            }
        }

        return new self(
            $text, $overruns, RunTimes::of($check->trace, $setup->machine, self::RAPID_OVERRIDE, 1.0)->overridden,
            $overruns === [] ? null : self::most($trace, $setup),
        );
    }

    private static function most(Trace $trace, Setup $setup): ?float
    {
        $most = Expand::mostLift($trace, $setup);

        return is_finite($most) && $most > 0.0 ? $most : null;
    }
}
