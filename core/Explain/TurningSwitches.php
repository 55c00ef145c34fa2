<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Control\ChangesTool;
use OakTrace\Core\Control\ClampActs;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\HolePlane;
use OakTrace\Core\Control\HomeThrough;
use OakTrace\Core\Control\LeadAxis;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\OffsetCarries;
use OakTrace\Core\Control\RoughingCompensation;
use OakTrace\Core\Control\RoughKind;
use OakTrace\Core\Control\RoughRetract;
use OakTrace\Core\Control\SecondSense;
use OakTrace\Core\Control\SpeedFrom;
use OakTrace\Core\Control\SpeedInRapid;
use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ThreadShift;
use OakTrace\Core\Control\ToolShift;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\WordsInProfile;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Interpreter\Moment;
use OakTrace\Core\Interpreter\WayLetters;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;

/** The switches of a lathe's profile that decide something in a block. */
final readonly class TurningSwitches
{
    public function __construct(private Setup $setup, private Moment $moment, private TurningWords $words)
    {
    }

    /** @return array<string, string> which decided something here, and what */
    public function all(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $block = $this->moment->block;
        $found = $this->ofTool() + $this->ofCycle() + $this->ofThread() + $this->ofHole() + $this->ofSpindle() + $this->ofMoves();
        if (array_filter(array_keys($block->words), $this->words->isAngle(...)) !== []) {
            $found['Angle words'] = 'this control takes the angle of a straight move from '.implode(' or ', $this->words->angleLetters());
        }
        if (in_array($this->moment->after->motion, [Code::ArcClockwise, Code::ArcCounterClockwise], true)
            && array_intersect_key($block->words, [AxisName::X => 1, AxisName::Z => 1]) !== []) {
            $found['Arcs'] = 'this control turns them '.str_replace('-', ' ', $turning->arcSense->value);
            $found['Arcs over 180°'] = "{$turning->arcOver180->value} on this control";
        }

        return $found;
    }

    /** @return array<string, string> */
    private function ofTool(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if (isset($this->moment->block->words['T']) && $turning->toolWord !== ToolWord::Number) {
            $found['Tool word'] = $turning->toolWord === ToolWord::WithD ? 'this control takes the station from T and its offset from D'
                : "this control reads T as {$turning->toolWord->value}: station and offset";
            $found['Tool change'] = 'on this control the tool comes in '
                .($turning->changesTool === ChangesTool::OnT ? 'with its T' : 'with the code for it behind T');
            $found['Offset number'] = 'on this control it brings '.($turning->offsetCarries === OffsetCarries::WearOnly
                ? 'the wear alone; the geometry is that of the station' : 'geometry and wear');
            $found['Tool offset'] = 'this control makes up for it '.($turning->toolShift === ToolShift::AtOnce ? 'at once' : 'with the next move');
        }

        return $found;
    }

    /** @return array<string, string> */
    private function ofCycle(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if ($this->words->saysStartAngle()) {
            $found['Start angle'] = 'with a point Q is in degrees; without one this control counts '.$turning->startAngleUnit->value.'s';
        } elseif ($this->moment->after->state->cycle !== null
            && str_contains($this->moment->block->withoutPoint, $this->setup->machine->control->letters->peck)) {
            $found['Cycle numbers'] = 'this control counts a peck without a point in '.$this->cycleNumbers();
        } elseif ($this->words->cycle !== null && strpbrk($this->moment->block->withoutPoint, 'PQD') !== false
            && ! TurningCatalogue::hasShape($this->words->cycle)
            && $this->words->cycle !== Code::FinishShape) {
            $found['Cycle numbers'] = 'this control counts P, Q and D of a cycle without a point in '.$this->cycleNumbers();
        }
        if ($this->words->cycle === Code::RoughAlong || $this->words->cycle === Code::RoughAcross) {
            $found['Roughing'] = 'this control takes '.match ($turning->roughKind) {
                RoughKind::Monotone => 'profiles that rise or fall all the way',
                RoughKind::Pockets => 'profiles with pockets too',
                RoughKind::FirstBlock => 'pockets where the first block of the profile names X and Z',
            };
        }
        if ($this->words->cycle !== null && TurningCatalogue::hasShape($this->words->cycle)) {
            $found['Words in a profile'] = 'F and S in it act '
                .($turning->wordsInProfile === WordsInProfile::Always ? 'in roughing too' : 'in finishing alone').' on this control';
            $found['Nose in roughing'] = 'this control '.($turning->roughingCompensation === RoughingCompensation::Used
                ? 'makes up for the nose where compensation is on' : 'roughs along the profile as it is programmed');
        }

        return $found + $this->ofRoughing();
    }

    /** @return array<string, string> */
    private function ofHole(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $state = $this->moment->after->state;
        if ($state->cycle === null) {
            return [];
        }

        return [
            'Plane of a hole' => $turning->holePlane === HolePlane::Needed ? 'this control needs the plane square to the hole'
                : 'this control asks for none',
            'Return of a hole' => 'goes back to '.($state->modes->returnToInitial ? 'where the cycle began' : 'the R level')
                .($this->setup->machine->control->codeOf(Code::ReturnInitial) === null ? ' on this control' : ''),
        ];
    }

    /** @return array<string, string> of the spindles and their speeds */
    private function ofSpindle(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $after = $this->moment->after;
        $found = [];
        if (isset($this->moment->block->words['S']) && $after->state->spindle->limit !== null) {
            $found['Speed limit'] = 'acts '.($turning->clampActs === ClampActs::Always ? 'always' : 'at a surface speed alone').' on this control';
        }
        if ($this->says(ModalGroup::SecondSpindle)) {
            $found['Second spindle'] = 'its codes are meant as '
                .($turning->secondSense === SecondSense::Own ? 'it sees them itself' : 'the main one sees them');
        }
        if ($after->state->spindle->surfaceSpeed === null) {
            return $found;
        }
        if ($after->motion === Code::Rapid && array_intersect_key($this->moment->block->words, [AxisName::X => 1, 'U' => 1]) !== []) {
            $found['Spindle at rapid'] = match ($turning->surfaceSpeedInRapid) {
                SpeedInRapid::AtEnd => 'has the speed of where the rapid ends',
                SpeedInRapid::Follows => 'follows X on the way',
                SpeedInRapid::Held => 'holds its speed until the next feed',
            }.' on this control';
        }
        if (isset($this->moment->block->words['S'])) {
            $found['Surface speed'] = 'counted from '.($turning->surfaceSpeedFrom === SpeedFrom::Part ? 'part zero' : 'X as programmed').' on this control';
        }

        return $found;
    }

    /** @return array<string, string> */
    private function ofThread(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if ($this->moment->after->motion->isThread() || $this->moment->after->motion === Code::ThreadPass || $this->words->cycle === Code::ThreadSeries) {
            $found['Lead'] = 'F is counted along '.($turning->leadAxis === LeadAxis::AlongZ ? 'Z' : 'the axis that goes further').' on this control';
        }
        if ($this->moment->after->motion === Code::ThreadPass) {
            $found['Lead-out'] = $turning->threadPullOff > 0.0
                ? 'this control leads a thread out over '.Quantity::written($turning->threadPullOff).' of its lead'
                : 'this control draws a thread straight out';
        }
        if ($this->words->cycle === Code::ThreadSeries) {
            $found['Flank shift'] = 'this control shifts the passes '
                .($turning->threadShift === ThreadShift::FirstTouch ? 'from the first touch on' : 'so that the last begins at the programmed start');
            $found['Passes of a thread'] = 'this control takes '.match ($turning->threadDepths) {
                ThreadDepths::Area => 'the same area in each',
                ThreadDepths::Constant => 'the same depth in each',
                ThreadDepths::Zigzag => 'the same area in each, on one flank and the other in turn',
                ThreadDepths::Count => 'as many as the cycle says, the same area in each',
            };
        }

        return $found;
    }

    /** @return array<string, string> of a roughing or a finishing cycle */
    private function ofRoughing(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if ($this->words->cycle !== null && ! TurningCatalogue::isSingle($this->words->cycle) && $this->words->cycle !== Code::FinishShape) {
            $found['Cycle in blocks'] = 'this control says it in '.($turning->cycleForm === CycleForm::OneLine ? 'one' : 'two');
        }
        if ($this->words->cycle === Code::FinishShape) {
            $found['Back from finishing'] = 'this control '
                .($turning->finishReturns ? 'goes back to where it began' : 'stays at the end of the profile');
        }
        if ($this->words->cycle === Code::RoughAlong || $this->words->cycle === Code::RoughAcross) {
            $found['Off the wall'] = 'a pass leaves it '.($turning->roughRetract === RoughRetract::At45 ? 'at 45°' : 'square to it').' on this control';
            $found['Last cut'] = 'this control ends roughing '.($turning->roughLast ? 'with a cut' : 'without one').' along the profile';
        }

        return $found;
    }

    /** @return array<string, string> of how the block moves, and what it feeds with */
    private function ofMoves(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        [$before, $after, $words] = [$this->moment->before, $this->moment->after, $this->moment->block->words];
        $found = [];
        $ways = (new WayLetters($this->setup->machine))->letters;
        $codes = array_intersect_key($this->setup->machine->control->gCodes, array_flip($this->moment->block->g));
        if (! in_array(Code::Dwell, $codes, true) && array_intersect_key($words, array_flip($ways)) !== []) {
            $found['Increments'] = 'this control takes '.implode(' and ', $ways).' from where the tool is';
        }
        if (array_intersect_key($words, [AxisName::X => 1, AxisName::Z => 1]) !== []
            && (in_array(Code::Reference, $codes, true) || in_array(Code::SecondReference, $codes, true))) {
            $found['On the way home'] = 'X and Z are '.($turning->home === HomeThrough::Absolute ? 'a place gone through' : 'a way').' on this control';
        }
        if ($this->says(ModalGroup::FeedMode)) {
            $found['F with another feed mode'] = $turning->feedModeKeepsF ? 'goes on on this control' : 'has to be said again on this control';
        }
        if ($before->state->cutter->side !== $after->state->cutter->side && $after->motion === Code::Rapid) {
            $found['Compensation at rapid'] = $turning->compensationOnRapid ? 'this control lets it begin and end so' : 'this control wants a feed for it';
        }

        return $found;
    }

    private function says(ModalGroup $group): bool
    {
        $control = $this->setup->machine->control;
        $codes = array_intersect_key($control->gCodes, array_flip($this->moment->block->g)) + array_intersect_key(
            $control->mCodes, array_flip($this->moment->block->m),
        );

        return array_filter($codes, static fn (Code $code): bool => $code->group() === $group) !== [];
    }

    private function cycleNumbers(): string
    {
        return $this->setup->machine->control->options->turning->intsInCycles === CycleNumbers::LeastIncrements ? 'least increments' : 'whole units';
    }
}
