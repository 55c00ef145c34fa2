<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/** A straight piece of a move of a turning tool, an arc's as a chord. Places of the tip in the stock's work offset: Z and radius, mm. */
final readonly class Stroke
{
    public Tool $tool;

    /** @var array{int, int} from the middle of the nose to the tip that is programmed, in radii */
    public array $tip;

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @param  float  $feed  mm a turn
     */
    public function __construct(
        Setup $setup, public State $state, public int $kind, private int $marks, public int $place, public array $from, public array $to, public bool $isChord,
        public float $feed,
    ) {
        $this->tool = $setup->tooling->tools[$state->tool];
        $this->tip = $setup->turningOffset($state->tool, $state->length->number)?->tip() ?? [0, 0];
    }

    /**
     * What a shape sweeps along it.
     *
     * @param  non-empty-list<array{float, float}>  $shape  Z and radius from the tip
     */
    public function hull(array $shape): Hull
    {
        $points = [];
        foreach ([$this->from, $this->to] as [$z, $x]) {
            foreach ($shape as [$byZ, $byX]) {
                $points[] = [$z + $byZ, $x + $byX];
            }
        }

        return new Hull($points);
    }

    public function isRapid(): bool
    {
        return $this->kind === MotionKind::RAPID;
    }

    public function isOfCycle(): bool
    {
        return ($this->marks & Mark::CYCLE) !== 0;
    }

    public function cut(float $z, float $x, float $by): TurnedCut
    {
        return new TurnedCut($this->place, $this->state->tool, $z, $x, $by);
    }
}
