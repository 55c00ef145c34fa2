<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\ArcOver180;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;

/** Arcs as the block gives them: the words of the plane's centre or a radius, in either centre mode, with full turns. */
final readonly class Arcs
{
    /** Degrees, with the last digits of end points to spare. */
    private const HALF_TURN = 180.5;

    /** Turns of one arc no real program asks for. */
    private const MOST_TURNS = 10_000;

    /** Degrees from which on an arc by its radius is near to half a turn. */
    private const NEAR_HALF = 176;

    private ArcSolver $solver;

    public function __construct(private Context $context, private Offsets $offsets, private Coordinates $coordinates)
    {
        $this->solver = new ArcSolver($context->machine->control->options->arcTolerance);
    }

    /** @param  list<float>  $target */
    public function move(array $target, bool $clockwise): void
    {
        $context = $this->context;
        $plane = $context->modal->modes->plane;
        $axes = $context->planeAxes('An arc');
        if ($axes === null) {
            return;
        }
        [$first, $second] = $axes;
        $problem = $this->coordinates->active
            ? $this->solvePlaced($plane, $first, $second, $clockwise)
            : $this->solve($plane, $first, $second, $context->recorder->at, $target, $clockwise);
        if ($problem === ArcSolver::OK) {
            $turns = (int) min(self::MOST_TURNS + 1, $context->block->words[$context->machine->control->letters->arcTurns] ?? 1);
            if ($turns > self::MOST_TURNS) {
                $context->notice('runaway', 'P', ['most' => self::MOST_TURNS]);
            } elseif ($turns > 1) {
                $this->solver->sweep += ($this->solver->sweep < 0 ? -360.0 : 360.0) * ($turns - 1);
            }
            if (abs($this->solver->sweep) > self::HALF_TURN && $context->machine->control->options->turning->arcOver180 === ArcOver180::Refused) {
                $context->notice('arc-over-180', 'G', ['sweep' => Quantity::angle(abs($this->solver->sweep))]);
            }
            $context->recorder->arc($target, $this->solver);

            return;
        }
        $this->notice($problem, $plane, $target, $first, $second);
        if ($problem === ArcSolver::RADIUS_MISMATCH) {
            $context->recorder->arc($target, $this->solver, Mark::UNCERTAIN);
        } else {
            $context->recorder->feed($target, Mark::UNCERTAIN);
        }
    }

    /** Solves the arc in the program's coordinates and puts the answer where they are placed. */
    private function solvePlaced(Plane $plane, int $first, int $second, bool $clockwise): string
    {
        $placement = $this->coordinates->placement;
        if (! $placement->keepsCircles($first, $second)) {
            return 'unequal-scale';
        }
        $from = $this->coordinates->from;
        $problem = $this->solve($plane, $first, $second, $from->each(), $this->coordinates->to->each(), $clockwise);
        $center = $this->coordinates->toAxes($from->with([$first => $this->solver->centerFirst, $second => $this->solver->centerSecond]));
        $this->solver->centerFirst = $center[$first];
        $this->solver->centerSecond = $center[$second];
        $this->solver->startRadius *= abs($placement->factors[$first]);
        $this->solver->endRadius *= abs($placement->factors[$first]);
        if ($placement->reverses($first, $second)) {
            $this->solver->sweep = -$this->solver->sweep;
        }

        return $problem;
    }

    /**
     * @param  list<float>  $at
     * @param  list<float>  $target
     */
    private function solve(Plane $plane, int $first, int $second, array $at, array $target, bool $clockwise): string
    {
        $words = $this->context->block->words;
        $unit = $this->context->unit;
        $toFirst = $words[Plane::centerLetter($plane->first())] ?? null;
        $toSecond = $words[Plane::centerLetter($plane->second())] ?? null;
        if ($toFirst === null && $toSecond === null) {
            if (isset($words['R'])) {
                $this->noticeNearHalf($at, $target, $first, $second, abs($words['R']) * $unit);
            }

            return isset($words['R'])
                ? $this->solver->fromRadius($at[$first], $at[$second], $target[$first], $target[$second], $words['R'] * $unit, $clockwise)
                : ArcSolver::NO_CENTRE;
        }
        if ($this->context->modal->centerAbsolute) {
            // Given in the program's coordinates; what is not given is where the arc starts.
            $zero = $this->coordinates->active ? [$first => 0.0, $second => 0.0] : $this->offsets->shift;
            $toFirst = $toFirst === null ? 0.0 : $toFirst * $unit + $zero[$first] - $at[$first];
            $toSecond = $toSecond === null ? 0.0 : $toSecond * $unit + $zero[$second] - $at[$second];
        } else {
            $toFirst = ($toFirst ?? 0.0) * $unit;
            $toSecond = ($toSecond ?? 0.0) * $unit;
        }

        return $this->solver->fromCenter($at[$first], $at[$second], $target[$first], $target[$second], $toFirst, $toSecond, $clockwise);
    }

    /**
     * An arc of nearly half a turn by its radius: a rounded end point puts its centre on the other side. Half a turn exactly has
     * but one centre.
     *
     * @param  list<float>  $at
     * @param  list<float>  $target
     */
    private function noticeNearHalf(array $at, array $target, int $first, int $second, float $radius): void
    {
        $chord = hypot($target[$first] - $at[$first], $target[$second] - $at[$second]);
        $short = 2 * $radius - $chord;
        if ($short > $this->context->machine->control->options->arcTolerance && $chord > 2 * $radius * sin(deg2rad(self::NEAR_HALF / 2))) {
            $this->context->notice('arc-near-half', 'R', ['sweep' => Quantity::angle(2 * rad2deg(asin(min(1.0, $chord / 2 / $radius))))]);
        }
    }

    /** @param  list<float>  $target */
    private function notice(string $problem, Plane $plane, array $target, int $first, int $second): void
    {
        if ($this->context->unknownAt === $this->context->block->line) {
            return;
        }
        $at = $this->context->recorder->at;
        $arc = $this->solver;
        $chordFirst = $target[$first] - $at[$first];
        $chordSecond = $target[$second] - $at[$second];
        $chord = hypot($chordFirst, $chordSecond);
        $figures = [];
        if ($problem === ArcSolver::RADIUS_MISMATCH) {
            // The centre that fits: the given one moved square onto the bisector of start and end.
            $along = (
                ($arc->centerFirst - $at[$first] - $chordFirst / 2) * $chordFirst + ($arc->centerSecond - $at[$second] - $chordSecond / 2) * $chordSecond
            ) / max(1e-12, $chord * $chord);
            $figures = [
                'startRadius' => Quantity::length($arc->startRadius),
                'endRadius' => Quantity::length($arc->endRadius),
                'by' => Quantity::length(abs($arc->startRadius - $arc->endRadius)),
                'chordFirst' => Quantity::length($chordFirst),
                'chordSecond' => Quantity::length($chordSecond),
                'turn' => $arc->sweep < 0.0 ? 'clockwise' : 'counter-clockwise',
                'firstLetter' => Plane::centerLetter($plane->first()),
                'secondLetter' => Plane::centerLetter($plane->second()),
                'centerI' => Quantity::length($arc->centerFirst - $along * $chordFirst - $at[$first]),
                'centerJ' => Quantity::length($arc->centerSecond - $along * $chordSecond - $at[$second]),
            ];
        } elseif ($problem === ArcSolver::RADIUS_TOO_SMALL) {
            $figures = ['radius' => Quantity::length($arc->startRadius), 'chord' => Quantity::length($chord), 'least' => Quantity::length($chord / 2)];
        }
        $this->context->notice($problem, 'G', $figures);
    }
}
