<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\SecondSense;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\SecondSpindle as Chuck;
use OakTrace\Core\Solids\BarBlank;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Trace\SecondSpindle;
use OakTrace\Core\Trace\SpindleState;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A second spindle that takes a part from the main one and does not turn with it. */
final class Sync extends LatheCheck
{
    /** Its name among the spindles of a machine. */
    private const SPINDLE = 'sub';

    /** Speeds that differ by no more are the same, rev/min. */
    private const SAME = 0.5;

    public function name(): string
    {
        return 'turning.sync';
    }

    public function why(): string
    {
        return 'A chuck that closes on a part at another speed rubs it all round before it holds. Two spindles that each go their own way twist the part off.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if (self::usesSecond($input) && $input->setup->machine->spindle(self::SPINDLE)->secondsToSpeed <= 0.0) {
            yield $this->gap('No time to speed of the second spindle given: how long it needs before it may grip was not checked.');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        [$clock, $changed, $parted] = [0.0, 0.0, false];
        // Without the stock any feed with both chucks closed may have parted the part off.
        $isKnown = $input->turned?->isComplete() === true;
        $places = array_map(static fn (TurnedCut $cut): int => $cut->place, $input->turned->partings ?? []);
        foreach (self::usesSecond($input) ? $input->trace->each() : [] as $row) {
            $parted = $parted || ($isKnown ? in_array($row->line, $places, true)
                : $row->kind === MotionKind::FEED && $row->state->modes->second?->clamps === true);
            if ($row->kind === MotionKind::SPINDLE) {
                $second = $row->state->modes->second ?? new SecondSpindle;
                $changed = $row->detail === null || ! in_array(Code::tryFrom((string) $row->detail), self::TURNS, true) ? $changed : $clock;
                $changed = $row->detail === null && $second->joined !== null ? $clock + $row->seconds : $changed;
                yield from $this->ofRow($input, $row, $second, $clock - $changed, $parted);
            }
            $clock += $row->seconds;
        }
    }

    /** What the second spindle has to come to a speed behind. */
    private const TURNS = [
        Code::SecondClockwise, Code::SecondCounterClockwise, Code::SecondStop, Code::SpindlesTogether, Code::SpindlesInPhase, Code::SpindlesApart,
    ];

    private static function usesSecond(CheckInput $input): bool
    {
        return array_filter($input->trace->states, static fn (State $state): bool => $state->modes->second !== null) !== [];
    }

    /** @return iterable<Finding> */
    private function ofRow(CheckInput $input, Row $row, SecondSpindle $second, float $since, bool $parted): iterable
    {
        $main = $row->state->spindle->ofPart();
        $holds = $second->clamps && ! $second->mainOpen && ! $parted;
        $does = $row->detail === null ? null : Code::tryFrom((string) $row->detail);
        if ($does === Code::SecondClamp && ! $second->mainOpen) {
            yield from $this->ofGrip($input, $row->line, $main, $second, $since);
        } elseif ($does === Code::SecondBack && $holds) {
            yield new Finding(
                $this->name(), Severity::Stop, $row->line, 1, 'The second spindle goes back while both chucks hold the part.', [],
                'Part off or open the chuck of the main spindle with {code main-unclamp} before.',
            );
        } elseif ($holds && $second->joined === null && $main->turn !== 0 && ($does === null || $does === Code::SpindlesApart)) {
            yield new Finding(
                $this->name(), Severity::Stop, $row->line, 1,
                'The main spindle turns a part that the second one holds too, and they are not joined: it is twisted off.', [],
                'Join them with {code spindles-together} for as long as both hold the part.',
            );
        }
    }

    /**
     * The second chuck closes on a part the main one holds.
     *
     * @param  float  $since  seconds since the second spindle was last told how to turn
     * @return iterable<Finding>
     */
    private function ofGrip(CheckInput $input, int $place, SpindleState $main, SecondSpindle $second, float $since): iterable
    {
        $chuck = $input->setup->workholding->second ?? new Chuck;
        $blank = $input->setup->workpiece->stock?->blank;
        if (! ($second->isForward ?? $chuck->forward)) {
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1, 'The second chuck closes on nothing: its spindle has not come to the part.', [],
                'Bring it to the part with {code second-forward} before.', field: 'secondSpindle',
            );
        } elseif ($main->turn !== 0 && $main->surfaceSpeed !== null) {
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1, 'The second spindle grips while the main one keeps a surface speed, which changes with X.', [],
                'Say a spindle speed with {code spindle-speed} S before.',
            );
        } elseif ($second->joined === null) {
            yield from $this->ofSpeeds($input, $place, $main, $second, $chuck);
        } else {
            yield from $this->ofWait($input, $place, $main, $since);
            if ($blank instanceof BarBlank && $blank->acrossFlats !== null && $second->joined !== Code::SpindlesInPhase) {
                yield new Finding(
                    $this->name(), Severity::Stop, $place, 1, 'The second spindle grips a hexagon, and is not held to the angle of the main one.', [],
                    'Join them with {code spindles-in-phase}, so that the flats meet the jaws.',
                );
            }
        }
    }

    /** @return iterable<Finding> of two spindles that turn by themselves */
    private function ofSpeeds(CheckInput $input, int $place, SpindleState $main, SecondSpindle $second, Chuck $chuck): iterable
    {
        // They face each other: what the one sees clockwise the other sees the other way round (geometry).
        $sense = $input->setup->machine->control->options->turning->secondSense === SecondSense::Own ? -1 : 1;
        [$one, $other] = [$main->turn * $main->rpm, $sense * $second->turn * $second->rpm];
        $apart = abs($one - $other);
        $radius = ($chuck->gripDiameter ?? 2 * ($input->setup->workpiece->stock->around->high->x ?? 0.0)) / 2;
        $figures = [
            'main' => Quantity::rpm(abs($one)), 'second' => Quantity::rpm(abs($other)),
            'rub' => Quantity::length(2 * M_PI * $radius * $apart / 60 * $chuck->closeSeconds), 'seconds' => Quantity::written($chuck->closeSeconds),
        ];
        $says = match (true) {
            $one === 0.0 && $other === 0.0 => null,
            $one * $other < 0.0 => 'The second spindle grips a part that turns the other way round: {second} against {main}.',
            $apart > self::SAME => 'The second spindle grips at {second} a part that turns at {main}: it rubs {rub} in {seconds} s.',
            default => 'The second spindle grips a part that turns at its own speed of {main}, but is not joined to the main one.',
        };
        if ($says !== null) {
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1, $says, $figures, 'Join the spindles with {code spindles-together} before, and wait for the speed.',
            );
        }
    }

    /** @return iterable<Finding> of a grip before the second spindle has the speed of the main one */
    private function ofWait(CheckInput $input, int $place, SpindleState $main, float $since): iterable
    {
        $spindle = $input->setup->machine->spindle(self::SPINDLE);
        $needs = $spindle->secondsToSpeed * ($spindle->maxRpm === null || $spindle->maxRpm <= 0.0 ? 1.0 : min(1.0, $main->rpm / $spindle->maxRpm));
        if ($main->turn !== 0 && ($since < $needs - 1e-6 || $since <= 0.0)) {
            yield new Finding(
                $this->name(), Severity::Stop, $place, 1,
                $since <= 0.0 ? 'The second spindle grips as soon as it is joined, before it has the speed of the part.'
                    : 'The second spindle grips {since} s after it was joined; it takes {needs} s to the speed of the part.',
                ['since' => number_format($since, 2, '.', ''), 'needs' => number_format($needs, 2, '.', '')], 'Wait for it with {code dwell} before it grips.',
            );
        }
    }
}
