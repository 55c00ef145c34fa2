<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Stock\Turned\TurnedStock;

/** The deepest pass of a thread on a lathe, beside what stands there at the end. Places in the part: Z and radius, mm. */
final readonly class ThreadForm
{
    private const LOOKS = 120;

    /**
     * @param  non-empty-list<array{float, float}>  $places  where its rows begin and end, one behind the other
     * @param  int  $number  of its first row in LatheSurvey::$threads
     */
    private function __construct(public array $places, public bool $isBore, public int $number)
    {
    }

    public static function of(SurveyedRun $input, TurnedThread $thread): self
    {
        $first = $input->lathe->threads[$thread->passes[0]];
        $state = $input->trace->states[$first['state']];
        $isBore = ($input->setup->turningOffset($state->tool, $state->length->number)?->tip()[1] ?? 0) > 0;
        $zero = $state->shift((int) $input->trace->axis(AxisName::Z));
        [$best, $deepest] = [null, INF];
        foreach ($thread->begins as $n => $begin) {
            $rows = range($begin, ($thread->begins[$n + 1] ?? $thread->passes[count($thread->passes) - 1] + 1) - 1);
            $places = [[$input->lathe->threads[$begin]['fromZ'] - $zero, $input->lathe->threads[$begin]['fromX']]];
            foreach (array_intersect($rows, $thread->passes) as $row) {
                $places[] = [$input->lathe->threads[$row]['toZ'] - $zero, $input->lathe->threads[$row]['toX']];
            }
            $root = ($isBore ? -1 : 1) * ($places[1][1] ?? $places[0][1]);
            if ($root < $deepest) {
                [$best, $deepest] = [new self($places, $isBore, $begin), $root];
            }
        }

        return $best ?? new self([[$first['fromZ'] - $zero, $first['fromX']]], $isBore, $thread->passes[0]);
    }

    /** Whether it comes out of its groove before it ends. */
    public function leadsOut(): bool
    {
        $last = count($this->places) - 1;
        $out = $last < 2 ? 0.0 : $this->places[$last][1] - $this->places[$last - 1][1];

        return $this->isBore ? $out < -1e-6 : $out > 1e-6;
    }

    /** @return array{float, float} where it ends */
    public function end(): array
    {
        return $this->places[count($this->places) - 1];
    }

    /**
     * How deep its root lies in what stands, here and there along its first row.
     *
     * @return list<array{float, float}> Z and depth, where something stands
     */
    public function depths(TurnedStock $stock): array
    {
        [[$fromZ, $fromX], [$toZ, $toX]] = [$this->places[0], $this->places[1] ?? $this->places[0]];
        $depths = [];
        for ($n = 1; $n < self::LOOKS; $n++) {
            $share = $n / self::LOOKS;
            $depth = $this->depthAt($stock, $z = $fromZ + ($toZ - $fromZ) * $share, $fromX + ($toX - $fromX) * $share);
            if ($depth !== null) {
                $depths[] = [$z, $depth];
            }
        }

        return $depths;
    }

    /** How deep a place lies in what stands there; null where nothing does. */
    public function depthAt(TurnedStock $stock, float $z, float $x): ?float
    {
        $stands = $stock->standing($z);

        return $stands === [] ? null : ($this->isBore ? $x - $stands[0] : $stands[count($stands) - 1] - $x);
    }
}
