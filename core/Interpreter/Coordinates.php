<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\Placement;
use OakTrace\Core\Geometry\ProgramPosition;
use OakTrace\Core\Trace\Mark;

/** Scaling, mirror, rotation and polar coordinates: how the words of a program become places while any of them is on. */
final class Coordinates implements ProgramPlaces
{
    /** Nothing is scaled down, or up, by more. */
    private const SMALLEST_SCALE = 1e-6;

    /** Whether any of them is on. */
    public bool $active = false;

    // Before and after the move last worked out.

    public ProgramPosition $from;

    public ProgramPosition $to;

    public Placement $placement;

    private bool $polar = false;

    /** @var array{float, float, float, float} radius and angle in force, and the pole */
    private array $pole = [0.0, 0.0, 0.0, 0.0];

    /** @var array{list<float>, ProgramPosition}|null where the axes stood, and what the program says of that */
    private ?array $known = null;

    public function __construct(private readonly Context $context, private readonly Offsets $offsets)
    {
        $this->placement = Placement::none(count($context->machine->axisNames));
        $this->from = $this->to = new ProgramPosition(array_fill(0, count($context->machine->axisNames), 0.0));
    }

    /** Switches one of them on or off, with the words of the block. */
    public function use(Code $code): void
    {
        match ($code) {
            Code::ScaleOn => $this->scale(),
            Code::ScaleOff => $this->unscale(false),
            Code::MirrorOn => $this->mirror(),
            Code::MirrorOff => $this->unscale(true),
            Code::RotateOn => $this->rotate(),
            Code::RotateOff => $this->placement = $this->placement->turned(0.0, 0, 1, 0.0, 0.0),
            Code::PolarOn => $this->polar = true,
            default => $this->polar = false,
        };
        $this->active = $this->polar || ! $this->placement->isNone();
        $modal = $this->context->modal;
        $modal->modes = $modal->modes->with(polar: $this->polar);
        $modal->placement = $this->placement->isNone() ? null : $this->placement;
        $this->known = null;
        $this->context->recorder->stateChanged();
    }

    /**
     * Where axis words lead, or null where there are none.
     *
     * @param  array<string, float>  $words
     * @return list<float>|null
     */
    public function target(array $words): ?array
    {
        $context = $this->context;
        $this->from = $this->position();
        $to = [];
        if ($this->polar) {
            $words = $this->fromPolar($words);
        }
        foreach ($context->machine->axisNames as $axis => $letter) {
            if (! isset($words[$letter])) {
                continue;
            }
            $value = $words[$letter] * $context->scale[$axis];
            $to[$axis] = $context->modal->modes->absolute || ($this->polar && $this->isPlanar($letter)) ? $value : $this->from->on($axis) + $value;
            $this->mark($axis);
        }
        $this->to = $this->from->with($to);
        if ($to === []) {
            return null;
        }
        $target = $this->toAxes($this->to);
        $this->known = [$target, $this->to];

        return $target;
    }

    public function placement(): Placement
    {
        return $this->placement;
    }

    /** @param  list<float>|null  $at */
    public function position(?array $at = null): ProgramPosition
    {
        $at ??= $this->context->recorder->at;
        if ($this->known !== null && $this->known[0] === $at) {
            return $this->known[1];
        }
        $position = [];
        foreach ($at as $axis => $value) {
            $position[] = $value - $this->offsets->shift[$axis];
        }

        return $this->placement->undo($position);
    }

    /** @return list<float> machine position of every axis */
    public function toAxes(ProgramPosition $position): array
    {
        $axes = [];
        foreach ($this->placement->apply($position) as $axis => $value) {
            $axes[] = $value + $this->offsets->shift[$axis];
        }

        return $axes;
    }

    private function mark(int $axis): void
    {
        $marks = Mark::touched($axis) | ($this->context->modal->modes->absolute ? Mark::tied($axis) : 0);
        if ($this->placement->turns($axis)) {
            foreach (array_keys($this->context->machine->axisNames) as $other) {
                if ($this->placement->turns($other)) {
                    $marks |= Mark::touched($other) | ($this->context->modal->modes->absolute ? Mark::tied($other) : 0);
                }
            }
        }
        $this->context->recorder->axisMarks |= $marks;
    }

    private function isPlanar(string $letter): bool
    {
        $plane = $this->context->modal->modes->plane;

        return $letter === $plane->first() || $letter === $plane->second();
    }

    /**
     * Radius and angle become places on the plane's axes. A radius in absolute positions is counted from program zero, in
     * incremental ones from where the tool stands; an angle in incremental positions from the angle before (common practice).
     *
     * @param  array<string, float>  $words
     * @return array<string, float>
     */
    private function fromPolar(array $words): array
    {
        $plane = $this->context->modal->modes->plane;
        $radius = $words[$plane->first()] ?? null;
        $angle = $words[$plane->second()] ?? null;
        $axes = $radius === null && $angle === null ? null : $this->context->planeAxes('A polar position');
        if ($axes === null) {
            return $words;
        }
        [$first, $second] = $axes;
        $absolute = $this->context->modal->modes->absolute;
        if ($radius !== null) {
            $about = $absolute ? [0.0, 0.0] : [$this->from->on($first), $this->from->on($second)];
            $this->pole = [$radius * $this->context->scale[$first], $this->pole[1], ...$about];
        }
        if ($angle !== null) {
            $this->pole[1] = $absolute ? $angle : $this->pole[1] + $angle;
        }
        [$length, $degrees, $a, $b] = $this->pole;
        $words[$plane->first()] = ($a + $length * cos(deg2rad($degrees))) / $this->context->scale[$first];
        $words[$plane->second()] = ($b + $length * sin(deg2rad($degrees))) / $this->context->scale[$second];

        return $words;
    }

    private function rotate(): void
    {
        $words = $this->context->block->words;
        $plane = $this->context->modal->modes->plane;
        $angle = $words['R'] ?? (isset($words['I']) || isset($words['J']) ? rad2deg(atan2($words['J'] ?? 0.0, $words['I'] ?? 0.0)) : null);
        if ($angle === null) {
            $this->context->notice('placement-without-word', 'G', ['what' => 'A rotation', 'letter' => 'R']);

            return;
        }
        $axes = $this->context->planeAxes('A rotation');
        if ($axes === null) {
            return;
        }
        [$first, $second] = $axes;
        if (! $this->context->modal->modes->absolute) {
            $angle += $this->placement->angle;
        }
        $here = $this->position();
        $center = static fn (?float $word, int $axis, float $scale): float => $word === null ? $here->on($axis) : $word * $scale;
        $this->placement = $this->placement->turned(
            fmod($angle, 360), $first, $second,
            $center($words[$plane->first()] ?? null, $first, $this->context->scale[$first]),
            $center($words[$plane->second()] ?? null, $second, $this->context->scale[$second]),
        );
    }

    /** One factor for all in P, or I J K one for each; about X Y Z, or where the tool stands. */
    private function scale(): void
    {
        $words = $this->context->block->words;
        $here = $this->position();
        $placement = $this->placement;
        foreach ([AxisName::X => 'I', AxisName::Y => 'J', AxisName::Z => 'K'] as $name => $letter) {
            $axis = $this->context->machine->axisIndex[$name] ?? null;
            $factor = $words[$letter] ?? $words['P'] ?? null;
            if ($axis === null || $factor === null) {
                continue;
            }
            if (abs($factor) < self::SMALLEST_SCALE || abs($factor) > 1 / self::SMALLEST_SCALE) {
                $this->context->notice('placement-without-word', 'G', ['what' => 'A scale', 'letter' => 'P']);

                return;
            }
            $placement = $placement->scaled($axis, $factor, isset($words[$name]) ? $words[$name] * $this->context->scale[$axis] : $here->on($axis));
        }
        if ($placement === $this->placement) {
            $this->context->notice('placement-without-word', 'G', ['what' => 'A scaling', 'letter' => 'P']);
        }
        $this->placement = $placement;
    }

    private function mirror(): void
    {
        $placement = $this->placement;
        foreach ($this->context->machine->axisNames as $axis => $name) {
            if (isset($this->context->block->words[$name])) {
                $placement = $placement->scaled($axis, -abs($placement->factors[$axis]), $this->context->block->words[$name] * $this->context->scale[$axis]);
            }
        }
        if ($placement === $this->placement) {
            $this->context->notice('placement-without-word', 'G', ['what' => 'A mirror', 'letter' => 'X or Y']);
        }
        $this->placement = $placement;
    }

    /** @param  bool  $mirrorOnly  whether only the axes named are taken back, as ending a mirror does */
    private function unscale(bool $mirrorOnly): void
    {
        $words = $mirrorOnly ? array_intersect_key($this->context->block->words, $this->context->machine->axisIndex) : [];
        foreach ($this->context->machine->axisNames as $axis => $name) {
            if ($words === [] || isset($words[$name])) {
                $this->placement = $this->placement->scaled($axis, 1.0, 0.0);
            }
        }
    }
}
