<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\CycleRunsOn;
use OakTrace\Core\Control\DwellUnit;
use OakTrace\Core\Control\HolePlane;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Cycles\Holes\HoleCall;
use OakTrace\Core\Cycles\Holes\HoleMotion;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;

/**
 * Keeps the sticky words of the canned cycle in force and makes its holes. Levels are axis positions of the axis square
 * to the plane, mm.
 */
final class CycleRunner implements HoleMotion
{
    /** Pecks and repeats together that no real program asks for in one block. */
    private const MOST_STROKES = 10_000;

    /** @var list<float> where the axes stood when the cycle was switched on: the initial level */
    private array $initial = [];

    private ?float $bottom = null;

    private ?float $r = null;

    private ?float $peck = null;

    /** How much less each peck goes than the one before it, and the least it goes; 0 where pecks do not shrink. */
    private float $reduction = 0.0;

    private float $least = 0.0;

    private ?float $dwell = null;

    /** @var array{float, float} how far an oriented tool steps aside on the plane's axes */
    private array $aside = [0.0, 0.0];

    /** Column of the axis square to the plane. */
    private int $axis = 0;

    /** The last hole that was made; null where none was since it was set so. */
    public ?HoleCall $made = null;

    /** The way the spindle turned when the hole was begun. */
    private int $turn = 0;

    private readonly WayLetters $ways;

    public function __construct(private readonly Context $context, private readonly Offsets $offsets)
    {
        $this->ways = new WayLetters($context->machine);
    }

    public function start(Code $cycle): void
    {
        $modal = $this->context->modal;
        if ($modal->cycle === null) {
            $this->initial = $this->context->recorder->at;
        }
        if ($modal->cycle !== $cycle) {
            $modal->cycle = $cycle;
            $this->context->recorder->stateChanged();
        }
    }

    public function end(): void
    {
        if ($this->context->modal->cycle !== null) {
            $this->context->modal->cycle = null;
            $this->bottom = $this->r = $this->peck = $this->dwell = null;
            $this->reduction = $this->least = 0.0;
            $this->aside = [0.0, 0.0];
            $this->context->recorder->stateChanged();
        }
    }

    /**
     * Does a block while a cycle is on: takes its words, and makes its holes where it has a place in the plane.
     *
     * @param  bool  $stated  whether the block itself says the cycle's code
     * @param  callable(array<string, float>): (list<float>|null)  $target  where axis words lead
     * @return bool whether it made a hole
     */
    public function run(bool $stated, callable $target): bool
    {
        $words = $this->words();
        $modal = $this->context->modal;
        $depth = $this->context->machine->holeAxis($modal->modes->plane, $modal->cycle);
        $axis = $this->context->machine->axisIndex[$depth] ?? null;
        if ($axis === null || $modal->cycle === null) {
            $this->context->notice('missing-axis', $depth, ['axis' => $depth]);

            return false;
        }
        if ($this->context->machine->control->options->turning->holePlane === HolePlane::Needed && $modal->modes->plane->normal() !== $depth
            && $this->context->machine->isLathe()) {
            $this->context->notice($modal->cycle->goesAcross() ? 'hole-plane-across' : 'hole-plane-along', 'G');

            return false;
        }
        $this->store($words, $axis, $depth);
        if (! $stated && isset($words[$depth]) && $this->bottomIsAboveR() && ! CycleCatalogue::hole($modal->cycle)->approachesItself()) {
            $this->context->notice('cycle-on-at-move', $depth, ['cycle' => $modal->cycle->words(), 'axis' => $depth]);
        }
        $counts = $this->context->machine->control->letters->cycleRepeats;
        $repeats = $this->context->isNegative($counts) ? 0.0 : $words[$counts] ?? 1.0;
        if (! $this->makesHole($words, $depth, $stated) || $repeats < 1 - 1e-6) {
            return false;
        }
        if ($stated && $this->bottomIsAboveR() && ! CycleCatalogue::hole($modal->cycle)->approachesItself()) {
            $context = $this->context;
            $shift = $this->offsets->shift[$axis];
            $context->notice(
                'r-below-bottom', 'R',
                ['axis' => $depth, 'r' => Quantity::length(($this->r ?? 0.0) - $shift), 'bottom' => Quantity::length(($this->bottom ?? 0.0) - $shift)],
            );
        }
        $missing = $this->missing($modal->cycle, $depth);
        if ($missing !== []) {
            $this->context->notice('cycle-word-missing', 'G', ['letter' => implode(' and ', $missing)]);

            return false;
        }
        if ($repeats * max(1.0, $this->pecks()) > self::MOST_STROKES) {
            $this->context->notice('runaway', 'G', ['most' => self::MOST_STROKES]);

            return false;
        }
        unset($words[$depth], $words[$this->ways->letters[$axis] ?? '']);
        $this->repeat($modal->cycle, (int) floor($repeats + 1e-6), $counts, static fn (): ?array => $target($words));

        return true;
    }

    /**
     * @param  string  $counts  letter of the repeats
     * @param  callable(): (list<float>|null)  $target  where the next hole is; null where the tool stands
     */
    private function repeat(Code $cycle, int $repeats, string $counts, callable $target): void
    {
        for ($i = 0; $i < $repeats; $i++) {
            $at = $target() ?? $this->context->recorder->at;
            if ($i === 1 && $this->isOver($at)) {
                $this->context->notice('unused-word', $counts, ['in' => 'place', 'word' => $counts.$repeats, 'times' => $repeats]);
            }
            $this->hole($cycle, $at);
        }
    }

    /**
     * Whether the tool stands over a hole already.
     *
     * @param  list<float>  $hole
     */
    private function isOver(array $hole): bool
    {
        $machine = $this->context->machine;
        foreach ($machine->holePlace($this->context->modal->modes->plane, $this->context->modal->cycle) as $name) {
            $axis = $machine->axisIndex[$name] ?? null;
            if ($axis !== null && abs($hole[$axis] - $this->context->recorder->at[$axis]) > 1e-9) {
                return false;
            }
        }

        return true;
    }

    /** @return array<string, float> those of the block, but for what a call, a return or an extended work offset in it is about */
    private function words(): array
    {
        $words = $this->context->block->words;
        $control = $this->context->machine->control;
        foreach ($this->context->block->g as $number) {
            if (($control->gCodes[$number] ?? null) === Code::ExtendedWorkOffset) {
                unset($words[$control->letters->extendedOffset]);
            }
        }
        foreach ($this->context->block->m as $number) {
            if (in_array($control->mCodes[$number] ?? null, [Code::CallSubprogram, Code::CallBlocks, Code::SubprogramEnd], true)) {
                unset($words['P'], $words[$control->letters->program], $words[$control->letters->callRepeats]);
            }
        }

        return $words;
    }

    /**
     * @param  array<string, float>  $words
     * @param  bool  $stated  whether the block itself says the cycle's code
     */
    private function makesHole(array $words, string $depth, bool $stated): bool
    {
        $machine = $this->context->machine;
        foreach ($machine->holePlace($this->context->modal->modes->plane, $this->context->modal->cycle) as $name) {
            if (isset($words[$name]) || (isset($machine->axisIndex[$name]) && $this->ways->way($words, $machine->axisIndex[$name]) !== null)) {
                return true;
            }
        }
        if ($this->context->machine->control->options->cycleRunsOn === CycleRunsOn::PlaneWords || (! isset($words[$depth]) && ! isset($words['R']))) {
            return false;
        }

        // A height above R in a block of its own is a retract with the cycle left on, which is told.
        return $stated || ! $this->bottomIsAboveR();
    }

    public function rapidTo(float $level): void
    {
        $this->context->recorder->rapid($this->at($level));
    }

    public function feedTo(float $level): void
    {
        $this->context->recorder->feed($this->at($level));
    }

    public function dwell(float $seconds): void
    {
        if ($seconds > 0.0) {
            $this->context->dwell($seconds, $this->context->machine->control->letters->dwell);
        }
    }

    public function stopSpindle(): void
    {
        $this->context->recorder->turnSpindle(0);
    }

    public function turnSpindle(int $sense): void
    {
        $this->context->recorder->turnSpindle($sense * $this->turn);
    }

    public function stepAside(bool $back): void
    {
        $plane = $this->context->modal->modes->plane;
        $target = $this->context->recorder->at;
        foreach ([$plane->first(), $plane->second()] as $i => $name) {
            $axis = $this->context->machine->axisIndex[$name] ?? null;
            if ($axis !== null) {
                $target[$axis] += $back ? -$this->aside[$i] : $this->aside[$i];
            }
        }
        /** @var list<float> $target */
        $this->context->recorder->rapid($target);
    }

    public function waitForHand(): void
    {
        $this->context->stop('hand');
    }

    /**
     * One hole (NISTIR 6556): to R first where the tool is below it, across, down to R, the cycle's strokes, and back to
     * R or to the initial level, whichever is called for.
     *
     * @param  list<float>  $over  every axis over the hole; the level in it does not count
     */
    private function hole(Code $code, array $over): void
    {
        $cycle = CycleCatalogue::hole($code);
        $recorder = $this->context->recorder;
        $bottom = $this->bottom ?? 0.0;
        $r = $this->r ?? 0.0;
        $initial = $this->initial[$this->axis] ?? $r;
        $recorder->rowMarks |= Mark::CYCLE;
        $this->turn = $this->context->modal->spindle->turn;
        if (! $cycle->approachesItself() && $recorder->at[$this->axis] < $r) {
            $this->rapidTo($r);
        }
        $over[$this->axis] = $recorder->at[$this->axis];
        /** @var list<float> $over */
        $recorder->rapid($over);
        if (! $cycle->approachesItself()) {
            $this->rapidTo($r);
        }
        $switches = $this->context->machine->control->options;
        $back = $this->context->modal->modes->returnToInitial || $cycle->approachesItself() ? max($initial, $r) : $r;
        $this->made = new HoleCall(
            $bottom, $r, $initial, $back, $this->peck ?? 0.0, $this->reduction, $this->least, $this->dwell ?? 0.0, $switches->peckClearance,
            $switches->chipBreakRetract,
        );
        $cycle->strokes($this->made, $this);
        $this->rapidTo($back);
        $recorder->rowMarks &= ~Mark::CYCLE;
    }

    /**
     * Takes the cycle words of a block; what it does not say stays as it was.
     *
     * @param  array<string, float>  $words
     */
    private function store(array $words, int $axis, string $letter): void
    {
        $context = $this->context;
        $modal = $context->modal;
        $this->axis = $axis;
        $shift = $this->offsets->shift[$axis];
        $scale = $context->scale[$axis];
        if (isset($words['R'])) {
            // Where there are words for ways R is one too, from the level the cycle begins at (common practice).
            $isPlace = $modal->modes->absolute && $this->ways->letters === [];
            // A way is one on the radius where X is a diameter.
            $this->r = $words['R'] * ($isPlace ? $scale : $context->unit) + ($isPlace ? $shift : $this->initial[$axis] ?? 0.0);
        }
        if (isset($words[$letter])) {
            $this->bottom = $words[$letter] * $scale + ($modal->modes->absolute ? $shift : $this->r ?? $this->initial[$axis] ?? 0.0);
        }
        $way = $this->ways->way($words, $axis);
        if ($way !== null) {
            $this->bottom = $way * $scale + ($this->r ?? $this->initial[$axis] ?? 0.0);
        }
        $this->storePecks($words);
        $letters = $context->machine->control->letters;
        if (isset($words[$letters->dwell])) {
            $said = $context->isNegative($letters->dwell) ? 0.0 : $words[$letters->dwell];
            $this->dwell = $said / ($context->machine->control->options->dwellUnit === DwellUnit::Milliseconds ? 1000 : 1);
        }
        if (isset($words[$letter]) || isset($words['R'])) {
            $context->recorder->axisMarks |= Mark::touched($axis) | ($modal->modes->absolute ? Mark::tied($axis) : 0);
        }
    }

    /**
     * How deep its pecks are, or how far aside a tool is brought.
     *
     * @param  array<string, float>  $words
     */
    private function storePecks(array $words): void
    {
        $context = $this->context;
        $letters = $context->machine->control->letters;
        if (isset($words[$letters->peck])) {
            if ($words[$letters->peck] < 0.0 && $this->isPecking()) {
                $word = $letters->peck.Quantity::written($words[$letters->peck]);
                $context->notice('unused-word', $letters->peck, ['in' => 'sign', 'word' => $word]);
            }
            $this->peck = abs($words[$letters->peck]) * $this->peckUnit($letters->peck);
            $this->reduction = $this->least = 0.0;
            $this->aside = [$this->peck, 0.0];
        }
        if (isset($words['I']) && $context->machine->control->options->shrinkingPecks && $this->isPecking()) {
            $this->peck = abs($words['I']) * $context->unit;
            $this->reduction = abs($words['J'] ?? 0.0) * $context->unit;
            $this->least = abs($words['K'] ?? $words['I']) * $context->unit;
        } elseif (isset($words['I']) || isset($words['J'])) {
            $this->aside = [($words['I'] ?? 0.0) * $context->unit, ($words['J'] ?? 0.0) * $context->unit];
        }
    }

    /** mm in a peck as written: a lathe may count it in least increments where it has no point. */
    private function peckUnit(string $letter): float
    {
        $isFine = $this->context->machine->isLathe() && str_contains($this->context->block->withoutPoint, $letter)
            && $this->context->machine->control->options->turning->intsInCycles === CycleNumbers::LeastIncrements;

        return $isFine ? $this->context->modal->modes->units->leastIncrement() : $this->context->unit;
    }

    /** @return list<string> letters the cycle in force still lacks */
    private function missing(Code $code, string $depth): array
    {
        if ($this->context->machine->isLathe() && $this->bottom !== null) {
            // R and pecks are there to be left out.
            $this->r ??= $this->initial[$this->axis] ?? 0.0;
            $this->peck ??= abs($this->bottom - $this->r);
        }
        $has = [
            'R' => $this->r !== null, $depth => $this->bottom !== null,
            'Q' => ($this->peck ?? 0.0) > 0.0 && ($this->reduction === 0.0 || $this->least > 0.0), 'P' => $this->dwell !== null,
        ];

        $missing = array_filter([$depth, 'R', ...CycleCatalogue::hole($code)->needs()], static fn (string $letter): bool => ! $has[$letter]);
        $written = ['Q' => $this->context->machine->control->letters->peck, 'P' => $this->context->machine->control->letters->dwell];

        return array_values(array_map(static fn (string $letter): string => $written[$letter] ?? $letter, $missing));
    }

    /** Whether the hole would end above the level it starts from: a retract somebody meant as a plain move. */
    private function bottomIsAboveR(): bool
    {
        return $this->bottom !== null && $this->r !== null && $this->bottom > $this->r;
    }

    private function isPecking(): bool
    {
        return CycleCatalogue::inForce($this->context->modal->cycle)?->pecks() === true;
    }

    /** How many pecks one hole takes at the most; 0 for a cycle without. */
    private function pecks(): float
    {
        $peck = $this->reduction > 0.0 ? $this->least : $this->peck ?? 0.0;

        return $peck > 0.0 ? abs(($this->bottom ?? 0.0) - ($this->r ?? 0.0)) / $peck : 0.0;
    }

    /** @return list<float> where the axes stand, with the level changed */
    private function at(float $level): array
    {
        $target = $this->context->recorder->at;
        $target[$this->axis] = $level;

        /** @var list<float> */
        return $target;
    }
}
