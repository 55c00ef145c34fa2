<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\EntryError;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\Pieces;
use OakTrace\Core\Checks\State\CycleLeftOn;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\AirHole;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A hole of a cycle, or a whole tool, that takes nothing of any stock. */
final class CutsNothing extends MillCheck
{
    private const REMEDY = 'Check the positions against the drawing, and the stock and the work offset in the setup.';

    public function name(): string
    {
        return 'cutting.cuts-nothing';
    }

    public function why(): string
    {
        return 'A tool that cuts nothing usually has a wrong height, offset or position. The same slip the other way is a crash.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->stock?->isFollowed() !== true || $input->unitsDiffer()) {
            return;
        }
        $told = array_flip(array_map(static fn (LowMove $move): int => $move->line, CycleLeftOn::beside($input)));
        $groups = [];
        foreach ($input->stock->idle->holes() as $hole) {
            if (! isset($told[$hole->line]) && ! $input->isAstray($hole->work) && ! self::isSlipped($input, $hole)) {
                $groups[$hole->tool.' '.$hole->work][] = $hole;
            }
            $told[-$hole->tool] = 0;
        }
        foreach ($groups as $holes) {
            if (! self::areOutOfReach($input, $holes)) {
                yield $this->holes($input, $holes);
            }
        }
        $slipped = array_map(static fn (EntryError $entryError): int => $entryError->move->tool, $input->entryErrors()->entryErrors);
        foreach ($input->stock->idle->tools() as $tool => $line) {
            if (! isset($told[-$tool]) && $input->offTheStock() === [] && ! in_array($tool, $slipped, true)) {
                yield new Finding($this->name(), Severity::Caution, $line, 1, 'T{tool} cuts no stock at all.', ['tool' => $tool], self::REMEDY);
            }
        }
    }

    /**
     * Whether the machine does not get there at all, which is what has to be told.
     *
     * @param  list<AirHole>  $holes
     */
    private static function areOutOfReach(CheckInput $input, array $holes): bool
    {
        $axes = $input->setup->machine->axes;
        foreach ([AxisName::X => array_column($holes, 'x'), AxisName::Y => array_column($holes, 'y')] as $name => $places) {
            if ($places !== [] && (min($places) < ($axes[$name]->min ?? -INF) || max($places) > ($axes[$name]->max ?? INF))) {
                return true;
            }
        }

        return false;
    }

    private static function isSlipped(CheckInput $input, AirHole $hole): bool
    {
        $entryErrors = $input->entryErrors();

        return $entryErrors->explainsAxis(AxisName::X, $hole->line)
            || $entryErrors->explainsAxis(AxisName::Y, $hole->line) || $entryErrors->explainsAxis(AxisName::Z, $hole->line);
    }

    /** @param  non-empty-list<AirHole>  $holes  of one tool at one work offset */
    private function holes(CheckInput $input, array $holes): Finding
    {
        $pieces = Pieces::of($input->setup);
        $piece = $pieces->at($holes[0]->x, $holes[0]->y, $holes[0]->work, INF);
        $top = $pieces->stocks[$piece]->top() + $pieces->zeros[$piece]->z;
        $isBelow = array_filter($holes, static fn (AirHole $hole): bool => $hole->z < $top - 1e-6) !== [];
        $zero = $input->setup->zero($holes[0]->work);
        $count = count($holes);
        [$why, $figures] = $isBelow ? self::explained($pieces, $holes, $zero) : [
            ($count === 1 ? ' Its bottom is' : ' Their bottoms are at least').' {above} above the stock.',
            ['above' => Quantity::length(min(array_map(static fn (AirHole $hole): float => $hole->z, $holes)) - $top)],
        ];

        return new Finding(
            $this->name(), $isBelow ? Severity::Stop : Severity::Caution, $holes[0]->line, 1,
            (
                $count === 1
                    ? 'The hole of T{tool} at X {x} Y {y} misses the stock.'
                    : '{count} holes of T{tool} miss the stock, the first at X {x} Y {y}.'
            ).$why,
            $figures + [
                'tool' => $holes[0]->tool, 'count' => $count, 'x' => Quantity::length($holes[0]->x - $zero->x),
                'y' => Quantity::length($holes[0]->y - $zero->y),
            ],
            self::REMEDY, array_map(static fn (AirHole $hole): int => $hole->line, $holes),
        );
    }

    /**
     * What would bring all of them into the stock.
     *
     * @param  non-empty-list<AirHole>  $holes
     * @param  Shift  $zero  where the zero of the work offset lies in the machine
     * @return array{string, array<string, Quantity>}
     */
    private static function explained(Pieces $pieces, array $holes, Shift $zero): array
    {
        $corner = [$zero->x, $zero->y];
        $middle = [array_sum(array_column($holes, 'x')) / count($holes), array_sum(array_column($holes, 'y')) / count($holes)];
        $all = count($holes) === 1 ? 'it lies' : (count($holes) === 2 ? 'both lie' : 'all '.count($holes).' lie');
        foreach (count($holes) > 2 ? [$corner, $middle] : [$corner] as $center) {
            if (self::lieIn($pieces, $holes, $center, 0.5, 0.5)) {
                return [" At half the distance from X {centerX} Y {centerY} {$all} in the stock: a diameter taken for a radius?", [
                    'centerX' => Quantity::length(round($center[0] - $zero->x, 3)), 'centerY' => Quantity::length(round($center[1] - $zero->y, 3)),
                ]];
            }
        }
        foreach ([[-1.0, 1.0, AxisName::X], [1.0, -1.0, AxisName::Y], [-1.0, -1.0, 'X and Y']] as [$x, $y, $axes]) {
            if (self::lieIn($pieces, $holes, $corner, $x, $y)) {
                return [" With the other sign of {$axes} {$all} in the stock: is a minus missing?", []];
            }
        }

        return ['', []];
    }

    /**
     * Whether all of them would lie in a piece of stock, taken nearer to a point or to its other side.
     *
     * @param  list<AirHole>  $holes
     * @param  array{float, float}  $center
     */
    private static function lieIn(Pieces $pieces, array $holes, array $center, float $scaleX, float $scaleY): bool
    {
        foreach ($holes as $hole) {
            if (! $pieces->isOver($center[0] + ($hole->x - $center[0]) * $scaleX, $center[1] + ($hole->y - $center[1]) * $scaleY)) {
                return false;
            }
        }

        return true;
    }
}
