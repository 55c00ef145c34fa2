<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Geometry\ProgramPosition;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\TraceBuilder;

/** What the rooms of the interpreter share during one reading: the block being read, what is in force, where things go. */
final class Context
{
    /** Seconds nobody waits for at a machine, and seconds nobody can tell from none. */
    private const LONG_DWELL = 120.0;

    private const SHORT_DWELL = 0.002;

    public readonly Machine $machine;

    public readonly ModalState $modal;

    public readonly MotionRecorder $recorder;

    public readonly Block $block;

    /** @var list<float> what one unit of each axis word is worth in mm (degrees for a rotary axis) */
    public array $scale = [];

    /** mm in one unit of a length that belongs to no axis (I J K R Q) */
    public float $unit = 1.0;

    /** Blocks run so far. */
    public int $blocks = 0;

    /** Place of the last block with a code the profile does not know: what else is odd about it follows from that. */
    public int $unknownAt = 0;

    /** Where the last probe move is taken to have met something. */
    public ?ProgramPosition $probed = null;

    public Program $program;

    /** @var array<string, true> kinds of notice that are made once */
    private array $noticed = [];

    /** @var array<string, Program> called programs of the setup by name, as they are first called */
    private array $subprograms = [];

    public function __construct(
        public readonly SourceMap $sources,
        public readonly Setup $setup,
        public readonly TraceBuilder $trace,
    ) {
        $this->machine = $setup->machine;
        $this->program = $sources->main;
        $this->modal = new ModalState($this->machine->control, count($this->machine->axisNames));
        $this->recorder = new MotionRecorder($this->machine, $this->modal, $trace, $this->machine->ordered($setup->start));
        $this->block = new Block;
        $this->useUnits($this->machine->control->defaultUnits);
    }

    /** Goes on with another text, which is the same as far as it has been read. */
    public function goOnWith(Program $program): void
    {
        $this->program = $this->sources->main = $program;
        $this->subprograms = [];
    }

    public function useUnits(Units $units): void
    {
        $this->modal->modes = $this->modal->modes->with(units: $units);
        $this->unit = $units->millimetres();
        $this->scale = [];
        foreach ($this->machine->axes as $axis) {
            $this->scale[] = $axis->isRotary() ? 1.0 : $this->unit * ($axis->isDiameter ? 0.5 : 1.0);
        }
        $this->recorder->stateChanged();
    }

    public function stop(string $code): void
    {
        $this->recorder->event(MotionKind::STOP, $code);
    }

    /** A program the setup has under a number: O2000. */
    public function subprogram(int $number): ?Program
    {
        $name = 'O'.$number;
        if (! isset($this->subprograms[$name])) {
            foreach ($this->setup->inputs->subprograms as $key => $text) {
                if ((int) ltrim((string) $key, 'Oo:') === $number) {
                    $this->subprograms[$name] = Program::fromText($text, $name);
                }
            }
        }

        return $this->subprograms[$name] ?? null;
    }

    /**
     * Stands still for some seconds; by a figure in the wrong unit it would be minutes, or nothing to speak of.
     *
     * @param  string  $letter  of the word that says how long, which counts in the control's unit of dwells where it is the letter for them
     */
    public function dwell(float $seconds, string $letter): void
    {
        if ($seconds >= self::LONG_DWELL || ($seconds > 0.0 && $seconds < self::SHORT_DWELL)) {
            $unit = $letter === $this->machine->control->letters->dwell ? $this->machine->control->options->dwellUnit : DwellUnit::Seconds;
            $this->notice('odd-dwell', $letter, ['seconds' => Quantity::written($seconds), 'unit' => $unit->value]);
        }
        $this->recorder->event(MotionKind::DWELL, $seconds);
    }

    /**
     * Numbers of the axes of the plane in force; null, and a notice, where the machine lacks one.
     *
     * @param  string  $what  lies in the plane
     * @return array{int, int}|null
     */
    public function planeAxes(string $what): ?array
    {
        $index = $this->machine->axisIndex;
        $names = [$this->modal->modes->plane->first(), $this->modal->modes->plane->second()];
        foreach ($names as $name) {
            // A word of its letter in the block is told by itself.
            if (! isset($index[$name]) && ! isset($this->block->words[$name])) {
                $this->notice('missing-plane-axis', 'G', ['what' => $what, 'axis' => $name, 'first' => $names[0], 'second' => $names[1]]);
            }
        }

        return isset($index[$names[0]], $index[$names[1]]) ? [$index[$names[0]], $index[$names[1]]] : null;
    }

    /**
     * Notes something about a word of the block.
     *
     * @param  string  $letter  the word's letter; '' for the block as a whole
     * @param  array<string, Quantity|string|int>  $figures
     * @param  int  $occurrence  which word of that letter, from 1
     */
    public function notice(string $kind, string $letter, array $figures = [], int $occurrence = 1): void
    {
        $column = $letter === '' ? 1 : BlockReader::column($this->sources->text($this->block->line), $letter, $occurrence);
        $this->trace->notice(new Notice($kind, $this->block->line, $column, $figures));
    }

    /** Whether the words of the block are handed to a macro. */
    public function callsMacro(): bool
    {
        foreach ($this->block->g as $number) {
            $code = $this->machine->control->gCodes[$number] ?? null;
            if ($code === Code::CallMacro || $code === Code::CallAfterMoves) {
                return true;
            }
        }

        return false;
    }

    /** Notes something about the run as a whole, at the block where it is met first. */
    public function noticeOnce(string $kind): void
    {
        if (! isset($this->noticed[$kind])) {
            $this->noticed[$kind] = true;
            $this->notice($kind, '');
        }
    }

    /** Whether a word that has no sign is written with a minus, which is told. */
    public function isNegative(string $letter): bool
    {
        $number = $this->block->words[$letter] ?? 0.0;
        if ($number < 0.0) {
            $this->notice('negative-word', $letter, ['word' => $letter.Quantity::written($number)]);
        }

        return $number < 0.0;
    }
}
