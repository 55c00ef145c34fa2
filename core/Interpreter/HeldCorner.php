<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Geometry\Arc;

/** A move that ends in a corner to be broken, kept until the next move says what the corner is. */
final readonly class HeldCorner
{
    /** Corners nearer to straight than this have none, degrees. */
    private const STRAIGHT = 0.01;

    /**
     * @param  bool  $isRound  rounded, or broken by a chamfer
     * @param  float  $size  radius, or leg of the chamfer, mm
     * @param  string  $letter  of its word
     * @param  int  $towards  which way the next move goes on the axis this one does not, by the sign of the word; 0 where it does not say
     * @param  list<float>  $from
     * @param  list<float>  $to  the corner itself
     */
    public function __construct(
        public bool $isRound, public float $size, public string $letter, public int $towards, public array $from, public array $to,
        public int $line, public int $state, public int $marks, public float $feed,
    ) {
    }

    /**
     * Whether the next move goes where the word says.
     *
     * @param  list<float>  $next
     */
    public function leads(array $next, int $first, int $second): bool
    {
        $other = abs($this->to[$first] - $this->from[$first]) > abs($this->to[$second] - $this->from[$second]) ? $second : $first;

        return $this->towards === 0 || ($next[$other] - $this->to[$other] <=> 0.0) === $this->towards;
    }

    /**
     * Where it leaves the first line, where it comes to the second, and the arc of a rounding.
     *
     * @param  list<float>  $next  where the second line leads
     * @return array{array{float, float}, array{float, float}, Arc|null}|null  null where the lines are too short or straight on
     */
    public function between(array $next, int $first, int $second): ?array
    {
        $in = [$this->to[$first] - $this->from[$first], $this->to[$second] - $this->from[$second]];
        $out = [$next[$first] - $this->to[$first], $next[$second] - $this->to[$second]];
        [$lengthIn, $lengthOut] = [hypot(...$in), hypot(...$out)];
        if ($lengthIn === 0.0 || $lengthOut === 0.0) {
            return null;
        }
        $in = [$in[0] / $lengthIn, $in[1] / $lengthIn];
        $out = [$out[0] / $lengthOut, $out[1] / $lengthOut];
        $turn = atan2($in[0] * $out[1] - $in[1] * $out[0], $in[0] * $out[0] + $in[1] * $out[1]);
        $leg = $this->isRound ? $this->size * abs(tan($turn / 2)) : $this->size;
        if (abs(rad2deg($turn)) < self::STRAIGHT || $leg > min($lengthIn, $lengthOut) + 1e-6) {
            return null;
        }
        $leaves = [$this->to[$first] - $in[0] * $leg, $this->to[$second] - $in[1] * $leg];
        $side = $turn > 0.0 ? $this->size : -$this->size;

        return [
            $leaves, [$this->to[$first] + $out[0] * $leg, $this->to[$second] + $out[1] * $leg],
            $this->isRound ? new Arc($leaves[0] - $in[1] * $side, $leaves[1] + $in[0] * $side, rad2deg($turn)) : null,
        ];
    }
}
