<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Chuck;
use OakTrace\Core\Setup\Setup;

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

    /** @var list<Solid> */
    private readonly array $solids;

    /** @param  float  $gripped  radius the jaws hold where the setup does not say it, mm */
    public function __construct(Setup $setup, private readonly float $gripped)
    {
        $this->chuck = $setup->workholding->chuck;
        $this->solids = Solid::around($setup);
    }

    public function meet(Stroke $stroke, Hull $hull): void
    {
        $met = [['the chuck', $this->chuck === null ? 0.0 : $this->intoChuck($this->chuck, $hull)]];
        foreach ($this->solids as $solid) {
            $met[] = [$solid->name, $solid->into($hull)];
        }
        foreach ($met as [$what, $by]) {
            if ($by > self::TOUCHES && count($this->collisions[$what] ?? []) < self::MOST) {
                $this->collisions[$what][] = $stroke->cut($hull->least, min($stroke->from[1], $stroke->to[1]), $by);
            }
        }
    }

    private function intoChuck(Chuck $chuck, Hull $hull): float
    {
        $inner = $chuck->jawInner === null ? $this->gripped : $chuck->jawInner / 2;
        $jaws = $chuck->jawFaceZ === null || $chuck->jawOuter === null ? 0.0 : $hull->into($chuck->jawFaceZ, $inner, $chuck->jawOuter / 2);
        $body = $chuck->faceZ === null || $chuck->bodyDiameter === null ? 0.0 : $hull->into($chuck->faceZ, $inner, $chuck->bodyDiameter / 2);

        return max($jaws, $body);
    }
}
