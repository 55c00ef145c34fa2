<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Setup\ToolKind;

/**
 * What earlier operations have left of the raw part, as a coarse field of heights: enough to tell where a tool meets nothing. What
 * it is not sure of stands: a cell is only lowered where the tool covers all of it.
 */
final class CutStock
{
    /** Cells along the longer side. */
    private const CELLS = 160;

    /** From the middle of a cell to its corner, in cells, and a little. */
    private const CORNER = 0.72;

    /** An arc is followed in steps of so many radians. */
    private const STEP = 0.2;

    /** Their ends are flat but for the radius of their corners. */
    private const FLAT = [ToolKind::EndMill, ToolKind::BullMill, ToolKind::FaceMill];

    private readonly int $columns;

    private readonly int $rows;

    /** @var list<float> row by row, from the lower left corner */
    private array $heights;

    private readonly float $left;

    private readonly float $front;

    private function __construct(Box $box, private readonly float $cell)
    {
        [$this->left, $this->front] = [$box->low->x, $box->low->y];
        $this->columns = max(1, (int) ceil($box->size(0) / $cell));
        $this->rows = max(1, (int) ceil($box->size(1) / $cell));
        $this->heights = array_fill(0, $this->columns * $this->rows, $box->high->z);
    }

    /** The raw part before anything is cut; null where there is none to tell of. */
    public static function of(Blank $blank): ?self
    {
        return $blank->box === null ? null : new self($blank->box, max(0.5, max($blank->box->size(0), $blank->box->size(1)) / self::CELLS));
    }

    /** Takes out what an operation cuts. */
    public function take(PlannedStep $step): void
    {
        // What is made elsewhere has not been made here.
        if ($step->tool !== null && $step->offsets === null && $step->copies === null) {
            $this->cut($step->moves, $step->tool);
        }
    }

    /**
     * Where a tool on a straight way keeps a distance from all that stands; beside the raw part nothing does.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $along  a unit vector
     * @param  float  $radius  of the tool, and the distance
     * @return list<array{float, float}> from and to along the way
     */
    public function openings(array $from, array $along, float $length, float $radius, float $z): array
    {
        $openings = [];
        $since = null;
        $steps = max(1, (int) ceil($length / ($this->cell / 2)));
        for ($n = 0; $n <= $steps; $n++) {
            $at = $length * $n / $steps;
            $isOpen = $this->isOpen($from[0] + $at * $along[0], $from[1] + $at * $along[1], $radius, $z);
            if ($isOpen) {
                $since ??= $at;
            }
            if ($since !== null && (! $isOpen || $n === $steps)) {
                $openings[] = [$since, $isOpen ? $at : $length * ($n - 1) / $steps];
                $since = null;
            }
        }

        return $openings;
    }

    private function isOpen(float $x, float $y, float $radius, float $z): bool
    {
        $reach = $radius + self::CORNER * $this->cell;
        [$left, $right, $first, $last] = $this->cells($x - $reach, $y - $reach, $x + $reach, $y + $reach);
        for ($row = $first; $row <= $last; $row++) {
            $dy = $this->front + ($row + 0.5) * $this->cell - $y;
            for ($column = $left; $column <= $right; $column++) {
                $dx = $this->left + ($column + 0.5) * $this->cell - $x;
                if ($dx * $dx + $dy * $dy <= $reach * $reach && $this->heights[$row * $this->columns + $column] > $z + 1e-6) {
                    return false;
                }
            }
        }

        return true;
    }

    /** @param  list<Move>  $moves */
    private function cut(array $moves, SheetTool $tool): void
    {
        $radius = $tool->radius() - self::CORNER * $this->cell;
        if ($radius <= 0.0) {
            return;
        }
        [$x, $y, $z] = [0.0, 0.0, INF];
        // Where the control keeps the cutter beside the path nobody says here where its middle runs.
        $isBeside = false;
        $isFlat = in_array($tool->tool->kind, self::FLAT, true);
        $flat = $radius - $tool->tool->geometry->cornerRadius;
        foreach ($moves as $move) {
            $isBeside = match ($move->kind) {
                MoveKind::CutterLeft, MoveKind::CutterRight => true,
                MoveKind::CutterOff => false,
                default => $isBeside,
            };
            $to = [$move->x ?? $x, $move->y ?? $y, $move->z ?? $z];
            $height = max($z, $to[2]);
            if ($move->kind === MoveKind::Cycle && $move->cycle !== null) {
                $this->lower([$to[0], $to[1]], [$to[0], $to[1]], $radius, $move->cycle->bottom + $tool->tool->leadLength());
            } elseif ($isFlat && $flat > 0.0 && ! $isBeside && is_finite($height)) {
                $this->follow($move, [$x, $y], [$to[0], $to[1]], $flat, $height);
            }
            [$x, $y, $z] = $to;
        }
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function follow(Move $move, array $from, array $to, float $radius, float $height): void
    {
        if ($move->kind === MoveKind::Feed) {
            $this->lower($from, $to, $radius, $height);

            return;
        }
        if ($move->kind !== MoveKind::Clockwise && $move->kind !== MoveKind::CounterClockwise) {
            return;
        }
        [$cx, $cy] = [$from[0] + $move->i, $from[1] + $move->j];
        $of = hypot($move->i, $move->j);
        $start = atan2(-$move->j, -$move->i);
        $sense = $move->kind === MoveKind::Clockwise ? -1 : 1;
        $sweep = (new Segment($to[0], $to[1], [$cx, $cy], $move->kind === MoveKind::Clockwise))->sweep(...$from);
        $steps = max(1, (int) ceil($sweep / self::STEP));
        // A chord runs inside of its arc by so much at most.
        $covered = $radius - $of * (1 - cos($sweep / $steps / 2));
        $before = $from;
        for ($n = 1; $n <= $steps && $covered > 0.0; $n++) {
            $angle = $start + $sense * $sweep * $n / $steps;
            $next = [$cx + $of * cos($angle), $cy + $of * sin($angle)];
            $this->lower($before, $next, $covered, $height);
            $before = $next;
        }
    }

    /**
     * Lowers what is within a radius of a straight way.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function lower(array $from, array $to, float $radius, float $height): void
    {
        [$dx, $dy] = [$to[0] - $from[0], $to[1] - $from[1]];
        $square = $dx * $dx + $dy * $dy;
        [$left, $right, $first, $last] = $this->cells(
            min($from[0], $to[0]) - $radius, min($from[1], $to[1]) - $radius, max($from[0], $to[0]) + $radius, max($from[1], $to[1]) + $radius,
        );
        for ($row = $first; $row <= $last; $row++) {
            $y = $this->front + ($row + 0.5) * $this->cell - $from[1];
            for ($column = $left; $column <= $right; $column++) {
                $at = $row * $this->columns + $column;
                if ($this->heights[$at] <= $height) {
                    continue;
                }
                $x = $this->left + ($column + 0.5) * $this->cell - $from[0];
                $share = $square > 0.0 ? max(0.0, min(1.0, ($x * $dx + $y * $dy) / $square)) : 0.0;
                if (($x - $share * $dx) ** 2 + ($y - $share * $dy) ** 2 <= $radius * $radius) {
                    $this->heights[$at] = $height;
                }
            }
        }
    }

    /** @return array{int, int, int, int} first and last column, first and last row of a box; none where the first is after the last */
    private function cells(float $left, float $low, float $right, float $high): array
    {
        return [
            max(0, (int) floor(($left - $this->left) / $this->cell)), min($this->columns - 1, (int) floor(($right - $this->left) / $this->cell)),
            max(0, (int) floor(($low - $this->front) / $this->cell)), min($this->rows - 1, (int) floor(($high - $this->front) / $this->cell)),
        ];
    }
}
