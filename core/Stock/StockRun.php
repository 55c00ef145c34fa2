<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/**
 * Takes a run's moves out of the stock, one after another, and keeps what each of them cut. Three straight axes with the tool
 * along Z; where a rotary axis has turned the part it stops, and says so.
 */
final class StockRun implements ChunkReader
{
    /** What a rapid may graze, mm: the rounding of a figure. */
    private const GRAZE = 0.02;

    /** A cut less wide than this share of the diameter may be as deep as the flute is long (common practice). */
    private const LIGHT = 0.2;

    /** Of one kind and tool no more are kept. */
    private const MOST = 200;

    /** Seconds from which feed in air is long. */
    private const LONG_AIR = 10.0;

    /** How much longer a cell takes under an edge that is not level. */
    private const SHAPED = 4.0;

    /** Places looked at along one move. */
    private const MOST_PLACES = 24;

    /** Chords of an arc that stands upright. */
    private const UPRIGHT_CHORDS = 48;

    public readonly HeightField $field;

    public readonly Engagement $engagement;

    public float $removed = 0.0;

    /** Cells looked at. */
    public int $visits = 0;

    /** Whether it stopped where a rotary axis turned. */
    public bool $isTurned = false;

    /** Whether it stopped since it would look at more cells than it is allowed. */
    public bool $isTooLong = false;

    /** @var array<int, true> tools whose shape is not known, and that were left out */
    public array $unknownTools = [];

    /** @var array<string, array<int, list<Cut>>> what, see Deed => tool => moves */
    private array $deeds = [];

    private readonly Sweep $sweep;

    private readonly Contact $contact;

    /** @var list<float> axis positions of the stock's zero */
    private readonly array $zero;

    /** Whether the tool has come down since it was changed. */
    private bool $isDown = false;

    /** @var array<int, Cutter|null> */
    private array $cutters = [];

    /** Above this there is nothing. */
    private float $top;

    /** @var array<int, float> rotary axis => where it stood first */
    private array $angles = [];

    /** @var list<int> */
    private array $wanted = [];

    /** @var array<int, array<int, float>> */
    private array $kept = [];

    /** Cells, about; see effort(). */
    private float $effort = 0.0;

    private float $depth = 0.0;

    private float $volume = 0.0;

    private int $cells = 0;

    /** @var list<array{line: int, tool: int, seconds: float}> */
    private array $airRuns = [];

    /** @var array{line: int, tool: int, seconds: float}|null the stretch of feed in air that goes on */
    private ?array $air = null;

    private function __construct(private readonly Setup $setup, private readonly Stock $stock, float $cell, private readonly int $mostVisits)
    {
        $this->field = HeightField::box($stock->min, $stock->max, $cell);
        if ($stock->isRound) {
            $this->field->roundOff(($stock->min[0] + $stock->max[0]) / 2, ($stock->min[1] + $stock->max[1]) / 2, ($stock->max[0] - $stock->min[0]) / 2);
        }
        $this->top = $stock->top();
        $this->sweep = new Sweep($this->field);
        $this->contact = new Contact($this->field);
        $this->engagement = new Engagement;
        $this->zero = $setup->machine->ordered($setup->workOffsets[$stock->workOffset] ?? []);
        foreach ($setup->tools as $tool) {
            $this->cutters[$tool->number] = Cutter::of($tool);
        }
    }

    /**
     * Null where the setup has no stock, or the machine no three straight axes to cut it with.
     *
     * @param  float|null  $cell  edge of a cell, mm; chosen by the stock and the tools where not given
     * @param  int  $mostVisits  of cells: where it would look at more, it does not begin, or go on; see isComplete()
     */
    public static function in(Setup $setup, ?float $cell = null, int $mostVisits = PHP_INT_MAX): ?self
    {
        $index = $setup->machine->axisIndex;
        if ($setup->stock === null || $setup->machine->kind !== 'mill' || ! isset($index['X'], $index['Y'], $index['Z'])) {
            return null;
        }

        return new self($setup, $setup->stock, $cell ?? Resolution::of($setup->stock, $setup->tools, $setup->units), $mostVisits);
    }

    /** Whether every move of the run has been taken out of the stock. */
    public function isComplete(): bool
    {
        return ! $this->isTurned && ! $this->isTooLong && $this->unknownTools === [];
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

    /** @return array<int, array<int, float>> row => heights of the field before it */
    public function kept(): array
    {
        foreach ($this->wanted as $row) {
            $this->kept[$row] = $this->field->heights;
        }
        $this->wanted = [];

        return $this->kept;
    }

    /** @return array<int, list<Cut>> tool => the moves that did it, in order */
    public function deeds(Deed $deed): array
    {
        return $this->deeds[$deed->value] ?? [];
    }

    /** @return list<array{line: int, tool: int, seconds: float}> the long stretches at feed that take nothing off */
    public function airRuns(): array
    {
        return $this->air !== null && $this->air['seconds'] >= self::LONG_AIR ? [...$this->airRuns, $this->air] : $this->airRuns;
    }

    /** @param  Chunk  $chunk  timed already */
    public function take(Chunk $chunk, array $states, array $details): void
    {
        $index = $this->setup->machine->axisIndex;
        [$xs, $ys, $zs] = [$chunk->axis($index['X']), $chunk->axis($index['Y']), $chunk->axis($index['Z'])];
        [$x, $y, $z] = [$chunk->before[$index['X']], $chunk->before[$index['Y']], $chunk->before[$index['Z']]];
        $numbers = $chunk->states();
        $lines = $chunk->lines();
        $seconds = $chunk->seconds();
        $lengths = $chunk->lengths();
        $marks = $chunk->marks();
        $arcs = array_flip($chunk->arcRows());
        $depths = $widths = $angles = $volumes = array_fill(0, $chunk->count, 0.0);
        $airs = array_fill(0, $chunk->count, 100);
        $bits = array_fill(0, $chunk->count, 0);
        $stateNumber = -1;
        $state = $tool = $cutter = null;
        $shift = [0.0, 0.0, 0.0];
        $turnsAt = $this->isTurned ? 0 : $this->turnsAt($chunk);
        $this->isTurned = $turnsAt < $chunk->count;
        $this->isTooLong = $this->isTooLong || $this->mostVisits === 0 || ($this->mostVisits < PHP_INT_MAX && $this->effort($chunk, $states) > $this->mostVisits);
        foreach ($this->isTooLong ? [] : $chunk->kinds() as $row => $kind) {
            if ($row === $turnsAt) {
                break;
            }
            if ($this->wanted !== [] && $chunk->first + $row >= $this->wanted[0]) {
                $this->kept[array_shift($this->wanted)] = $this->field->heights;
            }
            if ($numbers[$row] !== $stateNumber) {
                $stateNumber = $numbers[$row];
                $state = $states[$stateNumber];
                $tool = $this->setup->tools[$state->tool] ?? null;
                $cutter = $this->cutters[$state->tool] ?? null;
                $shift = [$this->shift($state, 'X'), $this->shift($state, 'Y'), $this->shift($state, 'Z')];
            }
            [$x0, $y0, $z0] = [$x - $shift[0], $y - $shift[1], $z - $shift[2]];
            [$x, $y, $z] = [$xs[$row], $ys[$row], $zs[$row]];
            [$x1, $y1, $z1] = [$x - $shift[0], $y - $shift[1], $z - $shift[2]];
            if ($kind > MotionKind::ARC || $state === null || ! $state->workIsSet) {
                $this->isDown = $this->isDown && $kind !== MotionKind::TOOL;

                continue;
            }
            // A length that was forgotten is a finding of its own; from where the tool comes down, the stock is cut as was meant,
            // with the tip where the program thinks it is.
            $this->isDown = $this->isDown || ($z1 < $z0 - 1e-9 && ($marks[$row] & Mark::MACHINE) === 0);
            if (! $this->isDown && ! $state->lengthIsKnown()) {
                continue;
            }
            // An arc that stands upright may dip between its ends.
            if ($z0 >= $this->top && $z1 >= $this->top && ($kind !== MotionKind::ARC || $state->plane->normal() === 'Z')) {
                $bits[$row] = Engagement::KNOWN;
                $this->goOnInAir($kind, $marks[$row], $lines[$row], $state, $seconds[$row], 0.0);

                continue;
            }
            if ($z1 >= $z0 && abs($x1 - $x0) < 1e-9 && abs($y1 - $y0) < 1e-9 && $kind !== MotionKind::ARC) {
                $bits[$row] = Engagement::KNOWN; // straight up the way is open, or it came to stand there by an offset

                continue;
            }
            if ($tool === null || $cutter === null) {
                if ($kind !== MotionKind::RAPID && $tool !== null && $tool->kind !== ToolKind::Probe) {
                    $this->unknownTools[$tool->number] = true;
                }

                continue;
            }
            $arc = isset($arcs[$row]) ? [$chunk->arcFirst()[$arcs[$row]], $chunk->arcSecond()[$arcs[$row]], $chunk->arcSweep()[$arcs[$row]]] : null;
            $move = new Move($lines[$row], $chunk->first + $row, $tool, $cutter, $kind, ($marks[$row] & Mark::CYCLE) !== 0, $x0, $y0, $z0, $x1, $y1, $z1, $lengths[$row]);
            ['depth' => $depths[$row], 'width' => $widths[$row], 'angle' => $angles[$row], 'volume' => $volumes[$row], 'air' => $airs[$row], 'marks' => $bits[$row]] = $this->cut($move, $state, $arc, $shift);
            $this->goOnInAir($kind, $marks[$row], $lines[$row], $state, $seconds[$row], $this->volume);
        }
        $this->engagement->add(['depth' => $depths, 'width' => $widths, 'angle' => $angles, 'volume' => $volumes, 'air' => $airs, 'marks' => $bits]);
    }

    /**
     * @param  array{float, float, float}|null  $arc  centre in machine coordinates, and sweep
     * @param  array{float, float, float}  $shift
     * @return array{depth: float, width: float, angle: float, volume: float, air: int, marks: int}
     */
    private function cut(Move $move, State $state, ?array $arc, array $shift): array
    {
        $path = $arc === null ? [[$move->x0, $move->y0, $move->z0], [$move->x1, $move->y1, $move->z1]] : self::places($move, $state, $arc, $shift);
        $found = ['depth' => 0.0, 'width' => 0.0, 'angle' => 0.0, 'volume' => 0.0, 'air' => 100, 'marks' => Engagement::KNOWN];
        if ($move->kind !== MotionKind::RAPID) {
            [$found['width'], $found['angle'], $found['air'], $centre] = $move->isPlunge() ? $this->plunge($move) : $this->along($move, $path);
            $found['marks'] |= $centre ? Engagement::CENTRE : 0;
        }
        $this->lookAtHolder($move);
        $this->depth = $this->volume = 0.0;
        $this->cells = 0;
        if ($arc !== null && $state->plane->normal() === 'Z') {
            $this->sweep->arc($move->cutter, $move->x0, $move->y0, $arc[0] - $shift[0], $arc[1] - $shift[1], $arc[2], $move->z0, $move->z1);
            $this->sum();
        } else {
            for ($i = 1; $i < count($path); $i++) {
                $this->sweep->straight($move->cutter, ...$path[$i - 1], ...$path[$i]);
                $this->sum();
            }
        }
        $this->removed += $this->volume;
        $this->visits = $this->sweep->visits;
        [$found['depth'], $found['volume']] = [$this->depth, $this->volume];
        if ($this->volume <= 0.0) {
            return ['width' => 0.0, 'angle' => 0.0, 'air' => 100] + $found;
        }
        if ($move->kind === MotionKind::RAPID) {
            $this->judgeRapid($move);
        } elseif (! $move->isPlunge()) {
            $this->judge($move, $found['width'], $found['angle'], $arc !== null && $move->z1 !== $move->z0 ? abs($arc[2]) / 360 : 0.0);
        }

        return $found;
    }

    /**
     * About how many cells the run will have looked at when a chunk is done; one under an edge that is not level counts for several.
     *
     * @param  list<State>  $states
     */
    private function effort(Chunk $chunk, array $states): float
    {
        $z = $this->setup->machine->axisIndex['Z'];
        $heights = $chunk->axis($z);
        $lengths = $chunk->lengths();
        $numbers = $chunk->states();
        foreach ($chunk->kinds() as $row => $kind) {
            $state = $states[$numbers[$row]];
            $cutter = $this->cutters[$state->tool] ?? null;
            if ($cutter !== null && $kind !== MotionKind::RAPID && $kind <= MotionKind::ARC && $this->top > $heights[$row] - $this->zero[$z] - $state->lengthShift[$z]) {
                $this->effort += ($cutter->isFlat() ? 1.0 : self::SHAPED) * (2 * $lengths[$row] + M_PI_2 * $cutter->radius) * $cutter->radius / ($this->field->dx * $this->field->dy);
            }
        }

        return $this->effort;
    }

    /** What a cycle does in air is its way, not the program's; and what lies at another work offset the setup does not tell. */
    private function goOnInAir(int $kind, int $marks, int $line, State $state, float $seconds, float $volume): void
    {
        if ($kind !== MotionKind::RAPID && $volume === 0.0 && ($marks & Mark::CYCLE) === 0 && $state->work === $this->stock->workOffset) {
            $this->air ??= ['line' => $line, 'tool' => $state->tool, 'seconds' => 0.0];
            $this->air['seconds'] += $seconds;

            return;
        }
        if ($this->air !== null && $this->air['seconds'] >= self::LONG_AIR && count($this->airRuns) < self::MOST) {
            $this->airRuns[] = $this->air;
        }
        $this->air = null;
    }

    private function shift(State $state, string $axis): float
    {
        $index = $this->setup->machine->axisIndex[$axis];

        return $this->zero[$index] + $state->lengthShift[$index];
    }

    private function sum(): void
    {
        $this->depth = max($this->depth, $this->sweep->depth);
        $this->volume += $this->sweep->volume;
        $this->cells += $this->sweep->cells;
    }

    /**
     * An oriented boring tool steps off the wall it has cut; its sweep is no full circle there. A few cells at a wall are slivers that
     * the path before has left.
     */
    private function judgeRapid(Move $move): void
    {
        if ($this->depth > self::GRAZE && $this->cells > max(3.0, $move->cutter->radius / $this->field->cell() / 4) && ! ($move->inCycle && $move->tool->kind === ToolKind::BoringBar)) {
            $this->keep(Deed::RapidCuts, $move, $this->depth);
        }
    }

    /** @param  float  $turns  how often an arc goes round */
    private function judge(Move $move, float $width, float $angle, float $turns): void
    {
        // Round and round a helix the tool is as deep as one turn takes it.
        $depth = $turns > 1.0 ? min($this->depth, abs($move->z1 - $move->z0) / $turns) : $this->depth;
        if ($move->tool->maxAxialDepth !== null && $width > self::LIGHT * 2 * $move->cutter->radius && $depth > $move->tool->maxAxialDepth + 1e-3) {
            $this->keep(Deed::Deep, $move, $depth);
        }
        if ($move->tool->maxRadialWidth !== null && $width > $move->tool->maxRadialWidth + 2 * $this->field->cell()) {
            $this->keep(Deed::Wide, $move, $width);
        }
        if ($angle > 172.0 && $move->length > 2 * $move->cutter->radius && in_array($move->tool->kind, [ToolKind::EndMill, ToolKind::BullMill], true)) {
            $this->keep(Deed::Slot, $move, $this->depth);
        }
    }

    /**
     * Straight down: what lies under the tool.
     *
     * @return array{float, float, int, bool} width, angle, air, whether the middle is in material
     */
    private function plunge(Move $move): array
    {
        $radius = $move->cutter->radius;
        $under = $this->contact->highest($move->x1, $move->y1, $radius - $this->field->cell());
        if ($move->z1 >= $move->z0 || $under <= $move->z1 + 1e-6) {
            return [0.0, 0.0, 100, false];
        }
        $middle = $this->contact->highest($move->x1, $move->y1, $radius / 2) - $move->z1;
        $isIn = $middle > 1e-6;
        if ($isIn && $middle > self::GRAZE && ! $move->tool->cutsAtCentre()) {
            $this->keep(Deed::PlungeNoCentre, $move, $middle);
        }
        if ($move->tool->kind === ToolKind::Drill && $move->z0 >= $under - 1e-6) {
            $tilt = $this->contact->tilt($move->x1, $move->y1, 0.8 * $radius);
            if ($tilt > 0.2 * $radius) {
                $this->keep(Deed::DrillAskew, $move, $tilt);
            }
        }

        return [2 * $radius, 0.0, (int) round(100 * max(0.0, min(1.0, ($move->z0 - $under) / ($move->z0 - $move->z1)))), $isIn];
    }

    /**
     * Along a path: the widest cut, and how much of the way is in air.
     *
     * @param  non-empty-list<array{float, float, float}>  $path
     * @return array{float, float, int, bool} width, angle, air, whether the middle goes down into material
     */
    private function along(Move $move, array $path): array
    {
        $width = $angle = 0.0;
        $looked = $cutting = 0;
        $centre = false;
        $whole = 0.0;
        for ($i = 1; $i < count($path); $i++) {
            $whole += hypot($path[$i][0] - $path[$i - 1][0], $path[$i][1] - $path[$i - 1][1]);
        }
        $step = $whole / max(1, min(self::MOST_PLACES, (int) ceil($whole / max($move->cutter->radius, 2 * $this->field->cell()))));
        $next = $step / 2;
        for ($i = 1; $i < count($path); $i++) {
            [[$x0, $y0, $z0], [$x1, $y1, $z1]] = [$path[$i - 1], $path[$i]];
            $length = hypot($x1 - $x0, $y1 - $y0);
            for (; $length > 1e-9 && $next < $length; $next += $step) {
                $share = $next / $length;
                [$x, $y, $z] = [$x0 + ($x1 - $x0) * $share, $y0 + ($y1 - $y0) * $share, $z0 + ($z1 - $z0) * $share];
                $looked++;
                $cuts = $this->contact->ahead($move->cutter, $x, $y, $z, ($x1 - $x0) / $length, ($y1 - $y0) / $length);
                $under = $z1 < $z0 && $this->field->at($x, $y) > $z + 1e-6;
                $cutting += $cuts || $under ? 1 : 0;
                $centre = $centre || $under;
                $width = max($width, $this->contact->width);
                $angle = max($angle, $this->contact->angle);
            }
            $next -= $length;
        }

        return [$width, $angle, $looked === 0 ? 100 : (int) round(100 * ($looked - $cutting) / $looked), $centre];
    }

    /** Whether what is above the cutting edges comes to where material stands, at the end of the move and half-way. */
    private function lookAtHolder(Move $move): void
    {
        $radius = $move->cutter->radius;
        foreach ([[($move->x0 + $move->x1) / 2, ($move->y0 + $move->y1) / 2, ($move->z0 + $move->z1) / 2], [$move->x1, $move->y1, $move->z1]] as [$x, $y, $z]) {
            if ($move->tool->fluteLength !== null && $move->tool->kind->isStraight() && $z + $move->tool->fluteLength < $this->top - self::GRAZE) {
                $over = $this->contact->highestOn($x, $y, $radius + $this->field->cell()) - $z - $move->tool->fluteLength;
                if ($over > self::GRAZE) {
                    $this->keep(Deed::ShankRubs, $move, $over);
                }
            }
            $from = $z + ($move->tool->stickout ?? INF);
            foreach ($move->tool->holder as $holder) {
                if ($from >= $this->top - self::GRAZE) {
                    break;
                }
                $over = $this->contact->highest($x, $y, $holder['diameter'] / 2) - $from;
                if ($over > self::GRAZE) {
                    $this->keep(Deed::HolderHits, $move, $over);

                    break;
                }
                $from += $holder['length'] ?? INF;
            }
        }
    }

    private function keep(Deed $deed, Move $move, float $by): void
    {
        $kept = &$this->deeds[$deed->value][$move->tool->number];
        $kept ??= [];
        $last = $kept[count($kept) - 1] ?? null;
        if ($last?->row !== $move->row && count($kept) < self::MOST) {
            $kept[] = new Cut($move->line, $move->row, $move->tool->number, $move->x1, $move->y1, min($move->z0, $move->z1), $by, $move->inCycle);
        }
    }

    /** The first row of a chunk in which a rotary axis stands otherwise than at the beginning; the count of its rows where it does in none. */
    private function turnsAt(Chunk $chunk): int
    {
        $first = $chunk->count;
        foreach (array_values($this->setup->machine->axes) as $axis => $of) {
            if ($of->isRotary()) {
                $this->angles[$axis] ??= $chunk->before[$axis];
                $turned = array_filter($chunk->axis($axis), fn (float $angle): bool => $angle !== $this->angles[$axis]);
                $first = min($first, array_key_first($turned) ?? $first);
            }
        }

        return $first;
    }

    /**
     * An arc as places along it.
     *
     * @param  array{float, float, float}  $arc
     * @param  array{float, float, float}  $shift
     * @return non-empty-list<array{float, float, float}>
     */
    private static function places(Move $move, State $state, array $arc, array $shift): array
    {
        $number = ['X' => 0, 'Y' => 1, 'Z' => 2];
        [$a, $b] = [$number[$state->plane->first()], $number[$state->plane->second()]];
        $from = [$move->x0, $move->y0, $move->z0];
        $to = [$move->x1, $move->y1, $move->z1];
        $centre = [$arc[0] - $shift[$a], $arc[1] - $shift[$b]];
        $radius = hypot($from[$a] - $centre[0], $from[$b] - $centre[1]);
        $start = atan2($from[$b] - $centre[1], $from[$a] - $centre[0]);
        $count = (int) max(2, min(self::UPRIGHT_CHORDS * max(1, abs($arc[2]) / 360), abs($arc[2]) / 3));
        $places = [$from];
        for ($n = 1; $n <= $count; $n++) {
            $share = $n / $count;
            $at = [$from[0] + ($to[0] - $from[0]) * $share, $from[1] + ($to[1] - $from[1]) * $share, $from[2] + ($to[2] - $from[2]) * $share];
            $at[$a] = $centre[0] + $radius * cos($start + deg2rad($arc[2]) * $share);
            $at[$b] = $centre[1] + $radius * sin($start + deg2rad($arc[2]) * $share);
            $places[] = $at;
        }

        return $places;
    }
}
