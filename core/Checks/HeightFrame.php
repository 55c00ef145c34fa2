<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\MachinePoint;
use OakTrace\Core\Geometry\Shift;
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
     * @param  Shift  $zero  where the axes stand with the tip on the zero of the piece
     * @param  Shift  $length  what the tool's length adds
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
        public Shift $zero,
        public Shift $length,
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
        $stock = $pieces->stocks[$piece] ?? null;
        $zero = $pieces->zeros[$piece] ?? $state->work->on($axes);
        $length = $state->length->on($axes);
        $zero = $zero->plus($length);
        $tool = $setup->tooling->tools[$state->tool] ?? null;
        // The allowed break-through, and the point of a drill on top of it.
        $floor = $stock === null ? -INF : $stock->bottom() - $setup->margins->breakThrough - ($tool?->leadLength() ?? 0.0) - 1e-6;
        $margin = self::margin($tool);

        return new self(
            $stock, $piece, $state->tool, $state->work->name, $zero, $length,
            top: ($stock?->top() ?? -INF) + $zero->z,
            near: $stock === null ? -INF : $stock->top() + max(0.0, $setup->margins->clearance ?? 0.0) + $zero->z,
            floor: $floor,
            deep: $floor + $zero->z,
            watch: $watch + $length->z,
            sides: $stock === null ? [-INF, INF, -INF, INF] : [
                $stock->around->low->x - $margin + $zero->x, $stock->around->high->x + $margin + $zero->x, $stock->around->low->y - $margin + $zero->y,
                $stock->around->high->y + $margin + $zero->y,
            ],
        );
    }

    /** How far beside its stock a tool is still at it. */
    public static function margin(?Tool $tool): float
    {
        return 4 * ($tool?->radius() ?? 0.0) + self::LEAD;
    }

    /** A move that ends where the axes stand so. */
    public function move(int $line, MachinePoint $to): LowMove
    {
        $tip = $to->tipFrom($this->zero);

        return new LowMove($line, $this->tool, $tip->x, $tip->y, $tip->z, piece: $this->piece, work: $this->work);
    }
}
