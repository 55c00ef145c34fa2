<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\ControlProfile;

/** A sheet worked out: the moves of every operation, and in which order they are made at which work offset. */
final readonly class Plan
{
    public bool $isByTool;

    /**
     * @param  list<PlannedStep>  $steps
     * @param  bool|null  $isByTool  whether a tool does its work on all parts before the next; as the sheet has it where not given
     */
    public function __construct(public Sheet $sheet, public ControlProfile $control, public array $steps, ?bool $isByTool = null)
    {
        $this->isByTool = $isByTool ?? $sheet->isByTool;
    }

    /** The same in the other order, or in the same. */
    public function ordered(bool $isByTool): self
    {
        return new self($this->sheet, $this->control, $this->steps, $isByTool);
    }

    /** @return list<array{PlannedStep, string}> what is made, at which work offset, in the order of the run */
    public function order(): array
    {
        $order = [];
        foreach ($this->isByTool ? $this->byTool() : [$this->steps] as $group) {
            foreach ($this->offsets() as $offset) {
                foreach ($group as $step) {
                    if (in_array($offset, $step->offsets ?? $this->sheet->workOffsets, true)) {
                        $order[] = [$step, $offset];
                    }
                }
            }
        }

        return $order;
    }

    /** @return list<string> all work offsets something is made at */
    public function offsets(): array
    {
        return array_values(array_unique([
            ...$this->sheet->workOffsets, ...array_merge(...array_map(static fn (PlannedStep $step): array => $step->offsets ?? [], $this->steps)),
        ]));
    }

    /** @return array{int, int} tool changes of a run by tool, and part by part */
    public function toolChanges(): array
    {
        $once = count(array_filter($this->byTool(), static fn (array $group): bool => self::toolOf($group) !== null));

        return [$once, $once * count($this->offsets())];
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
}
