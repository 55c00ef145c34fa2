<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Geometry\MachinePoint;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\TipPoint;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Trace\ArcBounds;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * One pass over the tool's tip against the stock as given. Keeps only what the height checks have questions about:
 * rapids that come low, cuts that go below the stock or far beside it, and each tool's depths. Every move is judged by
 * the piece of stock it is at, in the coordinates of its work offset, mm; without stock, in those of the offset in force.
 * Rapids are held against every piece.
 *
 * Rows are passed over where nobody knows where the tip is: a work offset that is not set, or no length offset and the tool
 * still on its way.
 */
final class HeightSurvey implements ChunkReader
{
    /** More of one kind than anyone will read. */
    private const MOST = 2000;

    /** A tip closer to a face than this touches it and no more. */
    private const TOUCH = 0.01;

    /** @var list<LowMove> rapids inside the stock */
    public array $rapidsInStock = [];

    /** @var list<LowMove> rapids across the stock below the clearance height */
    public array $lowRapids = [];

    /** @var list<LowMove> rapids that leave from below the clearance height over the stock sideways while they rise */
    public array $slantedRetracts = [];

    /** @var list<LowMove> moves at feed that end below what the stock allows, over the stock */
    public array $below = [];

    /** @var list<LowMove> cuts that end further beside the stock than the stock is large */
    public array $farBeside = [];

    /** @var list<LowMove> cuts that leave the stock sideways by much more than the tool is wide */
    public array $wellBeside = [];

    /** @var list<LowMove> cuts that stay level above the stock after coming from above it, the first move of each run of them */
    public array $airPasses = [];

    /** @var list<LowMove> the same after coming up from a cut */
    public array $risenPasses = [];

    /** @var list<LowMove> rapids down beside the stock that end below what it allows */
    public array $rapidsBeside = [];

    /** @var list<LowMove> the first move of each tool towards the part, where X or Y move with it */
    public array $combinedApproaches = [];

    /** @var list<LowMove> holes beside the stock */
    public array $holesBeside = [];

    /** @var array<int, array<int|string, LowMove>> tool => depth as text => the straight plunge that first reached it */
    public array $depths = [];

    /** @var list<LowMove> the first move of each tool towards the part, where it ends below the clearance height in one step */
    public array $plungeRapids = [];

    /** @var array<int, array{LowMove, float}> tool => its deepest straight stroke in the stock, and how deep that goes in one */
    public array $strokes = [];

    /** @var array<int, array{LowMove, float}> tool => the quickest straight plunge into the stock outside of cycles, and its feed */
    public array $plunges = [];

    /** @var array<int, float> tool => greatest feed of a move at a level below the stock's top */
    public array $sideFeeds = [];

    /** @var array<int, float> tool => lowest tip at feed */
    public array $lowest = [];

    private ?LowMove $airPass = null;

    /** Axis position the tool had before it last changed its height. */
    private float $cameFrom = INF;

    private float $airPassFrom = INF;

    /** Whether the tool has come to its height by a slope or a helix. */
    private bool $isRamped = false;

    /** Whether the tool has come down since it was changed. */
    private bool $approached = false;

    /** Where the tool last cut straight down, and how far: it may go back there at rapid. */
    private float $holeX = NAN;

    private float $holeY = NAN;

    private float $holeZ = INF;

    /** The work offset in force. */
    private string $work = '';

    private readonly Pieces $pieces;

    /** Below this a rapid has something to look at, machine coordinate of the tip. */
    private readonly float $watch;

    public function __construct(private readonly Setup $setup, public readonly PassSurvey $passes)
    {
        $this->pieces = Pieces::of($setup);
        $watch = -INF;
        foreach ($this->pieces->stocks as $number => $stock) {
            $watch = max($watch, $this->pieces->zeros[$number]->z + $stock->top() + max(0.0, $setup->margins->clearance ?? 0.0));
        }
        $this->watch = $watch;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $machine = $this->setup->machine;
        $axes = $machine->linearColumns();
        if ($axes === null) {
            return;
        }
        [$x, $y, $z] = $axes;
        $lows = ArcBounds::lowest($chunk, $states, $machine->axisIndex, $machine->lengthAxis());
        foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number]) {
            $state = $states[$number];
            if (! $state->length->sinceToolChange && in_array(MotionKind::TOOL, array_slice($chunk->kinds(), $from, $to - $from), true)) {
                $this->approached = false;
                $this->holeZ = INF;
            }
            // A length that was forgotten is a finding of its own; from where the tool comes down, the heights are judged as
            // they were meant, with the tip where the program thinks it is.
            if ($state->work->isSet && ! $state->lengthIsKnown() && ! $this->approached) {
                $from = $chunk->firstDescent($z, $from, $to) ?? $to;
            }
            if ($state->work->isSet && $from < $to) {
                foreach ($this->byPiece($chunk, $state, $from, $to, $x, $y) as [$first, $last, $piece]) {
                    $this->readRun($chunk, HeightFrame::of($this->setup, $state, $this->pieces, $piece, $axes, $this->watch), $first, $last, $axes, $lows);
                }
            }
        }
    }

    /**
     * Rows cut into stretches by the piece of stock they end at.
     *
     * @return iterable<array{int, int, int}> first row, one past the last, number of the piece
     */
    private function byPiece(Chunk $chunk, State $state, int $from, int $to, int $ax, int $ay): iterable
    {
        if (count($this->pieces->stocks) < 2) {
            yield [$from, $to, 0];

            return;
        }
        [$xs, $ys] = [$chunk->axis($ax), $chunk->axis($ay)];
        $beside = HeightFrame::margin($this->setup->tooling->tools[$state->tool] ?? null);
        $piece = $this->pieces->at($xs[$from] - $state->length->shift[$ax], $ys[$from] - $state->length->shift[$ay], $state->work->name, $beside);
        for ($row = $first = $from; $row < $to; $row++) {
            $at = $this->pieces->at($xs[$row] - $state->length->shift[$ax], $ys[$row] - $state->length->shift[$ay], $state->work->name, $beside);
            if ($at !== $piece) {
                yield [$first, $row, $piece];
                [$first, $piece] = [$row, $at];
            }
        }
        yield [$first, $to, $piece];
    }

    /**
     * Rows under one state, at one piece.
     *
     * @param  array{int, int, int}  $axes  columns of X, Y and Z
     * @param  list<float>  $lows  of each row the lowest on its way
     */
    private function readRun(Chunk $chunk, HeightFrame $frame, int $from, int $to, array $axes, array $lows): void
    {
        $this->work = $frame->work;
        $tool = $frame->tool;
        [$kinds, $lines, $marks, $feeds] = [$chunk->kinds(), $chunk->lines(), $chunk->marks(), $chunk->feeds()];
        [$xs, $ys, $zs] = [$chunk->axis($axes[0]), $chunk->axis($axes[1]), $chunk->axis($axes[2])];
        $before = $chunk->pointBefore($from, $axes);
        [$fromX, $fromY, $fromZ] = [$before->x, $before->y, $before->z];
        $deep = $frame->deep;
        [$left, $right, $front, $back] = $frame->sides;
        $lowest = INF;
        [$changedBy, $changedX, $changedY] = [null, 0.0, 0.0];
        for ($row = $from; $row < $to; $row++) {
            $kind = $kinds[$row];
            if ($kind > MotionKind::ARC) {
                continue;
            }
            $x = $xs[$row];
            $y = $ys[$row];
            $z = $zs[$row];
            if (! $this->approached && $z < $fromZ - 1e-9) {
                $this->approach($frame, $kind, $lines[$row], $marks[$row], new MachinePoint($fromX, $fromY, $fromZ), new MachinePoint($x, $y, $z));
            }
            if ($kind === MotionKind::RAPID) {
                $this->rapid($frame, $lines[$row], $marks[$row], new MachinePoint($fromX, $fromY, $fromZ), new MachinePoint($x, $y, $z));
            } else {
                $low = $lows[$row];
                if ($low < $lowest) {
                    $lowest = $low;
                }
                if ($z === $fromZ) {
                    $this->isRamped = self::isRamp($changedBy, $changedX, $changedY) ?? $this->isRamped;
                    $this->level($frame, $chunk->first + $row, $lines[$row], $feeds[$row], $fromX, $fromY, $x, $y, $z);
                }
                if ($low < $deep || $x < $left || $x > $right || $y < $front || $y > $back || ($z < $fromZ && $x === $fromX && $y === $fromY)) {
                    $this->cut(
                        $frame, $kind, $lines[$row], $marks[$row], new MachinePoint($fromX, $fromY, $fromZ), new MachinePoint($x, $y, $low), $feeds[$row],
                        $low < $z && $low < $fromZ,
                    );
                }
            }
            if ($z !== $fromZ) {
                $changedBy = $kind;
                $changedX = $x - $fromX;
                $changedY = $y - $fromY;
                $this->cameFrom = $fromZ;
                if ($this->airPass !== null) {
                    $this->endAirPass($z, $frame->top);
                }
            }
            $fromX = $x;
            $fromY = $y;
            $fromZ = $z;
        }
        $this->isRamped = self::isRamp($changedBy, $changedX, $changedY) ?? $this->isRamped;
        $this->keepLowest($tool, $lowest - $frame->zero->z);
    }

    /** Of the pecks of one hole the deepest: that is the depth its line says. */
    private function keepBelow(LowMove $move): void
    {
        $at = count($this->below) - 1;
        $last = $this->below[$at] ?? null;
        if ($last !== null && $last->line === $move->line && $last->tool === $move->tool && hypot($last->x - $move->x, $last->y - $move->y) < 1e-9) {
            $this->below[$at] = $move->z < $last->z ? $move : $last;
        } else {
            self::keep($this->below, $move);
        }
    }

    private function keepLowest(int $tool, float $z): void
    {
        if ($z < ($this->lowest[$tool] ?? INF)) {
            $this->lowest[$tool] = $z;
        }
    }

    /** The first move down of a tool, unless it goes to a place of the machine. */
    private function approach(HeightFrame $frame, int $kind, int $line, int $marks, MachinePoint $from, MachinePoint $to): void
    {
        if (($marks & Mark::MACHINE) !== 0) {
            return;
        }
        $this->approached = true;
        if ($kind === MotionKind::RAPID && $frame->stock !== null && $to->z < $frame->near - 1e-6 && $to->tipFrom($frame->zero)->z >= $frame->stock->top()) {
            $this->plungeRapids[] = $frame->move($line, $to);
        }
        if (abs($to->x - $from->x) > 1e-9 || abs($to->y - $from->y) > 1e-9) {
            $this->combinedApproaches[] = $frame->move($line, $to);
        }
    }

    /** A move at feed that stays at its height. */
    private function level(HeightFrame $frame, int $row, int $line, float $feed, float $fromX, float $fromY, float $x, float $y, float $z): void
    {
        if ($z > $frame->top && $frame->stock !== null) {
            if ($this->airPass === null) {
                $this->airPass = $frame->move($line, new MachinePoint($x, $y, $z));
                $this->airPassFrom = $this->cameFrom;
            }
        } elseif ($z < $frame->top) {
            if ($feed > ($this->sideFeeds[$frame->tool] ?? 0.0)) {
                $this->sideFeeds[$frame->tool] = $feed;
            }
            if ($frame->stock !== null && ! $this->passes->tooMany) {
                $zero = $frame->zero;
                $this->passes->level(
                    $row, $line, $frame->tool, $fromX - $zero->x, $fromY - $zero->y, $x - $zero->x, $y - $zero->y, $z - $zero->z, $this->isRamped,
                    $frame->piece,
                );
            }
        }
    }

    /** Whether a height was come to by a slope or a helix; null where none was come to. */
    private static function isRamp(?int $kind, float $dx, float $dy): ?bool
    {
        return $kind === null ? null : $kind === MotionKind::ARC || ($kind === MotionKind::FEED && ($dx !== 0.0 || $dy !== 0.0));
    }

    private function endAirPass(float $to, float $top): void
    {
        if ($this->airPass === null) {
            return;
        }
        if ($this->airPassFrom >= $top) {
            self::keep($this->airPasses, $this->airPass);
        } elseif (abs($to - $this->airPassFrom) >= 1e-6) {
            // Up from a cut, over, and down to the same depth again would be a way across.
            self::keep($this->risenPasses, $this->airPass);
        }
        $this->airPass = null;
    }

    private function rapid(HeightFrame $frame, int $line, int $marks, MachinePoint $from, MachinePoint $to): void
    {
        if ($from->z >= $frame->watch && $to->z >= $frame->watch) {
            return;
        }
        [$start, $end] = [$from->tip($frame->length), $to->tip($frame->length)];
        $vertical = abs($end->x - $start->x) < 1e-9 && abs($end->y - $start->y) < 1e-9;
        if ($this->pieces->stocks === [] || ($vertical && $end->z > $start->z)) {
            return; // straight up leaves the part
        }
        if ($vertical && $this->overHole($end) && $end->z >= $this->holeZ - 1e-6) {
            return; // back into the hole it has just cut
        }
        $grow = $this->radiusOf($frame->tool);
        if (($marks & Mark::CYCLE) !== 0 && hypot($end->x - $this->holeX, $end->y - $this->holeY) <= $grow && $end->z >= $this->holeZ - 1e-6) {
            return; // an oriented tool stepping off the wall of the hole it has just bored
        }
        $enters = false;
        foreach ($this->pieces->stocks as $number => $stock) {
            $zero = $this->pieces->zeros[$number];
            $enters = $this->rapidOver(
                $number, $stock, $line, $frame->tool, $marks, $vertical, $grow - self::TOUCH, $start->from($zero), $end->from($zero),
            ) || $enters;
        }
        if (! $enters && $to->z < $frame->deep && $to->z < $from->z && ($marks & (Mark::CYCLE | Mark::MACHINE)) === 0) {
            self::keep($this->rapidsBeside, $frame->move($line, $to));
        }
    }

    /** @return bool whether it goes through where the stock was */
    private function rapidOver(
        int $piece, Stock $stock, int $line, int $tool, int $marks, bool $vertical, float $grow, PartPoint $from, PartPoint $to,
    ): bool {
        [$x, $y, $z, $fromZ] = [$to->x, $to->y, $to->z, $from->z];
        $below = static fn (float $top): Box => new Box($stock->around->low, new PartPoint($stock->around->high->x, $stock->around->high->y, $top));
        $top = $stock->top() - self::TOUCH;
        if ($below($top)->isEnteredBy($from, $to, $grow)) {
            $isRetract = ! $vertical && $z > $fromZ && $z >= $top;
            self::keep(
                $this->rapidsInStock,
                new LowMove($line, $tool, $x, $y, min($z, $fromZ), ($marks & Mark::CYCLE) !== 0, ! $vertical && ! $isRetract, $isRetract, $piece, $this->work),
            );

            return true;
        }
        if (! $vertical && ($marks & Mark::CYCLE) === 0 && $this->setup->margins->clearance !== null) {
            $clear = $stock->top() + $this->setup->margins->clearance - 1e-6;
            if ($below($clear)->isEnteredBy($from, $to, $grow)) {
                $low = new LowMove($line, $tool, $x, $y, min($z, $fromZ), piece: $piece, work: $this->work);
                if ($z >= $clear && $z > $fromZ) {
                    self::keep($this->slantedRetracts, $low);
                } else {
                    self::keep($this->lowRapids, $low);
                }
            }
        }

        return false;
    }

    /**
     * A move at feed that goes deep, straight down, or beside the stock.
     *
     * @param  bool  $dips  whether it goes lower on its way than at its ends
     */
    private function cut(HeightFrame $frame, int $kind, int $line, int $marks, MachinePoint $from, MachinePoint $to, float $feed, bool $dips): void
    {
        $vertical = abs($to->x - $from->x) < 1e-9 && abs($to->y - $from->y) < 1e-9;
        $move = $frame->move($line, $to);
        if ($vertical) {
            $this->reachDepth($move, $to->tip($frame->length));
        }
        $stock = $frame->stock;
        [$x, $y, $z] = [$move->x, $move->y, $move->z];
        if ($stock === null || $z >= $stock->top()) {
            return;
        }
        $radius = $this->radiusOf($frame->tool);
        $start = $from->tipFrom($frame->zero);
        // Seen from above.
        $over = Box::of([$stock->around->low->x, $stock->around->low->y, -1.0], [$stock->around->high->x, $stock->around->high->y, 1.0])
            ->isEnteredBy(new PartPoint($start->x, $start->y, 0.0), new PartPoint($x, $y, 0.0), $radius);
        // A whole turn of a helix ends where it began and is no plunge.
        if ($over && $vertical && $kind === MotionKind::FEED) {
            $this->stroke($move, min($start->z, $stock->top()) - $z, $marks, $feed);
        }
        if ($over && $z < $frame->floor) {
            $this->keepBelow(new LowMove($line, $frame->tool, $x, $y, $z, piece: $frame->piece, work: $frame->work, dips: $dips));
        } elseif (! $over && $vertical && ($marks & Mark::CYCLE) !== 0) {
            self::keep($this->holesBeside, new LowMove($line, $frame->tool, $x, $y, $z, true, piece: $frame->piece, work: $frame->work));
        } elseif (self::isFarBeside($stock, $x, $y)) {
            self::keep($this->farBeside, $move);
        } elseif (! $vertical && self::isOver($stock, $start->x, $start->y, $radius)) {
            self::keep($this->wellBeside, $move);
        }
    }

    /** A straight plunge. */
    private function reachDepth(LowMove $move, TipPoint $to): void
    {
        $this->holeZ = $this->overHole($to) ? min($this->holeZ, $to->z) : $to->z;
        [$this->holeX, $this->holeY] = [$to->x, $to->y];
        $key = (string) round($move->z, 4);
        if (! isset($this->depths[$move->tool][$key]) && count($this->depths[$move->tool] ?? []) < self::MOST) {
            $this->depths[$move->tool][$key] = $move;
        }
    }

    private function radiusOf(int $tool): float
    {
        return ($this->setup->tooling->tools[$tool] ?? null)?->radius() ?? 0.0;
    }

    private static function isOver(Stock $stock, float $x, float $y, float $radius): bool
    {
        [$low, $high] = [$stock->around->low, $stock->around->high];

        return $x > $low->x - $radius && $x < $high->x + $radius && $y > $low->y - $radius && $y < $high->y + $radius;
    }

    /** Whether a point is further beside the stock than the stock is large. */
    private static function isFarBeside(Stock $stock, float $x, float $y): bool
    {
        return $x > 2 * $stock->around->high->x - $stock->around->low->x || $x < 2 * $stock->around->low->x - $stock->around->high->x
            || $y > 2 * $stock->around->high->y - $stock->around->low->y || $y < 2 * $stock->around->low->y - $stock->around->high->y;
    }

    private function stroke(LowMove $move, float $depth, int $marks, float $feed): void
    {
        if ($depth > ($this->strokes[$move->tool][1] ?? 0.0)) {
            $this->strokes[$move->tool] = [$move, $depth];
        }
        if (($marks & Mark::CYCLE) === 0 && $depth > self::TOUCH && $feed > ($this->plunges[$move->tool][1] ?? 0.0)) {
            $this->plunges[$move->tool] = [$move, $feed];
        }
    }

    private function overHole(TipPoint $tip): bool
    {
        return abs($tip->x - $this->holeX) < 1e-6 && abs($tip->y - $this->holeY) < 1e-6;
    }

    /** @param  list<LowMove>  $list */
    private static function keep(array &$list, LowMove $move): void
    {
        if (count($list) < self::MOST) {
            $list[] = $move;
        }
    }
}
