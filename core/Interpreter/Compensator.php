<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Compensation\CutterPath;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Setup\TurningOffset;

/** Switches cutter compensation on and off, and says where it may not be on. */
final readonly class Compensator
{
    public function __construct(private Context $context, private Offsets $offsets, private Coordinates $coordinates)
    {
    }

    /** CutterLeft, CutterRight or CutterOff, with the D of the block or the one before. */
    public function use(Code $code): void
    {
        $modal = $this->context->modal;
        $recorder = $this->context->recorder;
        if ($recorder->capture !== null) {
            return; // roughing looks at the programmed shape
        }
        if ($code === Code::CutterOff) {
            $modal->cutter = $modal->cutter->onSide(0);
            $recorder->cutter?->end();
            $recorder->dropCutter();

            return;
        }
        $modal->cutter = $modal->cutter->onSide($code === Code::CutterLeft ? 1 : -1);
        $this->context->planeAxes('Compensation');
        $this->refresh();
    }

    /** Takes side, number and radius as they now stand. */
    public function refresh(): void
    {
        $modal = $this->context->modal;
        $recorder = $this->context->recorder;
        $machine = $this->context->machine;
        $first = $machine->axisIndex[$modal->modes->plane->first()] ?? null;
        $second = $machine->axisIndex[$modal->modes->plane->second()] ?? null;
        if ($modal->cutter->side === 0 || $first === null || $second === null) {
            return; // off, or without an axis of its plane, which has been told
        }
        $radius = $this->radius();
        $modal->cutter = $modal->cutter->ofRadius($radius);
        if ($radius === 0.0 && $machine->isLathe()) {
            $this->context->notice('no-nose', 'G', ['number' => $modal->length->number]);

            return;
        }
        if ($radius === 0.0) {
            $this->context->notice('no-diameter', $modal->cutter->number === 0 ? 'G' : 'D', ['number' => $modal->cutter->number]);

            return;
        }
        $aside = $modal->cutter->side * $radius * ($this->coordinates->placement->reverses($first, $second) ? -1 : 1);
        if ($recorder->cutter !== null) {
            $recorder->cutter->useAside($aside);
        } else {
            $options = $machine->control->options;
            $recorder->cutter = new CutterPath(
                $this->context->trace, $recorder->at, $first, $second, $aside, $options->outsideCorner, $options->lookAheadBlocks,
                $machine->isLathe() ? $this->tip($radius) : [0.0, 0.0],
            );
        }
    }

    /** Ends compensation where it must not be on, and notes it. */
    public function refuse(string $where, string $letter = ''): void
    {
        if ($this->context->modal->cutter->side !== 0) {
            $this->context->notice('compensation-left-on', $letter, ['where' => $where]);
            $this->context->modal->cutter = $this->context->modal->cutter->onSide(0);
            $this->context->recorder->stateChanged();
        }
        $this->context->recorder->cutter?->end();
        $this->context->recorder->dropCutter(true);
    }

    /** Leaves the path, and takes it up again with the next refresh(). */
    public function pause(): void
    {
        $this->context->recorder->dropCutter(true);
    }

    /** @return array{float, float} from the middle of the nose to the tip, on the axes of the plane; in the plane of Z and X alone */
    private function tip(float $radius): array
    {
        if ($this->context->modal->modes->plane !== Plane::ZX) {
            return [0.0, 0.0];
        }
        [$z, $x] = ($this->offsets->turningInForce() ?? new TurningOffset([]))->tip();

        return [$radius * $z, $radius * $x];
    }

    /** mm; 0 where the offset is not set. */
    private function radius(): float
    {
        if ($this->context->machine->isLathe()) {
            return $this->offsets->turningInForce()?->nose->total() ?? 0.0;
        }
        $total = $this->offsets->diameter($this->context->modal->cutter->number)?->total() ?? 0.0;

        return $this->context->machine->control->options->dIs === DIs::Diameter ? $total / 2 : $total;
    }
}
