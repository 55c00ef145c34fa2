<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Control\WordsInProfile;
use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\Turning\Stretch;
use OakTrace\Core\Cycles\Turning\TurningCall;
use OakTrace\Core\Cycles\Turning\TurningMotion;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\SpindleState;
use OakTrace\Core\Trace\ThreadDetail;

/** Does the turning cycles of a program, and its threads: keeps what they keep from block to block and makes their strokes. */
final class TurningRunner implements TurningMotion
{
    /** Depths of the block that makes a cycle, and of the first of two, which have no sign (common practice). */
    private const UNSIGNED = [
        'rough-along' => ['D'], 'rough-across' => ['D'], 'thread-series' => ['P', 'Q', 'D'], 'peck-along' => ['P', 'Q'], 'peck-across' => ['P', 'Q'],
    ];

    private const FIRST_UNSIGNED = ['rough-along' => ['U'], 'rough-across' => ['W'], 'thread-series' => ['Q']];

    private readonly int $zAxis;

    private readonly int $xAxis;

    /** A start so near to the end of its shape is at it, mm. */
    private const AT_START = 0.001;

    /** Strokes one block may ask for. */
    private const MOST_STROKES = 10_000;

    /** Strokes made by the cycle that is under way. */
    private int $strokes = 0;

    /** @var array<string, array{array<string, float>, string}> words, and which have no point, of the first of two blocks, by cycle */
    private array $first = [];

    /** @var array<string, float> words of the single cycle in force */
    private array $kept = [];

    private ?Code $keptFor = null;

    private ?float $toZ = null;

    private ?float $toX = null;

    /** mm a turn */
    private float $lead = 0.0;

    /** Degrees the spindle has turned on when a pass of the block begins; a block that does not say begins at 0 (common practice). */
    private float $startAngle = 0.0;

    /** @var array<int, ShapeWords> what the blocks of the shape last read say, by their places, where that acts in roughing */
    private array $said = [];

    /** @var callable(int, int, bool): (Contour|null) does or gathers the blocks of a shape, by the numbers of the first and the last */
    private $shape;

    public function __construct(private readonly Context $context, private readonly TurningPlaces $places)
    {
        $this->zAxis = $context->machine->axisIndex[AxisName::Z] ?? -1;
        $this->xAxis = $context->machine->axisIndex[AxisName::X] ?? -1;
    }

    /** @return array<string, mixed> what does the blocks of a shape is given again */
    public function __serialize(): array
    {
        return ['shape' => null] + get_object_vars($this);
    }

    /** @param  callable(int, int, bool): (Contour|null)  $shape */
    public function readBy(callable $shape): void
    {
        $this->shape = $shape;
    }

    /** @param  array<int, ShapeWords>  $words  of the blocks of the shape that has been read, by their places */
    public function shapeSays(array $words): void
    {
        $this->said = $this->context->machine->control->options->turning->wordsInProfile === WordsInProfile::Always ? $words : [];
    }

    /** The cycle of a block that is done once, where the machine can. */
    public function repeats(?Code $cycle): bool
    {
        return $cycle !== null && $this->zAxis >= 0 && $this->xAxis >= 0;
    }

    /** A single cycle, at every block that has a place for it. */
    public function single(Code $cycle, bool $stated): bool
    {
        $words = $this->context->block->words;
        if ($this->keptFor !== $cycle) {
            $this->kept = [];
            $this->toZ = $this->toX = null;
            $this->keptFor = $cycle;
        }
        $this->takeLead();
        [$z, $x] = $this->end($words);
        if (! $stated && $z === null && $x === null) {
            return false;
        }
        $this->toZ = $z ?? $this->toZ;
        $this->toX = $x ?? $this->toX;
        $this->kept = array_intersect_key($words, ['R' => 0, 'I' => 0, 'K' => 0]) + $this->kept;

        return $this->make($cycle, $this->call($this->kept, [], '', $this->toZ, $this->toX, null));
    }

    /** What a single cycle keeps is forgotten with another code of its group. */
    public function endSingle(): void
    {
        $this->keptFor = null;
    }

    /** A cycle that is done where it is said. */
    public function run(Code $cycle): void
    {
        $block = $this->context->block;
        [$words, $withoutPoint] = [$block->words, $block->withoutPoint]; // the blocks of a shape are read into the same block
        $this->takeLead();
        $isFirst = $this->isFirstOfTwo($cycle, $words);
        $this->noticeSigns(($isFirst ? self::FIRST_UNSIGNED : self::UNSIGNED)[$cycle->value] ?? []);
        if ($isFirst) {
            $this->first[$cycle->value] = [$words, $withoutPoint];

            return;
        }
        [$first, $bare] = $this->first[$cycle->value] ?? [[], ''];
        if ($cycle === Code::FinishShape) {
            $this->finish($words);

            return;
        }
        [$z, $x] = TurningCatalogue::hasShape($cycle) ? [null, null] : $this->end($words);
        $start = $this->context->recorder->at;
        $contour = null;
        if (TurningCatalogue::hasShape($cycle)) {
            $contour = $this->shapeOf($words, false);
            if ($contour === null) {
                return;
            }
            $this->context->recorder->at = $start;
            $isOutside = $contour->liesBelow($start[$this->xAxis]);
            $this->noticeAllowance('U', $words['U'] ?? 0.0, $isOutside ? 1 : -1, $isOutside ? 'outside' : 'bore');
            $along = $contour->liesTowards($start[$this->zAxis]);
            $this->noticeStart($contour, $start[$this->zAxis], $start[$this->xAxis], $isOutside, $cycle);
            $this->noticeAllowance('W', $words['W'] ?? 0.0, $along, $along > 0 ? 'Z-plus side' : 'Z-minus side');
            $mayFall = $this->context->machine->control->options->turning->roughKind->takesPockets($contour->namesBoth);
            $seen = $cycle === Code::RoughAcross ? $contour->flipped() : $contour;
            if ($cycle !== Code::RoughPattern && ! $seen->isMonotone($mayFall)) {
                $this->context->notice('shape-not-monotone', 'G');
            }
        }
        $this->make($cycle, $this->call($words, $first, $withoutPoint.$bare, $z, $x, $contour));
    }

    /**
     * A thread in a block of its own: F is the lead along the axis that goes further.
     *
     * @param  list<float>  $target
     */
    public function threadTo(array $target): void
    {
        $this->takeLead();
        $change = ($this->context->block->words['K'] ?? 0.0) * $this->context->unit * match ($this->context->modal->motion) {
            Code::ThreadRising => 1,
            Code::ThreadFalling => -1,
            default => 0,
        };
        if (! $this->context->recorder->thread($target, $this->lead, new ThreadDetail($this->startAngle, $this->lead, $change))) {
            $this->context->notice('lead-runs-out', 'K');
        }
    }

    public function rapid(float $z, float $x): void
    {
        if ($this->mayMove()) {
            $this->context->recorder->rapid($this->at($z, $x));
        }
    }

    public function feed(float $z, float $x): void
    {
        if ($this->mayMove()) {
            $this->context->recorder->feed($this->at($z, $x));
        }
    }

    public function thread(float $z, float $x, float $lead): void
    {
        if ($this->mayMove()) {
            $angle = $this->keptFor === Code::ThreadPass ? $this->startAngle : 0.0;
            $this->context->recorder->thread($this->at($z, $x), $lead, new ThreadDetail($angle));
        }
    }

    public function follow(Stretch $stretch): void
    {
        if (! $this->mayMove()) {
            return;
        }
        $target = $this->at($stretch->z, $stretch->x);
        if (isset($this->said[$stretch->line])) {
            $this->useWords($this->said[$stretch->line]->feed, $this->said[$stretch->line]->spindle);
        }
        if ($stretch->arc === null) {
            $this->context->recorder->feed($target);
        } else {
            $this->context->recorder->arcAbout($target, $stretch->arc);
        }
    }

    /**
     * A depth that is written with a minus, though it has no sign.
     *
     * @param  list<string>  $letters
     */
    private function noticeSigns(array $letters): void
    {
        $words = $this->context->block->words;
        foreach ($letters as $letter) {
            if (($words[$letter] ?? 0.0) < 0.0) {
                $this->context->notice('unused-word', $letter, ['in' => 'sign', 'word' => $letter.Quantity::written($words[$letter])]);
            }
        }
    }

    /** @param  int  $sign  what an allowance has to have so that it lies outside the finished part; 0 where either does */
    private function noticeAllowance(string $letter, float $left, int $sign, string $side): void
    {
        if ($left * $sign < 0.0) {
            $this->context->notice('allowance-sign', $letter, ['word' => $letter.Quantity::written($left), 'side' => $side]);
        }
    }

    /** A cycle that starts within the radii of its shape, and perhaps in the shape. */
    private function noticeStart(Contour $contour, float $z, float $x, bool $isOutside, Code $cycle): void
    {
        $radii = array_column($contour->shape(), 'x');
        $to = $isOutside ? max($x, ...$radii) : min($x, ...$radii);
        if ($isOutside ? $x > $to - self::AT_START : $x < $to + self::AT_START) {
            return;
        }
        $isInside = $contour->liesTowards($z) === 0;
        if (! $isInside && $cycle !== Code::RoughAlong) {
            return;
        }
        $shown = fn (string $name, int $axis, float $at): Quantity => $this->context->machine->shown($name, $this->places->programmed($axis, $at));
        $this->context->notice($isInside ? 'cycle-start-inside' : 'cycle-start-low', 'G', [
            'x' => $shown(AxisName::X, $this->xAxis, $x), 'z' => $shown(AxisName::Z, $this->zAxis, $z), 'to' => $shown(AxisName::X, $this->xAxis, $to),
            'toZ' => $shown(AxisName::Z, $this->zAxis, max(array_column($contour->stretches, 'z'))),
        ]);
    }

    /** @param  array<string, float>  $words */
    private function isFirstOfTwo(Code $cycle, array $words): bool
    {
        if ($cycle === Code::FinishShape || $this->context->machine->control->options->turning->cycleForm === CycleForm::OneLine) {
            return false;
        }
        if (TurningCatalogue::hasShape($cycle)) {
            return ! isset($words['P']) && ! isset($words['Q']);
        }

        return ! $this->places->ways->names($words, $this->zAxis) && ! $this->places->ways->names($words, $this->xAxis);
    }

    /** @param  array<string, float>  $words */
    private function finish(array $words): void
    {
        $recorder = $this->context->recorder;
        $start = $recorder->at;
        $this->shapeOf($words, true);
        if ($this->context->machine->control->options->turning->finishReturns) {
            $recorder->rapid($start);
        }
    }

    /** @param  array<string, float>  $words */
    private function shapeOf(array $words, bool $runs): ?Contour
    {
        foreach (['P', 'Q'] as $letter) {
            if (! isset($words[$letter])) {
                $this->context->notice('shape-without-block', 'G', ['letter' => $letter]);

                return null;
            }
        }

        return ($this->shape)((int) floor($words['P'] + 1e-6), (int) floor($words['Q'] + 1e-6), $runs);
    }

    /**
     * @param  array<string, float>  $words
     * @return array{float|null, float|null} Z and X the words lead to, axis positions
     */
    private function end(array $words): array
    {
        $named = [$this->places->ways->names($words, $this->zAxis), $this->places->ways->names($words, $this->xAxis)];
        $target = $this->places->target($words) ?? $this->context->recorder->at;

        return [$named[0] ? $target[$this->zAxis] : null, $named[1] ? $target[$this->xAxis] : null];
    }

    /**
     * @param  array<string, float>  $words
     * @param  array<string, float>  $first
     */
    private function call(array $words, array $first, string $bare, ?float $z, ?float $x, ?Contour $contour): TurningCall
    {
        $at = $this->context->recorder->at;

        return new TurningCall(
            $at[$this->zAxis], $at[$this->xAxis], $z, $x, $words, $first, $bare, $this->context->unit,
            $this->context->modal->modes->units->leastIncrement(), $this->context->machine->control->options->turning, $contour, $this->lead,
        );
    }

    private function make(Code $code, TurningCall $call): bool
    {
        $cycle = TurningCatalogue::for($code);
        $missing = $cycle->missing($call);
        if ($missing !== []) {
            $this->context->notice('cycle-word-missing', 'G', ['letter' => implode(' and ', $missing)]);

            return false;
        }
        if ($this->context->modal->modes->plane !== Plane::ZX) {
            $this->context->notice('shape-plane', 'G');

            return false;
        }
        $this->noticeTaper($code, $call);
        $this->strokes = 0;
        [$feed, $spindle] = [$this->context->modal->feedWord, $this->context->modal->spindle];
        $this->context->recorder->rowMarks |= Mark::CYCLE;
        $cycle->strokes($call, $this);
        $this->context->recorder->rowMarks &= ~Mark::CYCLE;
        $this->useWords($feed, $spindle);
        $this->said = [];
        if ($this->strokes > self::MOST_STROKES) {
            $this->context->notice('runaway', 'G', ['most' => self::MOST_STROKES]);
        }

        return true;
    }

    /** A cone that gets thinner towards the chuck, or wider in a bore: the sign of its word is turned about more often than it is meant. */
    private function noticeTaper(Code $code, TurningCall $call): void
    {
        if (! in_array($code, [Code::TurnAlong, Code::ThreadPass, Code::ThreadSeries], true) || $call->toX === null || $call->toZ === null) {
            return;
        }
        $letter = $call->isOneLine() ? 'I' : 'R';
        $isOutside = $call->x > $call->toX;
        if ($call->length($letter) * ($isOutside ? 1 : -1) * ($call->z - $call->toZ) > 1e-9) {
            $this->context->notice($isOutside ? 'taper-back' : 'taper-back-bore', $letter, ['word' => $letter.Quantity::written($call->number($letter))]);
        }
    }

    private function useWords(float $feed, SpindleState $spindle): void
    {
        $modal = $this->context->modal;
        $changes = $modal->spindle !== $spindle;
        if ($changes || $modal->feedWord !== $feed) {
            [$modal->feedWord, $modal->spindle] = [$feed, $spindle];
            $modal->refreshFeed();
            $this->context->recorder->stateChanged();
        }
        if ($changes) {
            $this->context->recorder->event(MotionKind::SPINDLE);
        }
    }

    /** Whether the cycle may go on. */
    private function mayMove(): bool
    {
        return ++$this->strokes <= self::MOST_STROKES;
    }

    /** F is one and the same for feeds and threads, and the last one said is in force. */
    private function takeLead(): void
    {
        $this->lead = $this->context->modal->feedWord;
        $block = $this->context->block;
        $unit = str_contains($block->withoutPoint, 'Q') ? $this->context->machine->control->options->turning->startAngleUnit->degrees() : 1.0;
        $this->startAngle = ($block->words['Q'] ?? 0.0) * $unit;
    }

    /** @return list<float> where the axes stand, with Z and X changed */
    private function at(float $z, float $x): array
    {
        $target = $this->context->recorder->at;
        $target[$this->zAxis] = $z;
        $target[$this->xAxis] = $x;

        /** @var list<float> */
        return $target;
    }
}
