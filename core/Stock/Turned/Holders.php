<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Setup;

/** Holders and shanks of turning tools, along every move: what they ran into. Lengths in millimetres. */
final class Holders
{
    /** What comes no further into something touches it, mm. */
    private const TOUCHES = 0.02;

    /** @var array<string, TurnedCut> by tool and what it came into: how far at most, with the first place */
    public array $met = [];

    /** @var array<int, true> tools of which nothing is known of what holds them */
    public array $unknown = [];

    /** @var array<string, list<non-empty-list<array{float, float}>>> tool and offset => see HolderShape */
    private array $shapes = [];

    /** @param  float  $radius  of the part before it was cut */
    public function __construct(private readonly Setup $setup, private readonly float $radius)
    {
    }

    /**
     * What stands after the move is what the holder must pass.
     *
     * @return int cells looked at
     */
    public function look(Stroke $stroke, RadiusProfile $profile, Surroundings $around): int
    {
        $number = $stroke->tool->number;
        $offset = $stroke->state->length->number;
        $shapes = $this->shapes[$number.'/'.$offset] ??= HolderShape::of($stroke->tool, $this->setup->turningOffset($number, $offset));
        if ($shapes === []) {
            $this->unknown[$number] = true;
        }
        $cells = 0;
        foreach ($shapes as $shape) {
            [$least, $most, $low] = self::box($stroke, $shape);
            $isAtPart = $least < $profile->to() && $most > $profile->from && $low < $this->radius;
            if (! $isAtPart && ! $around->isNear($stroke->state, $least, $most, $low)) {
                continue;
            }
            $hull = $stroke->hull($shape);
            $met = $isAtPart ? $profile->meet($hull, false) : null;
            $cells += $isAtPart ? $profile->cellsAlong($hull) : 0;
            if ($met !== null && $met->volume > 0.0) {
                $this->note($stroke, 'the part', $hull->least, $met->reach());
            }
            foreach ($around->comesInto($stroke, $hull) as $what => $by) {
                $this->note($stroke, $what, $hull->least, $by);
            }
        }

        return $cells;
    }

    /**
     * What a shape sweeps lies within, since mostly that is far from everything.
     *
     * @param  non-empty-list<array{float, float}>  $shape
     * @return array{float, float, float} least and greatest Z, and the least radius; 0 where it comes to the axis
     */
    private static function box(Stroke $stroke, array $shape): array
    {
        [$z, $x] = [array_column($shape, 0), array_column($shape, 1)];
        [$low, $high] = [min($stroke->from[1], $stroke->to[1]) + min($x), max($stroke->from[1], $stroke->to[1]) + max($x)];

        return [
            min($stroke->from[0], $stroke->to[0]) + min($z), max($stroke->from[0], $stroke->to[0]) + max($z), $low <= 0.0 && $high >= 0.0 ? 0.0
                : min(abs($low), abs($high)),
        ];
    }

    private function note(Stroke $stroke, string $what, float $z, float $by): void
    {
        $before = $this->met[$stroke->tool->number.' '.$what] ?? null;
        if ($by > ($before === null ? self::TOUCHES : $before->by)) {
            $place = $before === null ? $stroke->place : $before->place;
            $this->met[$stroke->tool->number.' '.$what] = new TurnedCut($place, $stroke->tool->number, $z, $stroke->to[1], $by);
        }
    }
}
