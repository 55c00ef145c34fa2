<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\RotaryCenter;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;

/** Where rotary axes turn the part, and how far it swings when they do. */
final class TurnSurvey implements ChunkReader
{
    /** Turns that are kept of one axis: more of them that differ make a continuous turning, which comes everywhere. */
    private const MOST = 1000;

    /** @var array<string, array<int, array{int, int}>> axis => tool => place of the first turn under it with a length that is known, and its state */
    public array $first = [];

    /** @var array<string, array<string, array{int, float, float}>> axis => turns that differ: place of the first of each, and from where to where, degrees */
    public array $turnings = [];

    public function __construct(private readonly Setup $setup)
    {
    }

    private bool $isStill = true;

    /** Whether no rotary axis turns in the whole run. */
    public function isStill(): bool
    {
        return $this->isStill;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        foreach (array_values($this->setup->machine->axes) as $index => $axis) {
            if ($this->isStill && $axis->isRotary()) {
                $this->isStill = count(array_unique([$chunk->before[$index], ...$chunk->axis($index)], SORT_NUMERIC)) === 1;
            }
        }
        foreach (array_keys($this->setup->rotaryCenters) as $axis) {
            $index = $this->setup->machine->axisIndex[$axis] ?? null;
            if ($index === null) {
                continue;
            }
            $angles = $chunk->axis($index);
            $before = $chunk->before[$index];
            foreach ($angles as $row => $angle) {
                if ($angle !== $before) {
                    $this->turnings[$axis] ??= [];
                    if (count($this->turnings[$axis]) < self::MOST) {
                        $this->turnings[$axis][round($before, 3).' '.round($angle, 3)] ??= [$chunk->lines()[$row], $before, $angle];
                    }
                    $state = $chunk->states()[$row];
                    if ($states[$state]->tool !== 0 && $states[$state]->lengthIsKnown()) {
                        $this->first[$axis][$states[$state]->tool] ??= [$chunk->lines()[$row], $state];
                    }
                    $before = $angle;
                }
            }
        }
    }

    /**
     * How far the stock reaches from a rotary centre, and where the centre lies along the tool.
     *
     * @return array{float, float} radius; height of the centre in machine coordinates with no tool length, mm
     */
    public function swing(string $axis, RotaryCenter $center): array
    {
        $stock = $this->setup->workpiece->stock;
        $radius = 0.0;
        $height = $this->zero($center->workOffset, AxisName::Z) + ($center->at[AxisName::Z] ?? 0.0);
        if ($stock !== null) {
            // The two axes square to the line it turns about (ISO 841).
            $square = array_values(array_diff(AxisName::LINEAR, [AxisName::about($axis)]));
            foreach ([0, 1] as $first) {
                foreach ([0, 1] as $second) {
                    $reach = [];
                    foreach ([[$square[0], $first], [$square[1], $second]] as [$name, $end]) {
                        $corner = [$stock->around->low, $stock->around->high][$end]->on(array_flip(AxisName::LINEAR)[$name]);
                        $reach[] = $corner + $this->zero($stock->workOffset, $name) - $this->zero($center->workOffset, $name) - ($center->at[$name] ?? 0.0);
                    }
                    $radius = max($radius, hypot($reach[0], $reach[1]));
                }
            }
        }

        return [$radius, $height];
    }

    private function zero(string $work, string $axis): float
    {
        return $this->setup->workOffsets[$work][$axis] ?? 0.0;
    }
}
