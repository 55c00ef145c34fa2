<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\SpeedFrom;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\ProgramPosition;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\TurningOffset;
use OakTrace\Core\Trace\LengthOffsetState;
use OakTrace\Core\Trace\Mark;

/**
 * The offsets as they stand while the program runs, and what they add up to:
 * axis position = position in the program + local shift + work offset + length offset.
 * The program may change them; the setup's own are left alone.
 */
final class Offsets
{
    /** What is added to the number of an offset of a lathe to mean its geometry, not its wear (common practice). */
    private const GEOMETRY_PAGE = 10_000;

    /** @var list<float> axis position of program zero, per axis */
    public array $shift = [];

    /** @var list<float> what another tool offset has changed and no move has made up for yet, per axis */
    public array $pending = [];

    /** @var array<int, TurningOffset> by number */
    private array $turning;

    /** @var array<string, list<float>> by name of the work offset */
    private array $work = [];

    /** @var array<int, Offset> by H number */
    private array $lengths;

    /** @var array<int, Offset> by D number */
    private array $diameters;

    /** @var array<int, float> what G52 and G92 shift the program by, per axis */
    private array $local;

    private ProgramPlaces $places;

    public function __construct(private readonly Context $context)
    {
        foreach ($context->setup->workOffsets as $name => $position) {
            $this->work[$name] = $context->machine->ordered($position);
        }
        $this->lengths = $context->setup->tooling->lengthOffsets;
        $this->diameters = $context->setup->tooling->diameterOffsets;
        $this->turning = $context->setup->tooling->turningOffsets;
        $this->pending = array_fill(0, count($context->machine->axisNames), 0.0);
        $this->local = array_fill(0, count($context->machine->axisNames), 0.0);
        $this->takeWork($context->modal->work->name);
    }

    /** Program positions are worked out through these. */
    public function placedBy(ProgramPlaces $places): void
    {
        $this->places = $places;
    }

    /**
     * Where the axes stand, or would.
     *
     * @param  list<float>|null  $at
     */
    public function programPosition(?array $at = null): ProgramPosition
    {
        return $this->places->position($at);
    }

    /** @return array<int, float> what G52 and G92 shift the program by, per axis */
    public function localShift(): array
    {
        return $this->local;
    }

    /** @return list<float> a work offset by its number, 1 for the first */
    public function workOffset(int $number): array
    {
        return $this->work[$this->workName($number) ?? ''] ?? $this->context->machine->ordered([]);
    }

    /** Number of a work offset, 1 for the first; 0 for an extended one. */
    public function workNumber(string $name): int
    {
        $at = array_search($name, array_values($this->context->machine->control->workOffsets), true);

        return $at === false ? 0 : $at + 1;
    }

    public function length(int $number): ?Offset
    {
        return $this->lengths[$number] ?? null;
    }

    public function diameter(int $number): ?Offset
    {
        return $this->diameters[$number] ?? null;
    }

    /** Makes a work offset the one in force. */
    public function useWork(string $name): void
    {
        if ($name !== $this->context->modal->work->name) {
            $this->context->recorder->axisMarks &= ~((1 << Mark::AXES) - 1);
        }
        $this->context->modal->work = $this->context->modal->work->stated();
        $this->takeWork($name);
    }

    /** The extended work offset with the number in the block's P. */
    public function useExtendedWork(): void
    {
        $number = $this->context->block->whole($this->context->machine->control->letters->extendedOffset);
        if ($number < 1) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $this->context->machine->control->letters->extendedOffset]);

            return;
        }
        $this->useWork('G54.1P'.$number);
    }

    public function useLength(Code $code): void
    {
        $modal = $this->context->modal;
        $words = $this->context->block->words;
        $letter = $this->context->machine->control->letters->lengthNumber;
        $number = $code === Code::LengthOff ? 0 : $this->context->block->whole($letter);
        if ($code !== Code::LengthOff && ! isset($words[$letter])) {
            $this->context->notice('length-without-number', 'G');
        }
        $modal->length = $modal->length->called($number, $code === Code::LengthSubtract ? -1 : 1);
        $this->takeLength();
    }

    /** The offset of a turning tool; 0 is none. What it moves the axes by waits for the next move of each. */
    public function useTurning(int $number): void
    {
        $modal = $this->context->modal;
        $before = $modal->length->shift;
        $modal->length = $modal->length->called($number, 1);
        $offset = $this->turningInForce();
        $shift = array_map(static fn (Offset $offset): float => $offset->total(), $offset->axes ?? []);
        $modal->length = $modal->length->worth($offset !== null, $this->context->machine->ordered($shift));
        $this->pending = array_map(static fn (float $left, float $to, float $from): float => $left + $to - $from, $this->pending, $modal->length->shift,
            $before);
        $this->refresh();
    }

    /** What is left to be made up for on an axis, which is then done. */
    public function takePending(int $axis): float
    {
        $left = $this->pending[$axis];
        $this->pending = array_map(
            static fn (int $each, float $way): float => $each === $axis ? 0.0 : $way, array_keys($this->pending), $this->pending,
        );

        return $left;
    }

    /** What is in force of the tool that is in. */
    public function turningInForce(): ?TurningOffset
    {
        $modal = $this->context->modal;

        return TurningOffset::inForce(
            $this->turning, $modal->tool, $modal->length->number, $this->context->machine->control->options->turning->offsetCarries,
        );
    }

    /** Makes up for the tool offset where the axes stand. */
    public function settle(): void
    {
        $target = $this->context->recorder->at;
        foreach ($this->pending as $axis => $way) {
            $target[$axis] += $way;
        }
        $this->pending = array_fill(0, count($this->pending), 0.0);
        /** @var list<float> $target */
        $this->context->recorder->rapid($target);
    }

    /** G52: shifts program zero within the work offset; 0 takes the shift back. */
    public function shiftLocally(): void
    {
        foreach ($this->axisWords() as $axis => $value) {
            $this->local[$axis] = $value;
        }
        $this->refresh();
    }

    /** G92: from here on the axes stand at the values given, without moving. */
    public function setPosition(): void
    {
        $modal = $this->context->modal;
        $placed = $this->places->placement()->apply($this->places->position()->with($this->axisWords()));
        foreach (array_keys($this->axisWords()) as $axis) {
            $this->local[$axis] = $this->context->recorder->at[$axis] - $modal->work->shift[$axis] - $modal->length->shift[$axis] - $placed[$axis];
        }
        $this->refresh();
    }

    public function cancelPosition(): void
    {
        $this->local = array_fill(0, count($this->local), 0.0);
        $this->refresh();
    }

    /** G10: L2 work offset, L20 work offset so that the axes stand at the values, L1 L10 L11 lengths, L12 L13 diameters. */
    public function set(): void
    {
        $words = $this->context->block->words;
        if ($this->context->machine->isLathe() && ! isset($words['L'])) {
            $this->setTurning($this->context->block->whole('P'));

            return;
        }
        $kind = $this->context->block->whole('L');
        $number = $this->context->block->whole('P');
        match ($kind) {
            2, 20 => $this->setWork($number, $kind === 20),
            1, 10 => $this->setLength($number, $this->offsetWord() ?? $this->axisWords()[$this->lengthAxis()] ?? null, false),
            11 => $this->setLength($number, $this->offsetWord(), true),
            12, 13 => $this->setDiameter($number, $this->offsetWord(), $kind === 13),
            default => $this->context->notice('offset-without-number', 'G', ['letter' => 'L']),
        };
    }

    /**
     * A work offset by its number, 1 for the first, on one axis.
     *
     * @return bool whether there is one of that number
     */
    public function putWork(int $number, int $axis, float $value): bool
    {
        $name = $this->workName($number);
        if ($name !== null) {
            $this->changeWork($name, [$axis => $value] + ($this->work[$name] ?? array_fill(0, count($this->local), 0.0)));
        }

        return $name !== null;
    }

    /** A length offset as a whole. */
    public function putLength(int $number, float $value): void
    {
        $this->changeLength($number, new Offset($value));
    }

    private function workName(int $number): ?string
    {
        return array_values($this->context->machine->control->workOffsets)[$number - 1] ?? null;
    }

    private function setWork(int $number, bool $fromHere): void
    {
        $name = $number === 0 ? $this->context->modal->work->name : $this->workName($number);
        if ($name === null) {
            $this->context->notice('offset-without-number', 'P', ['letter' => 'P']);

            return;
        }
        $modal = $this->context->modal;
        $offset = $this->work[$name] ?? array_fill(0, count($this->local), 0.0);
        foreach ($this->axisWords() as $axis => $value) {
            $offset[$axis] = match (true) {
                $fromHere => $this->context->recorder->at[$axis] - $modal->length->shift[$axis] - $this->local[$axis] - $value,
                $modal->modes->absolute => $value,
                default => $offset[$axis] + $value,
            };
        }
        $this->changeWork($name, $offset);
    }

    /** @param  array<int, float>  $offset  of every axis */
    private function changeWork(string $name, array $offset): void
    {
        ksort($offset);
        /** @var list<float> $offset */
        foreach ($offset as $axis => $value) {
            if (isset($this->context->setup->workOffsets[$name])) {
                $this->noticeRewritten("{$name} {$this->context->machine->axisNames[$axis]}", $axis, $this->work[$name][$axis] ?? $value, $value);
            }
        }
        $this->work[$name] = $offset;
        if ($name === $this->context->modal->work->name) {
            $this->takeWork($name);
        }
    }

    private function setLength(int $number, ?float $value, bool $wear): void
    {
        if ($number < 1 || $value === null) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $number < 1 ? 'P' : 'R']);

            return;
        }
        $this->changeLength($number, $this->changed($this->lengths[$number] ?? new Offset(0.0), $value, $wear));
    }

    private function changeLength(int $number, Offset $offset): void
    {
        $was = $this->lengths[$number] ?? null;
        $this->lengths[$number] = $offset;
        if ($was !== null) {
            $this->noticeNewLength('H'.$number, $was, $this->lengths[$number]);
        }
        if ($number === $this->context->modal->length->number) {
            $this->takeLength();
        }
    }

    /** P of the wear page, or of the geometry with 10000 added; X Z R Q are what it becomes, U W what is added to it. P0 shifts the work zero. */
    private function setTurning(int $number): void
    {
        $words = $this->context->block->words;
        $ways = new WayLetters($this->context->machine);
        if ($number === 0) {
            foreach ($this->context->machine->axisNames as $axis => $name) {
                if ($ways->names($words, $axis)) {
                    $this->local[$axis] = isset($words[$name]) ? $words[$name] * $this->context->scale[$axis]
                        : $this->local[$axis] + $ways->way($words, $axis) * $this->context->scale[$axis];
                }
            }
            $this->refresh();

            return;
        }
        $isWear = $number < self::GEOMETRY_PAGE;
        $number %= self::GEOMETRY_PAGE;
        $old = $this->turning[$number] ?? new TurningOffset([]);
        $axes = $old->axes;
        foreach ($this->context->machine->axisNames as $axis => $name) {
            if ($ways->names($words, $axis)) {
                $was = $axes[$name] ?? new Offset(0.0);
                $value = isset($words[$name]) ? $words[$name] * $this->context->scale[$axis]
                    : ($isWear ? $was->wear : $was->geometry) + $ways->way($words, $axis) * $this->context->scale[$axis];
                $axes[$name] = $isWear ? new Offset($was->geometry, $value) : new Offset($value, $was->wear);
                $this->noticeRewritten("T{$number} {$name}", $axis, $was->total(), $axes[$name]->total());
            }
        }
        $said = $this->offsetWord();
        $nose = $said === null ? $old->nose : ($isWear ? new Offset($old->nose->geometry, $said) : new Offset($said, $old->nose->wear));
        if ($old->nose->total() > 0.0) {
            $this->noticeNewLength("T{$number} R", $old->nose, $nose);
        }
        $this->turning[$number] = new TurningOffset($axes, $nose, $this->context->block->whole('Q', $old->quadrant));
        $this->useTurning($this->context->modal->length->number);
    }

    private function noticeNewLength(string $what, Offset $was, Offset $is): void
    {
        if (abs($was->total() - $is->total()) > 1e-6) {
            $this->context->notice('offset-rewritten', 'G', [
                'what' => $what, 'from' => Quantity::length($was->total()), 'to' => Quantity::length($is->total()),
            ]);
        }
    }

    private function noticeRewritten(string $what, int $axis, float $was, float $value): void
    {
        if (abs($value - $was) > 1e-6) {
            $letter = $this->context->machine->axisNames[$axis];
            $this->context->notice('offset-rewritten', 'G', [
                'what' => $what, 'from' => $this->context->machine->shown($letter, $was), 'to' => $this->context->machine->shown($letter, $value),
            ]);
        }
    }

    private function setDiameter(int $number, ?float $value, bool $wear): void
    {
        if ($number < 1 || $value === null) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $number < 1 ? 'P' : 'R']);

            return;
        }
        $was = $this->diameters[$number] ?? null;
        $this->diameters[$number] = $this->changed($was ?? new Offset(0.0), $value, $wear);
        if ($was !== null) {
            $this->noticeNewLength('D'.$number, $was, $this->diameters[$number]);
        }
    }

    private function changed(Offset $old, float $value, bool $wear): Offset
    {
        if (! $this->context->modal->modes->absolute) {
            $value += $wear ? $old->wear : $old->geometry;
        }

        return $wear ? new Offset($old->geometry, $value) : new Offset($value, $old->wear);
    }

    /** The R of a block that sets an offset, mm. */
    private function offsetWord(): ?float
    {
        $word = $this->context->block->words['R'] ?? null;

        return $word === null ? null : $word * $this->context->unit;
    }

    private function takeWork(string $name): void
    {
        $modal = $this->context->modal;
        $modal->work = $modal->work->at($name, $this->work[$name] ?? null);
        $this->refresh();
    }

    private function takeLength(): void
    {
        $modal = $this->context->modal;
        $offset = $this->lengths[$modal->length->number] ?? null;
        $length = $modal->length->number === 0 ? 0.0 : ($offset?->total() ?? 0.0) * $modal->length->sign;
        $modal->length = $modal->length->worth($offset !== null, $this->context->machine->ordered([$this->context->machine->lengthAxis() => $length]));
        $this->refresh();
    }

    /** The tool in the spindle is measured by whoever moves it: by its length offset where there is one, else with the tool on the part. */
    public function useLengthByHand(): void
    {
        $modal = $this->context->modal;
        $modal->length = $modal->length->called($modal->tool, 1);
        $this->takeLength();
        $modal->length = new LengthOffsetState($modal->tool, true, $modal->length->shift, true);
    }

    private function refresh(): void
    {
        $modal = $this->context->modal;
        $this->shift = [];
        foreach ($this->local as $axis => $local) {
            $this->shift[] = $local + $modal->work->shift[$axis] + $modal->length->shift[$axis];
        }
        $machine = $this->context->machine;
        if ($machine->isLathe() && $machine->control->options->turning->surfaceSpeedFrom === SpeedFrom::Program) {
            $modal->spindle = $modal->spindle->countingFrom($this->local[$machine->axisIndex[AxisName::X] ?? -1] ?? 0.0);
        }
        $this->context->recorder->stateChanged();
    }

    /** @return array<int, float> axis => its word in mm or degrees */
    private function axisWords(): array
    {
        $values = [];
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if (isset($this->context->block->words[$letter])) {
                $values[$axis] = $this->context->block->words[$letter] * $this->context->scale[$axis];
            }
        }

        return $values;
    }

    private function lengthAxis(): int
    {
        return $this->context->machine->axisIndex[$this->context->machine->lengthAxis()] ?? -1;
    }
}
