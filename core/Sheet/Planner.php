<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\ControlProfile;

/**
 * Works a sheet out, operation by operation, each knowing what those before it made. It goes on past what is missing, so that all
 * of it is told at once, and whoever fills a sheet in sees the drawing of an operation before it is whole.
 */
final class Planner
{
    /** @var array<string, string> dotted field => what is wrong */
    private array $wrong = [];

    /** @var list<PlannedStep> */
    private array $steps = [];

    /** @var array<string, PlannedStep> by the id of its operation */
    private array $made = [];

    /** @var array<string, array{Operation, array<string, mixed>}> what was answered, by the id of the operation */
    private array $originals = [];

    private ?CutStock $stock = null;

    /** How many steps have been taken out of it. */
    private int $stockAfter = 0;

    /** @var array<string, Blank> what stands at a work offset where not all of the sheet is made */
    private array $elsewhere = [];

    /** @var array<string, Blank> what stood before an operation, by its id */
    private array $blanks = [];

    /** @var array<string, Edge> those that are left by now */
    private array $edges = [];

    /** @var array<string, Edge> those that will be */
    private array $ahead = [];

    /** @var array<string, list<array{float, float, float, float}>> holes an operation made, by its id */
    private array $bores = [];

    /** @var array<int, array<string, array{mixed, string}>> by tool and field: the last answer, and of which operation */
    private array $last = [];

    /** @var array<string, list<Choice>> what was decided, by the id of the operation */
    private array $choices = [];

    /** @var array<string, array<string, string>> what stands where nobody answered, by the id of the operation and field */
    private array $usual = [];

    /** @var array<string, array<string, mixed>> drawing, by the id of the operation */
    private array $figures = [];

    private function __construct(private readonly Sheet $sheet, private readonly ControlProfile $control, private readonly bool $isDrawn)
    {
    }

    /** @param  bool  $isDrawn  whether each operation is drawn too */
    public static function of(Sheet $sheet, ControlProfile $control, bool $isDrawn = false): self
    {
        $planner = new self($sheet, $control, $isDrawn);
        $planner->lookAhead();
        foreach ($sheet->steps as $n => $step) {
            $planner->take($step, $n + 1);
        }
        $planner->checkTools();

        return $planner;
    }

    /** @throws SheetError naming every answer that is missing or cannot be, of all operations at once */
    public static function planned(Sheet $sheet, ControlProfile $control): Plan
    {
        return self::of($sheet, $control)->plan();
    }

    /** @throws SheetError naming everything that is wrong */
    public function plan(): Plan
    {
        if ($this->wrong !== []) {
            throw new SheetError($this->wrong);
        }

        return new Plan($this->sheet, $this->control, $this->steps);
    }

    /** @return array<string, string> dotted field => what is wrong; of all operations */
    public function problems(): array
    {
        return $this->wrong;
    }

    /** @return array<string, list<Choice>> what was decided and why, by the id of the operation */
    public function choices(): array
    {
        return $this->choices;
    }

    /** @return array<string, array<string, string>> what stands where nobody answered, by the id of the operation and field */
    public function usual(): array
    {
        return $this->usual;
    }

    /** @return array<string, array<string, mixed>> see Figure::toArray(), by the id of the operation */
    public function figures(): array
    {
        return $this->figures;
    }

    private function take(Step $step, int $number): void
    {
        try {
            if ($step->kind === Repeat::KIND) {
                $step->isOff || array_push($this->steps, ...$this->repeated($step));
            } elseif ($step->kind === Again::KIND) {
                $step->isOff || $this->steps[] = $this->again($step);
            } else {
                $this->workOut($step, OperationCatalogue::named($step->kind) ?? throw self::unknown($step), $number);
            }
        } catch (SheetError $error) {
            $this->wrong += $step->isOff ? [] : $error->fields;
        }
    }

    private static function unknown(Step $step): SheetError
    {
        return new SheetError(["{$step->path}.kind" => 'There is no operation of this kind.']);
    }

    private function workOut(Step $step, Operation $operation, int $number): void
    {
        $blank = $this->sheet->blank;
        $tool = $this->tool($step, $operation);
        $job = $this->job($tool);
        $given = [...$step->given, ...$this->kept($step, $operation, $job)];
        $answers = $this->answers($given, $step);
        $answers->refuseOthers(array_map(static fn (Ask $ask): string => $ask->field, $operation->asks()));
        if ($this->isDrawn) {
            // What is still wrong or to be decided is the business of its moves.
            $apart = clone $job;
            $this->figures[$step->id] = $operation->figure($this->answers($given, $step), $apart)->toArray($this->sheet->units);
        }
        if ($step->isOff) {
            return;
        }
        $before = count($blank->holes());
        $this->blanks[$step->id] = clone $blank;
        try {
            $moves = $operation->moves($answers, $job)->moves();
        } finally {
            $this->choices[$step->id] = $job->choices();
            $this->usual[$step->id] = $answers->usual();
        }
        $this->bores[$step->id] = array_slice($blank->holes(), $before);
        if ($operation instanceof LeavesEdge) {
            $this->edges[$step->id] = $operation->edge($answers, $job);
        }
        $this->keep($step, $operation, $number);
        $this->originals[$step->id] = [$operation, $given];
        $this->steps[] = $this->made[$step->id] = new PlannedStep(
            $step, $operation->needsTool() ? $tool : null, $moves, $job->choices(), openings: $job->openings(),
        );
    }

    private function tool(Step $step, Operation $operation): SheetTool
    {
        $tool = $step->tool === null ? null : $this->sheet->tools[$step->tool] ?? null;
        if ($operation->needsTool() && $tool === null) {
            throw new SheetError(["{$step->path}.tool" => $step->tool === null ? 'With which tool?' : "There is no T{$step->tool}."]);
        }

        return $tool ?? array_values($this->sheet->tools)[0] ?? throw new SheetError(['tools' => 'Give at least one tool.']);
    }

    private function job(SheetTool $tool, Only $only = Only::All, ?Blank $blank = null): Job
    {
        $sheet = $this->sheet;

        return new Job(
            $tool, $blank ?? $sheet->blank, $this->control, $sheet->clearance, $sheet->material, $sheet->units,
            $sheet->isZeroAtBottom ? $sheet->blank->top() : 0.0,
            $this->edges, $sheet->obstacles, $only, $sheet->travel, $this->ahead, $sheet->isByHand,
            fn (): ?CutStock => $this->stockSoFar(),
        );
    }

    /** What the operations so far have left. */
    private function stockSoFar(): ?CutStock
    {
        if ($this->steps === []) {
            return null;
        }
        $this->stock ??= CutStock::of($this->sheet->blank);
        for (; $this->stock !== null && $this->stockAfter < count($this->steps); $this->stockAfter++) {
            $this->stock->take($this->steps[$this->stockAfter]);
        }

        return $this->stock;
    }

    /** @param  array<string, mixed>  $given */
    private function answers(array $given, Step $step): Answers
    {
        return new Answers($given, $step->path, $this->sheet->units, $this->sheet->names);
    }

    /** What operations are going to leave, as far as they are answered: an operation may prepare a later one. */
    private function lookAhead(): void
    {
        foreach ($this->sheet->steps as $step) {
            $operation = $step->isOff ? null : OperationCatalogue::named($step->kind);
            $tool = $step->tool === null ? null : $this->sheet->tools[$step->tool] ?? null;
            if (! $operation instanceof LeavesEdge || $tool === null) {
                continue;
            }
            $answers = $this->answers($step->given, $step);
            $edge = $operation->edge($answers, $this->job($tool));
            if ($answers->problems() === []) {
                $this->ahead[$step->id] = $edge;
            }
        }
    }

    private function again(Step $step): PlannedStep
    {
        $answers = $this->answers($step->given, $step);
        $answers->refuseOthers(array_map(static fn (Ask $ask): string => $ask->field, Again::asks()));
        $only = Again::which($answers);
        $of = $answers->text('of');
        $first = $this->made[$of] ?? null;
        $original = $this->originals[$of] ?? null;
        if ($first === null || $original === null) {
            $answers->wrong('of', $of === '' ? 'Which operation?' : "There is no operation “{$of}” before this one.");
        }
        $answers->settle();
        [$operation, $given] = $original ?? throw new \LogicException('What is wrong has been told.');
        $tool = $step->tool === null ? $first->tool ?? null : $this->sheet->tools[$step->tool] ?? null;
        if ($tool === null) {
            throw new SheetError(["{$step->path}.tool" => $step->tool === null ? 'With which tool?' : "There is no T{$step->tool}."]);
        }
        $job = $this->job($tool, $only);

        return $this->made[$step->id] = new PlannedStep($step, $tool, $operation->moves($this->answers($given, $step), $job)->moves(), $job->choices());
    }

    /** @return array<string, mixed> answers to questions about cutting that were given the last time with the same tool */
    private function kept(Step $step, Operation $operation, Job $job): array
    {
        $kept = [];
        foreach ($step->tool === null ? [] : $operation->asks() as $ask) {
            $last = $this->last[$step->tool][$ask->field] ?? null;
            $isAnswered = ($step->given[$ask->field] ?? '') !== '';
            if ($ask->isKept && ! $isAnswered && $last !== null) {
                $kept[$ask->field] = $last[0];
                $job->decide(new Choice($ask->field, is_scalar($last[0]) && ! is_bool($last[0]) ? 'as in {where}: {answer}' : 'as in {where}', [
                    'where' => $last[1], 'answer' => is_scalar($last[0]) ? (string) $last[0] : '',
                ]));
            }
        }

        return $kept;
    }

    private function keep(Step $step, Operation $operation, int $number): void
    {
        foreach ($operation->asks() as $ask) {
            $answer = $step->given[$ask->field] ?? '';
            if ($step->tool !== null && $ask->isKept && $answer !== '' && $answer !== []) {
                $this->last[$step->tool][$ask->field] = [$answer, "{$number} {$step->name}"];
            }
        }
    }

    /** @return list<PlannedStep> */
    private function repeated(Step $step): array
    {
        $answers = $this->answers($step->given, $step);
        $answers->refuseOthers(array_map(static fn (Ask $ask): string => $ask->field, Repeat::asks()));
        $copies = Repeat::copies($answers);
        $offsets = Repeat::workOffsets($answers);
        $isCalled = Repeat::isCalled($answers, $this->control);
        $ids = $step->given['operations'] ?? null;
        if (! is_array($ids) || $ids === []) {
            $answers->wrong('operations', 'Which operations are repeated?');
            $ids = [];
        }
        $repeated = [];
        foreach ($ids as $id) {
            $first = is_scalar($id) ? $this->made[(string) $id] ?? null : null;
            if ($first === null) {
                $answers->wrong('operations', 'There is no operation “'.(is_scalar($id) ? $id : '').'” before this one.');

                continue;
            }
            $moves = [];
            foreach ($copies as $n => $copy) {
                foreach ($this->blanksAt($offsets) as $blank) {
                    $this->checkOpenings($answers, $first, $copy, $n + 1, $blank);
                }
                array_push($moves, ...$copy->moves(self::fed($copy->isMirrored ? $this->mirrorable($first) : $first->moves, $first)));
                foreach ($this->bores[(string) $id] ?? [] as [$x, $y, $diameter, $depth]) {
                    foreach ($this->blanksAt($offsets) as $blank) {
                        $blank->bore(...[...$copy->place($x, $y), $diameter, $depth]);
                    }
                }
            }
            // What no tool makes is no subprogram.
            $called = $isCalled && $first->tool !== null ? $copies : null;
            $repeated[] = new PlannedStep(
                new Step($step->id, $step->kind, "{$step->name}: {$first->step->name}", $first->step->tool, false, [], $step->path), $first->tool,
                $called === null ? $moves : self::fed($first->moves, $first), [], $offsets, $called,
            );
        }
        $answers->settle();

        return $repeated;
    }

    /**
     * What stands at work offsets: where only some operations are made it has only their holes.
     *
     * @param  list<string>|null  $offsets  null for those of the sheet
     * @return list<Blank>
     */
    private function blanksAt(?array $offsets): array
    {
        $blank = $this->sheet->blank;

        return array_map(fn (string $offset): Blank => in_array($offset, $this->sheet->workOffsets, true)
            ? $blank : $this->elsewhere[$offset] ??= new Blank($blank->box), $offsets ?? [$this->sheet->workOffsets[0]]);
    }

    /** Whether a copy comes down where nothing stands, as the first does. */
    private function checkOpenings(Answers $answers, PlannedStep $first, Placed $copy, int $number, Blank $blank): void
    {
        foreach ($first->openings as [$x, $y, $hole]) {
            [$x, $y] = $copy->place($x, $y);
            $isOpen = $hole > 0.0 ? $blank->holeAt($x, $y, 0.0) >= $hole - 0.01 : $blank->isBeside($x, $y, $first->tool?->radius() ?? 0.0);
            if (! $isOpen) {
                $answers->wrong('operations', $hole > 0.0
                    ? "“{$first->step->name}” comes down in a hole, and copy {$number} has none. Repeat the hole before it."
                    : "“{$first->step->name}” comes down beside the raw part, and copy {$number} would not.");
            }
        }
    }

    /**
     * Where the first went at rapid over what earlier operations had left a copy may stand in solid: it feeds.
     *
     * @param  list<Move>  $moves
     * @return list<Move>
     */
    private static function fed(array $moves, PlannedStep $first): array
    {
        return array_map(static fn (Move $move): Move => $move->kind === MoveKind::RapidInside
            ? new Move(MoveKind::Feed, $move->x, $move->y, feed: $first->tool?->feed) : $move, $moves);
    }

    /** @return list<Move> the moves of an operation that goes the other way round: mirrored it climbs as the first did */
    private function mirrorable(PlannedStep $first): array
    {
        [$operation, $given] = $this->originals[$first->step->id] ?? [null, []];
        $hasDirection = array_filter($operation?->asks() ?? [], static fn (Ask $ask): bool => $ask->field === 'direction') !== [];
        if ($operation === null || $first->tool === null || ! $hasDirection) {
            return $first->moves;
        }
        $other = ($given['direction'] ?? '') === 'conventional' ? 'climb' : 'conventional';

        return $operation->moves(
            $this->answers(['direction' => $other] + $given, $first->step), $this->job($first->tool, Only::All, clone $this->blanks[$first->step->id]),
        )->moves();
    }

    private function checkTools(): void
    {
        foreach (array_values($this->sheet->tools) as $n => $tool) {
            $number = $tool->tool->number;
            $isUsed = array_filter($this->sheet->steps, static fn (Step $step): bool => ! $step->isOff && $step->tool === $number) !== [];
            if ($isUsed && $tool->rpm === null) {
                $this->wrong["tools.{$n}.rpm"] = "How fast does T{$number} turn?";
            }
            if ($isUsed && $tool->feed === null && $tool->tool->geometry->pitch === null) {
                $this->wrong["tools.{$n}.feed"] = "How fast does T{$number} feed?";
            }
        }
    }
}
