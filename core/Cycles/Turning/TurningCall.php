<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

use OakTrace\Core\Control\CycleForm;
use OakTrace\Core\Control\CycleNumbers;
use OakTrace\Core\Control\TurningOptions;

/** A turning cycle as it is called: where the tool stands, where its words lead, what they say. Places are axis positions, mm; X is the radius. */
final readonly class TurningCall
{
    /**
     * @param  float|null  $toZ  null where the call names no Z
     * @param  array<string, float>  $words  as written
     * @param  array<string, float>  $first  of the first of two blocks of the same cycle
     * @param  string  $bare  letters of words without a point, of both
     * @param  float  $unit  mm in a length as written
     * @param  float  $increment  mm in a least increment
     * @param  Contour|null  $contour  of the blocks it names
     * @param  float  $lead  mm a turn, of a thread
     */
    public function __construct(
        public float $z, public float $x, public ?float $toZ, public ?float $toX, private array $words, private array $first, private string $bare,
        private float $unit, private float $increment, public TurningOptions $options, public ?Contour $contour = null, public float $lead = 0.0,
    ) {
    }

    public function isOneLine(): bool
    {
        return $this->options->cycleForm === CycleForm::OneLine;
    }

    public function has(string $letter): bool
    {
        return isset($this->words[$letter]);
    }

    /** A word of the block that does it, in mm. */
    public function length(string $letter, float $usual = 0.0): float
    {
        return isset($this->words[$letter]) ? $this->words[$letter] * $this->unit : $usual;
    }

    /** A word of the first of two blocks, in mm. */
    public function firstLength(string $letter, float $usual = 0.0): float
    {
        return isset($this->first[$letter]) ? $this->first[$letter] * $this->unit : $usual;
    }

    public function number(string $letter, float $usual = 0.0): float
    {
        return $this->words[$letter] ?? $usual;
    }

    public function firstNumber(string $letter, float $usual = 0.0): float
    {
        return $this->first[$letter] ?? $usual;
    }

    /** A word that is in least increments where it has no point, in mm. */
    public function fine(string $letter, float $usual = 0.0): float
    {
        return $this->fineOf($this->words, $letter, $usual);
    }

    public function firstFine(string $letter, float $usual = 0.0): float
    {
        return $this->fineOf($this->first, $letter, $usual);
    }

    /** @param  array<string, float>  $words */
    private function fineOf(array $words, string $letter, float $usual): float
    {
        if (! isset($words[$letter])) {
            return $usual;
        }
        $isFine = $this->options->intsInCycles === CycleNumbers::LeastIncrements && str_contains($this->bare, $letter);

        return abs($words[$letter]) * ($isFine ? $this->increment : $this->unit);
    }
}
