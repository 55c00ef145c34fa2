<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Solids\Blank;

/**
 * Where a probe move is likely to meet something, for what the program makes of it: the stock of the setup as it was clamped. Cuts made
 * since, and anything else on the table, nobody knows of here; then the target stands for it.
 */
final readonly class ProbeContact
{
    /** Steps along the move, mm, and no more of them than so many. */
    private const STEP = 0.25;

    private const MOST_STEPS = 2000;

    /** Halvings of the step in which it was met: a ten-thousandth is more than any probe tells. */
    private const HALVINGS = 12;

    public function __construct(private Context $context)
    {
    }

    /**
     * @param  list<float>  $from  machine positions
     * @param  list<float>  $to
     * @return list<float> where the axes stand when it is met; $to where nothing is met, or the probe begins within the stock
     */
    public function between(array $from, array $to): array
    {
        $stock = $this->context->setup->workpiece->stock;
        $columns = $this->context->machine->linearColumns();
        if ($stock === null || $columns === null || $this->isTurned($to)) {
            return $to;
        }
        $zero = $this->context->machine->ordered($this->context->setup->workOffsets[$stock->workOffset] ?? []);
        $length = $this->context->modal->length->on($columns)->each();
        $way = $start = [];
        foreach ($columns as $i => $column) {
            $way[] = $to[$column] - $from[$column];
            $start[] = $from[$column] - $length[$i] - $zero[$column];
        }
        $distance = hypot(hypot($way[0], $way[1]), $way[2]);
        if ($distance < 1e-9) {
            return $to;
        }
        // The point of the ball that goes first; its middle lies a radius above the tip.
        $radius = ($this->context->setup->tooling->tools[$this->context->modal->tool] ?? null)?->geometry->diameter / 2;
        $first = [
            $start[0] + $radius * $way[0] / $distance, $start[1] + $radius * $way[1] / $distance, $start[2] + $radius + $radius * $way[2] / $distance,
        ];
        $share = self::met($stock->blank, $first, $way, (int) max(1, min(self::MOST_STEPS, ceil($distance / self::STEP))));

        return $share === null ? $to : array_map(static fn (float $a, float $b): float => $a + ($b - $a) * $share, $from, $to);
    }

    /** @param  list<float>  $at */
    private function isTurned(array $at): bool
    {
        foreach ($this->context->machine->axisNames as $axis => $name) {
            if ($this->context->machine->axes[$name]->isRotary() && abs($at[$axis]) > 1e-9) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  array{float, float, float}  $point  where it begins
     * @param  list<float>  $way
     * @return float|null share of the way; null where it begins within, or meets nothing
     */
    private static function met(Blank $blank, array $point, array $way, int $steps): ?float
    {
        $holds = static fn (float $share): bool => $blank->holds(new PartPoint(
            $point[0] + $way[0] * $share, $point[1] + $way[1] * $share, $point[2] + $way[2] * $share,
        ));
        for ($n = 0; $n <= $steps; $n++) {
            if ($holds($n / $steps)) {
                if ($n === 0) {
                    return null;
                }
                [$before, $behind] = [($n - 1) / $steps, $n / $steps];
                for ($i = 0; $i < self::HALVINGS; $i++) {
                    $middle = ($before + $behind) / 2;
                    $holds($middle) ? $behind = $middle : $before = $middle;
                }

                return $behind;
            }
        }

        return null;
    }
}
