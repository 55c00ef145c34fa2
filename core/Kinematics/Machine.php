<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\LeadAxis;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;

/**
 * What a machine can do: its axes in a fixed order, its spindles by name, where it goes for home and tool changes.
 * Positions are in machine coordinates, millimetres (degrees for rotary axes), by axis name.
 */
final readonly class Machine
{
    public const MILL = 'mill';

    public const MAIN_SPINDLE = 'main';

    public const DRIVEN_SPINDLE = 'driven';

    /** @var list<string> */
    public array $axisNames;

    /** @var array<string, int> axis name => column of the trace */
    public array $axisIndex;

    /**
     * @param  array<string, Axis>  $axes
     * @param  array<string, float>  $home
     * @param  array<string, float>  $secondHome
     * @param  array<string, Spindle>  $spindles
     * @param  array<string, float>  $toolChangeAt  axes the tool change sends somewhere
     */
    public function __construct(
        public string $name,
        public string $kind,
        public array $axes,
        public array $home,
        public array $secondHome,
        public ?float $maxFeed,
        public array $spindles,
        public float $toolChangeSeconds,
        public array $toolChangeAt,
        public ControlProfile $control,
        public Turret $turret = new Turret,
        public ?Posts $posts = null,
        public ThreadLag $threadLag = new ThreadLag,
    ) {
        $this->axisNames = array_map(strval(...), array_keys($axes));
        $this->axisIndex = array_flip($this->axisNames);
    }

    public function spindle(string $name): Spindle
    {
        return $this->spindles[$name] ?? new Spindle;
    }

    /** Whether somebody moves the axis along the tool, as the messages of a program say. */
    public function isLengthByHand(): bool
    {
        return ($this->axes[$this->lengthAxis()] ?? null)?->isByHand === true;
    }

    /** A position or a distance on an axis as the control shows it. */
    public function shown(string $axis, float $value): Quantity
    {
        return $this->axes[$axis]->shown($value);
    }

    /** On which side of the part the tools of a lathe stand, for the operator: front or rear; null where nobody says. */
    public function toolSide(): ?string
    {
        return $this->posts === null ? $this->turret->side : $this->posts->side;
    }

    /** Whether the part turns and the tool does not. */
    public function isLathe(): bool
    {
        return $this->kind === 'lathe';
    }

    /**
     * The part of a way F of a thread is counted along: that of the axis that goes further, or of Z on a control that says so.
     *
     * @param  array<int, float>  $from
     * @param  array<int, float>  $to
     */
    public function leadShare(array $from, array $to): float
    {
        $ways = array_map(static fn (float $end, float $start): float => abs($end - $start), $to, $from);
        $length = sqrt(array_sum(array_map(static fn (float $way): float => $way * $way, $ways)));
        $alongZ = $ways[$this->axisIndex[AxisName::Z] ?? -1] ?? 0.0;
        $counts = $this->control->options->turning->leadAxis === LeadAxis::AlongZ && $alongZ > 0.0 ? $alongZ : max(1e-9, ...$ways);

        return $counts / max(1e-9, $length);
    }

    /** The axis a hole cycle goes along: square to the plane, or along the spindle of a lathe, or into the side of what it turns. */
    public function holeAxis(Plane $plane, ?Code $cycle): string
    {
        return match (true) {
            ! $this->isLathe() => $plane->normal(),
            $cycle?->goesAcross() === true => AxisName::X,
            default => AxisName::Z,
        };
    }

    /** @return list<string> axes that say where a hole is */
    public function holePlace(Plane $plane, ?Code $cycle): array
    {
        return match (true) {
            ! $this->isLathe() => [$plane->first(), $plane->second()],
            $cycle?->goesAcross() === true => [AxisName::Z, AxisName::C],
            default => [AxisName::X, AxisName::C],
        };
    }

    /** The axis a length offset acts on: the one along the tool. */
    public function lengthAxis(): string
    {
        return AxisName::Z;
    }

    /** @return array{int, int, int}|null columns of X, Y and Z; null where the machine lacks one of them, so that no place in space is known */
    public function linearColumns(): ?array
    {
        [$x, $y, $z] = array_map(fn (string $axis): ?int => $this->axisIndex[$axis] ?? null, AxisName::LINEAR);

        return $x === null || $y === null || $z === null ? null : [$x, $y, $z];
    }

    /**
     * @param  array<string, float>  $position  by axis name
     * @return list<float> in the order of the axes, 0 where not given
     */
    public function ordered(array $position): array
    {
        return array_map(static fn (string $axis): float => $position[$axis] ?? 0.0, $this->axisNames);
    }
}
