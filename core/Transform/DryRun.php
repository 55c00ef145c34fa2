<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform;

use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Wording;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Trace\Quantity;
use OakTrace\Core\Verification;

/**
 * A program lifted clear of the part, to be run once with nothing to cut: plain moves, every height that comes from a work
 * offset so much higher, home and tool changes where they are. It says at its head that it is lifted and by how much.
 */
final readonly class DryRun
{
    /** House rule for how far a dry run is lifted, mm; and what rapids are run at, as a share (common practice). */
    public const USUAL_LIFT = 150.0;

    public const RAPID_OVERRIDE = 0.25;

    /** @param  list<Finding>  $overruns  where the lifted motion leaves the travel */
    private function __construct(public string $text, public array $overruns, public float $seconds)
    {
    }

    /** @param  float  $lift  mm */
    public static function of(Program $program, Setup $setup, float $lift = self::USUAL_LIFT): self
    {
        $trace = Verification::trace($program, $setup);
        $by = (new Wording($trace->end->units))->figure(Quantity::length($lift));
        $lines = Expand::of($trace, $setup, lift: $lift, heading: 'DRY RUN - LIFTED BY '.strtoupper($by).' - NOTHING IS CUT - KEEP RAPIDS SLOW');
        $text = implode("\n", iterator_to_array($lines, false))."\n";
        $lifted = Program::fromText($text);
        // Its own check: nothing is there to be cut or hit, the machine's travel is.
        $check = Verification::of($lifted, $setup->with(stock: null, obstacles: []));
        $overruns = array_values(array_filter($check->findings, static fn (Finding $finding): bool => in_array($finding->check, ['travel.overrun', 'travel.does-not-fit'], true)));

        return new self($text, $overruns, RunTimes::of($check->trace, $setup->machine, self::RAPID_OVERRIDE, 1.0)->overridden);
    }
}
