<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\ChangesTool;
use OakTrace\Core\Control\ClampActs;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\ToolShift;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\SecondSpindle;

/** What a block does beside moving: feed, speed, tool, spindle, coolant, waiting, stopping. */
final readonly class MachineFunctions
{
    /** Lines looked at behind a tool change. */
    private const AHEAD = 20;

    /** In the order they act in one block. */
    private const SECOND = [
        ModalGroup::SpindleSync, ModalGroup::SecondSpindle, ModalGroup::SecondPlace, ModalGroup::SecondChuck, ModalGroup::MainChuck,
    ];

    public function __construct(private Context $context, private Offsets $offsets, private Compensator $compensator)
    {
    }

    /** A feed said in one mode means nothing in another. */
    public function useFeedMode(Code $mode): void
    {
        $modal = $this->context->modal;
        if ($mode !== $modal->modes->feedMode) {
            $modal->modes = $modal->modes->with(feedMode: $mode);
            $this->context->machine->control->options->turning->feedModeKeepsF ? $modal->refreshFeed() : $modal->feed = $modal->feedWord = 0.0;
            $this->context->recorder->stateChanged();
        }
    }

    public function useFeed(float $word): void
    {
        $modal = $this->context->modal;
        $modal->feedWord = $modal->modes->feedMode === Code::InverseTime ? $word : $word * $this->context->unit;
        $modal->refreshFeed();
    }

    /** Whether S is a spindle speed from here on, or a speed at the edge: that said last, where no other is (common practice, from memory). */
    public function useSpeedMode(Code $mode): void
    {
        $modal = $this->context->modal;
        if ($mode !== Code::SurfaceSpeed) {
            $modal->spindle = $modal->spindle->atSpeed($this->rpmHere())->atSurfaceSpeed(null); // it goes on as it turns
        } elseif ($modal->spindle->surfaceSpeed === null) {
            $modal->spindle = $modal->spindle->atSurfaceSpeed($modal->surfaceSpeed);
            if ($modal->surfaceSpeed > 0.0 && ! isset($this->context->block->words['S'])) {
                $this->context->notice('surface-speed-kept', 'G', ['speed' => Quantity::surfaceSpeed($modal->surfaceSpeed / 1000)]);
                $this->turnAt($this->rpmHere());
            }
        }
        $modal->refreshFeed();
        $this->context->recorder->stateChanged();
    }

    /**
     * Which spindle S speaks of: that of a tool that is driven, from where it is switched on until it is switched off or the part turns.
     *
     * @param  array<string, Code>  $ms
     */
    public function chooseSpindle(array $ms): void
    {
        $driven = $ms[ModalGroup::DrivenTool->value] ?? null;
        $turn = $ms[ModalGroup::Spindle->value] ?? null;
        if ($driven === Code::DrivenClockwise || $driven === Code::DrivenCounterClockwise) {
            $this->context->modal->spindle = $this->context->modal->spindle->driving(0);
        } elseif ($turn === Code::SpindleClockwise || $turn === Code::SpindleCounterClockwise) {
            if ($this->context->modal->spindle->isDriven()) {
                $this->context->notice('driven-left-on', 'M');
            }
            $this->context->modal->spindle = $this->context->modal->spindle->ofPart();
        }
    }

    /**
     * @param  bool  $clamps  whether the S of the block is the most the spindle may turn
     * @param  bool  $isSecond  whether it is that of the second spindle
     */
    public function feedSpeedTool(bool $clamps, bool $isSecond): void
    {
        $modal = $this->context->modal;
        $block = $this->context->block;
        $words = $block->words;
        if (isset($words['F'])) {
            $this->useFeed($words['F']);
        }
        if (isset($words['S']) && ! $isSecond && ! $this->context->isNegative('S')) {
            if ($clamps) {
                $modal->spindle = $modal->spindle->limitedTo($words['S']);
                $this->context->recorder->stateChanged();
            } elseif ($modal->spindle->surfaceSpeed !== null) {
                // m/min in millimetres, feet/min in inches (Machinery's Handbook: rpm = 1000 v / (π d), 12 v / (π d)).
                $modal->surfaceSpeed = $words['S'] * ($this->context->unit === 1.0 ? 1000 : 304.8);
                $modal->spindle = $modal->spindle->atSurfaceSpeed($modal->surfaceSpeed);
                $this->turnAt($this->rpmHere());
            } else {
                $this->turnAt($words['S']);
            }
        }
        $toolWord = $this->context->machine->control->options->turning->toolWord;
        if (isset($words['T']) && ! $this->context->isNegative('T')) {
            $digits = $toolWord->offsetDigits();
            $digits === null ? $modal->toolCalled = $block->whole('T')
                : $this->callStation($block->whole('T'), $digits, $toolWord === ToolWord::WithD ? $block->whole('D') : null);
        } elseif ($toolWord === ToolWord::WithD && isset($words['D']) && $this->saysOffset()) {
            $this->useOffset($block->whole('D'));
        }
        $number = $block->whole($this->context->machine->control->letters->cutterNumber, $modal->cutter->number);
        if ($number !== $modal->cutter->number) {
            $modal->cutter = $modal->cutter->numbered($number);
            $this->compensator->refresh();
            $this->context->recorder->stateChanged();
        }
    }

    /** Whether D of the block is a number of an offset, and no word of a turning cycle. */
    private function saysOffset(): bool
    {
        $codes = array_intersect_key($this->context->machine->control->gCodes, array_flip($this->context->block->g));

        return TurningCatalogue::repeated($codes) === null;
    }

    /** The speed the surface speed in force asks for where the tool stands, rev/min. */
    private function rpmHere(): float
    {
        $axis = $this->context->machine->axisIndex[AxisName::X] ?? null;
        $spindle = $this->context->modal->spindle;
        $most = $this->context->machine->spindle($spindle->name)->maxRpm ?? INF;
        $modal = $this->context->modal;
        $rpm = $axis === null ? $spindle->rpm : $spindle->rpmAt(
            $spindle->counted($this->context->recorder->at[$axis] - $modal->work->shift[$axis] - $modal->length->shift[$axis]), $most,
        );

        return is_finite($rpm) ? $rpm : $spindle->rpm;
    }

    /**
     * A station of the turret and the offset behind it are said in one number, or the offset beside it.
     *
     * @param  int|null  $offset  null where it stands in the word
     */
    private function callStation(int $word, int $digits, ?int $offset): void
    {
        [$station, $offset] = [intdiv($word, 10 ** $digits), $offset ?? $word % 10 ** $digits];
        if ($this->context->machine->control->options->turning->changesTool === ChangesTool::OnT) {
            $this->indexTurret($station, $offset);
        } else {
            [$this->context->modal->toolCalled, $this->context->modal->offsetCalled] = [$station, $offset];
        }
    }

    /** The station that was called comes in, by the code that changes tools. */
    private function indexToCalled(): void
    {
        $modal = $this->context->modal;
        if ($modal->toolCalled === null) {
            $this->context->notice('tool-change-without-tool', 'M');
        }
        $this->indexTurret($modal->toolCalled ?? $modal->tool, $modal->offsetCalled);
    }

    private function indexTurret(int $station, int $offset): void
    {
        $modal = $this->context->modal;
        $this->compensator->refuse('a tool change', 'T');
        if ($station !== 0 && $station !== $modal->tool) {
            $modal->tool = $modal->toolCalled = $station;
            $this->offsets->useTurning($offset);
            $this->context->recorder->event(MotionKind::TOOL, (string) $station);
        }
        $this->useOffset($offset);
    }

    private function useOffset(int $offset): void
    {
        $this->offsets->useTurning($offset);
        if ($this->context->machine->control->options->turning->toolShift === ToolShift::AtOnce) {
            $this->offsets->settle();
        }
    }

    /** @param  array<string, Code>  $ms */
    public function toolSpindleCoolant(array $ms): void
    {
        $modal = $this->context->modal;
        $recorder = $this->context->recorder;
        if (isset($ms[Code::ToolChange->value])) {
            $this->context->machine->isLathe() ? $this->indexToCalled() : $this->changeTool();
        }
        $this->turnSpindles($ms);
        $held = $ms[ModalGroup::CAxis->value] ?? null;
        if ($held !== null) {
            $modal->modes = $modal->modes->with(partHeld: $held === Code::PartHeld);
            $recorder->stateChanged();
        }
        $tailstock = $ms[ModalGroup::Tailstock->value] ?? null;
        if ($tailstock !== null) {
            $modal->modes = $modal->modes->with(tailstockIn: $tailstock === Code::TailstockIn);
            $recorder->stateChanged();
        }
        $catcher = $ms[ModalGroup::Catcher->value] ?? null;
        if ($catcher !== null) {
            $modal->modes = $modal->modes->with(catcherOut: $catcher === Code::CatcherOut);
            $recorder->stateChanged();
        }
        $this->turnSecond($ms);
        $coolant = $ms[ModalGroup::Coolant->value] ?? null;
        if ($coolant !== null) {
            $modal->coolant = $modal->coolant->after($coolant);
            $recorder->stateChanged();
            $recorder->event(MotionKind::COOLANT);
        }
    }

    /** @param  array<string, Code>  $ms */
    private function turnSecond(array $ms): void
    {
        foreach (self::SECOND as $group) {
            $code = $ms[$group->value] ?? null;
            if ($code !== null) {
                $modal = $this->context->modal;
                $speed = $group === ModalGroup::SecondSpindle ? $this->context->block->words['S'] ?? null : null;
                $modal->modes = $modal->modes->with(second: ($modal->modes->second ?? new SecondSpindle)->after($code, $speed));
                $this->context->recorder->stateChanged();
                $this->context->recorder->event(MotionKind::SPINDLE, $code->value);
            }
        }
    }

    /** @param  array<string, Code>  $ms */
    private function turnSpindles(array $ms): void
    {
        $modal = $this->context->modal;
        $spindle = $ms[ModalGroup::Spindle->value] ?? $ms[Code::SpindleOrient->value] ?? null;
        $sense = match ($spindle) {
            Code::SpindleClockwise => 1,
            Code::SpindleCounterClockwise => -1,
            default => 0,
        };
        if ($sense !== 0 && $modal->modes->partHeld) {
            $this->context->notice('spindle-while-held', 'M');
        }
        if ($spindle !== null && $modal->spindle->isDriven()) {
            $modal->spindle = $modal->spindle->withPart($modal->spindle->ofPart()->turning(0)); // it goes on, the part stops
            $this->context->recorder->stateChanged();
        } elseif ($spindle !== null) {
            $this->context->recorder->turnSpindle($sense);
        }
        $driven = $ms[ModalGroup::DrivenTool->value] ?? null;
        if ($driven === Code::DrivenStop && $modal->spindle->isDriven()) {
            $this->context->recorder->turnSpindle(0);
            $modal->spindle = $modal->spindle->ofPart();
            $modal->refreshFeed();
            $this->context->recorder->stateChanged();
        } elseif ($driven !== null && $driven !== Code::DrivenStop) {
            $this->context->recorder->turnSpindle($driven === Code::DrivenClockwise ? 1 : -1);
        }
    }

    public function dwell(): void
    {
        $words = $this->context->block->words;
        $letter = $this->context->machine->control->letters->dwell;
        $said = isset($words[$letter]) ? $letter : (isset($words[AxisName::X]) || ! $this->context->machine->isLathe() ? AxisName::X : 'U');
        $seconds = $words[$said] ?? null;
        if ($seconds === null) {
            $this->context->notice('dwell-without-time', 'G');

            return;
        }
        if ($this->context->machine->control->options->dwellUnit === DwellUnit::Milliseconds && $said === $letter) {
            $seconds /= 1000;
        }
        $this->context->dwell($this->context->isNegative($said) ? 0.0 : $seconds, $said);
    }

    private function turnAt(float $rpm): void
    {
        $modal = $this->context->modal;
        if ($this->context->machine->control->options->turning->clampActs === ClampActs::Always) {
            $rpm = min($rpm, $modal->spindle->limit ?? INF);
        }
        $modal->spindle = $modal->spindle->atSpeed($rpm);
        $modal->refreshFeed();
        $this->context->recorder->stateChanged();
        if ($modal->spindle->turn !== 0) {
            $this->context->recorder->event(MotionKind::SPINDLE);
        }
    }

    /** Whether the next place after this block is said before G90 is, here or later, so that it is read as an increment. */
    private function goesOnInIncrements(): bool
    {
        $sources = $this->context->sources;
        $text = $sources->textOf($this->context->block->line);
        $last = min($text->lineCount(), SourceMap::lineNumber($this->context->block->line) + self::AHEAD);
        $own = SourceMap::lineNumber($this->context->block->line);
        for ($line = $own; $line <= $last; $line++) {
            if (in_array(Code::Absolute, array_column($this->context->machine->control->codesIn($text->line($line)), 'code'), true)) {
                return false;
            }
            if ($line > $own && LineWords::names($text->line($line), 'XYZABC')) {
                return true;
            }
        }

        return true;
    }

    /** Whether the block itself puts an end to the cycle in force. */
    private function endsCycle(): bool
    {
        $codes = array_intersect_key($this->context->machine->control->gCodes, array_flip($this->context->block->g));

        return array_filter($codes, static fn (Code $code): bool => $code === Code::CycleOff || $code->group() === ModalGroup::Motion) !== [];
    }

    /** The spindle stops for a tool change (NISTIR 6556, M6); a length offset stated before it belongs to the old tool. */
    private function changeTool(): void
    {
        $modal = $this->context->modal;
        $recorder = $this->context->recorder;
        $machine = $this->context->machine;
        $this->compensator->refuse('a tool change', 'M');
        if ($modal->cycle !== null && ! $this->endsCycle()) {
            $this->context->notice('cycle-at-tool-change', 'M', ['cycle' => $modal->cycle->words()]);
        }
        if (! $modal->modes->absolute && $this->goesOnInIncrements()) {
            $this->context->notice('increment-left-on', 'M', ['where' => 'a tool change']);
        }
        if ($modal->toolCalled === null) {
            $this->context->notice('tool-change-without-tool', 'M');
        }
        $target = $recorder->at;
        foreach ($machine->toolChangeAt as $name => $position) {
            $axis = $machine->axisIndex[$name] ?? null;
            if ($axis !== null) {
                $target[$axis] = $position;
                $recorder->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        $recorder->rapid($target, Mark::MACHINE);
        $modal->tool = $modal->toolCalled ?? $modal->tool;
        $modal->spindle = $modal->spindle->turning(0);
        $modal->length = $modal->length->beforeToolChange();
        $modal->refreshFeed();
        $recorder->stateChanged();
        $recorder->event(MotionKind::TOOL, (string) $modal->tool);
    }
}
