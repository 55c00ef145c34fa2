<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\Pieces;
use OakTrace\Core\Checks\Slip;
use OakTrace\Core\Checks\State\CycleLeftOn;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Idle;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A hole of a cycle, or a whole tool, that takes nothing of any stock. */
final class CutsNothing implements Check
{
    private const REMEDY = 'Hold the places against the drawing, and look at the stock and the work offset in the setup.';

    public function name(): string
    {
        return 'cutting.cuts-nothing';
    }

    public function examine(Evidence $evidence): iterable
    {
        if ($evidence->stock?->isComplete() !== true || $evidence->unitsDiffer()) {
            return;
        }
        $told = array_flip(array_map(static fn (LowMove $move): int => $move->line, CycleLeftOn::beside($evidence)));
        $groups = [];
        foreach ($evidence->stock->idle->holes() as $hole) {
            if (! isset($told[$hole->line]) && ! $evidence->isAstray($hole->work) && ! self::isSlipped($evidence, $hole)) {
                $groups[$hole->tool.' '.$hole->work][] = $hole;
            }
            $told[-$hole->tool] = 0;
        }
        foreach ($groups as $holes) {
            if (! self::areOutOfReach($evidence, $holes)) {
                yield $this->holes($evidence, $holes);
            }
        }
        $slipped = array_map(static fn (Slip $slip): int => $slip->move->tool, $evidence->slips()->slips);
        foreach ($evidence->stock->idle->tools() as $tool => $line) {
            if (! isset($told[-$tool]) && $evidence->offTheStock() === [] && ! in_array($tool, $slipped, true)) {
                yield new Finding($this->name(), Severity::Caution, $line, 1, 'T{tool} takes nothing of any stock.', ['tool' => $tool], self::REMEDY);
            }
        }
    }

    /**
     * Whether the machine does not get there at all, which is what has to be told.
     *
     * @param  list<Idle>  $holes
     */
    private static function areOutOfReach(Evidence $evidence, array $holes): bool
    {
        $axes = $evidence->setup->machine->axes;
        foreach (['X' => array_column($holes, 'x'), 'Y' => array_column($holes, 'y')] as $name => $places) {
            if ($places !== [] && (min($places) < ($axes[$name]->min ?? -INF) || max($places) > ($axes[$name]->max ?? INF))) {
                return true;
            }
        }

        return false;
    }

    private static function isSlipped(Evidence $evidence, Idle $hole): bool
    {
        $slips = $evidence->slips();

        return $slips->explainsAxis('X', $hole->line) || $slips->explainsAxis('Y', $hole->line) || $slips->explainsAxis('Z', $hole->line);
    }

    /** @param  non-empty-list<Idle>  $holes  of one tool at one work offset */
    private function holes(Evidence $evidence, array $holes): Finding
    {
        $pieces = Pieces::of($evidence->setup);
        $piece = $pieces->at($holes[0]->x, $holes[0]->y, $holes[0]->work, INF);
        $top = $pieces->stocks[$piece]->top() + $pieces->zeros[$piece][2];
        $isBelow = array_filter($holes, static fn (Idle $hole): bool => $hole->z < $top - 1e-6) !== [];
        $offset = $evidence->setup->workOffsets[$holes[0]->work] ?? [];
        $zero = [$offset['X'] ?? 0.0, $offset['Y'] ?? 0.0];
        $count = count($holes);
        [$why, $figures] = $isBelow ? self::explained($pieces, $holes, $zero) : [' Its bottom is {above} above the stock.', ['above' => Quantity::length(min(array_map(static fn (Idle $hole): float => $hole->z, $holes)) - $top)]];

        return new Finding(
            $this->name(), $isBelow ? Severity::Stop : Severity::Caution, $holes[0]->line, 1,
            ($count === 1 ? 'A hole of T{tool} at X {x} Y {y} takes nothing of any stock.' : '{count} holes of T{tool} take nothing of any stock, the first at X {x} Y {y}.').$why,
            $figures + ['tool' => $holes[0]->tool, 'count' => $count, 'x' => Quantity::length($holes[0]->x - $zero[0]), 'y' => Quantity::length($holes[0]->y - $zero[1])],
            self::REMEDY, array_values(array_unique(array_slice(array_map(static fn (Idle $hole): int => $hole->line, $holes), 1))),
        );
    }

    /**
     * What would bring all of them into the stock.
     *
     * @param  non-empty-list<Idle>  $holes
     * @param  array{float, float}  $zero  axis positions of the work offset's zero
     * @return array{string, array<string, Quantity>}
     */
    private static function explained(Pieces $pieces, array $holes, array $zero): array
    {
        $middle = [array_sum(array_column($holes, 'x')) / count($holes), array_sum(array_column($holes, 'y')) / count($holes)];
        $all = count($holes) === 1 ? 'it lies' : (count($holes) === 2 ? 'both lie' : 'all '.count($holes).' lie');
        foreach (count($holes) > 2 ? [$zero, $middle] : [$zero] as $centre) {
            if (self::lieIn($pieces, $holes, $centre, 0.5, 0.5)) {
                return [" At half the distance from X {centreX} Y {centreY} {$all} in the stock: a diameter taken for a radius?", [
                    'centreX' => Quantity::length(round($centre[0] - $zero[0], 3)), 'centreY' => Quantity::length(round($centre[1] - $zero[1], 3)),
                ]];
            }
        }
        foreach ([[-1.0, 1.0, 'X'], [1.0, -1.0, 'Y'], [-1.0, -1.0, 'X and Y']] as [$x, $y, $axes]) {
            if (self::lieIn($pieces, $holes, $zero, $x, $y)) {
                return [" With the other sign of {$axes} {$all} in the stock: is a minus missing?", []];
            }
        }

        return ['', []];
    }

    /**
     * Whether all of them would lie in a piece of stock, taken nearer to a point or to its other side.
     *
     * @param  list<Idle>  $holes
     * @param  array{float, float}  $centre
     */
    private static function lieIn(Pieces $pieces, array $holes, array $centre, float $scaleX, float $scaleY): bool
    {
        foreach ($holes as $hole) {
            if (! $pieces->isOver($centre[0] + ($hole->x - $centre[0]) * $scaleX, $centre[1] + ($hole->y - $centre[1]) * $scaleY)) {
                return false;
            }
        }

        return true;
    }
}
