<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Geometry\PartPoint;
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

    /** It is looked at again every so many radii of its way. */
    private const LOOK = 0.25;

    /** Places nearer to each other are the same, mm. */
    private const SAME = 1e-6;

    /** @var array<int, float> cell => height before the pass came to it */
    private array $stood = [];

    /** @var array<int, float> the same of the stretch before, a diameter long, which the tool may not have left yet */
    private array $earlier = [];

    /** Whether the next move goes on in it, so that what lies before the end of this one is left to that. */
    public bool $goesOn = false;

    /** Whether that goes exactly the same way, seen from above, and along X or along Y. */
    public bool $goesStraightOn = false;

    /** Way along which it has cut at full width until now, mm. */
    private float $slot = 0.0;

    /** @var array{float, float, int, bool, float}|null */
    private ?array $seen = null;

    private float $sinceLook = 0.0;

    private int $tool = 0;

    /** Where the last of its moves ended. */
    private ?PartPoint $end = null;

    private float $way = 0.0;

    private float $alongX = 0.0;

    private float $alongY = 0.0;

    /** Whether a move belongs to a pass, be it the first of one. */
    public function takes(Move $move): bool
    {
        $end = $this->end;
        $this->end = null;
        $this->goesOn = $this->goesStraightOn = false;
        $width = 2 * $move->cutter->radius;
        $length = hypot($move->x1 - $move->x0, $move->y1 - $move->y0);
        if ($move->kind !== MotionKind::FEED || $length < self::SAME || hypot($length, $move->z1 - $move->z0) > $width) {
            $this->begin(0.0, 0.0);

            return false;
        }
        [$alongX, $alongY] = [($move->x1 - $move->x0) / $length, ($move->y1 - $move->y0) / $length];
        if (
            $end === null || $this->tool !== $move->tool->number || abs($end->x - $move->x0) > self::SAME || abs($end->y - $move->y0) > self::SAME
            || abs($end->z - $move->z0) > self::SAME || $alongX * $this->alongX + $alongY * $this->alongY < self::TURN
        ) {
            $this->begin($alongX, $alongY);
        } elseif ($this->way >= $width) {
            [$this->earlier, $this->stood, $this->way] = [$this->stood, [], 0.0];
        }
        $this->way += $length;
        $this->sinceLook += $length;
        [$this->tool, $this->end] = [$move->tool->number, $move->to];
        $this->goesOn = $this->isFollowed($move);
        $this->goesStraightOn = $this->goesOn && $move->next !== null && (
            ($alongY === 0.0 && $move->next->y === $move->y1 && ($move->next->x - $move->x1) * $alongX > 0.0)
            || ($alongX === 0.0 && $move->next->x === $move->x1 && ($move->next->y - $move->y1) * $alongY > 0.0)
        );

        return true;
    }

    /**
     * What a look along the move before has seen, where that is near enough.
     *
     * @return array{float, float, int, bool, float}|null  as Body::along() says it
     */
    public function seen(Move $move): ?array
    {
        return $this->sinceLook < self::LOOK * $move->cutter->radius ? $this->seen : null;
    }

    /**
     * @param  array{float, float, int, bool, float}  $seen
     * @return array{float, float, int, bool, float}
     */
    public function keep(array $seen): array
    {
        [$this->seen, $this->sinceLook] = [$seen, 0.0];

        return $seen;
    }

    /** Whether the move after one would be taken too. */
    private function isFollowed(Move $move): bool
    {
        if ($move->next === null) {
            return false;
        }
        [$byX, $byY, $byZ] = [$move->next->x - $move->x1, $move->next->y - $move->y1, $move->next->z - $move->z1];
        $length = hypot($byX, $byY);

        return $length >= self::SAME && hypot($length, $byZ) <= 2 * $move->cutter->radius
            && ($byX * $this->alongX + $byY * $this->alongY) / $length >= self::TURN;
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
        $this->way = $this->slot = $this->sinceLook = 0.0;
        $this->seen = null;
        [$this->alongX, $this->alongY] = [$alongX, $alongY];
    }
}
