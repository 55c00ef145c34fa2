<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use Closure;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Geometry\MachinePoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\TipPoint;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Load\Loads;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * Takes a run's moves out of the stock, one after another, and keeps what each of them cut. Three straight axes with the tool
 * along Z. A rotary axis may turn the part between cuts: each place it is turned to has a field of its own, of the side that
 * faces the tool. Where it is turned while it is cut, it stops, and says so.
 */
final class StockRun implements ChunkReader
{
    /** Rows after which a run may be taken up again: nothing is left open there, so that it is the same whether or not it is. */
    public const SEGMENT = 32;

    /** Stretches of air kept. */
    private const MOST = 200;

    /** Seconds from which feed in air is long. */
    private const LONG_AIR = 10.0;

    /** By how much a coarser cell is larger than it has to be. */
    private const SPARE = 1.1;

    /** The largest cell in place of the usual one: a run of ten times as many cells as are looked at while somebody waits has an answer all the same. */
    private const COARSEST = 4.0;

    /** How much coarser cells get from one step to the next. */
    private const COARSER = 1.25;

    /** How much longer a cell takes under an edge that is not level. */
    private const SHAPED = 4.0;

    /** Places on rapids looked at for their clearance. */
    private const MOST_LOOKS = 20_000;

    /** Places looked at along one move for whether any stock was there. */
    private const MOST_STEPS = 50;

    /** Share of the clearance at which a cycle starts hardly above the part: a point is lost rather than meant. */
    private const HARDLY = 0.1;

    /** A tool this deep is in the cut, mm. */
    private const HELD = 0.05;

    /** Sides of all stocks together. */
    private const MOST_BODIES = 48;

    /** Degrees from one look to the next while the part is turned past a tool, and looks at the most. */
    private const TURN = 1.5;

    private const MOST_TURNS = 720;

    public Engagement $engagement;

    public Incidents $incidents;

    public Loads $loads;

    /** @var array<int, true> places of moves at feed straight down that take something */
    public array $plunges = [];

    /** What takes nothing. */
    public AirCuts $idle;

    /** Whether it stopped since it would look at more cells than it is allowed. */
    public bool $isTooLong = false;

    /** Why not all that is cut is followed. Only what is taken while the part turns is left out; after anything else it stops. */
    public ?UnfollowedReason $lost = null;

    /** Place and row where that was first. */
    public ?int $lostAt = null;

    public ?int $lostRow = null;

    /** @var array<int, true> tools whose shape is not known, and that were left out */
    public array $unknownTools = [];

    /** @var list<Body> in the order the tool met them: every stock from every side */
    public array $bodies = [];

    /** The moves to measure by. */
    public MoveLog $log;

    /** @var list<int>|null numbers of the bodies that face the tool; null where nothing has come near them since they were turned to it */
    private ?array $facing = null;

    /** @var list<array{int, Turn|null}> the stocks as they face the tool: number and turn */
    private array $turned = [];

    /** @var array<int, float> column of each rotary axis => where it stands */
    private array $angles = [];

    /** @var array<string, int|null> stock and how it is turned => number of the body */
    private array $sides = [];

    /** @var array<int, array{list<float>, float}> number of a stock => taken off each of its sides, and what that is counted once and finely, mm³ */
    private array $counted = [];

    /** Places on rapids looked at for their clearance so far. */
    private int $looks = 0;

    /** The last motion of a tool that cuts: where it stands. */
    private ?Stroke $stands = null;

    /** The one before that, where the machine itself has moved last. */
    private ?Stroke $stood = null;

    /** Whether the tool has come down since it was changed. */
    private bool $isDown = false;

    /** @var array<int, Cutter|null> */
    private array $cutters = [];

    /** Above this there is nothing. */
    private float $top = -INF;

    /** @var list<int> */
    private array $wanted = [];

    /** @var array<int, array<int, array<int, float>>> */
    private array $kept = [];

    /** Cells, about; see foresee(). */
    private float $effort = 0.0;

    /** @var list<array{line: int, tool: int, seconds: float}> */
    private array $airRuns = [];

    /** @var array{line: int, tool: int, seconds: float}|null the stretch of feed in air that goes on */
    private ?array $air = null;

    /** @var list<int> columns of the rotary axes */
    private readonly array $rotary;

    /**
     * @param  array{int, int, int}  $axes  columns of X, Y and Z
     * @param  non-empty-list<Stock>  $stocks
     */
    private function __construct(
        private readonly Setup $setup, private readonly array $axes, private readonly array $stocks, public readonly float $cell,
        private readonly int $mostVisits, public readonly bool $isCoarse = false,
    ) {
        $this->engagement = new Engagement;
        $this->incidents = new Incidents;
        $this->loads = new Loads($setup);
        $this->log = new MoveLog;
        $this->idle = new AirCuts;
        foreach ($setup->tooling->tools as $tool) {
            $this->cutters[$tool->number] = Cutter::of($tool);
        }
        $rotary = [];
        foreach (array_values($setup->machine->axes) as $number => $axis) {
            if ($axis->isRotary()) {
                $rotary[] = $number;
            }
        }
        $this->rotary = $rotary;
        $this->face([]);
        $this->facing();
    }

    public function __clone()
    {
        $this->engagement = clone $this->engagement;
        $this->incidents = clone $this->incidents;
        $this->loads = clone $this->loads;
        $this->log = clone $this->log;
        $this->idle = clone $this->idle;
        $this->bodies = array_map(static fn (Body $body): Body => clone $body, $this->bodies);
    }

    /**
     * Null where the setup has no stock, or the machine no three straight axes to cut it with.
     *
     * @param  float|null  $cell  edge of a cell, mm; chosen by the stock and the tools where not given
     * @param  bool  $isCoarse  whether that is coarser than what the run should have, to have an answer soon
     * @param  int  $mostVisits  of cells: where it would look at more, it does not begin, or go on; see isComplete()
     */
    public static function in(Setup $setup, ?float $cell = null, int $mostVisits = PHP_INT_MAX, bool $isCoarse = false): ?self
    {
        $axes = $setup->machine->linearColumns();
        if ($setup->workpiece->stock === null || $setup->machine->kind !== Machine::MILL || $axes === null) {
            return null;
        }

        return new self(
            $setup, $axes, [$setup->workpiece->stock, ...$setup->workpiece->moreStock],
            $cell ?? Resolution::of($setup->workpiece->stock, $setup->tooling->tools, $setup->units), $mostVisits, $isCoarse,
        );
    }

    /** @return list<int> numbers of the bodies that face the tool now */
    public function facing(): array
    {
        if ($this->facing === null) {
            $facing = [];
            foreach ($this->turned as [$number, $turn]) {
                $key = $number.':'.($turn === null ? '' : $turn->axis.round($turn->angle, 6));
                $side = $this->sides[$key] ??= $this->side($number, $turn);
                if ($side !== null) {
                    $facing[] = $side;
                }
            }
            $this->facing = $facing;
        }

        return $this->facing;
    }

    /** @return list<Body> the other sides of its stock */
    private function othersOf(int $number): array
    {
        $stock = $this->bodies[$number]->stock;

        return array_values(
            array_filter($this->bodies, static fn (Body $body, int $other): bool => $other !== $number && $body->stock === $stock, ARRAY_FILTER_USE_BOTH),
        );
    }

    /** Whether every move of the run has been taken out of the stock. */
    public function isComplete(): bool
    {
        return $this->lost === null && ! $this->isTooLong && $this->unknownTools === [];
    }

    /** Whether no more is left of it anywhere than it says, and only what was cut while the part turned may have been taken besides. */
    public function isFollowed(): bool
    {
        return ! $this->isTooLong && $this->unknownTools === [] && ! $this->isLost();
    }

    private function isLost(): bool
    {
        return $this->lost !== null && $this->lost !== UnfollowedReason::TurnsWhileCutting;
    }

    private function lose(UnfollowedReason $reason): void
    {
        $this->lost = $this->isLost() ? $this->lost : $reason;
    }

    /** The first stock from the side it faced the tool with first. */
    public function field(): HeightField
    {
        return $this->bodies[0]->field;
    }

    /** Taken off all of it, mm³. */
    public function removed(): float
    {
        return array_sum(array_map($this->removedOf(...), $this->sidesOf()));
    }

    /** @return array<int, list<Body>> number of each stock => its sides */
    private function sidesOf(): array
    {
        $sides = [];
        foreach ($this->bodies as $body) {
            $sides[$body->stock][] = $body;
        }

        return $sides;
    }

    /** @param  list<Body>  $sides  of one stock */
    private function removedOf(array $sides): float
    {
        $cut = array_values(array_filter($sides, static fn (Body $side): bool => $side->removed > 0.0));
        $each = array_map(static fn (Body $side): float => $side->removed, $cut);
        if (($this->counted[$sides[0]->stock][0] ?? null) !== $each) {
            $isOne = count($cut) <= 1 && ($cut[0] ?? $sides[0])->standsLevel();
            $this->counted[$sides[0]->stock] = [$each, $isOne ? $this->removedOfOne($cut[0] ?? $sides[0]) : Sides::removed($cut)];
        }

        return $this->counted[$sides[0]->stock][1];
    }

    private function removedOfOne(Body $side): float
    {
        $moves = $this->log->all((int) array_search($side, $this->bodies, true));

        return ($moves === null ? null : FineVolume::removed($side, $moves)) ?? $side->removed;
    }

    /** Cells looked at. */
    public function visits(): int
    {
        return array_sum(array_map(static fn (Body $body): int => $body->visits(), $this->bodies));
    }

    /** What is left of all stocks, mm³. */
    public function left(): float
    {
        return array_sum(array_map(fn (array $sides): float => max(0.0, $sides[0]->whole() - $this->removedOf($sides)), $this->sidesOf()));
    }

    /**
     * Keeps how the stock stands before some rows are run.
     *
     * @param  list<int>  $rows  in order; one past the last row is its end
     */
    public function keepBefore(array $rows): void
    {
        $this->wanted = $rows;
    }

    /** @return array<int, array<int, array<int, float>>> row => number of each body that faces the tool before it => heights of its field */
    public function kept(): array
    {
        foreach ($this->wanted as $row) {
            $this->kept[$row] = $this->standing();
        }
        $this->wanted = [];

        return $this->kept;
    }

    /** @return list<array{line: int, tool: int, seconds: float}> the long stretches at feed that take nothing off */
    public function airRuns(): array
    {
        return $this->air !== null && $this->air['seconds'] >= self::LONG_AIR ? [...$this->airRuns, $this->air] : $this->airRuns;
    }

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        $this->foresee($chunk, $states);
        $this->takeRows($chunk, $states, 0, $chunk->count);
    }

    /**
     * Some rows of a chunk that has been foreseen.
     *
     * @param  list<State>  $states
     * @param  int  $from  the first
     * @param  int  $to  one past the last
     */
    public function takeRows(Chunk $chunk, array $states, int $from, int $to): void
    {
        [$xs, $ys, $zs] = array_map($chunk->axis(...), $this->axes);
        $at = $chunk->pointBefore($from, $this->axes);
        [$numbers, $lines, $seconds, $lengths, $marks, $kinds] = [
            $chunk->states(), $chunk->lines(), $chunk->seconds(), $chunk->lengths(), $chunk->marks(), $chunk->kinds(),
        ];
        $arcs = array_flip($chunk->arcRows());
        $cut = Engagement::nothing($to - $from);
        $stateNumber = -1;
        $state = $tool = $cutter = null;
        $length = Shift::none();
        for ($row = $from; $row < $to && ! $this->isTooLong && ! $this->isLost(); $row++) {
            if ($this->wanted !== [] && $chunk->first + $row >= $this->wanted[0]) {
                $this->kept[array_shift($this->wanted)] = $this->standing();
            }
            $kind = $kinds[$row];
            if ($numbers[$row] !== $stateNumber) {
                $stateNumber = $numbers[$row];
                $state = $states[$stateNumber];
                $tool = $this->setup->tooling->tools[$state->tool] ?? null;
                $cutter = $this->cutters[$state->tool] ?? null;
                $length = $state->length->on($this->axes);
            }
            $start = $at->tip($length);
            $at = new MachinePoint($xs[$row], $ys[$row], $zs[$row]);
            $end = $at->tip($length);
            if ($this->rotary !== [] && ! $this->turn($chunk, $row, $this->isDown ? $tool : null, $start, $end)) {
                continue;
            }
            if ($kind === MotionKind::STOP || $kind === MotionKind::TOOL) {
                $this->lookAtStop($kind, $lines[$row], $chunk->first + $row);
            }
            if ($kind > MotionKind::ARC || $state === null || ! $state->work->isSet) {
                $this->isDown = $this->isDown && $kind !== MotionKind::TOOL;

                continue;
            }
            $arc = isset($arcs[$row]) ? $chunk->arc($arcs[$row]) : null;
            $stroke = new Stroke(
                $lines[$row], $chunk->first + $row, $kind, $marks[$row], $state, $tool, $cutter, $start, $end, $lengths[$row], $seconds[$row], $arc,
                $this->goesOn($kinds, $numbers, $row + 1, $to, $chunk->first)
                    ? (new MachinePoint($xs[$row + 1], $ys[$row + 1], $zs[$row + 1]))->tip($length) : null,
            );
            foreach ($this->takeStroke($stroke) as $column => $value) {
                $cut[$column][$row - $from] = $value;
            }
            if ($this->lost !== null) {
                $this->markLost($lines[$row], $chunk->first + $row);
            }
        }
        $this->engagement->add($cut);
    }

    private function markLost(int $place, int $row): void
    {
        $this->lostAt ??= $place;
        $this->lostRow ??= $row;
    }

    /**
     * Whether the row behind one at feed is one too, in the same state, with nothing in between: neither a look at the stock nor
     * a turn of it, nor the end of what is taken at once.
     *
     * @param  list<int>  $kinds
     * @param  list<int>  $numbers  of the states
     * @param  int  $next  the row behind
     * @param  int  $to  one past the last that is taken
     * @param  int  $first  row of the run the chunk begins at
     */
    private function goesOn(array $kinds, array $numbers, int $next, int $to, int $first): bool
    {
        return $next < $to && $kinds[$next - 1] === MotionKind::FEED && $kinds[$next] === MotionKind::FEED
            && $numbers[$next] === $numbers[$next - 1] && $next % self::SEGMENT !== 0
            && $this->rotary === [] && count($this->stocks) <= 1 && ($this->wanted === [] || $first + $next < $this->wanted[0]);
    }

    /** @return array<string, float|int> what it cuts, by column of Engagement; nothing where that is not known */
    private function takeStroke(Stroke $stroke): array
    {
        // A length that was forgotten is a finding of its own; from where the tool comes down, the stock is cut as was meant,
        // with the tip where the program thinks it is.
        $comesDown = ! $this->isDown && $stroke->goesDown() && ! $stroke->isMachines();
        $this->isDown = $this->isDown || $comesDown;
        if (! $this->isDown && ! $stroke->state->lengthIsKnown()) {
            return [];
        }
        if ($stroke->tool !== null && $stroke->cutter !== null) {
            $this->stood = $stroke->isMachines() ? $this->stands : null;
            $this->stands = $stroke;
        }
        if ($stroke->isWork()) {
            $this->lookAtWork($stroke);
        } elseif ($stroke->isRapid()) {
            $this->lookAtClearance($stroke, $comesDown);
        }
        if ($stroke->staysAbove($this->top)) {
            $this->goOnInAir($stroke, 0.0);

            return ['marks' => Engagement::KNOWN];
        }
        if ($stroke->isUp()) {
            return ['marks' => Engagement::KNOWN];
        }
        if ($stroke->tool === null || $stroke->cutter === null) {
            if ($stroke->tool !== null && $stroke->isWork()) {
                $this->unknownTools[$stroke->tool->number] = true;
            } elseif ($stroke->tool !== null) {
                $this->lookAtProbe($stroke, $stroke->tool);
            }

            return [];
        }

        return $this->cut($stroke, $stroke->tool, $stroke->cutter);
    }

    /**
     * Takes it out of every stock that it comes near, and tells of the one it takes most from.
     *
     * @return array<string, float|int> by column of Engagement
     */
    private function cut(Stroke $stroke, Tool $tool, Cutter $cutter): array
    {
        $facing = $this->facing();
        if ($this->isLost()) {
            return [];
        }
        $took = null;
        foreach ($facing as $number) {
            $body = $this->bodies[$number];
            $move = $this->move($body, $stroke, $tool, $cutter);
            if (count($facing) > 1 && ! $body->isUnder($move, $move->reach())) {
                continue;
            }
            $this->log->add($number, $move);
            if (count($this->bodies) > 1) {
                Sides::learnFor($body, $this->othersOf($number), $move);
            }
            $found = $body->cut($move, $this->incidents);
            $took = $took === null || $took['volume'] === 0.0 || $found['volume'] > $took['volume'] ? $found : $took;
        }
        $volume = $took['volume'] ?? 0.0;
        $this->goOnInAir($stroke, $volume);
        if ($took === null) {
            return $facing === [] ? [] : ['marks' => Engagement::KNOWN];
        }
        if ($volume > 0.0 && ! $stroke->isRapid()) {
            $this->idle->works($tool->number);
            $plunges = $stroke->to->z < $stroke->from->z && $stroke->isUpright();
            if ($plunges) {
                $this->plunges[$stroke->line] = true;
            }
            [$took['power'], $took['chip']] = $this->loads->of(
                $tool, $stroke->state, $stroke->line, $plunges, $took, $stroke->seconds, $stroke->length, $this->top - $stroke->lowest(),
            );
        }
        unset($took['area'], $took['over']);

        return $took;
    }

    /** Whether a move at feed comes to where any stock is, or was. */
    private function lookAtWork(Stroke $stroke): void
    {
        [$tool, $from, $to] = [$stroke->tool, $stroke->from, $stroke->to];
        if ($tool === null) {
            return;
        }
        $isStroke = $stroke->isInCycle() && $stroke->goesDown();
        $this->idle->feeds($tool->number, $stroke->line);
        if (! $isStroke && $this->idle->hasWorked($tool->number)) {
            return;
        }
        $meets = false;
        $steps = $isStroke ? 1 : (int) max(1, min(self::MOST_STEPS, ceil(hypot($to->x - $from->x, $to->y - $from->y) / max(1.0, $tool->radius()))));
        foreach ($stroke->lowest() < $this->top ? $this->facing() : [] as $number) {
            $zero = $this->bodies[$number]->zero;
            for ($n = 1; $n <= $steps && ! $meets; $n++) {
                $meets = $this->bodies[$number]->stoodAbove($from->towards($to, $n / $steps)->from($zero), $tool->radius());
            }
        }
        if ($meets) {
            $this->idle->works($tool->number);
        }
        if ($isStroke) {
            $this->idle->strokes(
                new AirHole($stroke->line, $tool->number, $to->x, $to->y, $to->z, $stroke->state->work->name), $meets,
                $tool->kind === ToolKind::BoringBar || $tool->kind === ToolKind::Reamer,
            );
        }
    }

    /** A probe takes nothing off, and is run into what stands there. */
    private function lookAtProbe(Stroke $stroke, Tool $tool): void
    {
        foreach ($tool->radius() > 0.0 ? $this->facing() : [] as $number) {
            $body = $this->bodies[$number];
            $move = $this->move($body, $stroke, $tool, Cutter::ball($tool->radius()));
            $by = $body->isUnder($move, $tool->radius()) ? $body->struckBy($move) : 0.0;
            if ($by > 0.0) {
                $this->incidents->add($stroke->isRapid() ? Incident::RapidCuts : Incident::ProbeStrikes, $move, $by, $body->stock);
            }
        }
    }

    /** Whether the tool stands in material where the run stops, or where the tool is changed. */
    private function lookAtStop(int $kind, int $line, int $row): void
    {
        // The machine goes where it changes tools by itself; where the program left the tool is what counts.
        $at = $kind === MotionKind::TOOL && $this->stands?->line === $line ? $this->stood : $this->stands;
        if ($at?->tool === null || $at->cutter === null || ! $this->isDown) {
            return;
        }
        foreach ($at->to->z < $this->top ? $this->facing() : [] as $number) {
            $body = $this->bodies[$number];
            $move = $this->move($body, $at->left($line, $row), $at->tool, $at->cutter);
            $depth = $body->isUnder($move, $at->cutter->radius) ? $body->depthAt($move) : 0.0;
            if ($depth > self::HELD) {
                $this->incidents->add($kind === MotionKind::TOOL ? Incident::ChangedInCut : Incident::StopsInCut, $move, $depth, $body->stock);
            }
        }
    }

    /**
     * How close a rapid comes to what stands there.
     *
     * @param  bool  $comesDown  whether it is the first way down of its tool
     */
    private function lookAtClearance(Stroke $stroke, bool $comesDown): void
    {
        [$tool, $cutter, $clearance] = [$stroke->tool, $stroke->cutter, $this->setup->margins->clearance];
        if ($tool === null || $cutter === null || $clearance === null || $stroke->lowest() >= $this->top + $clearance - 1e-6) {
            return;
        }
        if ($stroke->isInCycle()) {
            $this->lookAtStart($stroke, $tool, $cutter, $clearance);

            return;
        }
        if (! $comesDown && ($stroke->isUpright() || $stroke->to->z > $stroke->from->z + 1e-9)) {
            return; // on its way up and out it is heights.z-first-retract's
        }
        foreach ($this->facing() as $number) {
            $body = $this->bodies[$number];
            $move = $this->move($body, $stroke, $tool, $cutter);
            if (! $body->isUnder($move, $cutter->radius)) {
                continue;
            }
            Sides::learnFromAll($body, $this->othersOf($number), $move, $cutter->radius);
            // Where there are too many to look at, the top of the blank has to do.
            $least = $this->looks < self::MOST_LOOKS ? $body->clearanceOf($move, $comesDown) : $move->z1 - $body->top;
            $this->looks += $comesDown ? 1 : 1 + (int) ($stroke->length / $cutter->radius);
            if ($least < $clearance - 1e-3) {
                $this->incidents->add($comesDown ? Incident::ApproachLow : Incident::RapidLow, $move, $least, $body->stock);
            }
        }
    }

    /** How close a cycle comes at rapid to a face that nothing has been cut from yet. */
    private function lookAtStart(Stroke $stroke, Tool $tool, Cutter $cutter, float $clearance): void
    {
        foreach ($stroke->goesDown() ? $this->facing() : [] as $number) {
            $body = $this->bodies[$number];
            $move = $this->move($body, $stroke, $tool, $cutter);
            $above = $move->z1 - $body->before($move->x1, $move->y1);
            $isHardly = $above > -1e-6 && $above < self::HARDLY * $clearance - 1e-6 && $body->isUnder($move, $cutter->radius);
            if ($isHardly && abs($body->clearanceOf($move, true) - $above) < 1e-3) {
                $this->incidents->add(Incident::CycleLow, $move, max(0.0, $above), $body->stock);
            }
        }
    }

    /** The way of its tip in the coordinates of a stock. */
    private function move(Body $body, Stroke $stroke, Tool $tool, Cutter $cutter): Move
    {
        [$zero, $arc, $state] = [$body->zero, $stroke->arc, $stroke->state];
        if ($arc !== null) {
            [$first, $second] = $state->modes->plane->places();
            [$back, $length] = [$zero->each(), $state->length->on($this->axes)->each()];
            $arc = $arc->moved(-$back[$first], -$back[$second])->moved(-$length[$first], -$length[$second]);
        }

        return new Move(
            $stroke->line, $stroke->row, $tool, $cutter, $stroke->kind, $stroke->isInCycle(), $stroke->from->from($zero), $stroke->to->from($zero),
            $stroke->length, $arc, $state->modes->plane, $stroke->next?->from($zero),
        );
    }

    /** @return array<int, array<int, float>> number of each body that faces the tool now => its heights */
    public function standing(): array
    {
        $stand = [];
        foreach ($this->facing() as $number) {
            $stand[$number] = $this->bodies[$number]->field->heights;
        }

        return $stand;
    }

    /**
     * Sees to it that the sides the rotary axes have turned to the tool are cut.
     *
     * @param  Tool|null  $tool  null where none has come down yet
     * @param  TipPoint  $from  of the tool on its way meanwhile
     * @return bool whether what it cuts on that way can be followed
     */
    private function turn(Chunk $chunk, int $row, ?Tool $tool, TipPoint $from, TipPoint $to): bool
    {
        $angles = [];
        foreach ($this->rotary as $axis) {
            $angles[$axis] = $chunk->axis($axis)[$row];
        }
        if ($angles === $this->angles) {
            return true;
        }
        $lowest = $tool === null ? INF : min($from->z, $to->z);
        $meets = null;
        $cutter = $tool === null ? null : $this->cutters[$tool->number];
        if ($tool !== null && $cutter !== null && $chunk->kinds()[$row] === MotionKind::RAPID) {
            $swung = static fn (Shift $zero): Move => new Move(
                $chunk->lines()[$row], $chunk->first + $row, $tool, $cutter, MotionKind::RAPID, false, $from->from($zero), $to->from($zero), 0.0,
            );
            $meets = $this->lookAtSwing($swung, $from, $to, $cutter, $angles);
        }
        $turns = array_filter(
            $angles, fn (float $angle, int $axis): bool => abs($angle - ($this->angles[$axis] ?? $angle)) > 1e-6, ARRAY_FILTER_USE_BOTH,
        );
        $this->angles = $angles;
        [$before, $top] = [$this->turned, $this->top];
        $this->face($angles);
        // The same numbers in other turns of an axis are the same sides; but in the cut it has gone round.
        $isSame = $this->turned == $before;
        if (! $isSame) {
            $this->facing = null;
            $this->idle->turn();
        }
        $isLow = $isSame ? $turns !== [] && $lowest < $top : $lowest < max($top, $this->top);
        // It may be as low beside it.
        $isInCut = $isLow && ($this->top === INF || ($meets ?? $this->comesNear($turns, $from, $to, $cutter->radius ?? INF)));
        if ($isInCut) {
            $this->lose($this->top === INF ? UnfollowedReason::ShapeUnknown : UnfollowedReason::TurnsWhileCutting);
        }
        if ($isInCut || $this->isLost()) {
            if ($tool !== null) {
                $this->idle->works($tool->number);
            }
            $this->markLost($chunk->lines()[$row], $chunk->first + $row);

            return false;
        }

        return true;
    }

    /**
     * Whether anything that turns comes near the tool meanwhile.
     *
     * @param  array<int, float>  $turns  by column of the rotary axis
     */
    private function comesNear(array $turns, TipPoint $from, TipPoint $to, float $radius): bool
    {
        foreach (array_keys($turns) as $axis) {
            foreach ($this->stocks as $stock) {
                $zero = $this->setup->zero($stock->workOffset);
                $about = $this->turnOf($axis, 0.0, $stock);
                if ($about === null || Swing::comesNear($stock, $about, $from->from($zero), $to->from($zero), $radius)) {
                    return true;
                }
            }
        }

        return $turns === [];
    }

    /**
     * Whether the part is turned into the tool.
     *
     * @param  Closure(Shift): Move  $seen  the way of the tool meanwhile, from a zero
     * @param  array<int, float>  $angles  column of a rotary axis => where it is turned to
     */
    private function lookAtSwing(Closure $seen, TipPoint $from, TipPoint $to, Cutter $cutter, array $angles): bool
    {
        $meets = false;
        foreach ($angles as $axis => $angle) {
            $by = $angle - ($this->angles[$axis] ?? $angle);
            $steps = (int) min(self::MOST_TURNS, ceil(abs($by) / self::TURN));
            foreach ($steps === 0 ? [] : $this->stocks as $number => $stock) {
                [$zero, $level] = [$this->setup->zero($stock->workOffset), $this->levelOf($axis, $stock)];
                $swing = new Swing($stock, array_values(array_filter($this->bodies, static fn (Body $body): bool => $body->stock === $number)));
                $deepest = 0.0;
                for ($n = 0; $n <= $steps; $n++) {
                    $share = $n / $steps;
                    $turn = $this->turnOf($axis, $angle - (1 - $share) * $by - $level, $stock);
                    if ($turn === null) {
                        break; // turn() says why
                    }
                    $deepest = max($deepest, $swing->depth($turn, $from->towards($to, $share)->from($zero), $cutter, $deepest));
                }
                if ($deepest > 0.0) {
                    $this->incidents->add(Incident::TurnedInto, $seen($zero), $deepest, $number);
                    $meets = true;
                }
            }
        }

        return $meets;
    }

    /** @param  array<int, float>  $angles  column of a rotary axis => where it stands; none before the run, as the setup describes the stock */
    private function face(array $angles): void
    {
        $this->turned = [];
        $this->top = -INF;
        foreach ($this->stocks as $number => $stock) {
            $turn = null;
            foreach ($angles as $axis => $angle) {
                $by = fmod($angle - $this->levelOf($axis, $stock), 360.0);
                $by += $by < -1e-9 ? 360.0 : 0.0;
                if (abs($by) > 1e-6 && abs($by - 360.0) > 1e-6) {
                    $turn = $turn === null ? $this->turnOf($axis, $by, $stock) : null;
                    if ($turn === null) {
                        $this->lose(UnfollowedReason::OtherAxis);

                        return;
                    }
                }
            }
            $this->turned[] = [$number, $turn];
            $this->top = max($this->top, $stock->blank->top($turn) + $this->setup->zero($stock->workOffset)->z);
        }
    }

    /** Where a rotary axis stands when a stock lies as its setup describes it. */
    private function levelOf(int $axis, Stock $stock): float
    {
        return $this->setup->workOffsets[$stock->workOffset][$this->setup->machine->axisNames[$axis]] ?? 0.0;
    }

    /** Null where the axis does not lie in the table, or nobody says where. */
    private function turnOf(int $axis, float $angle, Stock $stock): ?Turn
    {
        $name = $this->setup->machine->axisNames[$axis];
        $center = $this->setup->rotaryCenters[$name] ?? null;
        if ($center === null) {
            $this->lose(UnfollowedReason::NoCenter);
        }
        if ($center === null || ! in_array($name[0], [AxisName::A, AxisName::B], true)) {
            return null;
        }

        return new Turn($name[0], $angle, $this->setup->centerFrom($center, $stock->workOffset));
    }

    /** The number of the body; null where its shape is not known, or there are too many. */
    private function side(int $number, ?Turn $turn): ?int
    {
        $stock = $this->stocks[$number];
        $field = count($this->bodies) < self::MOST_BODIES ? $stock->blank->seen($this->cellOf($number), $turn) : null;
        if ($field === null) {
            $this->lose(count($this->bodies) < self::MOST_BODIES ? UnfollowedReason::ShapeUnknown : UnfollowedReason::TooManySides);

            return null;
        }
        $this->bodies[] = new Body($number, $field, $stock->blank, $turn, $this->setup->zero($stock->workOffset));

        return count($this->bodies) - 1;
    }

    /** Each stock has cells of its own size: those of a small one would be too many in a large one. */
    private function cellOf(int $number): float
    {
        $stock = $this->stocks[$number] ?? null;
        if ($number === 0 || $stock === null) {
            return $this->cell;
        }
        $usual = Resolution::of($this->stocks[0], $this->setup->tooling->tools, $this->setup->units);

        return max($this->cell, Resolution::of($stock, $this->setup->tooling->tools, $this->setup->units) * $this->cell / $usual);
    }

    /**
     * Sees beforehand whether a chunk would take too long: about how many cells the run will have looked at when it is done; one under an
     * edge that is not level counts for several.
     *
     * @param  list<State>  $states
     */
    public function foresee(Chunk $chunk, array $states): void
    {
        if ($this->mostVisits === PHP_INT_MAX) {
            return;
        }
        $z = $this->axes[2];
        [$heights, $lengths, $numbers] = [$chunk->axis($z), $chunk->lengths(), $chunk->states()];
        $cell = $this->field()->dx * $this->field()->dy;
        foreach ($this->mostVisits === 0 ? [] : $chunk->kinds() as $row => $kind) {
            $state = $states[$numbers[$row]];
            $cutter = $this->cutters[$state->tool] ?? null;
            if ($cutter !== null && $kind !== MotionKind::RAPID && $kind <= MotionKind::ARC && $this->top > $heights[$row] - $state->length->shift[$z]) {
                $this->effort += ($cutter->isFlat() ? 1.0 : self::SHAPED) * (2 * $lengths[$row] + M_PI_2 * $cutter->radius) * $cutter->radius / $cell;
            }
        }
        $this->isTooLong = $this->isTooLong || $this->mostVisits === 0 || $this->effort > $this->mostVisits;
    }

    /** An edge of cells with which the run would not be too long, mm; null where nothing of it is known, or they would be too coarse to judge by. */
    public function coarserCell(): ?float
    {
        // In steps, so that a small change of the run leaves it as it is.
        $steps = ceil(log(max(1.0, sqrt($this->effort / max(1, $this->mostVisits)) * self::SPARE), self::COARSER));
        $cell = $this->cell * self::COARSER ** $steps;
        $smallest = INF;
        foreach ($this->cutters as $cutter) {
            $smallest = min($smallest, $cutter->radius ?? INF);
        }

        return $this->mostVisits === 0 || $cell > max(self::COARSEST * $this->cell, $smallest / 4) ? null : $cell;
    }

    /** Takes over what another run of the same rows has foreseen. */
    public function foreseenAs(self $other): self
    {
        [$this->effort, $this->isTooLong] = [$other->effort, $other->isTooLong];

        return $this;
    }

    /** What a cycle does in air is its way, not the program's; and what lies at another work offset the setup does not tell. */
    private function goOnInAir(Stroke $stroke, float $volume): void
    {
        if (
            $stroke->isWork() && $volume === 0.0 && ! $stroke->isInCycle()
            && in_array($stroke->state->work->name, array_column($this->stocks, 'workOffset'), true)
        ) {
            $this->air ??= ['line' => $stroke->line, 'tool' => $stroke->state->tool, 'seconds' => 0.0];
            $this->air['seconds'] += $stroke->seconds;

            return;
        }
        if ($this->air !== null && $this->air['seconds'] >= self::LONG_AIR && count($this->airRuns) < self::MOST) {
            $this->airRuns[] = $this->air;
        }
        $this->air = null;
    }
}
