<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Trace\LengthOffsetState;
use OakTrace\Core\Trace\Mark;

/**
 * The offsets as they stand while the program runs, and what they add up to:
 * axis position = position in the program + local shift + work offset + length offset.
 * The program may change them; the setup's own are left alone.
 */
final class Offsets
{
    /** @var list<float> axis position of program zero, per axis */
    public array $shift = [];

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
        $this->local = array_fill(0, count($context->machine->axisNames), 0.0);
        $this->takeWork($context->modal->work->name);
    }

    /** Program positions are worked out through these. */
    public function placedBy(ProgramPlaces $places): void
    {
        $this->places = $places;
    }

    /** @return list<float> where the axes stand in the program's coordinates, mm or degrees */
    public function programPosition(): array
    {
        return $this->places->position();
    }

    /** @return array<int, float> what G52 and G92 shift the program by, per axis */
    public function localShift(): array
    {
        return $this->local;
    }

    /** @return list<float> a work offset by its number, 1 for the first */
    public function workOffset(int $number): array
    {
        $name = array_values($this->context->machine->control->workOffsets)[$number - 1] ?? '';

        return $this->work[$name] ?? $this->context->machine->ordered([]);
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
        $number = (int) ($this->context->block->words[$this->context->machine->control->letters->extendedOffset] ?? 0);
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
        $number = $code === Code::LengthOff ? 0 : (int) ($words[$letter] ?? 0);
        if ($code !== Code::LengthOff && ! isset($words[$letter])) {
            $this->context->notice('length-without-number', 'G');
        }
        $modal->length = $modal->length->called($number, $code === Code::LengthSubtract ? -1 : 1);
        $this->takeLength();
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
        $position = array_replace($this->places->position(), $this->axisWords());
        /** @var list<float> $position */
        $placed = $this->places->placement()->apply($position);
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
        $kind = (int) ($words['L'] ?? 0);
        $number = (int) ($words['P'] ?? 0);
        match ($kind) {
            2, 20 => $this->setWork($number, $kind === 20),
            1, 10 => $this->setLength($number, $this->offsetWord() ?? $this->axisWords()[$this->lengthAxis()] ?? null, false),
            11 => $this->setLength($number, $this->offsetWord(), true),
            12, 13 => $this->setDiameter($number, $this->offsetWord(), $kind === 13),
            default => $this->context->notice('offset-without-number', 'G', ['letter' => 'L']),
        };
    }

    private function setWork(int $number, bool $fromHere): void
    {
        $names = array_values($this->context->machine->control->workOffsets);
        $name = $number === 0 ? $this->context->modal->work->name : $names[$number - 1] ?? null;
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
        /** @var list<float> $offset */
        foreach ($offset as $axis => $value) {
            $was = $this->work[$name][$axis] ?? $value;
            if (isset($this->context->setup->workOffsets[$name]) && abs($value - $was) > 1e-6) {
                $letter = $this->context->machine->axisNames[$axis];
                $this->context->notice(
                    'offset-rewritten', 'G',
                    ['what' => "{$name} {$letter}", 'from' => Quantity::onAxis($letter, $was), 'to' => Quantity::onAxis($letter, $value)],
                );
            }
        }
        $this->work[$name] = $offset;
        if ($name === $modal->work->name) {
            $this->takeWork($name);
        }
    }

    private function setLength(int $number, ?float $value, bool $wear): void
    {
        if ($number < 1 || $value === null) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $number < 1 ? 'P' : 'R']);

            return;
        }
        $was = $this->lengths[$number] ?? null;
        $this->lengths[$number] = $this->changed($this->lengths[$number] ?? new Offset(0.0), $value, $wear);
        if ($was !== null && abs($was->total() - $this->lengths[$number]->total()) > 1e-6) {
            $this->context->notice(
                'offset-rewritten', 'G',
                ['what' => 'H'.$number, 'from' => Quantity::length($was->total()), 'to' => Quantity::length($this->lengths[$number]->total())],
            );
        }
        if ($number === $this->context->modal->length->number) {
            $this->takeLength();
        }
    }

    private function setDiameter(int $number, ?float $value, bool $wear): void
    {
        if ($number < 1 || $value === null) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $number < 1 ? 'P' : 'R']);

            return;
        }
        $this->diameters[$number] = $this->changed($this->diameters[$number] ?? new Offset(0.0), $value, $wear);
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
