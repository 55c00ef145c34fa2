<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\MachinePoint;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** Looks for work offsets all of whose cuts lie beside every piece of stock. Gone over only where cuts beside the stock were seen. */
final class AstraySurvey
{
    /** How far beside the stock a cut may begin or end on top of two tool diameters, mm. */
    private const LEAD = 5.0;

    /**
     * @var array<string, array{float, float, float, float, float, int}> work offset => least and greatest X, least and greatest Y of the
     *      tip in the machine, how far beside the stock its tools may go, place of the first cut
     */
    private array $cuts = [];

    private readonly Pieces $pieces;

    private function __construct(private readonly Setup $setup)
    {
        $this->pieces = Pieces::of($setup);
    }

    /** @return list<Astray> */
    public static function of(Trace $trace, Setup $setup): array
    {
        $survey = new self($setup);
        $survey->take($trace);

        return array_values(array_filter(array_map($survey->astray(...), array_keys($survey->cuts))));
    }

    private function take(Trace $trace): void
    {
        $axes = $this->setup->machine->linearColumns();
        if ($axes === null) {
            return;
        }
        $top = -INF;
        foreach ($this->pieces->stocks as $number => $stock) {
            $top = max($top, $stock->top() + $this->pieces->zeros[$number]->z);
        }
        foreach ($trace->chunks() as $chunk) {
            $columns = array_map($chunk->axis(...), $axes);
            $numbers = $chunk->states();
            foreach ($chunk->kinds() as $row => $kind) {
                $state = $trace->states[$numbers[$row]];
                if (($kind !== MotionKind::FEED && $kind !== MotionKind::ARC) || ! $state->work->isSet) {
                    continue;
                }
                $tip = (new MachinePoint($columns[0][$row], $columns[1][$row], $columns[2][$row]))->tip($state->length->on($axes));
                if ($tip->z >= $top) {
                    continue;
                }
                $beside = 4 * (($this->setup->tooling->tools[$state->tool] ?? null)?->radius() ?? 0.0) + self::LEAD;
                $cuts = $this->cuts[$state->work->name] ?? [INF, -INF, INF, -INF, 0.0, $chunk->lines()[$row]];
                $this->cuts[$state->work->name] = [
                    min($cuts[0], $tip->x), max($cuts[1], $tip->x), min($cuts[2], $tip->y), max($cuts[3], $tip->y), max($cuts[4], $beside), $cuts[5],
                ];
            }
        }
    }

    private function astray(string $work): ?Astray
    {
        [$left, $right, $front, $back, $beside, $line] = $this->cuts[$work];
        foreach (array_keys($this->pieces->stocks) as $piece) {
            [$low, $high] = $this->sides($piece);
            if ($right > $low[0] - $beside / 2 && $left < $high[0] + $beside / 2 && $back > $low[1] - $beside / 2 && $front < $high[1] + $beside / 2) {
                return null;
            }
        }
        $own = $this->setup->workOffsets[$work] ?? [];
        foreach ($this->setup->workOffsets as $name => $offset) {
            [$x, $y] = [($own[AxisName::X] ?? 0.0) - ($offset[AxisName::X] ?? 0.0), ($own[AxisName::Y] ?? 0.0) - ($offset[AxisName::Y] ?? 0.0)];
            foreach (array_keys($this->pieces->stocks) as $piece) {
                [$low, $high] = $this->sides($piece);
                if (
                    $name !== $work && $left - $x >= $low[0] - $beside && $right - $x <= $high[0] + $beside && $front - $y >= $low[1] - $beside
                    && $back - $y <= $high[1] + $beside
                ) {
                    return new Astray($work, $line, $x, $y, $name);
                }
            }
        }

        return $this->shifted($work);
    }

    /** The least shift that would bring all of it into a piece of stock; null where none would. */
    private function shifted(string $work): ?Astray
    {
        [$left, $right, $front, $back, , $line] = $this->cuts[$work];
        $least = null;
        foreach (array_keys($this->pieces->stocks) as $piece) {
            [$low, $high] = $this->sides($piece);
            if ($right - $left > $high[0] - $low[0] || $back - $front > $high[1] - $low[1]) {
                continue;
            }
            $x = max(0.0, $right - $high[0]) - max(0.0, $low[0] - $left);
            $y = max(0.0, $back - $high[1]) - max(0.0, $low[1] - $front);
            if ($least === null || hypot($x, $y) < hypot($least->offX, $least->offY)) {
                $least = new Astray($work, $line, $x, $y, null);
            }
        }

        return $least;
    }

    /** @return array{array{float, float}, array{float, float}} the low and the high corner of a piece seen from above, machine coordinates */
    private function sides(int $piece): array
    {
        [$stock, $zero] = [$this->pieces->stocks[$piece], $this->pieces->zeros[$piece]];

        $there = $stock->around->plus($zero);

        return [[$there->low->x, $there->low->y], [$there->high->x, $there->high->y]];
    }
}
