<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\ThreadDepths;
use OakTrace\Core\Control\ToolWord;
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
    public ?Code $cycle;

    public function __construct(private Setup $setup, private Moment $moment, private Wording $wording)
    {
        $codes = array_intersect_key($setup->machine->control->gCodes, array_flip($moment->block->g));
        $this->cycle = TurningCatalogue::repeated($codes) ?? (TurningCatalogue::isSingle($moment->after->motion) ? $moment->after->motion : null);
    }

    /** Null where it means what it does on any machine. */
    public function of(string $letter, float $value): ?string
    {
        $turning = $this->setup->machine->control->options->turning;
        $tool = $this->ofTool($letter, $value);
        if ($tool !== null) {
            return $tool;
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
        $corner = $this->corner($letter, $value);
        if ($corner !== null) {
            return $corner;
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

    /** How a word breaks the corner a move ends in, on mills too; null where it does not. */
    public function corner(string $letter, float $value): ?string
    {
        $breaks = $this->moment->after->motion === Code::Feed && $this->setup->machine->control->options->turning->cornerWords->breaks(
            $letter, $this->moment->block->words, isset($this->setup->machine->axes[$letter]),
            $this->moment->after->state->spindle->ofPart()->turn !== 0,
        );
        $size = $this->length(abs($value));

        return match (true) {
            ! $breaks => null,
            CornerWords::rounds($letter) => "rounding of R{$size} at the end of the move",
            default => "chamfer of {$size} at the end of the move",
        };
    }

    /** A word that calls a tool or its offset, counts passes, or belongs to another spindle. */
    private function ofTool(string $letter, float $value): ?string
    {
        $turning = $this->setup->machine->control->options->turning;
        if ($letter === 'T' && $turning->toolWord !== ToolWord::Number) {
            return $turning->toolWord === ToolWord::WithD ? 'station '.(int) $value.' ('.$this->name((int) $value).')' : $this->tool((int) $value);
        }
        if ($letter === 'D' && $turning->toolWord === ToolWord::WithD && $this->cycle === null) {
            return (int) $value === 0 ? 'tool offset cancelled' : 'tool offset '.(int) $value;
        }
        if ($this->cycle === Code::ThreadSeries && $turning->threadDepths === ThreadDepths::Count
            && $letter === ($turning->cycleForm === CycleForm::OneLine ? 'D' : 'Q')) {
            return 'number of passes';
        }
        if ($letter === 'S' && array_intersect($this->moment->block->m, $this->codesOf(Code::SecondClockwise, Code::SecondCounterClockwise)) !== []) {
            return 'speed of the second spindle: '.$this->wording->figure(Quantity::rpm($value));
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

    public function isAngle(string $letter): bool
    {
        return $this->cycle === null && $this->moment->after->motion === Code::Feed && in_array($letter, $this->angleLetters(), true);
    }

    /** @return list<string> */
    public function angleLetters(): array
    {
        return $this->setup->machine->control->options->turning->angleWords->letters(isset($this->setup->machine->axes[AxisName::A]));
    }

    public function saysStartAngle(): bool
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

        return "station {$station} ({$this->name($station)}), ".($offset === 0 ? 'its offset cancelled' : "with offset {$offset}");
    }

    private function name(int $station): string
    {
        return ($this->setup->tooling->tools[$station] ?? null)->name ?? 'not in the setup';
    }

    private function length(float $value): string
    {
        return $this->wording->figure(Quantity::length($value * $this->moment->after->state->modes->units->millimetres()));
    }
}
