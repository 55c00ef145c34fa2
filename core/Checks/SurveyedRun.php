<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Compared\Comparison;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Trace\Trace;

/** A program that has been read in its setup: the trace, and surveys made while it was read. */
class SurveyedRun
{
    private ?Comparison $compared = null;

    /** @var list<Astray>|null */
    private ?array $astray = null;

    /** @var array<int, true>|null lines that take material off at rapid */
    private ?array $cutting = null;

    public readonly EditWriter $editWriter;

    public function __construct(
        public readonly Program $program,
        public readonly Setup $setup,
        public readonly Trace $trace,
        public readonly Reach $reach,
        public readonly CutSurvey $cuts,
        public readonly HeightSurvey $heights,
        public readonly ObstacleSurvey $obstacles,
        public readonly PassSurvey $passes,
        public readonly TurnSurvey $turns,
        public readonly LatheSurvey $lathe,
        public readonly ?StockRun $stock = null,
        public readonly ?TurnedStock $turned = null,
    ) {
        $this->editWriter = new EditWriter($trace->sources, $setup->machine->control);
    }

    /** The stock as it comes out beside what is wanted; null where nothing is, or it is not known how it comes out. */
    public function compared(): ?Comparison
    {
        if ($this->compared === null && $this->setup->workpiece->target !== null && $this->stock?->isComplete() === true) {
            $this->compared = Comparison::of($this->setup->workpiece->target, $this->stock->bodies[0], $this->stock->log);
        }

        return $this->compared;
    }

    /**
     * Work offsets under which everything lies beside the stock; looked for where a cut beside it was seen.
     *
     * @return list<Astray>
     */
    public function offTheStock(): array
    {
        $beside = $this->heights->farBeside !== [] || $this->heights->wellBeside !== [] || $this->heights->holesBeside !== []
            || ($this->stock?->idle->tools() ?? []) !== [] || ($this->stock?->idle->holes() ?? []) !== [];

        return $this->astray ??= $beside && $this->turns->isStill() && ! $this->unitsDiffer() ? AstraySurvey::of($this->trace, $this->setup) : [];
    }

    /** Whether everything under a work offset lies beside the stock, so that nothing about single cuts under it is told. */
    public function isAstray(string $work): bool
    {
        return in_array($work, array_column($this->offTheStock(), 'work'), true);
    }

    /**
     * Notices of one kind with the same key folded: the first of each, and the other lines that have one.
     *
     * @return list<array{Notice, list<int>}>
     */
    public function folded(string $kind, string ...$keys): array
    {
        $groups = [];
        foreach ($this->trace->noticesOf($kind) as $notice) {
            $key = implode('|', array_map(static fn (string $key): string => $notice->word($key), $keys));
            $groups[$key] ??= [$notice, []];
            if ($notice->line !== $groups[$key][0]->line) {
                $groups[$key][1][$notice->line] = $notice->line;
            }
        }

        return array_map(static fn (array $group): array => [$group[0], array_values($group[1])], array_values($groups));
    }

    /** The piece of stock a move is at; null where the setup has none. */
    public function stockAt(LowMove $move): ?Stock
    {
        return $this->setup->stocks()[$move->piece] ?? null;
    }

    /** How high the piece of stock stands that a move is at, in its coordinates, mm. */
    public function topAt(LowMove $move): float
    {
        return $this->stockAt($move)?->top() ?? 0.0;
    }

    /** Which piece of stock, where it is not the first: for sentences that speak of the stock. */
    public function pieceWords(int $piece): string
    {
        return $piece === 0 ? '' : ' at '.($this->setup->stocks()[$piece]->workOffset ?? '');
    }

    /** What the moves of a line take off, mm³; nothing where that is not known. */
    public function cutAt(int $place): float
    {
        $volumes = $this->stock?->engagement->column('volume') ?? [];
        $taken = 0.0;
        foreach ($volumes === [] ? [] : $this->trace->chunks() as $chunk) {
            foreach (array_keys($chunk->lines(), $place, true) as $row) {
                $taken += $volumes[$chunk->first + $row] ?? 0.0;
            }
        }

        return $taken;
    }

    /** The tool in the spindle at a line; 0 where nothing moves there. */
    public function toolAt(int $place): int
    {
        foreach ($this->trace->chunks() as $chunk) {
            $row = array_search($place, $chunk->lines(), true);
            if ($row !== false) {
                return $this->trace->states[$chunk->states()[$row]]->tool;
            }
        }

        return 0;
    }

    /** @return array<int, Tool> those of the setup that cut in the program, by number */
    public function usedTools(): array
    {
        $used = [];
        foreach (array_keys($this->cuts->firstCut) as $number) {
            $tool = $this->setup->tooling->tools[$this->trace->states[$number]->tool] ?? null;
            if ($tool !== null) {
                $used[$tool->number] = $tool;
            }
        }
        ksort($used);

        return $used;
    }

    /** Where the setup file says something of a tool, dotted. */
    public function toolField(int $number, string $name): string
    {
        return 'tools.'.(int) array_search($number, array_keys($this->setup->tooling->tools), true).'.'.$name;
    }

    /**
     * Rapids below the top of the stock as given that meet nothing of what is left of it.
     *
     * @return list<LowMove>
     */
    public function rapidsInTheOpen(): array
    {
        if ($this->stock?->isFollowed() !== true) {
            return [];
        }

        return array_values(array_filter($this->heights->rapidsInStock, fn (LowMove $move): bool => ! $move->inCycle && ! $this->cutsAtRapid($move->line)));
    }

    /** Whether a line takes material off at rapid. */
    public function cutsAtRapid(int $line): bool
    {
        if ($this->cutting === null) {
            $this->cutting = [];
            foreach ($this->stock?->incidents->of(Incident::RapidCuts) ?? [] as $cuts) {
                $this->cutting += array_fill_keys(array_map(static fn (Cut $cut): int => $cut->line, $cuts), true);
            }
        }

        return isset($this->cutting[$line]);
    }

    /** The first line of the program that says anything but its name. */
    public function firstBlock(): int
    {
        for ($line = 1, $last = $this->program->lineCount(); $line < $last; $line++) {
            if (LineWords::isBlock($this->program->line($line))) {
                break;
            }
        }

        return $line;
    }

    /** A length or feed of the core as a number in the program's units, with a point and no more decimals than the unit has. */
    public function written(float $millimetres): string
    {
        $units = $this->trace->end->modes->units;
        $text = rtrim(number_format($millimetres / $units->millimetres(), $units->decimals(), '.', ''), '0');

        return (string) preg_replace('/^(-?)0\./', '$1.', $text === '0.' || $text === '-0.' ? '0' : $text);
    }

    /** Whether the program is written in other units than the setup, by which every place is off. */
    public function unitsDiffer(): bool
    {
        foreach ($this->cuts->firstCarried as $number => $line) {
            if ($this->trace->states[$number]->modes->units !== $this->setup->units) {
                return true;
            }
        }

        return false;
    }

    /** Place of the first move the program itself asks for; null where nothing moves. */
    public function firstMotion(): ?int
    {
        foreach ($this->trace->chunks() as $chunk) {
            $marks = $chunk->marks();
            $lines = $chunk->lines();
            foreach ($chunk->kinds() as $row => $kind) {
                if ($kind <= MotionKind::ARC && ($marks[$row] & Mark::MACHINE) === 0) {
                    return $lines[$row];
                }
            }
        }

        return null;
    }

    /**
     * Modal groups that have a code in the program up to a place, as they stand in its text.
     *
     * @return array<string, true>
     */
    public function statedBefore(int $place): array
    {
        $sources = $this->trace->sources;
        $groups = [];
        for (; $place > 0; $place = $sources->before($place)) {
            foreach ($this->setup->machine->control->codesIn($sources->text($place)) as ['code' => $code]) {
                $groups[$code->group()->value] = true;
            }
        }

        return $groups;
    }

    /**
     * Notices of one kind folded by the line of text they are about, whoever called it.
     *
     * @return list<Notice> the first of each
     */
    public function onceALine(string $kind): array
    {
        $first = [];
        foreach ($this->trace->noticesOf($kind) as $notice) {
            $first[$this->trace->sources->words($notice->line).':'.$notice->column] ??= $notice;
        }

        return array_values($first);
    }

    /**
     * The word with a letter that is in force at a place: in the line itself or the nearest one before it, in its own text or that
     * of the caller. Null where there is none, or where the program reckons its value.
     */
    public function wordAt(int $line, string $letter): ?PlacedWord
    {
        $sources = $this->trace->sources;
        for ($place = $line, $seen = 0; $place > 0 && $seen < 500; $place = $sources->before($place), $seen++) {
            $text = $sources->text($place);
            if (PlacedWord::isReckoned($text, $letter)) {
                return null;
            }
            $word = PlacedWord::find($text, $place, $letter);
            if ($word !== null) {
                return $word;
            }
        }

        return null;
    }

    /**
     * The word that alone takes an axis past a limit, where hardly a line does: null where more than two lines go there, or
     * where it is an earlier word that is still active.
     *
     * @param  array{lines: list<int>, at: int, ...}  $past
     */
    public function wordAlone(array $past, string $axis): ?PlacedWord
    {
        $word = count($past['lines']) > 2 ? null : $this->wordAt($past['at'], $axis);

        return $word?->line === $past['at'] ? $word : null;
    }
}
