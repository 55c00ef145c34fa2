<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Geometry\Box;
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

    /** How far beside the stock a cut may run out on top of two tool diameters, mm. */
    private const LEAD = 5.0;

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
            $watch = max($watch, $this->pieces->zeros[$number][2] + $stock->top() + max(0.0, $setup->margins->clearance ?? 0.0));
        }
        $this->watch = $watch;
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $machine = $this->setup->machine;
        $x = $machine->axisIndex['X'] ?? null;
        $y = $machine->axisIndex['Y'] ?? null;
        $z = $machine->axisIndex['Z'] ?? null;
        if ($x === null || $y === null || $z === null) {
            return;
        }
        $lows = ArcBounds::lowest($chunk, $states, $machine->axisIndex, 'Z');
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
                    $this->takeRun($chunk, $state, $first, $last, $x, $y, $z, $piece, $lows);
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
        $beside = $this->margin($state);
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

    /** How far beside its stock a tool is still at it. */
    private function margin(State $state): float
    {
        return 4 * (($this->setup->tooling->tools[$state->tool] ?? null)?->radius() ?? 0.0) + self::LEAD;
    }

    /**
     * Rows under one state. Levels and faces are put into machine coordinates once, so that the rows need no subtraction.
     *
     * @param  list<float>  $lows  of each row the lowest on its way
     */
    private function takeRun(Chunk $chunk, State $state, int $from, int $to, int $ax, int $ay, int $az, int $piece, array $lows): void
    {
        $this->work = $state->work->name;
        $stock = $this->pieces->stocks[$piece] ?? null;
        $zero = $this->pieces->zeros[$piece] ?? [$state->work->shift[$ax], $state->work->shift[$ay], $state->work->shift[$az]];
        [$lx, $ly, $lz] = [$state->length->shift[$ax], $state->length->shift[$ay], $state->length->shift[$az]];
        [$sx, $sy, $sz] = [$zero[0] + $lx, $zero[1] + $ly, $zero[2] + $lz];
        $floor = $stock === null ? -INF : $stock->bottom() - $this->allowedBelow($state);
        $watch = $this->watch + $lz;
        $near = $stock === null ? -INF : $stock->top() + max(0.0, $this->setup->margins->clearance ?? 0.0) + $sz;
        $deep = $floor + $sz;
        $margin = $this->margin($state);
        [$nearLeft, $nearRight, $nearFront, $nearBack] = $stock === null ? [-INF, INF, -INF, INF]
            : [$stock->min[0] - $margin + $sx, $stock->max[0] + $margin + $sx, $stock->min[1] - $margin + $sy, $stock->max[1] + $margin + $sy];
        $lowest = INF;
        $top = ($stock?->top() ?? -INF) + $sz;
        $side = $this->sideFeeds[$state->tool] ?? 0.0;
        [$cameFrom, $isRamped] = [$this->cameFrom, $this->isRamped];
        $kinds = $chunk->kinds();
        $lines = $chunk->lines();
        $marks = $chunk->marks();
        $feeds = $chunk->feeds();
        [$xs, $ys, $zs] = [$chunk->axis($ax), $chunk->axis($ay), $chunk->axis($az)];
        [$fromX, $fromY, $fromZ] = $from > 0 ? [$xs[$from - 1], $ys[$from - 1], $zs[$from - 1]] : [$chunk->before[$ax], $chunk->before[$ay], $chunk->before[$az]];

        for ($row = $from; $row < $to; $row++) {
            $kind = $kinds[$row];
            if ($kind > MotionKind::ARC) {
                continue;
            }
            $x = $xs[$row];
            $y = $ys[$row];
            $z = $zs[$row];
            if (! $this->approached && $z < $fromZ - 1e-9 && ($marks[$row] & Mark::MACHINE) === 0) {
                $this->approached = true;
                if ($kind === MotionKind::RAPID && $stock !== null && $z < $near - 1e-6 && $z - $sz >= $stock->top()) {
                    $this->plungeRapids[] = new LowMove($lines[$row], $state->tool, $x - $sx, $y - $sy, $z - $sz, piece: $piece, work: $this->work);
                }
                if (abs($x - $fromX) > 1e-9 || abs($y - $fromY) > 1e-9) {
                    $this->combinedApproaches[] = new LowMove($lines[$row], $state->tool, $x - $sx, $y - $sy, $z - $sz, piece: $piece, work: $this->work);
                }
            }
            if ($kind === MotionKind::RAPID) {
                if ($z < $watch || $fromZ < $watch) {
                    $this->rapid($lines[$row], $state->tool, $marks[$row], $fromX - $lx, $fromY - $ly, $fromZ - $lz, $x - $lx, $y - $ly, $z - $lz);
                }
            } else {
                $low = $lows[$row];
                if ($low < $lowest) {
                    $lowest = $low;
                }
                if ($z === $fromZ && $z > $top && $stock !== null) {
                    if ($this->airPass === null) {
                        $this->airPass = new LowMove($lines[$row], $state->tool, $x - $sx, $y - $sy, $z - $sz, piece: $piece, work: $this->work);
                        $this->airPassFrom = $cameFrom;
                    }
                } elseif ($z === $fromZ && $z < $top) {
                    if ($feeds[$row] > $side) {
                        $side = $feeds[$row];
                    }
                    if ($stock !== null && ! $this->passes->tooMany) {
                        $this->passes->level($chunk->first + $row, $lines[$row], $state->tool, $fromX - $sx, $fromY - $sy, $x - $sx, $y - $sy, $z - $sz, $isRamped, $piece);
                    }
                }
                if ($low < $deep || $x > $nearRight || $x < $nearLeft || $y > $nearBack || $y < $nearFront || ($z < $fromZ && $x === $fromX && $y === $fromY)) {
                    $this->cut($kind, $lines[$row], $state->tool, $marks[$row], [$fromX - $lx, $fromY - $ly, $fromZ - $lz], [$x - $lx, $y - $ly, $low - $lz], $floor, $feeds[$row], $piece, $low < $z && $low < $fromZ);
                }
            }
            if ($z !== $fromZ) {
                $cameFrom = $fromZ;
                $isRamped = $kind === MotionKind::ARC || ($kind === MotionKind::FEED && ($x !== $fromX || $y !== $fromY));
                if ($this->airPass !== null) {
                    if ($this->airPassFrom < $top && abs($z - $this->airPassFrom) < 1e-6) {
                        // Up from a cut, over, and down to the same depth again: a way across.
                    } elseif ($this->airPassFrom >= $top) {
                        self::keep($this->airPasses, $this->airPass);
                    } else {
                        self::keep($this->risenPasses, $this->airPass);
                    }
                    $this->airPass = null;
                }
            }
            $fromX = $x;
            $fromY = $y;
            $fromZ = $z;
        }
        [$this->cameFrom, $this->isRamped] = [$cameFrom, $isRamped];
        if ($side > 0.0) {
            $this->sideFeeds[$state->tool] = $side;
        }
        if ($lowest < INF) {
            $this->lowest[$state->tool] = min($lowest - $sz, $this->lowest[$state->tool] ?? INF);
        }
    }

    /** Between two places of the tip in machine coordinates. */
    private function rapid(int $line, int $tool, int $marks, float $fromX, float $fromY, float $fromZ, float $x, float $y, float $z): void
    {
        $vertical = abs($x - $fromX) < 1e-9 && abs($y - $fromY) < 1e-9;
        if ($this->pieces->stocks === [] || ($vertical && $z > $fromZ)) {
            return; // straight up leaves the part
        }
        if ($vertical && $this->overHole($x, $y) && $z >= $this->holeZ - 1e-6) {
            return; // back into the hole it has just cut
        }
        $grow = ($this->setup->tooling->tools[$tool] ?? null)?->radius() ?? 0.0;
        if (($marks & Mark::CYCLE) !== 0 && hypot($x - $this->holeX, $y - $this->holeY) <= $grow && $z >= $this->holeZ - 1e-6) {
            return; // an oriented tool stepping off the wall of the hole it has just bored
        }
        foreach ($this->pieces->stocks as $number => $stock) {
            [$zeroX, $zeroY, $zeroZ] = $this->pieces->zeros[$number];
            $this->rapidOver($number, $stock, $line, $tool, $marks, $vertical, $grow - self::TOUCH, [$fromX - $zeroX, $fromY - $zeroY, $fromZ - $zeroZ], [$x - $zeroX, $y - $zeroY, $z - $zeroZ]);
        }
    }

    /**
     * @param  array{float, float, float}  $from  in the coordinates of the piece
     * @param  array{float, float, float}  $to
     */
    private function rapidOver(int $piece, Stock $stock, int $line, int $tool, int $marks, bool $vertical, float $grow, array $from, array $to): void
    {
        [$x, $y, $z] = $to;
        $fromZ = $from[2];
        $low = [$stock->min[0], $stock->min[1], $stock->bottom()];
        $high = [$stock->max[0], $stock->max[1], $stock->top() - self::TOUCH];
        if ((new Box($low, $high))->isEnteredBy($from, $to, $grow)) {
            $startDirection = ! $vertical && $z > $fromZ && $z >= $high[2];
            self::keep($this->rapidsInStock, new LowMove($line, $tool, $x, $y, min($z, $fromZ), ($marks & Mark::CYCLE) !== 0, ! $vertical && ! $startDirection, $startDirection, $piece, $this->work));
        } elseif (! $vertical && ($marks & Mark::CYCLE) === 0 && $this->setup->margins->clearance !== null) {
            $high[2] = $stock->top() + $this->setup->margins->clearance - 1e-6;
            if ((new Box($low, $high))->isEnteredBy($from, $to, $grow)) {
                $low = new LowMove($line, $tool, $x, $y, min($z, $fromZ), piece: $piece, work: $this->work);
                if ($z >= $high[2] && $z > $fromZ) {
                    self::keep($this->slantedRetracts, $low);
                } else {
                    self::keep($this->lowRapids, $low);
                }
            }
        }
    }

    /**
     * @param  array{float, float, float}  $from  places of the tip in machine coordinates
     * @param  array{float, float, float}  $to
     */
    private function cut(int $kind, int $line, int $tool, int $marks, array $from, array $to, float $floor, float $feed, int $piece, bool $dips): void
    {
        $vertical = abs($to[0] - $from[0]) < 1e-9 && abs($to[1] - $from[1]) < 1e-9;
        $stock = $this->pieces->stocks[$piece] ?? null;
        $zero = $this->pieces->zeros[$piece] ?? [0.0, 0.0, 0.0];
        [$x, $y, $z] = [$to[0] - $zero[0], $to[1] - $zero[1], $to[2] - $zero[2]];
        if ($vertical) {
            $this->holeZ = $this->overHole($to[0], $to[1]) ? min($this->holeZ, $to[2]) : $to[2];
            $this->holeX = $to[0];
            $this->holeY = $to[1];
            $key = (string) round($z, 4);
            if (! isset($this->depths[$tool][$key]) && count($this->depths[$tool] ?? []) < self::MOST) {
                $this->depths[$tool][$key] = new LowMove($line, $tool, $x, $y, $z, piece: $piece, work: $this->work);
            }
        }
        if ($stock === null || $z >= $stock->top()) {
            return;
        }
        $radius = ($this->setup->tooling->tools[$tool] ?? null)?->radius() ?? 0.0;
        [$fromX, $fromY, $fromZ] = [$from[0] - $zero[0], $from[1] - $zero[1], $from[2] - $zero[2]];
        $over = (new Box([$stock->min[0], $stock->min[1], -1.0], [$stock->max[0], $stock->max[1], 1.0]))->isEnteredBy([$fromX, $fromY, 0.0], [$x, $y, 0.0], $radius);
        // A whole turn of a helix ends where it began and is no plunge.
        if ($over && $vertical && $kind === MotionKind::FEED) {
            $this->stroke(new LowMove($line, $tool, $x, $y, $z, piece: $piece, work: $this->work), min($fromZ, $stock->top()) - $z, $marks, $feed);
        }
        if ($over && $z < $floor) {
            self::keep($this->below, new LowMove($line, $tool, $x, $y, $z, piece: $piece, work: $this->work, dips: $dips));
        } elseif (! $over && $vertical && ($marks & Mark::CYCLE) !== 0) {
            self::keep($this->holesBeside, new LowMove($line, $tool, $x, $y, $z, true, piece: $piece, work: $this->work));
        } elseif (self::isFarBeside($stock, $x, $y)) {
            self::keep($this->farBeside, new LowMove($line, $tool, $x, $y, $z, piece: $piece, work: $this->work));
        } elseif (! $vertical && $fromX > $stock->min[0] - $radius && $fromX < $stock->max[0] + $radius && $fromY > $stock->min[1] - $radius && $fromY < $stock->max[1] + $radius) {
            self::keep($this->wellBeside, new LowMove($line, $tool, $x, $y, $z, piece: $piece, work: $this->work));
        }
    }

    /** Whether a point is further beside the stock than the stock is large. */
    private static function isFarBeside(Stock $stock, float $x, float $y): bool
    {
        return $x > 2 * $stock->max[0] - $stock->min[0] || $x < 2 * $stock->min[0] - $stock->max[0]
            || $y > 2 * $stock->max[1] - $stock->min[1] || $y < 2 * $stock->min[1] - $stock->max[1];
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

    private function overHole(float $x, float $y): bool
    {
        return abs($x - $this->holeX) < 1e-6 && abs($y - $this->holeY) < 1e-6;
    }

    /** How far below the stock the tip may go: the allowed break-through, and the point of a drill on top of it. */
    private function allowedBelow(State $state): float
    {
        return $this->setup->margins->breakThrough + (($this->setup->tooling->tools[$state->tool] ?? null)?->leadLength() ?? 0.0) + 1e-6;
    }

    /** @param  list<LowMove>  $list */
    private static function keep(array &$list, LowMove $move): void
    {
        if (count($list) < self::MOST) {
            $list[] = $move;
        }
    }
}
