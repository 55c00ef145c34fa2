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

    public function __construct(private readonly Setup $setup)
    {
    }

    /** What stands after the move is what the holder must pass. */
    public function look(Stroke $stroke, RadiusProfile $profile, Surroundings $around): void
    {
        $number = $stroke->tool->number;
        $offset = $stroke->state->length->number;
        $shapes = $this->shapes[$number.'/'.$offset] ??= HolderShape::of($stroke->tool, $this->setup->turningOffset($number, $offset));
        if ($shapes === []) {
            $this->unknown[$number] = true;
        }
        foreach ($shapes as $shape) {
            $hull = $stroke->hull($shape);
            $met = $profile->meet($hull, false);
            if ($met->volume > 0.0) {
                $this->note($stroke, 'the part', $hull->least, $met->reach());
            }
            foreach ($around->comesInto($stroke, $hull) as $what => $by) {
                $this->note($stroke, $what, $hull->least, $by);
            }
        }
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
