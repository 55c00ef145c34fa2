<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Trace\State;

/**
 * The heights and faces of a piece of stock for rows under one state. Those that every row is held against are axis positions,
 * so that the rows need no subtraction.
 */
final readonly class HeightFrame
{
    /** How far beside the stock a cut may run out on top of two tool diameters, mm. */
    private const LEAD = 5.0;

    /**
     * @param  array{float, float, float}  $zero  axis positions of the zero of the piece, the tool's length with them
     * @param  array{float, float, float}  $length  what the tool's length adds
     * @param  float  $top  of the stock
     * @param  float  $near  clearance height over it
     * @param  float  $floor  how low the tip may go, in the coordinates of the piece
     * @param  float  $deep  the same as an axis position
     * @param  float  $watch  below this a rapid has something to look at
     * @param  array{float, float, float, float}  $sides  least and greatest X, least and greatest Y of what is at the stock
     */
    private function __construct(
        public ?Stock $stock,
        public int $piece,
        public int $tool,
        public string $work,
        public array $zero,
        public array $length,
        public float $top,
        public float $near,
        public float $floor,
        public float $deep,
        public float $watch,
        public array $sides,
    ) {
    }

    /**
     * @param  array{int, int, int}  $axes  columns of X, Y and Z
     * @param  float  $watch  height of the tip in the machine
     */
    public static function of(Setup $setup, State $state, Pieces $pieces, int $piece, array $axes, float $watch): self
    {
        [$ax, $ay, $az] = $axes;
        $stock = $pieces->stocks[$piece] ?? null;
        $zero = $pieces->zeros[$piece] ?? [$state->work->shift[$ax], $state->work->shift[$ay], $state->work->shift[$az]];
        $length = $state->length->on($axes);
        $zero = [$zero[0] + $length[0], $zero[1] + $length[1], $zero[2] + $length[2]];
        $tool = $setup->tooling->tools[$state->tool] ?? null;
        // The allowed break-through, and the point of a drill on top of it.
        $floor = $stock === null ? -INF : $stock->bottom() - $setup->margins->breakThrough - ($tool?->leadLength() ?? 0.0) - 1e-6;
        $margin = self::margin($tool);

        return new self(
            $stock, $piece, $state->tool, $state->work->name, $zero, $length,
            top: ($stock?->top() ?? -INF) + $zero[2],
            near: $stock === null ? -INF : $stock->top() + max(0.0, $setup->margins->clearance ?? 0.0) + $zero[2],
            floor: $floor,
            deep: $floor + $zero[2],
            watch: $watch + $length[2],
            sides: $stock === null ? [-INF, INF, -INF, INF] : [
                $stock->min[0] - $margin + $zero[0], $stock->max[0] + $margin + $zero[0], $stock->min[1] - $margin + $zero[1],
                $stock->max[1] + $margin + $zero[1],
            ],
        );
    }

    /** How far beside its stock a tool is still at it. */
    public static function margin(?Tool $tool): float
    {
        return 4 * ($tool?->radius() ?? 0.0) + self::LEAD;
    }

    /** A move that ends at axis positions. */
    public function move(int $line, float $x, float $y, float $z): LowMove
    {
        return new LowMove($line, $this->tool, $x - $this->zero[0], $y - $this->zero[1], $z - $this->zero[2], piece: $this->piece, work: $this->work);
    }
}
