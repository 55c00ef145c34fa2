<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Trace\Mark;

/** Where the words of a lathe lead: X and Z as places, U and W beside them as ways, with what another tool offset has left to be made up for. */
final readonly class TurningPlaces
{
    public WayLetters $ways;

    public function __construct(private Context $context, private Offsets $offsets)
    {
        $this->ways = new WayLetters($context->machine);
    }

    /** Where an axis position stands in the program's coordinates. */
    public function programmed(int $axis, float $at): float
    {
        return $at - $this->offsets->shift[$axis];
    }

    /**
     * @param  array<string, float>  $words
     * @return list<float>|null  null where they name no axis
     */
    public function target(array $words): ?array
    {
        $recorder = $this->context->recorder;
        $target = $recorder->at;
        $any = false;
        foreach ($this->context->machine->axisNames as $axis => $name) {
            $scale = $this->context->scale[$axis];
            $place = $words[$name] ?? null;
            $way = $this->ways->way($words, $axis);
            if ($place === null && $way === null) {
                continue;
            }
            $any = true;
            $left = $this->offsets->takePending($axis);
            $isPlace = $place !== null && $this->context->modal->modes->absolute;
            $target[$axis] = $isPlace ? $place * $scale + $this->offsets->shift[$axis] : $target[$axis] + ($way ?? $place) * $scale + $left;
            $recorder->axisMarks |= Mark::touched($axis) | ($isPlace ? Mark::tied($axis) : 0);
        }

        /** @var list<float> $target */
        return $any ? $target : null;
    }
}
