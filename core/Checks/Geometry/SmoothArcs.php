<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\OutlineMove;

/** The rounded corners of a program: arcs that join the moves on both sides smoothly, and the arcs between two lines that do not. */
final class SmoothArcs
{
    /** Degrees off tangent up to which it is rounding or a slight error, and no corner. */
    private const SMOOTH = 3.0;

    /** How alike two radii have to be to be the same, as a share. */
    private const NEAR = 0.01;

    /** Corners of one radius from which it is the one the outline is rounded with. */
    private const USUAL = 2;

    /** @var array<string, array{int, float}> line in words => its place, and radius, mm */
    private array $smooth = [];

    /** @var array<string, array{OutlineMove, float}> line in words => an arc that leaves a corner at both ends, and the sweep that would not, degrees */
    private array $corners = [];

    /** @param  bool  $isTurned  a contour that is turned, whose corners are each rounded as it is */
    private function __construct(private readonly bool $isTurned)
    {
    }

    public static function in(CheckInput $input): self
    {
        $arcs = new self($input->setup->machine->isLathe());
        foreach ($input->outline()->arcs() as [$before, $arc, $behind]) {
            $turns = [$before->turnTo($arc), $arc->turnTo($behind)];
            $words = $input->trace->sources->words($arc->line);
            if (max($turns) <= self::SMOOTH) {
                $arcs->smooth[$words] ??= [$arc->line, $arc->radius()];
            } elseif (min($turns) > self::SMOOTH && ! $before->isArc() && ! $behind->isArc()) {
                $sweep = $arc->smoothSweep($before, $behind);
                if ($sweep !== null) {
                    $arcs->corners[$words] ??= [$arc, $sweep];
                }
            }
        }

        return $arcs;
    }

    /** @return iterable<array{OutlineMove, float}> every arc that leaves a corner at both ends, and the radius that would leave none, mm */
    public function corners(): iterable
    {
        foreach ($this->corners as [$arc, $sweep]) {
            if ($arc->sweep * $sweep > 0.0) {
                yield [$arc, $arc->radiusOver($sweep)];
            }
        }
    }

    /** Place of an arc that shows a radius to be the one the outline is rounded with; null where none does. */
    public function like(float $radius): ?int
    {
        $alike = array_filter($this->smooth, static fn (array $arc): bool => abs($arc[1] - $radius) < self::NEAR * $radius);

        return count($alike) < self::USUAL ? null : reset($alike)[0];
    }

    /**
     * The only arc that bulges to the other side than those of its radius, or than a turned corner does; two may be meant.
     *
     * @return array{OutlineMove, int|null}|null the arc, and the place of one it should be like, where there is one
     */
    public function bulgingTheOtherWay(): ?array
    {
        $found = [];
        foreach ($this->corners as [$arc, $sweep]) {
            $radius = $arc->radiusOver($sweep);
            $like = $this->like($radius);
            if (
                ($like !== null || $this->isTurned) && $arc->sweep * $sweep < 0.0 && abs((float) $arc->sweep) < 180.0
                && abs($arc->radius() - $radius) < self::NEAR * $radius
            ) {
                $found[] = [$arc, $like];
            }
        }

        return count($found) === 1 ? $found[0] : null;
    }
}
