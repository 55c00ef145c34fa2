<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Operations;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Sheet\Answers;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Choice;
use OakTrace\Core\Sheet\Drawing\Figure;
use OakTrace\Core\Sheet\Edge;
use OakTrace\Core\Sheet\HoleCall;
use OakTrace\Core\Sheet\Job;
use OakTrace\Core\Sheet\Move;
use OakTrace\Core\Sheet\MoveKind;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\Path;

/**
 * Holes in the sharp inside corners of another operation, where its mill leaves a fillet. They are drilled before it, while the
 * drill has material all round.
 */
final class ReliefHoles implements Operation
{
    public function kind(): string
    {
        return 'relief-holes';
    }

    public function words(): string
    {
        return 'Relief holes';
    }

    public function asks(): array
    {
        return [Ask::operation('of', 'In the corners of'), Ask::length('inset', 'Inward from the corner')->cutting(isKept: false)];
    }

    public function needsTool(): bool
    {
        return true;
    }

    public function moves(Answers $answers, Job $job): Path
    {
        $edge = $job->plannedEdgeOf($answers->text('of'));
        if ($edge === null) {
            $answers->wrong('of', $answers->has('of') ? "“{$answers->text('of')}” has no edge, or not all of it is answered." : 'Of which operation?');
        } elseif (! $edge->isInside || $edge->shape->sharpCorners() === []) {
            $answers->wrong('of', 'It has no sharp corner inside.');
        }
        $places = $edge === null ? [] : $this->places($answers, $job, $edge);
        $answers->settle();
        if ($edge === null || $places === []) {
            return new Path;
        }
        $call = new HoleCall(Code::Drill, $edge->top - $edge->depth, $edge->top + $job->clearance, $job->tool->feed ?? 0.0);
        $path = (new Path)->rapid(...$places[0])->rapid(z: $call->r);
        foreach ($places as [$x, $y]) {
            $path->add(new Move(MoveKind::Cycle, $x, $y, cycle: $call));
        }

        return $path;
    }

    public function figure(Answers $answers, Job $job): Figure
    {
        $figure = new Figure($job->blank);
        $edge = $job->plannedEdgeOf($answers->text('of'));
        $figure->chain('of', $edge?->shape->beside(0.0));
        foreach ($edge === null ? [] : $this->places($answers, $job, $edge) as [$x, $y]) {
            $figure->circle('inset', $x, $y, $job->tool->radius());
        }

        return $figure;
    }

    /**
     * The hole clears e·cos α + √(h² − (e·sin α)²) along the corner, α half of its angle, h its radius, e its inset (geometry). With
     * e = h / tan α that is most; with e = h it pokes least beyond the sides.
     *
     * @return list<array{float, float}>
     */
    private function places(Answers $answers, Job $job, Edge $edge): array
    {
        $hole = $job->tool->radius();
        $corners = $edge->shape->sharpCorners();
        $places = [];
        foreach ($corners as [$x, $y, $inward, $half]) {
            $fillet = $edge->mill / tan($half);
            $reach = static fn (float $inset): float => $inset * cos($half) + sqrt(max(0.0, $hole ** 2 - ($inset * sin($half)) ** 2));
            $inset = $answers->length('inset', $reach($hole) >= $fillet ? $hole : $hole / tan($half));
            if ($inset < 0.0 || $inset > $hole) {
                $answers->wrong('inset', "This has to be between 0 and {$answers->said($hole)}.");
            } elseif ($reach($inset) < $fillet - 1e-9) {
                $answers->wrong('of', $this->refusal($answers, $edge->mill, $hole, $half, $fillet));
            }
            $places[] = [$x + $inset * cos($inward), $y + $inset * sin($inward)];
            $job->decide(new Choice('inset', '{inset}: clears {reach} of the fillet’s {fillet}, {poke} beyond the sides', [
                'inset' => Quantity::length($inset), 'reach' => Quantity::length($reach($inset)), 'fillet' => Quantity::length($fillet),
                'poke' => Quantity::length($hole - $inset * sin($half)),
            ]));
        }

        return $places;
    }

    /** What would do instead: a smaller mill, in whole millimetres, or a larger hole, in tenths. */
    private function refusal(Answers $answers, float $mill, float $hole, float $half, float $fillet): string
    {
        $smaller = floor(2 * $hole / cos($half));
        $larger = ceil(20 * $mill * cos($half)) / 10;

        return "The fillet ends {$answers->said($fillet)} from the corner, the hole clears {$answers->said($hole / sin($half))}: take a mill of "
            ."{$answers->said($smaller)}, or a hole of Ø {$answers->said($larger)}.";
    }
}
