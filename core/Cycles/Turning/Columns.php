<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** Strokes into the depth beside one another, each in pecks. Millimetres. */
final readonly class Columns
{
    /** More strokes than anybody waits for. */
    private const MOST = 10_000;

    /**
     * @param  float  $across  where the first column stands
     * @param  float  $step  from column to column; 0 for one column
     * @param  float  $from  where each begins, and comes back to
     * @param  float  $peck  0 for one stroke
     * @param  float  $back  how far it draws back between pecks
     * @param  float  $relief  how far it steps aside at the bottom, of every column but the first, which has a wall on either side
     */
    public function __construct(
        private float $across, private float $toAcross, private float $step, private float $from, private float $to, private float $peck,
        private float $back, private float $relief,
    ) {
    }

    /**
     * @param  callable(float, float): mixed  $rapid  to a place across and in depth
     * @param  callable(float, float): mixed  $feed
     */
    public function strokes(callable $rapid, callable $feed): void
    {
        $way = $this->toAcross <=> $this->across;
        $in = $this->to <=> $this->from;
        $aside = -$way * $this->relief;
        $depths = self::places($this->from, $this->to, $this->peck);
        $columns = array_slice(self::places($this->across, $this->toAcross, $this->step), 0, max(1, intdiv(self::MOST, count($depths))));
        foreach ($columns as $i => $across) {
            $rapid($across, $this->from);
            foreach (array_slice($depths, 1) as $n => $depth) {
                $feed($across, $depth);
                if ($n < count($depths) - 2 && $this->back > 0.0) {
                    $rapid($across, $depth - $in * $this->back);
                }
            }
            if ($i > 0 && $aside != 0.0) {
                $rapid($across + $aside, $this->to);
                $rapid($across + $aside, $this->from);
            }
            $rapid($across, $this->from);
        }
        $rapid($this->across, $this->from);
    }

    /** @return list<float> from one place to another by steps, the last what is left */
    private static function places(float $from, float $to, float $step): array
    {
        $length = abs($to - $from);
        $whole = $step > 0.0 ? (int) min(self::MOST, floor($length / $step + 1e-9)) : 0;
        $places = [];
        for ($i = 0; $i <= $whole; $i++) {
            $places[] = $from + ($to <=> $from) * $i * $step;
        }
        if ($length - $whole * $step > 1e-9) {
            $places[] = $to;
        }

        return $places;
    }
}
