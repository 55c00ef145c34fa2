<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Chuck;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\State;

/** What stands around a turned part: the chuck that holds it, tailstock, steady, zones; and what ran into it. */
final class Surroundings
{
    /** What comes no further into a solid touches it, mm. */
    private const TOUCHES = 0.001;

    /** Of one kind no more are kept. */
    private const MOST = 200;

    /** @var array<string, list<TurnedCut>> by what they run into, moves that come into it: how far */
    public array $collisions = [];

    private readonly ?Chuck $chuck;

    /** @var list<Solid> apart from the tailstock */
    private readonly array $solids;

    private readonly ?Solid $tailstock;

    private readonly bool $hasCenter;

    private readonly ?Solid $second;

    private readonly bool $isSecondForward;

    /** @param  float  $gripped  radius the jaws hold where the setup does not say it, mm */
    public function __construct(Setup $setup, private readonly float $gripped)
    {
        $this->chuck = $setup->workholding->chuck;
        $this->tailstock = Solid::tailstock($setup);
        $this->hasCenter = $setup->workholding->hasCenter();
        $this->second = Solid::second($setup);
        $this->isSecondForward = $setup->workholding->second->forward ?? false;
        $this->solids = array_slice(Solid::around($setup), $this->tailstock !== null && $this->hasCenter ? 1 : 0);
    }

    /** Whether something that lies between two Z, from a radius on outwards, may come into any of them. */
    public function isNear(State $state, float $least, float $most, float $low): bool
    {
        if ($least < max($this->chuck->jawFaceZ ?? -INF, $this->chuck->faceZ ?? -INF)) {
            return true;
        }
        foreach ($this->solidsIn($state) as $solid) {
            if ($solid->isNear($least, $most, $low)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, float> how far a shape that is swept along a move comes into each of them, mm */
    public function comesInto(Stroke $stroke, Hull $hull): array
    {
        $met = ['the chuck' => $this->chuck === null ? 0.0 : $this->intoChuck($this->chuck, $hull)];
        foreach ($this->solidsIn($stroke->state) as $solid) {
            $met[$solid->name] = max($met[$solid->name] ?? 0.0, $solid->into($hull));
        }

        return $met;
    }

    public function meet(Stroke $stroke, Hull $hull): void
    {
        foreach ($this->comesInto($stroke, $hull) as $what => $by) {
            if ($by > self::TOUCHES && count($this->collisions[$what] ?? []) < self::MOST) {
                $this->collisions[$what][] = $stroke->cut($this->placeOf($what, $stroke, $hull), min($stroke->from[1], $stroke->to[1]), $by);
            }
        }
    }

    /** Whether the tailstock is in: as it was set up, or as the program has sent it. */
    public function isCenterIn(State $state): bool
    {
        return $state->modes->tailstockIn ?? $this->hasCenter;
    }

    /** @return list<Solid> */
    private function solidsIn(State $state): array
    {
        $solids = $this->tailstock !== null && $this->isCenterIn($state) ? [$this->tailstock, ...$this->solids] : $this->solids;

        return $this->second !== null && ($state->modes->second->isForward ?? $this->isSecondForward) ? [$this->second, ...$solids] : $solids;
    }

    /** Where along Z a shape comes into one of them: where its end is, or where that begins if the shape comes from the other side. */
    private function placeOf(string $what, Stroke $stroke, Hull $hull): float
    {
        $z = $hull->least;
        if ($stroke->to[0] <= $stroke->from[0]) {
            return $z;
        }
        foreach ($this->solidsIn($stroke->state) as $solid) {
            $z = $solid->name === $what ? max($z, $solid->begins($hull)) : $z;
        }

        return $z;
    }

    private function intoChuck(Chuck $chuck, Hull $hull): float
    {
        $inner = $chuck->jawInner === null ? $this->gripped : $chuck->jawInner / 2;
        $jaws = $chuck->jawFaceZ === null || $chuck->jawOuter === null ? 0.0 : $hull->into($chuck->jawFaceZ, $inner, $chuck->jawOuter / 2);
        $body = $chuck->faceZ === null || $chuck->bodyDiameter === null ? 0.0 : $hull->into($chuck->faceZ, $inner, $chuck->bodyDiameter / 2);

        return max($jaws, $body);
    }
}
