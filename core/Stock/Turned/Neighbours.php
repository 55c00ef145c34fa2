<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;

/**
 * The tools beside the one that cuts. In a turret they stand out as spokes, and come past the axis as far off as the angle between two
 * stations lets them; in posts they go with it, as far beside it as their offsets say. Lengths in millimetres.
 */
final class Neighbours
{
    /** What comes no further into something touches it, mm. */
    private const TOUCHES = 0.001;

    /** @var array<string, array{TurnedCut, int, string}> by tool, the one beside it and what that comes into: how far, the tool beside, what */
    public array $met = [];

    /** @var array<int, list<array{int, float, float}>> by tool those beside it: number, how far it stands out, its tip's Z from that of the tool that cuts */
    private array $beside = [];

    /**
     * In posts by tool the others: number, Z and X of the tip from that of the tool that cuts, half its width where it stands along the axis.
     *
     * @var array<int, list<array{int, float, float, float}>>
     */
    private array $posts = [];

    /** @var list<array{string, float, float}> what they may come into: name, Z of its face, radius */
    private readonly array $around;

    public function __construct(private readonly Setup $setup)
    {
        $chuck = $setup->workholding->chuck;
        $stock = $setup->workpiece->stock;
        $this->around = array_values(array_filter([
            $chuck?->jawFaceZ === null || $chuck->jawOuter === null ? null : ['the jaws', $chuck->jawFaceZ, $chuck->jawOuter / 2],
            $chuck?->faceZ === null || $chuck->bodyDiameter === null ? null : ['the chuck', $chuck->faceZ, $chuck->bodyDiameter / 2],
            $stock === null ? null : ['the stock', $stock->around->high->z, $stock->around->high->x],
        ]));
        if ($setup->machine->posts !== null) {
            $this->standInPosts();

            return;
        }
        $turret = $setup->machine->turret;
        foreach ($turret->stations === null || $turret->radius === null ? [] : $setup->tooling->tools as $number => $tool) {
            $next = [$number % $turret->stations + 1, ($number + $turret->stations - 2) % $turret->stations + 1];
            foreach ($tool->holding->projection === null ? [] : $next as $other) {
                $projection = ($setup->tooling->tools[$other] ?? null)?->holding->projection;
                [$own, $its] = [$this->reach($number), $this->reach($other)];
                if ($projection !== null && $own !== null && $its !== null) {
                    $this->beside[$number][] = [$other, $projection, $own - $its];
                }
            }
        }
    }

    /**
     * How near to the axis of the spindle a spoke comes.
     *
     * @param  float  $x  radius the tip of the tool that cuts stands at
     * @param  float  $projection  how far that tool stands out of the turret
     * @param  float  $others  and the one beside it
     * @param  float  $radius  of the turret
     * @param  float  $angle  between the two, degrees
     */
    public static function distance(float $x, float $projection, float $others, float $radius, float $angle): float
    {
        $away = $x + $radius + $projection; // from axis to axis
        $along = min($radius + $others, max($radius, $away * cos(deg2rad($angle))));

        return hypot($away - $along * cos(deg2rad($angle)), $along * sin(deg2rad($angle)));
    }

    public function look(Stroke $stroke): void
    {
        $this->lookInPosts($stroke);
        $turret = $this->setup->machine->turret;
        $projection = $stroke->tool->holding->projection ?? 0.0;
        foreach ($this->beside[$stroke->tool->number] ?? [] as [$other, $others, $byZ]) {
            foreach ([$stroke->from, $stroke->to] as [$z, $x]) {
                $away = self::distance($x, $projection, $others, $turret->radius ?? 0.0, 360 / ($turret->stations ?? 1));
                $this->note($stroke, $other, $z + $byZ, $away);
            }
        }
    }

    private function standInPosts(): void
    {
        $tools = $this->setup->tooling->tools;
        foreach (array_keys($tools) as $number) {
            [$z, $x] = [$this->reach($number), $this->reach($number, AxisName::X)];
            foreach ($z === null || $x === null ? [] : array_diff_key($tools, [$number => 0]) as $other => $tool) {
                [$itsZ, $itsX] = [$this->reach($other), $this->reach($other, AxisName::X)];
                if ($itsZ !== null && $itsX !== null) {
                    // What turns on the axis stands along it; an insert stands out of its post across.
                    $isAlong = ($tool->kind->isRound() || $tool->kind->bores()) && $tool->holding->driven !== 'across';
                    $this->posts[$number][] = [$other, $z - $itsZ, $x - $itsX, $isAlong ? ($tool->geometry->diameter ?? 0.0) / 2 : 0.0];
                }
            }
        }
    }

    private function lookInPosts(Stroke $stroke): void
    {
        foreach ($this->posts[$stroke->tool->number] ?? [] as [$other, $byZ, $byX, $half]) {
            foreach ([$stroke->from, $stroke->to] as [$z, $x]) {
                // Each stands away from the others: beyond the axis its post is on that side.
                $this->note($stroke, $other, $z + $byZ, max(0.0, abs($x + $byX) - $half));
            }
        }
    }

    /** @param  float  $away  from the axis of the spindle */
    private function note(Stroke $stroke, int $other, float $z, float $away): void
    {
        foreach ($this->around as [$what, $face, $radius]) {
            $key = "{$stroke->tool->number} {$other} {$what}";
            [$before] = $this->met[$key] ?? [null];
            if ($z < $face && $radius - $away > ($before === null ? self::TOUCHES : $before->by)) {
                $place = $before === null ? $stroke->place : $before->place;
                $this->met[$key] = [new TurnedCut($place, $stroke->tool->number, $z, $away, $radius - $away), $other, $what];
            }
        }
    }

    /** What the offset of a tool says it reaches along an axis; null where it is not set. */
    private function reach(int $tool, string $axis = AxisName::Z): ?float
    {
        return ($this->setup->turningOffset($tool, $tool)?->axes[$axis] ?? null)?->total();
    }
}
