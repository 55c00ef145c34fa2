<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Control\ChangesTool;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\HolePlane;
use OakTrace\Core\Control\LeadAxis;
use OakTrace\Core\Control\OffsetCarries;
use OakTrace\Core\Control\RoughingCompensation;
use OakTrace\Core\Control\RoughKind;
use OakTrace\Core\Control\SpeedFrom;
use OakTrace\Core\Control\SpeedInRapid;
use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ToolShift;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\WordsInProfile;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Interpreter\Moment;
use OakTrace\Core\Interpreter\WayLetters;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Wording\Wording;

/** What the words of a block mean on a lathe where they mean something else than on a mill. */
final readonly class TurningWords
{
    /** The cycle the block says, or goes on with. */
    private ?Code $cycle;

    public function __construct(private Setup $setup, private Moment $moment, private Wording $wording)
    {
        $codes = array_intersect_key($setup->machine->control->gCodes, array_flip($moment->block->g));
        $this->cycle = TurningCatalogue::repeated($codes) ?? (TurningCatalogue::isSingle($moment->after->motion) ? $moment->after->motion : null);
    }

    /** Null where it means what it does on any machine. */
    public function of(string $letter, float $value): ?string
    {
        $turning = $this->setup->machine->control->options->turning;
        if ($letter === 'T' && $turning->toolWord !== ToolWord::Number) {
            return $this->tool((int) $value);
        }
        if ($letter === 'S' && array_intersect($this->moment->block->m, $this->codesOf(Code::SecondClockwise, Code::SecondCounterClockwise)) !== []) {
            return 'speed of the second spindle: '.$this->wording->figure(Quantity::rpm($value));
        }
        if ($letter === 'K' && in_array($this->moment->after->motion, [Code::ThreadRising, Code::ThreadFalling], true)) {
            return 'change of the lead with each turn, '.$this->length($value);
        }
        $hole = $this->ofHole($letter, $value);
        if ($hole !== null) {
            return $hole;
        }
        $meaning = $letter === 'Q' && $this->saysStartAngle() ? 'start angle of '.$this->wording->figure(Quantity::angle($value * $this->startAngleUnit()))
            : $this->ofCycle()[$letter] ?? null;
        if ($meaning !== null) {
            return $meaning;
        }
        $isCorner = $this->moment->after->motion === Code::Feed && $turning->cornerWords->breaks(
            $letter, $this->moment->block->words, isset($this->setup->machine->axes[$letter]),
            $this->moment->after->state->spindle->ofPart()->turn !== 0,
        );
        if ($isCorner) {
            $size = $this->length(abs($value));

            return ! CornerWords::rounds($letter) ? "chamfer of {$size} at the end of the move" : "rounding of R{$size} at the end of the move";
        }
        if ($this->isAngle($letter)) {
            return 'at '.$this->wording->figure(Quantity::angle($value)).' from plus Z, counter-clockwise';
        }
        $ways = new WayLetters($this->setup->machine);
        $axis = array_search($letter, $ways->letters, true);
        if ($axis !== false) {
            $name = $this->setup->machine->axisNames[$axis];
            $shown = $this->setup->machine->axes[$name];
            $scale = $shown->isRotary() ? 1.0 : $this->moment->after->state->modes->units->millimetres() * ($shown->isDiameter ? 0.5 : 1.0);

            return "{$name} on by ".$this->wording->figure($shown->shown($value * $scale)).' from where it is';
        }

        return null;
    }

    /** @return list<int> M codes of some functions, in tenths */
    private function codesOf(Code ...$functions): array
    {
        return array_keys(array_filter($this->setup->machine->control->mCodes, static fn (Code $code): bool => in_array($code, $functions, true)));
    }

    /** A word of a hole cycle that is a way here, or counted otherwise. */
    private function ofHole(string $letter, float $value): ?string
    {
        $cycle = $this->moment->after->state->cycle;
        if ($cycle === null) {
            return null;
        }
        if ($letter === 'R' && (new WayLetters($this->setup->machine))->letters !== []) {
            $side = $cycle->goesAcross() ? ($value < 0.0 ? ' nearer to the axis than' : ' further out than') : ($value < 0.0 ? ' below' : ' above');

            return 'R level: '.$this->length(abs($value)).$side.' where the cycle begins';
        }

        return $letter !== $this->setup->machine->control->letters->peck ? null
            : 'depth of each peck: '.$this->wording->figure(Quantity::length($value * $this->peckUnit($letter)));
    }

    /** mm in a peck as it is written. */
    private function peckUnit(string $letter): float
    {
        $units = $this->moment->after->state->modes->units;
        $isFine = str_contains($this->moment->block->withoutPoint, $letter)
            && $this->setup->machine->control->options->turning->intsInCycles === CycleNumbers::LeastIncrements;

        return $isFine ? $units->leastIncrement() : $units->millimetres();
    }

    /** @return array<string, string> switches of the profile that decided something here, and what */
    public function switches(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $block = $this->moment->block;
        $found = $this->switchesOfTool() + $this->switchesOfCycle() + $this->switchesOfHole() + $this->switchesOfSpeed();
        if ($turning->cornerWords !== CornerWords::None && array_intersect_key($block->words, array_flip($turning->cornerWords->letters())) !== []) {
            $found['Corner words'] = 'this control breaks corners with '.implode(' and ', $turning->cornerWords->letters());
        }
        if (array_filter(array_keys($block->words), $this->isAngle(...)) !== []) {
            $found['Angle words'] = 'this control takes the angle of a straight move from '.implode(' or ', $this->angleLetters());
        }
        if (in_array($this->moment->after->motion, [Code::ArcClockwise, Code::ArcCounterClockwise], true)
            && array_intersect_key($block->words, [AxisName::X => 1, AxisName::Z => 1]) !== []) {
            $found['Arcs'] = 'this control turns them '.str_replace('-', ' ', $turning->arcSense->value);
            $found['Arcs over 180°'] = "{$turning->arcOver180->value} on this control";
        }

        return $found;
    }

    /** @return array<string, string> */
    private function switchesOfTool(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if (isset($this->moment->block->words['T']) && $turning->toolWord !== ToolWord::Number) {
            $found['Tool word'] = "this control reads T as {$turning->toolWord->value}: station and offset";
            $found['Tool change'] = 'on this control the tool comes in '
                .($turning->changesTool === ChangesTool::OnT ? 'with its T' : 'with the code for it behind T');
            $found['Offset number'] = 'on this control it brings '.($turning->offsetCarries === OffsetCarries::WearOnly
                ? 'the wear alone; the geometry is that of the station' : 'geometry and wear');
            $found['Tool offset'] = 'this control makes up for it '.($turning->toolShift === ToolShift::AtOnce ? 'at once' : 'with the next move');
        }

        return $found;
    }

    /** @return array<string, string> */
    private function switchesOfCycle(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if ($this->saysStartAngle()) {
            $found['Start angle'] = 'with a point Q is in degrees; without one this control counts '.$turning->startAngleUnit->value.'s';
        } elseif ($this->moment->after->state->cycle !== null
            && str_contains($this->moment->block->withoutPoint, $this->setup->machine->control->letters->peck)) {
            $found['Cycle numbers'] = 'this control counts a peck without a point in '.$this->cycleNumbers();
        } elseif ($this->cycle !== null && strpbrk($this->moment->block->withoutPoint, 'PQD') !== false && ! TurningCatalogue::hasShape($this->cycle)
            && $this->cycle !== Code::FinishShape) {
            $found['Cycle numbers'] = 'this control counts P, Q and D of a cycle without a point in '.$this->cycleNumbers();
        }
        if ($this->cycle === Code::RoughAlong || $this->cycle === Code::RoughAcross) {
            $found['Roughing'] = 'this control takes '.match ($turning->roughKind) {
                RoughKind::Monotone => 'profiles that rise or fall all the way',
                RoughKind::Pockets => 'profiles with pockets too',
                RoughKind::FirstBlock => 'pockets where the first block of the profile names X and Z',
            };
        }
        if ($this->cycle !== null && TurningCatalogue::hasShape($this->cycle)) {
            $found['Words in a profile'] = 'F and S in it act '
                .($turning->wordsInProfile === WordsInProfile::Always ? 'in roughing too' : 'in finishing alone').' on this control';
            $found['Nose in roughing'] = 'this control '.($turning->roughingCompensation === RoughingCompensation::Used
                ? 'makes up for the nose where compensation is on' : 'roughs along the profile as it is programmed');
        }

        return $found + $this->switchesOfThread();
    }

    /** @return array<string, string> */
    private function switchesOfHole(): array
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

    /** @return array<string, string> of a surface speed */
    private function switchesOfSpeed(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $after = $this->moment->after;
        $found = [];
        if ($after->state->spindle->surfaceSpeed === null) {
            return [];
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
    private function switchesOfThread(): array
    {
        $turning = $this->setup->machine->control->options->turning;
        $found = [];
        if ($this->moment->after->motion->isThread() || $this->moment->after->motion === Code::ThreadPass || $this->cycle === Code::ThreadSeries) {
            $found['Lead'] = 'F is counted along '.($turning->leadAxis === LeadAxis::AlongZ ? 'Z' : 'the axis that goes further').' on this control';
        }
        if ($this->cycle === Code::ThreadSeries) {
            $found['Passes of a thread'] = 'this control takes '.match ($turning->threadDepths) {
                ThreadDepths::Area => 'the same area in each',
                ThreadDepths::Constant => 'the same depth in each',
                ThreadDepths::Zigzag => 'the same area in each, on one flank and the other in turn',
            };
        }

        return $found;
    }

    private function cycleNumbers(): string
    {
        return $this->setup->machine->control->options->turning->intsInCycles === CycleNumbers::LeastIncrements ? 'least increments' : 'whole units';
    }

    private function isAngle(string $letter): bool
    {
        return $this->cycle === null && $this->moment->after->motion === Code::Feed && in_array($letter, $this->angleLetters(), true);
    }

    /** @return list<string> */
    private function angleLetters(): array
    {
        return $this->setup->machine->control->options->turning->angleWords->letters(isset($this->setup->machine->axes[AxisName::A]));
    }

    private function saysStartAngle(): bool
    {
        return isset($this->moment->block->words['Q']) && ($this->moment->after->motion->isThread() || $this->moment->after->motion === Code::ThreadPass)
            && ($this->cycle === null || $this->cycle === Code::ThreadPass);
    }

    /** Degrees. */
    private function startAngleUnit(): float
    {
        return str_contains($this->moment->block->withoutPoint, 'Q') ? $this->setup->machine->control->options->turning->startAngleUnit->degrees() : 1.0;
    }

    /** @return array<string, string> */
    private function ofCycle(): array
    {
        if ($this->cycle === null) {
            return [];
        }
        if ($this->cycle === Code::FinishShape) {
            return ['P' => 'first block of the profile', 'Q' => 'last block of the profile'];
        }
        $isOneLine = $this->setup->machine->control->options->turning->cycleForm === CycleForm::OneLine;
        $words = $this->moment->block->words;
        $isFirst = ! $isOneLine && ! TurningCatalogue::isSingle($this->cycle) && (
            TurningCatalogue::hasShape($this->cycle) ? ! isset($words['P']) : ! isset($words['X']) && ! isset($words['Z']) && ! isset($words['U'])
                && ! isset($words['W'])
        );

        return TurningCatalogue::for($this->cycle)->words($isFirst, $isOneLine);
    }

    private function tool(int $word): string
    {
        $digits = $this->setup->machine->control->options->turning->toolWord->offsetDigits() ?? 0;
        [$station, $offset] = [intdiv($word, 10 ** $digits), $word % 10 ** $digits];
        $name = ($this->setup->tooling->tools[$station] ?? null)->name ?? 'not in the setup';

        return "station {$station} ({$name}), ".($offset === 0 ? 'its offset cancelled' : "with offset {$offset}");
    }

    private function length(float $value): string
    {
        return $this->wording->figure(Quantity::length($value * $this->moment->after->state->modes->units->millimetres()));
    }
}
