<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Air;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Depths;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/** A rectangle is faced, along its longer side. */
final class Face implements Operation
{
    /** Width of a pass as a share of the cutter (common practice). */
    private const STEPOVER = 0.7;

    /** Past the edge of the part, mm (common practice). */
    private const RUN_OUT = 2.0;

    public function kind(): string
    {
        return 'face';
    }

    public function words(): string
    {
        return 'Face';
    }

    public function asks(): array
    {
        return [
            Ask::point('corner', 'Lower left corner'), Ask::length('length', 'Along X'), Ask::length('width', 'Along Y'), ...Depths::asks(),
            Ask::length('stepover', 'Width of a pass')->cutting(), Ask::choice('way', 'Passes', ['zigzag', 'one-way'])->cutting(), Air::ask(),
        ];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $blank = $job->blank;
        $corner = $answers->point('corner', $blank->box === null ? null : [$blank->box->low->x, $blank->box->low->y]);
        $size = [
            $answers->size('length', $blank->box?->size(0)),
            $answers->size('width', $blank->box?->size(1)),
        ];
        $depths = Depths::of($answers, $job);
        $diameter = $job->tool->diameter();
        $stepover = $answers->size('stepover', self::STEPOVER * $diameter);
        if ($stepover > $diameter) {
            $answers->wrong('stepover', "T{$job->tool->tool->number} is not as wide as a pass.");
        }
        $isOneWay = $answers->choice('way', ['zigzag', 'one-way']) === 'one-way';
        $answers->settle();
        $along = $size[0] >= $size[1] ? 0 : 1;
        $across = 1 - $along;
        $rows = max(1, (int) ceil(($size[$across] - $diameter) / $stepover - 1e-9) + 1);
        $pitch = $rows === 1 ? 0.0 : ($size[$across] - $diameter) / ($rows - 1);
        if ($rows > 1) {
            $job->decide(new Choice('stepover', '{rows} passes of {pitch}, evened', ['rows' => $rows, 'pitch' => Quantity::length($pitch)]));
        }
        $out = $diameter / 2 + self::RUN_OUT;
        [$from, $to] = [$corner[$along] - $out, $corner[$along] + $size[$along] + $out];
        $place = static fn (float $a, float $b): array => $along === 0 ? [$a, $b] : [$b, $a];
        $first = $rows === 1 ? $corner[$across] + $size[$across] / 2 : $corner[$across] + $diameter / 2;
        $path = new Path;
        $path->rapid(...$place($from, $first))->rapid(z: $depths->top + $job->clearance);
        foreach ($depths->passes as $depth) {
            for ($row = 0; $row < $rows; $row++) {
                $b = $first + $row * $pitch;
                [$start, $end] = $isOneWay || $row % 2 === 0 ? [$from, $to] : [$to, $from];
                if ($row === 0 || $isOneWay) {
                    $path->rapid(z: $depths->top + $job->clearance)->rapid(...$place($start, $b));
                    $path->feed($job->tool->downFeed(), z: $depths->top - $depth);
                } else {
                    $path->feed($job->tool->feed ?? 0.0, ...$place($start, $b));
                }
                foreach (Air::ways($answers, $job, $place($start, $b), $place($end, $b), $depths->top - $depth) as [$into, $out]) {
                    $path->feed($job->tool->feed ?? 0.0, ...$into)->skip(...$out);
                }
                $path->feed($job->tool->feed ?? 0.0, ...$place($end, $b));
            }
        }

        return $path->rapid(z: $depths->top + $job->clearance);
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        $box = $job->blank->box;
        if ($box === null && ! ($answers->has('length') && $answers->has('width'))) {
            return $figure;
        }
        [$x, $y] = $answers->point('corner', [$box->low->x ?? 0.0, $box->low->y ?? 0.0]);
        [$length, $width] = [$answers->size('length', $box?->size(0) ?? 0.0), $answers->size('width', $box?->size(1) ?? 0.0)];

        return Depths::draw($figure->box('corner', $x, $y, $x + $length, $y + $width)
            ->size('length', [$x, $y], [$x + $length, $y], $answers->drawn($length))
            ->size('width', [$x, $y], [$x, $y + $width], $answers->drawn($width)), $answers, $job);
    }
}
