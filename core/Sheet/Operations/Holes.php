<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\HoleCall;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Patterns;
use OakTrace\Core\Sheet\ThreadHole;
use OakTrace\Core\Sheet\WrittenHole;

/** Holes by a canned cycle, at the places of a pattern. */
final class Holes implements Operation
{
    private const CYCLES = [
        'drill' => Code::Drill, 'dwell' => Code::DrillDwell, 'peck' => Code::PeckDrill, 'chip-break' => Code::ChipBreakDrill, 'tap' => Code::Tap,
        'bore' => Code::Bore, 'bore-dwell' => Code::BoreDwell, 'bore-rapid' => Code::BoreSpindleStop, 'ream' => Code::Bore, 'spot' => Code::DrillDwell,
        'counterbore' => Code::DrillDwell,
    ];

    private const DWELL = 0.5;

    /** Holes in the small drawing. */
    private const DRAWN = 200;

    /** Pecks as a share of the diameter, by material (common practice); others as steel. */
    private const PECKS = ['aluminium' => 2.0, 'aluminum' => 2.0, 'brass' => 2.0];

    /** They harden under a drill that is lifted: it goes down in one feed (common practice). */
    private const HARDENING = ['stainless', 'nickel', 'manganese'];

    /** Up to this depth, in diameters, nothing is to be cleared; up to the next, chips are only to be broken (common practice). */
    private const NO_PECK = 3.0;

    private const CHIP_BREAK = 5.0;

    public function kind(): string
    {
        return 'holes';
    }

    public function words(): string
    {
        return 'Holes';
    }

    public function asks(): array
    {
        return [
            Ask::group('at', 'Where they are', Patterns::asks()), Ask::size('diameter', 'Diameter'), ...Depths::reaches('Top of the holes', 'Depth of the tip'),
            Ask::choice('cycle', 'Made by', array_keys(self::CYCLES))->cutting(isKept: false), Ask::seconds('dwell', 'Dwell at the bottom')->cutting(),
            Ask::length('peck', 'Depth of a peck')->when('cycle', 'drill', 'peck', 'chip-break')->cutting(),
            Ask::choice('return', 'Between holes up to', ['clearance', 'initial'])->cutting(isKept: false)->rare(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $cycle = $answers->choice('cycle', array_keys(self::CYCLES));
        $isThrough = $answers->flag('through');
        [$top, $depth] = Depths::reach($answers, $job, $isThrough ? $job->tool->tool->leadLength() : 0.0);
        $at = $answers->group('at');
        $places = Patterns::places($at);
        $answers->gather($at);
        $diameter = $answers->has('diameter') ? $answers->across('diameter')->nominal : $job->tool->diameter();
        $this->checkTool($answers, $job, $cycle, $diameter);
        if ($at->problems() === []) {
            $this->checkPlaces($answers, $job, $places, $diameter, $at);
        }
        [$code, $peck] = $this->cycle($answers, $job, $cycle, $depth, $diameter);
        if ($cycle === 'tap' && $at->problems() === []) {
            $this->checkThread($answers, $job, $places, $depth - $top);
        }
        $isWrittenOut = $job->control->codeOf($code) === null && ! $job->isByHand;
        if ($isWrittenOut) {
            WrittenHole::has($code)
                ? $job->decide(new Choice('cycle', 'written out: this control has no cycle for it'))
                : $answers->wrong('cycle', 'This control has no cycle for it, and it cannot be written out.');
        }
        if ($job->isByHand && $cycle === 'tap') {
            $answers->wrong('cycle', 'Z is moved by hand: it cannot tap in step with the spindle.');
        }
        $feed = $cycle === 'tap' ? ($job->tool->tool->geometry->pitch ?? 0.0) * ($job->tool->rpm ?? 0.0) : ($job->tool->feed ?? 0.0);
        $dwell = $answers->has('dwell') || in_array(
            $cycle, ['spot', 'counterbore', 'dwell', 'bore-dwell'], true,
        ) ? $answers->seconds('dwell', self::DWELL) : null;
        $call = new HoleCall($code, $top - $depth, $top + $job->clearance, $feed, $peck, $dwell, $this->isFromHigh($answers, $job, $top, $places));
        $answers->settle();
        $path = new Path;
        $first = reset($places) ?: [0.0, 0.0];
        $path->rapid(...$first);
        // Whoever wants to go up between holes begins up there.
        $call->toInitial ? $path->add(new Move(MoveKind::Retract)) : $path->rapid(z: $top + $job->clearance);
        foreach ($places as [$x, $y]) {
            $isWrittenOut ? WrittenHole::add($path, $call, $x, $y) : $path->add(new Move(MoveKind::Cycle, $x, $y, cycle: $call));
            // Down to where it is as wide as it is called.
            $job->blank->bore($x, $y, $diameter, $depth - $top - $job->tool->tool->leadLength());
        }

        return $path;
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        $diameter = $answers->has('diameter') ? $answers->across('diameter')->nominal : $job->tool->diameter();
        $at = $answers->group('at');
        $places = $answers->has('at') ? Patterns::places($at) : [];
        if ($at->problems() === []) {
            foreach (count($places) <= self::DRAWN ? $places : [] as $number => [$x, $y]) {
                $figure->circle('at', $x, $y, $diameter / 2)->label('at', $x, $y, (string) $number);
            }
            Patterns::draw($figure, $at, $places);
        }
        if ($answers->has('depth') || $answers->flag('through')) {
            [$top, $depth] = Depths::reach($answers, $job, $answers->flag('through') ? $job->tool->tool->leadLength() : 0.0);
            $figure->reach($top, $depth);
        }

        return $figure;
    }

    /**
     * Whether it goes up to the height where the part is crossed between two holes.
     *
     * @param  array<int, array{float, float}>  $places
     */
    private function isFromHigh(Answers $answers, Job $job, float $top, array $places): bool
    {
        $before = null;
        foreach ($answers->has('return') ? [] : $places as $number => [$x, $y]) {
            $there = new PartPoint($x, $y, $top + $job->clearance);
            $between = $before === null ? null : $job->inTheWay($before[1], $there);
            if ($before !== null && $between !== null) {
                $job->decide(new Choice('return', 'initial: “{name}” stands between holes {one} and {other}', [
                    'name' => $between->name, 'one' => $before[0], 'other' => $number,
                ]));

                return true;
            }
            $before = [$number, $there];
        }
        if ($answers->has('return') || count($places) < 2 || $top >= $job->blank->top() - 1e-6) {
            return $answers->choice('return', ['clearance', 'initial']) === 'initial';
        }
        $job->decide(new Choice('return', 'initial: the part stands {by} higher between the holes', ['by' => Quantity::length($job->blank->top() - $top)]));

        return true;
    }

    private function checkTool(Answers $answers, Job $job, string $cycle, float $diameter): void
    {
        $tool = $job->tool->tool;
        if ($cycle === 'tap' && ($tool->kind !== ToolKind::Tap || $tool->geometry->pitch === null)) {
            $answers->wrong('cycle', $tool->kind === ToolKind::Tap ? "What is the pitch of T{$tool->number}?" : "T{$tool->number} is no tap.");
        }
        $isOwnSize = in_array($cycle, ['drill', 'dwell', 'peck', 'chip-break', 'tap', 'ream'], true);
        if ($isOwnSize && $job->tool->diameter() > 0.0 && abs($job->tool->diameter() - $diameter) > 0.005) {
            $answers->wrong('diameter', "T{$tool->number} has another diameter.");
        }
    }

    /**
     * Whether the holes to be tapped are wide enough.
     *
     * @param  array<int, array{float, float}>  $places
     * @param  float  $depth  below zero
     */
    private function checkThread(Answers $answers, Job $job, array $places, float $depth): void
    {
        $pitch = $job->tool->tool->geometry->pitch ?? 0.0;
        $diameter = $job->tool->diameter();
        if ($pitch <= 0.0 || $diameter <= $pitch) {
            return;
        }
        $usual = ThreadHole::usual($diameter, $pitch);
        foreach ($places as $number => [$x, $y]) {
            $hole = $job->blank->holeAt($x, $y, min($depth, 0.5 * $diameter));
            $share = ThreadHole::share($diameter, $pitch, $hole);
            $figures = ['number' => $number, 'hole' => Quantity::length($hole), 'usual' => Quantity::length($usual), 'share' => sprintf('%.0F', 100 * $share)];
            if ($hole > 0.0 && $share > ThreadHole::MOST) {
                $answers->wrong('at', sprintf(
                    'Hole %d is Ø %s: the tap would cut %s %% of its thread. Drill Ø %s.', $number, $answers->said($hole), $figures['share'],
                    $answers->said($usual),
                ));
            } elseif ($hole === 0.0 || $share < ThreadHole::LEAST) {
                $job->decide(new Choice('at', $hole === 0.0
                    ? 'no hole is known at {number}: {usual} is usual for this thread' : 'hole {number} of {hole} leaves {share} % of the thread', $figures));
            }
        }
    }

    /** @param  array<int, array{float, float}>  $places */
    private function checkPlaces(Answers $answers, Job $job, array $places, float $diameter, Answers $at): void
    {
        $near = [];
        $outside = 0;
        $over = null;
        foreach ($places as $number => [$x, $y]) {
            $cell = [(int) floor($x / max($diameter, 0.1)), (int) floor($y / max($diameter, 0.1))];
            for ($n = 0; $n < 9; $n++) {
                foreach ($near[($cell[0] + $n % 3 - 1).' '.($cell[1] + intdiv($n, 3) - 1)] ?? [] as [$other, $ox, $oy]) {
                    if (hypot($x - $ox, $y - $oy) < $diameter - 1e-6) {
                        $answers->wrong('at', "Holes {$other} and {$number} run into each other.");
                    }
                }
            }
            $near["{$cell[0]} {$cell[1]}"][] = [$number, $x, $y];
            $reach = $job->blank->overEdge($x, $y, $diameter / 2);
            $outside += $reach >= $diameter / 2 ? 1 : 0;
            $over ??= $reach > 1e-6 ? [$number, $reach] : null;
        }
        if ($over === null) {
            return;
        }
        if ($outside === count($places)) {
            $half = array_filter(
                $this->halved($places, $at), static fn (array $place): bool => $job->blank->overEdge($place[0], $place[1], $diameter / 2) > 0.0,
            );
            $answers->wrong('at', 'All holes are outside the stock.'.($half === [] ? ' At half the distance all '.count($places)
                .' are inside: a diameter for a radius?' : ''));
        } else {
            $answers->wrong('at', "Hole {$over[0]} reaches {$answers->said($over[1])} over the edge.");
        }
    }

    /**
     * @param  array<int, array{float, float}>  $places
     * @return array<int, array{float, float}>
     */
    private function halved(array $places, Answers $at): array
    {
        [$x, $y] = $at->has('centre') ? $at->point('centre') : [0.0, 0.0];

        return array_map(static fn (array $place): array => [($place[0] + $x) / 2, ($place[1] + $y) / 2], $places);
    }

    /** @return array{Code, float|null} the cycle, and its pecks */
    private function cycle(Answers $answers, Job $job, string $cycle, float $depth, float $diameter): array
    {
        $peck = $answers->has('peck') ? $answers->size('peck') : null;
        if (! in_array($cycle, ['drill', 'peck', 'chip-break'], true)) {
            return [self::CYCLES[$cycle], $peck];
        }
        $ratio = $depth / max($diameter, 1e-6);
        $hardens = array_filter(self::HARDENING, static fn (string $material): bool => str_contains(strtolower($job->material), $material));
        if (! $answers->has('cycle') && $ratio > self::NO_PECK && $hardens !== []) {
            $job->decide(new Choice('cycle', 'drill, in one feed: {material} hardens where a drill is lifted', ['material' => reset($hardens)]));
        } elseif (! $answers->has('cycle') && $ratio > self::NO_PECK) {
            $cycle = $ratio <= self::CHIP_BREAK ? 'chip-break' : 'peck';
            $job->decide(new Choice('cycle', "{$cycle}: {depth} is {ratio} diameters deep", [
                'depth' => Quantity::length($depth), 'ratio' => sprintf('%.1F', $ratio),
            ]));
        }
        if ($cycle === 'drill') {
            return [Code::Drill, null];
        }
        if ($peck === null) {
            $share = 1.0;
            foreach (self::PECKS as $material => $of) {
                $share = str_contains(strtolower($job->material), $material) ? $of : $share;
            }
            $peck = $share * $diameter;
            $job->decide(new Choice('peck', '{share} of the diameter, common practice: {peck}', [
                'share' => Quantity::written($share), 'peck' => Quantity::length($peck),
            ]));
        }

        return [self::CYCLES[$cycle], $peck];
    }
}
