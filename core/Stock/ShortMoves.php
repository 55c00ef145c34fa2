<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Trace\MotionKind;

/**
 * Straight moves at feed, shorter than their tool is wide, that go on from each other the same way: to the tool they are one cut. It
 * keeps how high the material stood under them before the first came, so that a cut is as deep and as wide however many moves it is
 * divided into.
 */
final class ShortMoves
{
    /** Cosine of how far a move may turn off the way the pass set out: farther, and it may come back over itself. */
    private const TURN = 0.7;

    /** Places nearer to each other are the same, mm. */
    private const SAME = 1e-6;

    /** @var array<int, float> cell => height before the pass came to it */
    private array $stood = [];

    /** @var array<int, float> the same of the stretch before, a diameter long, which the tool may not have left yet */
    private array $earlier = [];

    /** Way along which it has cut at full width until now, mm. */
    private float $slot = 0.0;

    private int $tool = 0;

    /** @var array{float, float, float}|null where the last of its moves ended */
    private ?array $end = null;

    private float $way = 0.0;

    private float $alongX = 0.0;

    private float $alongY = 0.0;

    /** Whether a move belongs to a pass, be it the first of one. */
    public function takes(Move $move): bool
    {
        $end = $this->end;
        $this->end = null;
        $width = 2 * $move->cutter->radius;
        $length = hypot($move->x1 - $move->x0, $move->y1 - $move->y0);
        if ($move->kind !== MotionKind::FEED || $length < self::SAME || $move->length > $width) {
            $this->begin(0.0, 0.0);

            return false;
        }
        [$alongX, $alongY] = [($move->x1 - $move->x0) / $length, ($move->y1 - $move->y0) / $length];
        if (
            $end === null || $this->tool !== $move->tool->number || abs($end[0] - $move->x0) > self::SAME || abs($end[1] - $move->y0) > self::SAME
            || abs($end[2] - $move->z0) > self::SAME || $alongX * $this->alongX + $alongY * $this->alongY < self::TURN
        ) {
            $this->begin($alongX, $alongY);
        } elseif ($this->way >= $width) {
            [$this->earlier, $this->stood, $this->way] = [$this->stood, [], 0.0];
        }
        $this->way += $length;
        [$this->tool, $this->end] = [$move->tool->number, [$move->x1, $move->y1, $move->z1]];

        return true;
    }

    /** Whether it has gone on at full width for longer than the tool is wide. */
    public function isSlot(Move $move, bool $isFull): bool
    {
        $this->slot = $isFull ? $this->slot + $move->length : 0.0;

        return $this->slot > 2 * $move->cutter->radius;
    }

    /** @return array{array<int, float>, array<int, float>} cell => height before it came, and before the stretch before did */
    public function kept(): array
    {
        return [$this->stood, $this->earlier];
    }

    /**
     * What it keeps, for a loop that adds to it where it is instead of copying it.
     *
     * @return array{array<int, float>, array<int, float>}
     */
    public function taken(): array
    {
        $taken = $this->kept();
        $this->stood = $this->earlier = [];

        return $taken;
    }

    /**
     * @param  array<int, float>  $stood
     * @param  array<int, float>  $earlier
     */
    public function put(array $stood, array $earlier): void
    {
        [$this->stood, $this->earlier] = [$stood, $earlier];
    }

    private function begin(float $alongX, float $alongY): void
    {
        $this->stood = $this->earlier = [];
        $this->way = $this->slot = 0.0;
        [$this->alongX, $this->alongY] = [$alongX, $alongY];
    }
}
