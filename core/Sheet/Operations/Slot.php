<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Sheet\Air;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Entry;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;
use OakTrace\Core\Sheet\Segment;

/** A straight slot: down its centre line first, then both walls, semi-finished and finished. */
final class Slot implements Operation
{
    /** Left a side for the finish, and on the floor (common practice). */
    private const SEMI = 0.25;

    private const FLOOR = 0.2;

    /** Past an open end, beyond the cutter's radius, mm (common practice). */
    private const RUN_OUT = 2.0;

    public function kind(): string
    {
        return 'slot';
    }

    public function words(): string
    {
        return 'Slot';
    }

    public function asks(): array
    {
        return [
            Ask::point('from', 'From'), Ask::point('to', 'To'), Ask::size('width', 'Width'), Ask::choice('ends', 'Ends', ['round', 'open']), ...Depths::asks(),
            Ask::length('semi', 'Left a side for the finish')->cutting(), Ask::length('floor', 'Left on the floor')->cutting(),
            Ask::count('spring', 'Spring passes')->cutting()->rare(), Ask::flag('roughOnly', 'Centre line only')->cutting(isKept: false)->rare(),
            Air::ask(),
            Ask::choice('compensation', 'Compensation', ['control', 'computed'])->when('ends', 'open')->cutting(), ...Entry::asks(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $from = $answers->point('from');
        $to = $answers->point('to', null, $from);
        $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
        $size = $answers->across('width');
        $isOpen = $answers->choice('ends', ['round', 'open']) === 'open';
        $roughOnly = $answers->flag('roughOnly');
        $semi = $answers->length('semi', self::SEMI);
        $tool = $job->tool->radius();
        $depths = Depths::of($answers, $job, $roughOnly ? 0.0 : $answers->length('floor', self::FLOOR));
        if ($answers->has('from') && $answers->has('to') && $length < 1e-6) {
            $answers->wrong('to', 'It ends where it begins.');
        }
        $half = $size->radius();
        $this->checkWidth($answers, $job, $half, $roughOnly);
        $spring = $answers->count('spring', 1, 0, 10);
        $byControl = $isOpen && $answers->choice('compensation', ['control', 'computed']) === 'control'
            && $job->control->codeOf(Code::CutterLeft) !== null;
        $out = $isOpen ? $tool + self::RUN_OUT : 0.0;
        $u = $length > 0.0 ? [($to[0] - $from[0]) / $length, ($to[1] - $from[1]) / $length] : [1.0, 0.0];
        $place = static fn (float $along, float $aside): array => [$from[0] + $along * $u[0] - $aside * $u[1], $from[1] + $along * $u[1] + $aside * $u[0]];
        [$start, $end] = [-$out, $length + $out];
        $entry = Entry::of($answers, $job, 0.0, $isOpen && $job->blank->isBeside(...[...$place($start, 0.0), $tool]), 2 * $tool, 0.0, $length);
        $gaps = Air::ways($answers, $job, $place($start, 0.0), $place($end, 0.0), $depths->top - $depths->depth);
        if ($gaps !== []) {
            $job->decide(new Choice('skipAir', 'at rapid where {count} opening(s) are', ['count' => count($gaps)]));
        }
        $answers->settle();
        $feed = $job->tool->feed ?? 0.0;
        $path = (new Path)->rapid(...$place($start, 0.0))->rapid(z: $depths->top + $job->clearance);
        $rough = $roughOnly ? $depths->passes : array_slice($depths->passes, 0, -1);
        $this->rough($path, $entry, $job, $depths->top, $rough, [$place($start, 0.0), $place($end, 0.0)], $gaps);
        if (! $roughOnly) {
            $path->feed($feed, ...$place($start, 0.0))->feed($job->tool->downFeed(), z: $depths->top - $depths->depth);
            if ($half - $tool - $semi > 1e-6) {
                $this->round($path, $place, $start, $end, $half - $semi - $tool, $feed, $isOpen);
            }
            for ($n = 0; $n <= $spring; $n++) {
                $byControl ? $this->compensated($path, $place, $start, $end, $half, $feed) : $this->round(
                    $path, $place, $start, $end, $half - $tool, $feed, $isOpen,
                );
            }
            $path->feed($feed, ...$place($start, 0.0));
        }

        return $path->rapid(z: $depths->top + $job->clearance);
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        if ($answers->has('from') && $answers->has('to')) {
            $from = $answers->point('from');
            $to = $answers->point('to', null, $from);
            $width = $answers->has('width') ? $answers->across('width') : null;
            $length = hypot($to[0] - $from[0], $to[1] - $from[1]);
            if ($width !== null && $length > 0.0) {
                [$u, $v] = [($to[0] - $from[0]) / $length * $width->radius(), ($to[1] - $from[1]) / $length * $width->radius()];
                $isRound = $answers->choice('ends', ['round', 'open']) === 'round';
                $figure->chain('width', new Chain($from[0] + $v, $from[1] - $u, [
                    new Segment($to[0] + $v, $to[1] - $u), new Segment($to[0] - $v, $to[1] + $u, $isRound ? $to : null),
                    new Segment($from[0] - $v, $from[1] + $u), new Segment($from[0] + $v, $from[1] - $u, $isRound ? $from : null),
                ]))->label('width', ($from[0] + $to[0]) / 2 - $v, ($from[1] + $to[1]) / 2 + $u, $answers->drawnSize($width, ''));
            }
            $figure->size('to', $from, $to, $answers->drawn($length));
        }

        return Depths::draw($figure, $answers, $job, $answers->flag('roughOnly') ? 0.0 : $answers->length('floor', self::FLOOR));
    }

    /**
     * Down the centre line, there and back.
     *
     * @param  list<float>  $passes  below the top
     * @param  array{array{float, float}, array{float, float}}  $ends
     * @param  list<array{array{float, float}, array{float, float}}>  $gaps  ways at rapid, from the first end on
     */
    private function rough(Path $path, Entry $entry, Job $job, float $top, array $passes, array $ends, array $gaps): void
    {
        $feed = $job->tool->feed ?? 0.0;
        $z = $top;
        foreach ($passes as $depth) {
            $entry->down($path, $ends[0], $z, $top - $depth, $job, $ends[1]);
            foreach ($gaps as [$into, $out]) {
                $path->feed($feed, ...$into)->skip(...$out);
            }
            $path->feed($feed, ...$ends[1]);
            $z = $top - $depth;
            $ends = array_reverse($ends);
            $gaps = array_map(array_reverse(...), array_reverse($gaps));
        }
    }

    private function checkWidth(Answers $answers, Job $job, float $half, bool $roughOnly): void
    {
        $tool = $job->tool->radius();
        if ($half < $tool + ($roughOnly ? -1e-9 : 1e-6)) {
            $answers->wrong('width', $half < $tool - 1e-9
                ? "T{$job->tool->tool->number} is wider than the slot."
                : "T{$job->tool->tool->number} is as wide as the slot: it cannot finish the walls. Take a smaller one, or cut the centre line only.");
        }
    }

    /**
     * Both walls once, climbing, the tool's centre so far aside.
     *
     * @param  callable(float, float): array{float, float}  $place
     */
    private function round(Path $path, callable $place, float $start, float $end, float $aside, float $feed, bool $isOpen): void
    {
        $path->feed($feed, ...$place($start, -$aside));
        $path->feed($feed, ...$place($end, -$aside));
        $isOpen ? $path->feed($feed, ...$place($end, $aside)) : $path->arc(false, ...[...$place($end, $aside), $place($end, 0.0), $feed]);
        $path->feed($feed, ...$place($start, $aside));
        $isOpen ? $path->feed($feed, ...$place($start, -$aside)) : $path->arc(false, ...[...$place($start, -$aside), $place($start, 0.0), $feed]);
    }

    /** @param  callable(float, float): array{float, float}  $place */
    private function compensated(Path $path, callable $place, float $start, float $end, float $half, float $feed): void
    {
        $path->feed($feed, ...$place($start, 0.0))->add(new Move(MoveKind::CutterLeft));
        foreach ([[$start, -$half], [$end, -$half], [$end, $half], [$start, $half]] as [$along, $aside]) {
            $path->feed($feed, ...$place($along, $aside));
        }
        $path->add(new Move(MoveKind::CutterOff))->feed($feed, ...$place($start, 0.0));
    }
}
