<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Compensation\CutterPath;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DIs;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\Turning\Stretch;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\TraceBuilder;

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
            // Roughing looks at the programmed shape, and may make up for the nose beside it.
            $modal->cutter = $modal->cutter->onSide($code === Code::CutterOff ? 0 : ($code === Code::CutterLeft ? 1 : -1));

            return;
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
        if ($recorder->cutter !== null) {
            $recorder->cutter->useAside($this->aside($modal->cutter->side, $first, $second));
        } else {
            $recorder->cutter = $this->path($this->context->trace, $recorder->at, $modal->cutter->side, $first, $second);
        }
    }

    /** The shape of a roughing cycle as the tip follows it beside the nose, where a block of it or one before has switched compensation on. */
    public function beside(Contour $contour, ContourCapture $shape): Contour
    {
        $plane = $this->context->modal->modes->plane;
        $first = $this->context->machine->axisIndex[$plane->first()] ?? null;
        $second = $this->context->machine->axisIndex[$plane->second()] ?? null;
        if ($first === null || $second === null || $plane !== Plane::ZX || $this->radius() === 0.0) {
            return $contour; // which has been told
        }
        $at = $this->context->machine->ordered([$plane->first() => $contour->start()->fromZ, $plane->second() => $contour->start()->fromX]);
        $trace = new TraceBuilder($this->context->machine->axisNames, $at);
        $trace->state($this->context->modal->snapshot());
        $path = null;
        $side = 0;
        foreach ($contour->stretches as $n => $stretch) {
            // The last block is a wall of the shape, and no way out: where it ends the compensation, finishing does so.
            $side = $n > 0 && $n === count($contour->stretches) - 1 ? $side : $shape->side($stretch->line);
            $from = $this->context->machine->ordered([$plane->first() => $stretch->fromZ, $plane->second() => $stretch->fromX]);
            $to = $this->context->machine->ordered([$plane->first() => $stretch->z, $plane->second() => $stretch->x]);
            if ($side !== 0 && $path === null) {
                $path = $this->path($trace, $from, $side, $first, $second);
            } elseif ($side !== 0) {
                $path->useAside($this->aside($side, $first, $second));
            } else {
                $path?->end();
            }
            $kind = $stretch->arc !== null ? MotionKind::ARC : ($stretch->isRapid ? MotionKind::RAPID : MotionKind::FEED);
            if ($path !== null) {
                $path->move(
                    $kind, $stretch->line, 0, 0, 1.0, $from, $to, $stretch->arc === null ? null : [$stretch->arc->first, $stretch->arc->second],
                    $stretch->arc->sweep ?? 0.0,
                );
                $path = $path->isDone() ? null : $path;
            } elseif ($stretch->arc !== null) {
                $trace->addArc($stretch->line, 0, 0, $to, 1.0, $stretch->arc);
            } else {
                $trace->add($kind, $stretch->line, 0, 0, $to, 1.0);
            }
        }
        $path?->flush();
        $along = $trace->finish($this->context->modal->snapshot(), 0, false, 0, $this->context->sources);
        array_map($this->context->trace->notice(...), $along->notices);
        $stretches = [];
        foreach ($along->each() as $row) {
            $stretches[] = new Stretch(
                $row->from[$first], $row->from[$second], $row->to[$first], $row->to[$second], $row->arc, $row->kind === MotionKind::RAPID, $row->line,
            );
        }

        return $stretches === [] ? $contour : new Contour($stretches, $contour->namesBoth);
    }

    /** @param  list<float>  $at  where the axes stand */
    private function path(TraceBuilder $trace, array $at, int $side, int $first, int $second): CutterPath
    {
        $machine = $this->context->machine;
        $options = $machine->control->options;

        return new CutterPath(
            $trace, $at, $first, $second, $this->aside($side, $first, $second), $options->outsideCorner, $options->lookAheadBlocks,
            $machine->isLathe() && $this->context->modal->modes->plane === Plane::ZX
                ? ($this->offsets->turningInForce()?->noseToTip() ?? [0.0, 0.0]) : [0.0, 0.0],
        );
    }

    /** mm from the programmed path to the middle of the cutter, to the left. */
    private function aside(int $side, int $first, int $second): float
    {
        return $side * $this->radius() * ($this->coordinates->placement->reverses($first, $second) ? -1 : 1);
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
