<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text\Path;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Geometry\AxisName;

/** What of the modes a path stands under while its lines are gone through, and where the program has put each axis. */
final class PathModes
{
    public bool $isAbsolute = true;

    public bool $centerIsAbsolute = false;

    public Code $plane = Code::PlaneXY;

    public ?Code $motion = null;

    public bool $isCycle = false;

    /** Whether cutter compensation is in force. */
    public bool $isCompensated = false;

    /** Rotation, scaling, mirroring or polar places the program itself has put on. */
    public ?Code $frame = null;

    /** @var array{X: float|null, Y: float|null, Z: float|null} as the program has stated them; null where that is not certain */
    public array $at = [AxisName::X => null, AxisName::Y => null, AxisName::Z => null];

    /** @param  list<Code>  $codes  of a line */
    public function take(array $codes): void
    {
        foreach ($codes as $code) {
            match ($code->group()) {
                ModalGroup::Distance => $this->isAbsolute = $code === Code::Absolute,
                ModalGroup::ArcCenter => $this->centerIsAbsolute = $code === Code::CenterAbsolute,
                ModalGroup::Plane => $this->plane = $code,
                ModalGroup::Cutter => $this->isCompensated = $code !== Code::CutterOff,
                ModalGroup::Motion => [$this->motion, $this->isCycle] = [$code, false],
                ModalGroup::Cycle => $this->isCycle = $code !== Code::CycleOff,
                default => null,
            };
            $this->frame = match ($code) {
                Code::RotateOn, Code::ScaleOn, Code::MirrorOn, Code::PolarOn => $code,
                Code::RotateOff, Code::ScaleOff, Code::MirrorOff, Code::PolarOff => null,
                default => $this->frame,
            };
        }
    }

    public function isArc(): bool
    {
        return ! $this->isCycle && ($this->motion === Code::ArcClockwise || $this->motion === Code::ArcCounterClockwise);
    }

    /**
     * Takes a line's places; what it does to an axis otherwise makes it uncertain.
     *
     * @param  array<string, float>  $words
     * @param  list<Code>  $codes
     */
    public function move(array $words, array $codes): void
    {
        foreach ($codes as $code) {
            if (
                in_array($code, [Code::MachineCoordinates, Code::Reference, Code::SecondReference, Code::LocalShift, Code::SetPosition, Code::SetOffsets], true)
            ) {
                foreach (array_keys($this->at) as $axis) {
                    $this->at[$axis] = isset($words[$axis]) ? null : $this->at[$axis];
                }

                return;
            }
            if ($code->group() === ModalGroup::WorkOffset) {
                $this->at = [AxisName::X => null, AxisName::Y => null, AxisName::Z => null];
            }
        }
        foreach (array_keys($this->at) as $axis) {
            if (! isset($words[$axis]) || ($axis === AxisName::Z && $this->isCycle)) {
                continue;
            }
            $before = $this->at[$axis];
            $this->at[$axis] = $this->isAbsolute ? $words[$axis] : ($before === null ? null : $before + $words[$axis]);
        }
    }
}
