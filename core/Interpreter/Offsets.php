<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Setup\Offset;
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

    /** @var array<int, float> what G52 and G92 shift the program by, per axis */
    private array $local;

    public function __construct(private readonly Context $context)
    {
        foreach ($context->setup->workOffsets as $name => $position) {
            $this->work[$name] = $context->machine->ordered($position);
        }
        $this->lengths = $context->setup->lengthOffsets;
        $this->local = array_fill(0, count($context->machine->axisNames), 0.0);
        $this->takeWork($context->modal->work);
    }

    /** Makes a work offset the one in force. */
    public function useWork(string $name): void
    {
        if ($name !== $this->context->modal->work) {
            $this->context->mover->axisMarks &= ~((1 << Mark::AXES) - 1);
        }
        $this->context->modal->workStated = true;
        $this->takeWork($name);
    }

    /** The extended work offset with the number in the block's P. */
    public function useExtendedWork(): void
    {
        $number = (int) ($this->context->block->words['P'] ?? 0);
        if ($number < 1) {
            $this->context->notice('offset-without-number', 'G', ['letter' => 'P']);

            return;
        }
        $this->useWork('G54.1P'.$number);
    }

    public function useLength(Code $code): void
    {
        $modal = $this->context->modal;
        $words = $this->context->block->words;
        $number = $code === Code::LengthOff ? 0 : (int) ($words['H'] ?? 0);
        if ($code !== Code::LengthOff && ! isset($words['H'])) {
            $this->context->notice('length-without-number', 'G');
        }
        $modal->lengthNumber = $number;
        $modal->lengthSign = $code === Code::LengthSubtract ? -1 : 1;
        $modal->lengthSinceToolChange = $number !== 0;
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
        foreach ($this->axisWords() as $axis => $value) {
            $this->local[$axis] = $this->context->mover->at[$axis] - $modal->workShift[$axis] - $modal->lengthShift[$axis] - $value;
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
            1, 10 => $this->setLength($number, isset($words['R']) ? $words['R'] * $this->context->unit : $this->axisWords()[$this->lengthAxis()] ?? null, false),
            11 => $this->setLength($number, isset($words['R']) ? $words['R'] * $this->context->unit : null, true),
            12, 13 => null, // diameters decide no motion until cutter compensation is read
            default => $this->context->notice('offset-without-number', 'G', ['letter' => 'L']),
        };
    }

    private function setWork(int $number, bool $fromHere): void
    {
        $names = array_values($this->context->machine->control->workOffsets);
        $name = $number === 0 ? $this->context->modal->work : $names[$number - 1] ?? null;
        if ($name === null) {
            $this->context->notice('offset-without-number', 'P', ['letter' => 'P']);

            return;
        }
        $modal = $this->context->modal;
        $offset = $this->work[$name] ?? array_fill(0, count($this->local), 0.0);
        foreach ($this->axisWords() as $axis => $value) {
            $offset[$axis] = match (true) {
                $fromHere => $this->context->mover->at[$axis] - $modal->lengthShift[$axis] - $this->local[$axis] - $value,
                $modal->absolute => $value,
                default => $offset[$axis] + $value,
            };
        }
        /** @var list<float> $offset */
        $this->work[$name] = $offset;
        if ($name === $modal->work) {
            $this->takeWork($name);
        }
    }

    private function setLength(int $number, ?float $value, bool $wear): void
    {
        if ($number < 1 || $value === null) {
            $this->context->notice('offset-without-number', 'G', ['letter' => $number < 1 ? 'P' : 'R']);

            return;
        }
        $old = $this->lengths[$number] ?? new Offset(0.0);
        if (! $this->context->modal->absolute) {
            $value += $wear ? $old->wear : $old->geometry;
        }
        $this->lengths[$number] = $wear ? new Offset($old->geometry, $value) : new Offset($value, $old->wear);
        if ($number === $this->context->modal->lengthNumber) {
            $this->takeLength();
        }
    }

    private function takeWork(string $name): void
    {
        $modal = $this->context->modal;
        $modal->work = $name;
        $modal->workIsSet = isset($this->work[$name]);
        $modal->workShift = $this->work[$name] ?? array_fill(0, count($this->local), 0.0);
        $this->refresh();
    }

    private function takeLength(): void
    {
        $modal = $this->context->modal;
        $offset = $this->lengths[$modal->lengthNumber] ?? null;
        $modal->lengthIsSet = $offset !== null;
        $length = $modal->lengthNumber === 0 ? 0.0 : ($offset?->total() ?? 0.0) * $modal->lengthSign;
        $modal->lengthShift = $this->context->machine->ordered([$this->context->machine->lengthAxis() => $length]);
        $this->refresh();
    }

    private function refresh(): void
    {
        $modal = $this->context->modal;
        $this->shift = [];
        foreach ($this->local as $axis => $local) {
            $this->shift[] = $local + $modal->workShift[$axis] + $modal->lengthShift[$axis];
        }
        $this->context->mover->stateChanged();
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
