<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use LogicException;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Stock;

/**
 * The words of a program whose decimal point looks lost, against the stock and the program's other depths. Other checks ask
 * here whether what they see comes from one of them, so that one slip is one finding.
 */
final class EntryErrorSurvey
{
    /** A depth up to this much past the deepest or the shallowest of a tool's is still among them. */
    private const AMONG = 1.5;

    /** A step this many times the usual one is none of them. */
    private const STEP = 1.6;

    /** A single step before has to be this deep to be one, mm: a face is skimmed by less. */
    private const FIRM = 2.0;

    /** How exactly a depth has to be one more step where there was only one, mm. */
    private const EXACT = 1e-3;

    /** A depth this many times the next deepest is no pass after it. */
    private const OUT_OF_PROPORTION = 8;

    /** @var list<EntryError> */
    public array $entryErrors = [];

    /** @var array<string, true> letter and line of the words found */
    private array $words = [];

    /** @var array<int, true> lines of the moves below the stock that a slip answers for */
    private array $lines = [];

    /** @var array<int|string, int>|null Z without a minus, as they stand in the text => how often */
    private ?array $heights = null;

    private function __construct(private readonly SurveyedRun $input)
    {
    }

    public static function of(SurveyedRun $input): self
    {
        $survey = new self($input);
        foreach ($input->heights->below as $move) {
            $survey->depth($survey->stockAt($move), $move);
        }
        $isHere = static fn (LowMove $move): bool => ! $input->isAstray($move->work);
        foreach (array_filter($input->heights->farBeside, $isHere) as $move) {
            $survey->beside($survey->stockAt($move), $move);
        }
        foreach (array_filter([...$input->heights->wellBeside, ...$input->heights->holesBeside], $isHere) as $move) {
            $survey->otherSide($survey->stockAt($move), $move);
        }
        foreach ($input->heights->airPasses as $move) {
            $survey->inAir($survey->stockAt($move), $move, false);
        }
        foreach ($input->heights->risenPasses as $move) {
            $survey->inAir($survey->stockAt($move), $move, true);
        }
        foreach ($input->passes->steps() as $step) {
            $survey->outOfStep($step);
        }

        return $survey;
    }

    /** @throws LogicException where there is none: nothing is looked at then */
    private function stockAt(LowMove $move): Stock
    {
        return $this->input->stockAt($move) ?? throw new LogicException('A move is judged by a piece of stock.');
    }

    /** Whether a move below the stock is there because of a slip. */
    public function explainsDepth(int $line): bool
    {
        return isset($this->lines[$line]);
    }

    /** Whether the word with a letter in a line is one of them. */
    public function isSlip(string $letter, int $line): bool
    {
        return isset($this->words[$letter.$line]);
    }

    /** Whether an axis is where it is on a line because a slipped word sent it there. */
    public function explainsAxis(string $axis, int $line): bool
    {
        $word = $this->input->wordAt($line, $axis);

        return $word !== null && isset($this->words[$axis.$word->line]);
    }

    /** The Z word behind a move below the stock, where it looks like a slip of the point. */
    private function depth(Stock $stock, LowMove $move): void
    {
        $word = $this->input->wordAt($move->line, AxisName::Z);
        if ($word === null || $move->dips || $word->value() == 0.0 || $this->isReachedInSteps($move)) {
            return;
        }
        [$meant, $like] = $this->meant($word, $move);
        // Deeper below the stock than the stock is thick, ten times a depth found elsewhere, no point at all, out of all proportion
        // to the tool's other depths, or deeper than the tool sticks out.
        if (
            $stock->bottom() - $move->z < $stock->thickness() && $like === null && $word->hasPoint() && ! $this->dwarfsOthers($move)
            && ! $this->isOutOfReach($stock, $move)
        ) {
            return;
        }
        $this->lines[$move->line] = true;
        if (isset($this->words[AxisName::Z.$word->line])) {
            return;
        }
        $this->words[AxisName::Z.$word->line] = true;
        $this->entryErrors[] = new EntryError($word, $move, $meant, $like, $this->alsoAt($word, $move));
    }

    /** A cut or hole beside the stock that would lie in it with the other sign, with the tool back in it after. */
    private function otherSide(Stock $stock, LowMove $move): void
    {
        foreach ([AxisName::X => $move->x, AxisName::Y => $move->y] as $letter => $at) {
            $axis = $letter === AxisName::X ? 0 : 1;
            $word = $this->input->wordAt($move->line, $letter);
            if (
                $word === null || $word->line !== $move->line || isset($this->words[$letter.$word->line])
                || ($at >= $stock->around->low->on($axis) && $at <= $stock->around->high->on($axis))
            ) {
                continue;
            }
            $other = $at - 2 * $word->value() * $this->input->trace->end->modes->units->millimetres();
            if ($other < $stock->around->low->on($axis) || $other > $stock->around->high->on($axis) || ($move->inCycle && ! $this->cycleGoesOn($move->line))) {
                continue;
            }
            $this->words[$letter.$word->line] = true;
            $this->entryErrors[] = new EntryError($word, $move, $word->otherSign(), isSign: true);
        }
    }

    /** Whether the block after a hole is one more place of the cycle, so that this one is meant too. */
    private function cycleGoesOn(int $place): bool
    {
        $next = $this->input->trace->sources->text($place + 1);
        $letters = array_column(LineWords::plain(substr($next, strlen(LineWords::head($next)))), 'letter');

        return in_array($letters[0] ?? '', [AxisName::X, AxisName::Y], true);
    }

    /** Cuts above the stock, at a height nothing else goes to, that with the other sign would be a depth of the program. */
    private function inAir(Stock $stock, LowMove $move, bool $isRisen): void
    {
        $word = $this->input->wordAt($move->line, AxisName::Z);
        $other = $word === null ? 0.0 : $move->z - 2 * $word->value() * $this->input->trace->end->modes->units->millimetres();
        if (
            $word === null || $word->value() <= 0.0 || $other >= $stock->top() || $other < $stock->bottom()
            || isset($this->words[AxisName::Z.$word->line]) || $this->isUsedAgain($word)
        ) {
            return;
        }
        // Up to the clearance it may be raw stock that is taken off, unless the same tool cuts as deep elsewhere.
        // From a cut to a height up to the clearance and on at feed is a way over.
        $isSkim = $move->z <= $stock->top() + ($this->input->setup->margins->clearance ?? 1.0);
        if ($isSkim && $isRisen) {
            return;
        }
        $plunge = $this->plungeTo($other, $isSkim ? $move->tool : null);
        if ($plunge !== null) {
            $this->sign($word, $move, $plunge);

            return;
        }
        $levels = array_values(
            array_filter($this->input->passes->steps(), static fn (Step $step): bool => $step->pass->tool === $move->tool && $step->pass->line < $move->line),
        );
        $last = $levels[count($levels) - 1] ?? null;
        // The next step down of the same tool, or its only depth.
        if ($last !== null && $last->depth > 0.0 && $other < $last->pass->level && $other >= $last->pass->level - self::STEP * $last->depth) {
            $this->sign($word, $move, new LowMove($last->pass->line, $move->tool, 0.0, 0.0, $last->pass->level, piece: $last->pass->piece));
        } elseif (! $isSkim && ($this->input->heights->lowest[$move->tool] ?? INF) >= $stock->top()) {
            $this->sign($word, $move, null);
        }
    }

    /** A straight plunge to a depth, of one tool or of any. */
    private function plungeTo(float $z, ?int $of): ?LowMove
    {
        foreach ($this->input->heights->depths as $tool => $plunges) {
            foreach ($of === null || $of === $tool ? $plunges : [] as $plunge) {
                if (abs($plunge->z - $z) < 1e-4) {
                    return $plunge;
                }
            }
        }

        return null;
    }

    private function sign(PlacedWord $word, LowMove $move, ?LowMove $like): void
    {
        $this->words[AxisName::Z.$word->line] = true;
        $this->entryErrors[] = new EntryError($word, $move, $word->otherSign(), $like, isSign: true);
    }

    /** Whether another line of the program has the same Z, so that it is a height and no depth. */
    private function isUsedAgain(PlacedWord $word): bool
    {
        if ($this->heights === null) {
            $this->heights = [];
            $main = $this->input->trace->sources->main;
            for ($line = 1, $last = $main->lineCount(); $line <= $last; $line++) {
                $height = PlacedWord::find($main->line($line), $line, AxisName::Z);
                if ($height !== null && ! str_starts_with($height->number, '-')) {
                    $written = Quantity::written($height->value());
                    $this->heights[$written] = ($this->heights[$written] ?? 0) + 1;
                }
            }
        }

        return ($this->heights[Quantity::written($word->value())] ?? 0) > 1;
    }

    /** Whether the tool has come down to this depth step by step, so that it is meant, whatever else is wrong with it. */
    private function isReachedInSteps(LowMove $move): bool
    {
        foreach ($this->input->passes->steps() as $step) {
            if ($step->pass->tool === $move->tool && abs($step->pass->level - $move->z) < 1e-6) {
                return count($step->before) > 1 && $step->depth <= self::STEP * $step->usual();
            }
        }

        return false;
    }

    /** A pass far deeper than those before it, whose depth would follow from them with its point moved. */
    private function outOfStep(Step $step): void
    {
        $usual = $step->usual();
        $isAlone = count($step->before) < 2;
        if ($step->before === [] || ($isAlone && $usual < self::FIRM) || $step->depth <= self::STEP * $usual || isset($this->lines[$step->pass->line])) {
            return;
        }
        $word = $this->input->wordAt($step->pass->line, AxisName::Z);
        if ($word === null || isset($this->words[AxisName::Z.$word->line])) {
            return;
        }
        $value = $word->value() * $this->input->trace->end->modes->units->millimetres();
        $places = array_values(array_filter([1, -1], static function (int $places) use ($step, $value, $usual, $isAlone): bool {
            $meant = $step->height - $step->pass->level - $value * (1 / 10 ** $places - 1);

            // After a single step it has to be that same step again.
            return $isAlone ? abs($meant - $usual) < self::EXACT : $meant > 0.0 && $meant <= self::STEP * $usual;
        }))[0] ?? null;
        $isSign = $places === null && abs($step->height - $step->pass->level + 2 * $value - $usual) < self::EXACT;
        if ($places === null && ! $isSign) {
            return;
        }
        $last = $step->before[count($step->before) - 1];
        $move = new LowMove($step->pass->line, $step->pass->tool, 0.0, 0.0, $step->pass->level, piece: $step->pass->piece);
        $this->words[AxisName::Z.$word->line] = true;
        foreach ([$word->line, $move->line, ...$this->alsoAt($word, $move)] as $line) {
            $this->lines[$line] = true;
        }
        $this->entryErrors[] = new EntryError(
            $word, $move, $isSign ? $word->otherSign() : $word->movedPoint((int) $places),
            new LowMove($last->pass->line, $last->pass->tool, 0.0, 0.0, $last->pass->level, piece: $last->pass->piece), [$step->pass->line], $isSign,
        );
    }

    /** Whether the holder would be in the stock before the tool got there. */
    private function isOutOfReach(Stock $stock, LowMove $move): bool
    {
        $stickout = $this->input->setup->tooling->tools[$move->tool]->holding->stickout ?? INF;

        return $stock->top() - $move->z > $stickout;
    }

    /** Whether a depth is many times the deepest the same tool goes elsewhere. */
    private function dwarfsOthers(LowMove $move): bool
    {
        $others = array_filter($this->input->heights->depths[$move->tool] ?? [], static fn (LowMove $plunge): bool => $plunge->z > $move->z && $plunge->z < 0);
        $deepest = $others === [] ? 0.0 : min(array_map(static fn (LowMove $plunge): float => $plunge->z, $others));

        return $deepest < 0 && $move->z < self::OUT_OF_PROPORTION * $deepest;
    }

    private function beside(Stock $stock, LowMove $move): void
    {
        foreach ([AxisName::X => $move->x, AxisName::Y => $move->y] as $letter => $at) {
            $axis = $letter === AxisName::X ? 0 : 1;
            [$low, $high] = $stock->around->span($axis);
            $word = $this->input->wordAt($move->line, $letter);
            // A word that would itself lead to the stock did not send the tool away from it.
            $reaches = $word !== null && abs($word->value()) * $this->input->trace->end->modes->units->millimetres() <= max(abs($low), abs($high));
            if (max($low - $at, $at - $high) < $high - $low || $word === null || $reaches || isset($this->words[$letter.$word->line])) {
                continue;
            }
            $this->words[$letter.$word->line] = true;
            $this->entryErrors[] = new EntryError($word, $move, $word->movedPoint(1));
        }
    }

    /**
     * The number that may have been meant, and the move that goes to that depth, if one does.
     *
     * @return array{string, LowMove|null}
     */
    private function meant(PlacedWord $word, LowMove $move): array
    {
        $depths = $this->input->heights->depths;
        $own = $depths[$move->tool] ?? [];
        unset($depths[$move->tool]);
        foreach ([1, 2, 3] as $places) {
            foreach ([$own, ...$depths] as $plunges) {
                foreach ($plunges as $plunge) {
                    if ($plunge->line !== $move->line && $plunge->z < 0 && abs($move->z / 10 ** $places - $plunge->z) < 1e-4) {
                        return [$word->movedPoint($places), $plunge];
                    }
                }
            }
        }

        return [$word->movedPoint($this->placesToOthers($own, $move) ?? 1), null];
    }

    /**
     * By how many places the point would bring a depth among the others of its tool; null where none does.
     *
     * @param  array<LowMove>  $own
     */
    private function placesToOthers(array $own, LowMove $move): ?int
    {
        $depths = [];
        foreach ($own as $plunge) {
            if ($plunge->line !== $move->line && $plunge->z < 0 && $plunge->z > $move->z) {
                $depths[] = $plunge->z;
            }
        }
        if ($depths === []) {
            return null;
        }
        foreach ([1, 2, 3] as $places) {
            $depth = $move->z / 10 ** $places;
            if ($depth >= min($depths) * self::AMONG && $depth <= max($depths) / self::AMONG) {
                return $places;
            }
        }

        return null;
    }

    /** @return list<int> lines that stay at the slipped depth */
    private function alsoAt(PlacedWord $word, LowMove $move): array
    {
        $lines = [];
        foreach ($this->input->heights->below as $other) {
            if ($other->tool === $move->tool && $other->line !== $word->line && abs($other->z - $move->z) < 1e-6) {
                $lines[$other->line] = true;
            }
        }

        return array_keys($lines);
    }
}
