<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\ControlProfile;

/** A sheet worked out: the moves of every operation, and in which order they are made at which work offset. */
final readonly class Plan
{
    /** @param  list<PlannedStep>  $steps */
    private function __construct(public Sheet $sheet, public ControlProfile $control, public array $steps)
    {
    }

    /** @throws SheetError naming every answer that is missing or cannot be, of all operations at once */
    public static function of(Sheet $sheet, ControlProfile $control): self
    {
        $wrong = [];
        $steps = [];
        $made = [];
        $edges = [];
        foreach ($sheet->steps as $step) {
            if ($step->isOff) {
                continue;
            }
            $answers = new Answers($step->given, $step->path, $sheet->units, $sheet->names);
            try {
                if ($step->kind === Repeat::KIND) {
                    array_push($steps, ...self::repeated($step, $answers, $made));

                    continue;
                }
                $steps[] = $made[$step->id] = self::planned($step, $answers, $sheet, $control, $edges);
            } catch (SheetError $error) {
                $wrong += $error->fields;
            }
        }
        foreach ($sheet->tools as $number => $tool) {
            $isUsed = array_filter($steps, static fn (PlannedStep $step): bool => $step->tool === $tool) !== [];
            if ($isUsed && ($tool->rpm === null || $tool->feed === null && $tool->tool->geometry->pitch === null)) {
                $wrong["tools.{$number}"] = $tool->rpm === null ? "How fast does T{$number} turn? Give its rpm." : "How fast does T{$number} feed?";
            }
        }
        if ($wrong !== []) {
            throw new SheetError($wrong);
        }

        return new self($sheet, $control, $steps);
    }

    /** @return list<array{PlannedStep, string}> what is made, at which work offset, in the order of the run */
    public function order(): array
    {
        $order = [];
        foreach ($this->sheet->isByTool ? $this->byTool() : [$this->steps] as $group) {
            foreach ($this->sheet->workOffsets as $offset) {
                foreach ($group as $step) {
                    $order[] = [$step, $offset];
                }
            }
        }

        return $order;
    }

    /** @return array{int, int} tool changes of a run by tool, and part by part */
    public function toolChanges(): array
    {
        $once = count(array_filter($this->byTool(), static fn (array $group): bool => self::toolOf($group) !== null));

        return [$once, $once * count($this->sheet->workOffsets)];
    }

    /** @return list<non-empty-list<PlannedStep>> runs of operations with one tool; each part's own order is kept */
    private function byTool(): array
    {
        $groups = [];
        $tool = null;
        foreach ($this->steps as $step) {
            if ($groups === [] || ($step->tool !== null && $tool !== null && $step->tool !== $tool)) {
                $groups[] = [];
            }
            $groups[count($groups) - 1][] = $step;
            $tool = $step->tool ?? $tool;
        }

        /** @var list<non-empty-list<PlannedStep>> $groups */
        return $groups;
    }

    /** @param  non-empty-list<PlannedStep>  $group */
    private static function toolOf(array $group): ?SheetTool
    {
        foreach ($group as $step) {
            if ($step->tool !== null) {
                return $step->tool;
            }
        }

        return null;
    }

    /** @param  array<string, Edge>  $edges  of the operations before; that of this one is put to them */
    private static function planned(Step $step, Answers $answers, Sheet $sheet, ControlProfile $control, array &$edges): PlannedStep
    {
        $operation = OperationCatalogue::named($step->kind) ?? throw new SheetError(["{$step->path}.kind" => 'There is no operation of this kind.']);
        $answers->refuseOthers(array_map(static fn (Ask $ask): string => $ask->field, $operation->asks()));
        $tool = $step->tool === null ? null : $sheet->tools[$step->tool] ?? null;
        $job = new Job(
            $tool ?? array_values($sheet->tools)[0] ?? throw new SheetError(['tools' => 'Give at least one tool.']),
            $sheet->blank, $control, $sheet->clearance, $sheet->material, $sheet->isZeroAtBottom ? $sheet->blank->top() : 0.0, $edges, $sheet->obstacles,
        );
        $moves = $operation->moves($answers, $job)->moves();
        if ($operation instanceof LeavesEdge) {
            $edges[$step->id] = $operation->edge($answers, $job);
        }

        return new PlannedStep($step, $operation->needsTool() ? $tool : null, $moves, $job->choices());
    }

    /**
     * @param  array<string, PlannedStep>  $made  by the id of its operation
     * @return list<PlannedStep>
     */
    private static function repeated(Step $step, Answers $answers, array $made): array
    {
        $answers->refuseOthers(['operations', 'rotate', 'grid']);
        $copies = Repeat::copies($answers);
        $ids = $step->given['operations'] ?? null;
        if (! is_array($ids) || $ids === []) {
            $answers->wrong('operations', 'Which operations are repeated?');
            $ids = [];
        }
        $repeated = [];
        foreach ($ids as $id) {
            $first = is_scalar($id) ? $made[(string) $id] ?? null : null;
            if ($first === null) {
                $answers->wrong('operations', 'There is no operation “'.(is_scalar($id) ? $id : '').'” before this one.');

                continue;
            }
            $moves = [];
            foreach ($copies as $copy) {
                array_push($moves, ...$copy->moves($first->moves));
            }
            $repeated[] = new PlannedStep(
                new Step($step->id, $step->kind, "{$step->name}: {$first->step->name}", $first->step->tool, false, [], $step->path), $first->tool, $moves, [],
            );
        }
        $answers->settle();

        return $repeated;
    }
}
