<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\ArcSense;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\HomeThrough;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;

/** What a block does with its axis words: moves of every kind, cycles, reference points. */
final class Motions
{
    // Of the context, close at hand for the blocks of which there are a million.

    private readonly MotionRecorder $recorder;

    private readonly ModalState $modal;

    private readonly bool $isLathe;

    private readonly bool $hasCorners;

    /** @var list<int> mark bits an axis gets when the program sends it somewhere in the part */
    private array $commanded = [];

    public function __construct(
        private readonly Context $context,
        private readonly Offsets $offsets,
        private readonly Coordinates $coordinates,
        private readonly Arcs $arcs,
        private readonly CycleRunner $cycles,
        private readonly Compensator $compensator,
        private readonly TurningPlaces $places,
        private readonly TurningRunner $turning,
        private readonly AngledMoves $angles,
    ) {
        $this->isLathe = $context->machine->isLathe();
        $this->hasCorners = $context->machine->control->options->turning->cornerWords !== CornerWords::None;
        $this->recorder = $context->recorder;
        $this->modal = $context->modal;
        foreach (array_keys($context->machine->axisNames) as $axis) {
            $this->commanded[] = Mark::tied($axis) | Mark::touched($axis);
        }
    }

    /**
     * What kind of motion is in force from this block on. A motion code alone ends a cycle; a cycle code beside one wins.
     *
     * @param  array<string, Code>  $gs
     */
    public function useMode(array $gs): void
    {
        $motion = $gs[ModalGroup::Motion->value] ?? null;
        if ($motion !== null) {
            if ($motion !== $this->modal->motion) {
                $this->turning->endSingle();
            }
            $this->modal->motion = $motion;
            $this->modal->motionStated = true;
        }
        $cycle = $gs[ModalGroup::Cycle->value] ?? null;
        if ($cycle === Code::CycleOff || ($cycle === null && $motion !== null)) {
            $this->cycles->end();
            if ($motion === null && $this->context->machine->control->options->cyclesAreMotion) {
                $this->modal->motionStated = false;
            }
        } elseif ($cycle !== null) {
            $this->compensator->refuse('a canned cycle', 'G');
            if ($motion !== null && $this->context->machine->control->options->cyclesAreMotion) {
                $this->context->notice('modal-conflict', 'G', [
                    'first' => $motion->words(), 'second' => $cycle->words(), 'group' => ModalGroup::Motion->value,
                ]);
            }
            $this->cycles->start($cycle);
        }
    }

    /**
     * Does what the block does with its axis words instead of moving there; false where nothing is done instead.
     *
     * @param  array<string, Code>  $gs
     */
    public function instead(array $gs): bool
    {
        switch (true) {
            case isset($gs[Code::Reference->value]):
                $this->reference($this->context->machine->home);
                break;
            case isset($gs[Code::SecondReference->value]):
                $this->reference($this->context->machine->secondHome + $this->context->machine->home);
                break;
            case isset($gs[Code::ReferenceCheck->value]):
                $this->checkReference();
                break;
            case isset($gs[Code::SetOffsets->value]):
                $this->offsets->set();
                $this->compensator->refresh();
                break;
            case isset($gs[Code::LocalShift->value]):
                $this->offsets->shiftLocally();
                break;
            case isset($gs[Code::SetPosition->value]):
                $this->offsets->setPosition();
                break;
            case isset($gs[Code::CancelSetPosition->value]):
                $this->offsets->cancelPosition();
                break;
            case isset($gs[Code::PocketClockwise->value]):
            case isset($gs[Code::PocketCounterClockwise->value]):
                (new CircularPocket($this->context, $this->offsets))->cut(isset($gs[Code::PocketClockwise->value]), $this->target(...));
                break;
            case $this->turning->repeats($cycle = TurningCatalogue::repeated($gs)) && $cycle !== null:
                $this->runTurning($cycle);
                break;
            default:
                return isset($gs[Code::Dwell->value]) || $this->place($gs);
        }

        $this->angles->drop();
        if (TurningCatalogue::repeated($gs) === null) {
            $this->noticeNoAngle();
        }

        return true;
    }

    /**
     * @param  array<string, Code>  $gs
     * @return bool whether it went anywhere
     */
    public function move(array $gs): bool
    {
        $modal = $this->modal;
        $recorder = $this->recorder;
        if ($this->isLathe || $this->hasCorners) {
            $this->noticeOutOfPlace();
        }
        if ($modal->cycle !== null) {
            return $this->cycles->run(isset($gs[ModalGroup::Cycle->value]), $this->target(...));
        }
        if (isset($gs[Code::MachineCoordinates->value])) {
            $this->moveInMachineCoordinates();

            return true;
        }
        $words = $this->context->block->words;
        if (TurningCatalogue::isSingle($modal->motion)) {
            return $this->turning->single($modal->motion, isset($gs[ModalGroup::Motion->value]));
        }
        if (isset($words[AxisName::C]) && $modal->motion === Code::Feed && $this->breaksCorner(AxisName::C)) {
            unset($words[AxisName::C]);
        }
        $target = $this->isLathe ? $this->turnedTarget($words) : $this->target($words);
        if (isset($gs[Code::ExactStopOnce->value])) {
            $recorder->rowMarks |= Mark::EXACT;
        }
        if (isset($gs[Code::Probe->value])) {
            $met = (new ProbeContact($this->context))->between($recorder->at, $target ?? $recorder->at);
            $recorder->feed($target ?? $recorder->at);
            $this->context->probed = $this->offsets->programPosition($met);
        } elseif ($modal->motion === Code::ArcClockwise || $modal->motion === Code::ArcCounterClockwise) {
            if ($target !== null || isset($words['I']) || isset($words['J']) || isset($words['K']) || isset($words['R'])) {
                $isMirrored = $this->context->machine->control->options->turning->arcSense === ArcSense::SeenOnFront;
                $this->arcs->move($target ?? $recorder->at, ($modal->motion === Code::ArcClockwise) !== $isMirrored);
                $target ??= $recorder->at;
            }
        } elseif ($target !== null) {
            $this->straight($target);
        }
        $recorder->rowMarks &= ~Mark::EXACT;

        return $target !== null;
    }

    /**
     * The part is brought to an angle by the axis that holds it, and not while its spindle turns it.
     *
     * @param  list<float>  $target
     */
    private function noticeSpinning(array $target): void
    {
        $axis = $this->context->machine->axisIndex[AxisName::C] ?? null;
        if ($axis !== null && abs($target[$axis] - $this->recorder->at[$axis]) > 1e-9
            && $this->modal->spindle->ofPart()->turn !== 0 && ! $this->modal->modes->partHeld) {
            $this->context->notice('moved-while-spinning', AxisName::C);
        }
    }

    /** Whether the way of a block hangs on the next one. */
    public function waits(): bool
    {
        return $this->angles->waits();
    }

    /** @param  list<float>  $target */
    private function straight(array $target): void
    {
        if (! $this->modal->motionStated) {
            $this->context->notice('no-motion-code', '');
            $this->modal->motionStated = true;
        }
        if ($this->modal->motion->isThread()) {
            $this->compensator->refuse('a thread', 'G');
            $words = $this->context->block->words;
            $this->isLathe
                ? $this->turning->threadTo($target)
                : $this->recorder->feedInStep($target, $words['K'] ?? $words['F'] ?? 0.0, $this->context->unit);
        } elseif ($this->modal->motion === Code::Feed) {
            $this->breakCorner();
            $this->recorder->feed($target);
        } else {
            $this->recorder->rapid($target);
        }
    }

    /** Compensation has no say in roughing; finishing runs the blocks of its shape with it; the other cycles refuse it. */
    private function runTurning(Code $cycle): void
    {
        if (TurningCatalogue::hasShape($cycle)) {
            $this->compensator->pause();
            $this->turning->run($cycle);
            $this->compensator->refresh();

            return;
        }
        if ($cycle !== Code::FinishShape) {
            $this->compensator->refuse('a turning cycle', 'G');
        }
        $this->turning->run($cycle);
    }

    /**
     * Where the words of a lathe lead, by an angle too.
     *
     * @param  array<string, float>  $words
     * @return list<float>|null
     */
    private function turnedTarget(array $words): ?array
    {
        $letter = $this->angles->letterIn($words);
        if ($letter !== null && $this->modal->motion === Code::Feed) {
            return $this->angles->target($letter, $words, $this->corner());
        }
        $this->angles->drop();
        $target = $this->target($words);
        $this->noticeSpinning($target ?? $this->recorder->at);

        return $target;
    }

    /** An angle is said of a straight move at feed; anywhere else its letter is that of an axis, or of nothing. */
    private function noticeNoAngle(): void
    {
        $letter = $this->angles->letterIn($this->context->block->words);
        if ($letter !== null) {
            $this->context->notice('angle-not-at-feed', $letter, ['letter' => $letter]);
        }
    }

    /** A corner is broken between moves at feed. */
    private function noticeNoCorner(): void
    {
        foreach ([',C', ',R'] as $letter) {
            if (isset($this->context->block->words[$letter])) {
                $this->context->notice('corner-not-at-feed', $letter, ['letter' => $letter]);
            }
        }
    }

    /** Corners and angles where no straight move at feed has a use for them. */
    private function noticeOutOfPlace(): void
    {
        if ($this->modal->motion === Code::Feed && $this->modal->cycle === null) {
            $this->noticeOtherCommas();

            return;
        }
        $this->angles->drop();
        $this->noticeNoCorner();
        $this->noticeNoAngle();
    }

    /** A comma before a letter this control has no such word for. */
    private function noticeOtherCommas(): void
    {
        $turning = $this->context->machine->control->options->turning;
        foreach ($this->context->block->words as $letter => $value) {
            if ($letter[0] === ',' && ! in_array($letter, [...$turning->cornerWords->letters(), ...$turning->angleWords->letters(true)], true)) {
                $this->context->notice('unused-word', $letter, [
                    'word' => $letter.Quantity::written($value), 'plane' => $this->modal->modes->plane->value, 'in' => 'block',
                ]);
            }
        }
    }

    /** The corner this move ends in, where the block has a word for it. */
    private function breakCorner(): void
    {
        $corner = $this->corner();
        if ($corner !== null) {
            $this->recorder->breakNext(...$corner);
        }
    }

    /** @return array{bool, float, string, int}|null whether the corner is rounded, its size in mm, the letter of its word, see HeldCorner::$towards */
    private function corner(): ?array
    {
        $corner = null;
        $words = $this->context->machine->control->options->turning->cornerWords;
        foreach ($words->letters() as $letter) {
            $size = $this->context->block->words[$letter] ?? 0.0;
            $towards = $words === CornerWords::Signed ? $size <=> 0.0 : 0;
            if (($size > 0.0 || $towards !== 0) && $this->breaksCorner($letter) && $this->context->planeAxes('A corner') !== null) {
                $corner = [CornerWords::rounds($letter), abs($size) * $this->context->unit, $letter, $towards];
            }
        }

        return $corner;
    }

    private function breaksCorner(string $letter): bool
    {
        return $this->context->machine->control->options->turning->cornerWords->breaks(
            $letter, $this->context->block->words, isset($this->context->machine->axes[$letter]),
            $this->modal->spindle->ofPart()->turn !== 0,
        );
    }

    /**
     * Where axis words lead, or null where there are none. Marks the axes as moved on the way.
     *
     * @param  array<string, float>  $words
     * @return list<float>|null
     */
    private function target(array $words): ?array
    {
        if ($this->coordinates->active) {
            return $this->coordinates->target($words);
        }
        if ($this->isLathe) {
            return $this->places->target($words);
        }
        $recorder = $this->recorder;
        $target = $recorder->at;
        $marks = $recorder->axisMarks;
        $any = false;
        $absolute = $this->modal->modes->absolute;
        $scale = $this->context->scale;
        $shift = $this->offsets->shift;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if (isset($words[$letter])) {
                $any = true;
                if ($absolute) {
                    $target[$axis] = $words[$letter] * $scale[$axis] + $shift[$axis];
                    $marks |= $this->commanded[$axis];
                } else {
                    $target[$axis] += $words[$letter] * $scale[$axis];
                    $marks |= Mark::touched($axis);
                }
            }
        }
        $recorder->axisMarks = $marks;

        /** @var list<float> $target */
        return $any ? $target : null;
    }

    private function moveInMachineCoordinates(): void
    {
        $this->compensator->refuse('a move in machine coordinates', 'G');
        $recorder = $this->recorder;
        $target = $recorder->at;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if (isset($this->context->block->words[$letter])) {
                $target[$axis] = $this->context->block->words[$letter] * $this->context->scale[$axis];
                $recorder->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        if ($this->modal->motion === Code::Feed) {
            $recorder->feed($target, Mark::MACHINE);
        } else {
            $recorder->rapid($target, Mark::MACHINE);
        }
    }

    /**
     * Through the given point, then home with the axes named; with no axis named, all of them go home.
     *
     * @param  array<string, float>  $home  machine coordinates by axis name
     */
    private function reference(array $home): void
    {
        $this->compensator->refuse('a return to the reference point', 'G');
        $words = $this->context->block->words;
        $modes = $this->modal->modes;
        if ($this->isLathe && $this->context->machine->control->options->turning->home === HomeThrough::Incremental) {
            $this->modal->modes = $modes->with(absolute: false);
        }
        $through = $this->target($words);
        $this->modal->modes = $modes;
        if ($through !== null) {
            $this->noticeDescent($through);
            $this->recorder->rapid($through);
        }
        $target = $this->recorder->at;
        foreach ($this->context->machine->axisNames as $axis => $letter) {
            if ($through === null || $this->places->ways->names($words, $axis)) {
                $target[$axis] = $home[$letter] ?? 0.0;
                $this->recorder->leaveWorkOffset($axis);
            }
        }
        /** @var list<float> $target */
        $this->recorder->rapid($target, Mark::MACHINE);
    }

    /**
     * A point on the way home that lies lower than the tool.
     *
     * @param  list<float>  $through
     */
    private function noticeDescent(array $through): void
    {
        $axis = $this->context->machine->axisIndex[$this->context->machine->lengthAxis()] ?? null;
        if ($axis !== null && ! $this->isLathe && $through[$axis] < $this->recorder->at[$axis] - 1e-6) {
            $this->context->notice('reference-path', AxisName::Z, ['through' => Quantity::length($through[$axis] - $this->offsets->shift[$axis])]);
        }
    }

    /** To the point given, which the control compares with the reference point. */
    private function checkReference(): void
    {
        $this->compensator->refuse('a check of the reference point', 'G');
        $target = $this->target($this->context->block->words);
        if ($target === null) {
            return;
        }
        $this->recorder->rapid($target);
        foreach ($this->context->machine->axisNames as $axis => $name) {
            $home = $this->context->machine->home[$name] ?? 0.0;
            if (isset($this->context->block->words[$name]) && abs($target[$axis] - $home) > 0.001) {
                $this->context->notice(
                    'not-at-reference', $name,
                    ['axis' => $name, 'at' => $this->context->machine->shown($name, $target[$axis]), 'home' => $this->context->machine->shown($name, $home)],
                );
            }
        }
    }

    /**
     * Rotation, scaling, mirror and polar coordinates take the words of their block.
     *
     * @param  array<string, Code>  $gs
     */
    private function place(array $gs): bool
    {
        $taken = false;
        foreach ([ModalGroup::Rotation, ModalGroup::Scaling, ModalGroup::Mirror] as $group) {
            if (isset($gs[$group->value])) {
                $this->coordinates->use($gs[$group->value]);
                $this->compensator->refresh();
                $taken = true;
            }
        }

        return $taken;
    }
}
