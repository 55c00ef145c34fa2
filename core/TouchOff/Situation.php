<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\Setup\Setup;

/** The setup something is touched off in, as far as a worksheet needs it. Lengths in millimetres. */
final readonly class Situation
{
    /**
     * @param  list<Taken>  $taken  what has been read in this setup, in the order it was begun
     * @param  float|null  $measuredFirst  where the first bore of a row was before the others were measured, if it is the one measured again
     */
    public function __construct(private Setup $setup, public array $taken = [], public ?float $measuredFirst = null)
    {
    }

    /** How its lengths are measured; touched off where it does not say. */
    public function school(): LengthMethod
    {
        return $this->setup->tooling->lengthMethod ?? LengthMethod::TouchOff;
    }

    /** @return array{float|null, float|null} the limits of an axis */
    public function travel(string $axis): array
    {
        $limits = $this->setup->machine->axes[$axis] ?? null;

        return [$limits?->min, $limits?->max];
    }

    /** What an offset stands at; null where it is not set. */
    public function value(Subject $subject): ?float
    {
        return $subject->isLength()
            ? ($this->setup->tooling->lengthOffsets[$subject->number()] ?? null)?->geometry
            : $this->setup->workOffsets[$subject->offset][$subject->axis ?? ''] ?? null;
    }

    /** The work offset lengths are touched off against. */
    public function mainOffset(): string
    {
        return $this->setup->workpiece->stock->workOffset ?? array_key_first($this->setup->workOffsets) ?? $this->setup->machine->control->defaultWorkOffset;
    }

    public function workZ(): float
    {
        return $this->setup->workOffsets[$this->mainOffset()][$this->setup->machine->lengthAxis()] ?? 0.0;
    }

    /** @return array<int, float> number => length offset, of every other tool */
    public function otherLengths(Subject $subject): array
    {
        $lengths = [];
        foreach ($this->setup->tooling->lengthOffsets as $number => $offset) {
            if ($number !== $subject->number()) {
                $lengths[$number] = $offset->geometry;
            }
        }

        return $lengths;
    }

    /** From the gauge line to the tip of a tool as it was measured, or to about 3 mm by its holder; null where neither is known. */
    public function knownLength(int $tool, bool $measured): ?float
    {
        $holding = ($this->setup->tooling->tools[$tool] ?? null)?->holding;

        return $measured ? $holding?->length : $holding?->assembledLength();
    }

    /** The usual place of what a work offset is at, on an axis. */
    public function usualPlace(Subject $subject): ?float
    {
        return $this->setup->onMachine->places[$this->setup->places[$subject->offset] ?? ''][$subject->axis ?? ''] ?? null;
    }

    /** @return list<string> the axes of a work offset */
    public function axes(): array
    {
        return $this->setup->machine->axisNames;
    }

    public function toolName(int $number): ?string
    {
        return ($this->setup->tooling->tools[$number] ?? null)?->name;
    }

    public function lengthAxis(): string
    {
        return $this->setup->machine->lengthAxis();
    }
}
