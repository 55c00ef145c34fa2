<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use Closure;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Geometry\Turn;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\Blank;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Trace\MotionKind;

/** A piece of material from the side that faces the tool, with what has been cut of it. In the coordinates of its work offset, mm. */
final class Body
{
    /** What a rapid may graze, mm: the rounding of a figure. */
    private const GRAZE = 0.02;

    /** A tool that cuts at its end may be brought out of its hole a little aslant, mm. */
    private const ASLANT = 0.1;

    /** A cut less wide than this share of the diameter may be as deep as the flute is long (common practice). */
    private const LIGHT = 0.2;

    /** A thread mill in its hole is less wide in the cut than so many of its radii, however close a fit it is. */
    private const THREAD = 1.0;

    /** Depth of an inner thread in pitches (ISO 724). */
    private const THREAD_DEPTH = 0.541;

    /** Pitches up to which a tap has cut no whole thread: the lead of most is longer (common practice). */
    private const LEAD = 3.0;

    /** From this angle on a cut is one at full width, degrees. */
    private const FULL = 172.0;

    /** How far beyond its radius a wall may stand that a cutter has cut, in cells. */
    private const AT_WALL = 0.55;

    /** Cells from a cut within which a sliver of it may stand. */
    private const NEAR = 2;

    /** So few cells, or a cut of so small a share of a cell in width, are slivers. */
    private const SLIVERS = 3;

    private const SLIVER = 0.05;

    /** What is less than this is the rounding of figures, mm³. */
    private const SPECK = 1e-9;

    /** Places looked at along one move at the most. */
    private const MOST_PLACES = 2000;

    /** The same along a rapid. */
    private const MOST_LOOKS = 400;

    /** Rise for each mm up to which a side of the blank slopes; steeper it is a wall. */
    private const SLOPE = 6.0;

    public readonly float $top;

    /** @var array<int, float>|null heights of the field before anything was cut; worked out again where it has been put away */
    private ?array $uncut = null;

    public float $removed = 0.0;

    private ?Closure $surface = null;

    private Drilled $drilled;

    private Bores $bores;

    private Sweep $sweep;

    private Contact $contact;

    private ShortMoves $short;

    private ?Blocks $blocks = null;

    private float $depth = 0.0;

    private float $volume = 0.0;

    private int $cells = 0;

    /**
     * @param  int  $stock  number of its stock in the setup
     * @param  HeightField  $field  what is seen of the blank
     * @param  Shift  $zero  where the zero of its work offset lies in the machine
     */
    public function __construct(
        public readonly int $stock, public HeightField $field, private readonly Blank $blank, public readonly ?Turn $turn, public readonly Shift $zero,
    ) {
        $this->top = $field->top;
        $this->uncut = $field->heights;
        $this->sweep = new Sweep($this->field);
        $this->contact = new Contact($this->field);
        $this->drilled = new Drilled;
        $this->bores = new Bores;
        $this->short = new ShortMoves;
    }

    public function __clone()
    {
        $this->field = clone $this->field;
        $this->drilled = clone $this->drilled;
        $this->bores = clone $this->bores;
        $this->short = clone $this->short;
        $this->sweep = $this->sweep->over($this->field);
        $this->contact = new Contact($this->field);
        $this->blocks = null;
    }

    /** @return list<string> all but what can be worked out again */
    public function __sleep(): array
    {
        return array_values(array_diff(array_keys(get_object_vars($this)), ['uncut', 'surface', 'blocks']));
    }

    /**
     * How high the material stood at a point before anything was cut; -INF where there was none. Of a solid it is taken to go straight
     * from cell to cell, where they differ by no more than a side that slopes.
     */
    public function before(float $x, float $y): float
    {
        $field = $this->field;
        $this->surface ??= $this->blank->surface($this->turn);
        if ($this->surface !== null) {
            $height = ($this->surface)($x, $y);

            return $height === null || $height <= $field->bottom ? -INF : $height;
        }
        $cell = $field->cellAt($x, $y);
        $uncut = $this->uncut();
        if ($cell === null || $uncut[$cell] <= $field->bottom) {
            return -INF;
        }
        $across = ($x - $field->x) / $field->dx - 0.5;
        $along = ($y - $field->y) / $field->dy - 0.5;
        [$column, $row] = [max(0, min($field->columns - 2, (int) floor($across))), max(0, min($field->rows - 2, (int) floor($along)))];
        $first = $row * $field->columns + $column;
        $heights = [
            $uncut[$first], $uncut[$first + 1] ?? $uncut[$cell], $uncut[$first + $field->columns] ?? $uncut[$cell],
            $uncut[$first + $field->columns + 1] ?? $uncut[$cell],
        ];
        if (max($heights) - min($heights) > self::SLOPE * $field->cell()) {
            return $uncut[$cell];
        }
        [$right, $back] = [$across - $column, $along - $row];

        return ($heights[0] * (1 - $right) + $heights[1] * $right) * (1 - $back) + ($heights[2] * (1 - $right) + $heights[3] * $right) * $back;
    }

    /**
     * Whether it stood at its top all along a line, ends and all, before anything was cut.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function isLevelAlong(array $from, array $to): bool
    {
        return $this->blank->isLevel() && $this->turn === null && $this->field->cellAt(...$from) !== null && $this->field->cellAt(...$to) !== null;
    }

    /** Whether there was any of the blank at a place. */
    public function wasThere(PartPoint $point): bool
    {
        return $this->blank->holds($this->turn === null ? $point : $this->turn->undo($point));
    }

    /** Whether nothing of it hangs over. */
    public function standsLevel(): bool
    {
        return $this->blank->standsLevel($this->turn);
    }

    /** What there was of it, mm³. */
    public function whole(): float
    {
        return $this->blank->volume() ?? (array_sum($this->uncut()) - count($this->uncut()) * $this->field->bottom) * $this->field->dx * $this->field->dy;
    }

    /** Whether more cells than so many have been lowered. */
    public function hasLowered(int $many): bool
    {
        $uncut = $this->uncut();
        foreach ($this->field->heights as $cell => $height) {
            if ($height < $uncut[$cell] && --$many < 0) {
                return true;
            }
        }

        return false;
    }

    /** How much has been taken off a cell, mm. */
    public function takenOff(int $cell): float
    {
        return $this->uncut()[$cell] - $this->field->heights[$cell];
    }

    /** @return array<int, float> heights of the field before anything was cut */
    public function uncut(): array
    {
        return $this->uncut ??= $this->blank->seen($this->field->cell() * (1 + 1e-9), $this->turn)->heights ?? $this->field->heights;
    }

    /** Whether a tool on its way from one place to the other comes over it at all. */
    public function isUnder(Move $move, float $reach): bool
    {
        $field = $this->field;

        return max($move->x0, $move->x1) + $reach > $field->x && min($move->x0, $move->x1) - $reach < $field->x + $field->columns * $field->dx
            && max($move->y0, $move->y1) + $reach > $field->y && min($move->y0, $move->y1) - $reach < $field->y + $field->rows * $field->dy;
    }

    /** Cells looked at. */
    public function visits(): int
    {
        return $this->sweep->visits;
    }

    /**
     * Takes a move out of it, and says what it cut.
     *
     * @return array{depth: float, width: float, angle: float, volume: float, area: float, over: float, air: int, marks: int} area: the
     *         most it takes for each mm of its way, mm², 0 where it is too short to tell; over: how high the material before a rounded cutter
     *         stands above its tip
     */
    public function cut(Move $move, Incidents $incidents): array
    {
        $short = $this->short->takes($move) ? $this->short : null;
        $found = ['depth' => 0.0, 'width' => 0.0, 'angle' => 0.0, 'volume' => 0.0, 'area' => 0.0, 'over' => 0.0, 'air' => 100, 'marks' => Engagement::KNOWN];
        if ($move->kind !== MotionKind::RAPID) {
            [$found['width'], $found['angle'], $found['air'], $center, $found['over']] = $move->isPlunge()
                ? [...$this->plunge($move, $incidents), 0.0] : $short?->seen($move) ?? $this->along($move, $short);
            $found['marks'] |= $center ? Engagement::CENTRE : 0;
        }
        $this->lookAtHolder($move, $incidents);
        $isRapid = $move->kind === MotionKind::RAPID;
        $before = $isRapid ? $this->field->heights : [];
        $struck = $isRapid ? $this->struck($move) : 0.0;
        $drilled = $this->drilled->of($move, $this->field, $this->contact);
        $found['area'] = $short === null ? $this->takeOut($move) : $this->takeOutShort($move, $short);
        $this->volume = $drilled ?? ($this->volume < self::SPECK ? 0.0 : $this->volume);
        $this->removed += $this->volume;
        [$found['depth'], $found['volume']] = [$this->depth, $this->volume];
        if ($isRapid) {
            $this->judgeRapid($move, $incidents, $struck, $before);
        }
        if ($this->volume <= 0.0) {
            return ['width' => 0.0, 'angle' => 0.0, 'air' => 100] + $found;
        }
        if (! $isRapid && ! $move->isPlunge()) {
            if ($found['air'] === 100 || $this->isNarrow($move->cutter)) {
                $found = ($this->light($move) ?? []) + $found;
            }
            $this->judge($move, $incidents, $found['width'], $found['angle'], $short);
        }

        return $found;
    }

    /** @return float the most it takes for each mm of its way, mm²; 0 where it is too short to tell */
    private function takeOut(Move $move): float
    {
        $this->depth = $this->volume = $most = 0.0;
        $this->cells = 0;
        $pieces = $move->pieces();
        foreach ($pieces as $piece) {
            $move->round !== null ? $this->sweep->arc($move->cutter, ...$piece) : $this->sweep->straight($move->cutter, ...$piece);
            $this->depth = max($this->depth, $this->sweep->depth);
            $this->volume += $this->sweep->volume;
            $most = max($most, $this->sweep->volume);
            $this->cells += $this->sweep->cells;
        }

        // Of equal pieces the one that takes most tells how much the tool has before it there.
        return $move->length > 0.0 && count($pieces) > 1 ? $most * count($pieces) / $move->length : 0.0;
    }

    /** One of a pass, which is no longer than a piece. */
    private function takeOutShort(Move $move, ShortMoves $short): float
    {
        $this->sweep->along($short, $move->cutter, $move->x0, $move->y0, $move->z0, $move->x1, $move->y1, $move->z1);
        [$this->depth, $this->volume, $this->cells] = [$this->sweep->depth, $this->sweep->volume, $this->sweep->cells];

        return 0.0;
    }

    /**
     * An oriented boring tool steps off the wall it has cut; its sweep is no full circle there. A few cells at a wall that was cut
     * before are slivers that the path before has left.
     *
     * @param  float  $struck  see struck()
     * @param  array<int, float>  $before  heights before the move
     */
    private function judgeRapid(Move $move, Incidents $incidents, float $struck, array $before): void
    {
        $isBoring = $move->inCycle && ! $move->isPlunge() && $move->tool->kind === ToolKind::BoringBar;
        $isMany = $this->cells > max(3.0, $move->cutter->radius / $this->field->cell() / 4);
        if (! $isBoring && ($struck > self::GRAZE || ($this->depth > self::GRAZE && ($isMany || $this->isApartFromCuts($before))))) {
            $incidents->add(Incident::RapidCuts, $move, max($struck, $this->depth), $this->stock);
        }
    }

    /**
     * How deep a rapid goes into what can be told exactly, however coarse the cells are: into the material under its axis, and into
     * a side of the blank that nothing has been cut of yet.
     */
    private function struck(Move $move): float
    {
        $struck = 0.0;
        $radius = $move->cutter->radius;
        $isFlat = $move->cutter->isFlat();
        // A cell stands for a place that may be this far from the axis, where the edge is higher.
        $edge = $move->cutter->height(min($radius, 0.75 * $this->field->cell()) ** 2);
        foreach ($move->path as $i => $to) {
            [[$x1, $y1, $z1], [$x0, $y0, $z0]] = [$to->each(), $move->path[max(0, $i - 1)]->each()];
            $way = hypot($x1 - $x0, $y1 - $y0);
            $steps = (int) max(1, min(self::MOST_LOOKS, ceil($way / max($this->field->cell(), $radius / 4))));
            for ($n = $i === 0 ? $steps : 1; $n <= $steps; $n++) {
                [$x, $y, $z] = [$x0 + ($x1 - $x0) * $n / $steps, $y0 + ($y1 - $y0) * $n / $steps, $z0 + ($z1 - $z0) * $n / $steps];
                if ($z >= $this->top - self::GRAZE || ($move->isPlunge() && $z1 >= $z0)) {
                    continue;
                }
                $under = $this->field->at($x, $y) - max($z, $this->field->bottom);
                $struck = $under > $edge + self::GRAZE ? max($struck, $under) : $struck;
                $side = $isFlat ? $this->blank->nearest($x, $y, $this->turn) : null;
                if ($side !== null && hypot($x - $side[0], $y - $side[1]) < $radius - self::GRAZE && $this->isUncutAt(...$side)) {
                    $struck = max($struck, $this->top - max($z, $this->field->bottom));
                }
            }
        }

        return $struck;
    }

    /** Whether nothing has been cut of a place on a side of the blank, nor right beside it. */
    private function isUncutAt(float $x, float $y): bool
    {
        $field = $this->field;
        $column = max(0, min($field->columns - 1, (int) floor(($x - $field->x) / $field->dx)));
        $row = max(0, min($field->rows - 1, (int) floor(($y - $field->y) / $field->dy)));

        return ! $this->wasCutNear($row * $field->columns + $column, $field->heights);
    }

    /**
     * Whether some cell that has been lowered lies apart from all that was cut before: then it is no sliver.
     *
     * @param  array<int, float>  $before
     */
    private function isApartFromCuts(array $before): bool
    {
        foreach ($this->field->heights as $cell => $height) {
            if ($height < $before[$cell] - self::GRAZE && ! $this->wasCutNear($cell, $before)) {
                return true;
            }
        }

        return false;
    }

    /** @param  array<int, float>  $heights */
    private function wasCutNear(int $cell, array $heights): bool
    {
        $uncut = $this->uncut();
        $columns = $this->field->columns;
        for ($row = max(0, intdiv($cell, $columns) - self::NEAR); $row <= min($this->field->rows - 1, intdiv($cell, $columns) + self::NEAR); $row++) {
            for ($column = max(0, $cell % $columns - self::NEAR); $column <= min($columns - 1, $cell % $columns + self::NEAR); $column++) {
                if ($heights[$row * $columns + $column] < $uncut[$row * $columns + $column] - 1e-6) {
                    return true;
                }
            }
        }

        return false;
    }

    /**
     * How far a move at rapid stays above what stands under its way, mm; INF where nothing does.
     *
     * @param  bool  $atEnd  look at its end alone
     */
    public function clearanceOf(Move $move, bool $atEnd = false): float
    {
        $radius = $move->cutter->radius;
        $way = $atEnd ? 0.0 : hypot($move->x1 - $move->x0, $move->y1 - $move->y0);
        $steps = (int) min(self::MOST_LOOKS, ceil($way / max($radius / 2, 2 * $this->field->cell())));
        $least = INF;
        for ($n = 0; $n <= $steps; $n++) {
            $share = $steps === 0 ? 1.0 : $n / $steps;
            $highest = $this->contact->highest(
                $move->x0 + ($move->x1 - $move->x0) * $share, $move->y0 + ($move->y1 - $move->y0) * $share, max(0.0, $radius - $this->field->cell()),
            );
            if ($highest > $this->field->bottom + 1e-6) {
                $least = min($least, $move->z0 + ($move->z1 - $move->z0) * $share - $highest);
            }
        }

        return $least;
    }

    /**
     * How deep a tool that takes nothing off runs into what stands under its way, mm. Nothing where it comes from within: it has been
     * stopped by touching before, and where that was nobody knows.
     */
    public function struckBy(Move $move): float
    {
        $reach = max(0.0, $move->cutter->radius - $this->field->cell());
        if ($this->contact->highest($move->x0, $move->y0, $reach) > $move->z0 + self::GRAZE) {
            return 0.0;
        }
        $into = -$this->clearanceOf($move);

        return $into > self::GRAZE ? $into : 0.0;
    }

    /** How deep a tool stands in what is left: its sides count, since a stopped tool is held by them. */
    public function depthAt(Move $move): float
    {
        return $this->contact->highest($move->x1, $move->y1, $move->cutter->radius + $this->field->cell()) - $move->z1;
    }

    /** Whether any of a blank lay under a tool at a place, higher than that, before anything was cut. */
    public function stoodAbove(PartPoint $tip, float $radius): bool
    {
        [$x, $y, $z] = $tip->each();
        if ($this->before($x, $y) > $z + self::GRAZE) {
            return true;
        }
        for ($n = 0; $n < 8; $n++) {
            if ($this->before($x + $radius * cos(M_PI_4 * $n), $y + $radius * sin(M_PI_4 * $n)) > $z + self::GRAZE) {
                return true;
            }
        }

        return false;
    }

    private function judge(Move $move, Incidents $incidents, float $width, float $angle, ?ShortMoves $short): void
    {
        // Round and round a helix the tool is as deep as one turn takes it.
        $depth = $move->turns > 1.0 - 1e-6 ? min($this->depth, abs($move->z1 - $move->z0) / $move->turns) : $this->depth;
        if (
            $move->tool->limits->maxAxialDepth !== null && $width > self::LIGHT * 2 * $move->cutter->radius
            && $depth > $move->tool->limits->maxAxialDepth + 1e-3
        ) {
            $incidents->add(Incident::Deep, $move, $depth, $this->stock);
        }
        if ($move->tool->kind->cutsAtEndOnly() && $this->depth > self::ASLANT) {
            $incidents->add(Incident::Sideways, $move, $this->depth, $this->stock);
        }
        $widest = $move->tool->limits->maxRadialWidth ?? ($move->tool->kind === ToolKind::ThreadMill ? self::THREAD * $move->cutter->radius : INF);
        if ($width > $widest + 2 * $this->field->cell()) {
            $incidents->add(Incident::Wide, $move, $width, $this->stock);
        }
        $isSlot = $short === null ? $angle > self::FULL && $move->length > 2 * $move->cutter->radius : $short->isSlot($move, $angle > self::FULL);
        if ($isSlot && in_array($move->tool->kind, [ToolKind::EndMill, ToolKind::BullMill], true)) {
            $incidents->add(Incident::Slot, $move, $this->depth, $this->stock);
        }
    }

    /**
     * Straight down: what lies under the tool.
     *
     * @return array{float, float, int, bool} width, angle, air, whether the middle is in material
     */
    private function plunge(Move $move, Incidents $incidents): array
    {
        $radius = $move->cutter->radius;
        $this->lookAtHole($move, $incidents);
        $this->bores->add($move);
        $under = $this->contact->highest($move->x1, $move->y1, $radius - $this->field->cell());
        if ($move->z1 >= $move->z0 || $under <= $move->z1 + 1e-6) {
            return [0.0, 0.0, 100, false];
        }
        // A tool that follows a hole finds one where its middle is open, however small.
        $follows = self::mostOfRadius($move->tool) !== null;
        $middle = $this->contact->highest($move->x1, $move->y1, $follows ? min($radius / 2, 2 * $this->field->cell()) : $radius / 2) - $move->z1;
        $isIn = $middle > 1e-6;
        if ($isIn && $middle > self::GRAZE && ! $move->tool->cutsAtCenter()) {
            $incidents->add(Incident::PlungeNoCenter, $move, $middle, $this->stock);
        }
        $most = $isIn ? null : self::mostOfRadius($move->tool);
        if (
            $most !== null && $radius > $most + 2 * $this->field->cell()
            && $this->contact->highestOn($move->x1, $move->y1, $radius - $most - $this->field->cell()) > $move->z1 + self::GRAZE
        ) {
            $ring = $radius - $most;
            while (
                $ring > 2 * $this->field->cell()
                && $this->contact->highestOn($move->x1, $move->y1, $ring - $this->field->cell()) > $move->z1 + self::GRAZE
            ) {
                $ring -= $this->field->cell();
            }
            $incidents->add(Incident::HoleTooSmall, $move, $radius - $ring, $this->stock);
        }
        // Of a hole that a drill of a few cells has begun the cells do not tell which way its floor slopes.
        $cell = $this->field->cellAt($move->x1, $move->y1);
        $isBegun = $radius < 4 * $this->field->cell() && $cell !== null && $this->takenOff($cell) > self::GRAZE;
        if ($move->tool->kind === ToolKind::Drill && $move->z0 >= $under - 1e-6 && ! $isBegun) {
            $tilt = $this->contact->tilt($move->x1, $move->y1, 0.8 * $radius);
            if ($tilt > 0.2 * $radius) {
                $incidents->add(Incident::DrillAskew, $move, $tilt, $this->stock);
            }
        }

        return [2 * $radius, 0.0, (int) round(100 * max(0.0, min(1.0, ($move->z0 - $under) / ($move->z0 - $move->z1)))), $isIn];
    }

    /** Whether the hole of a tap or a reamer is too large for it, and a tap goes deep enough. */
    private function lookAtHole(Move $move, Incidents $incidents): void
    {
        $isTap = $move->tool->isTap();
        if ($move->z1 >= $move->z0 || (! $isTap && $move->tool->kind !== ToolKind::Reamer)) {
            return;
        }
        $thread = $isTap ? self::THREAD_DEPTH * ($move->tool->geometry->pitch ?? 0.0) : 0.0;
        $bore = $this->bores->widestUnder($move, $this->field->bottom);
        if ($bore !== null && $bore >= $move->cutter->radius - $thread / 3 - 1e-6) {
            $incidents->add(Incident::HoleTooLarge, $move, $bore, $this->stock);
        } elseif ($bore === null && $isTap) {
            $this->lookForThread($move, $incidents, $thread);
        }
        $face = $this->contact->highest($move->x1, $move->y1, $move->cutter->radius + 2 * $this->field->cell());
        $deep = $face - $move->z1;
        if ($isTap && $deep > self::GRAZE && $deep < self::LEAD * ($move->tool->geometry->pitch ?? 0.0) && $move->z1 > $this->field->bottom) {
            $incidents->add(Incident::TapShallow, $move, $deep, $this->stock);
        }
    }

    /** Whether a tap has nothing to cut its thread into, by the cells: less than a third of its depth. */
    private function lookForThread(Move $move, Incidents $incidents, float $deep): void
    {
        $cell = $this->field->cell();
        if ($cell > $deep / 2 || $this->before($move->x1, $move->y1) <= $move->z1 + $move->cutter->radius) {
            return;
        }
        $ring = $move->cutter->radius - max($cell, $deep / 3);
        if ($this->contact->highestOn($move->x1, $move->y1, $ring) <= $move->z1 + self::GRAZE) {
            $incidents->add(Incident::HoleTooLarge, $move, $ring, $this->stock);
        }
    }

    /** How much of its radius a tool that follows a hole takes at the most, mm (common practice); null for one that follows none. */
    private static function mostOfRadius(Tool $tool): ?float
    {
        return match ($tool->kind) {
            ToolKind::BoringBar => 2.0,
            ToolKind::Reamer => 0.5,
            // The whole depth of its thread, and some rounding: 0.613 P (ISO 68-1).
            ToolKind::Tap => 0.8 * ($tool->geometry->pitch ?? 0.2 * ($tool->geometry->diameter ?? 0.0)),
            default => null,
        };
    }

    /**
     * Along a move: the widest cut, and how much of the way is in air.
     *
     * @return array{float, float, int, bool, float} width, angle, air, whether the middle goes down into material, how high it stands before a rounded cutter
     */
    private function along(Move $move, ?ShortMoves $short): array
    {
        $width = $angle = $over = 0.0;
        $looked = $cutting = 0;
        $center = false;
        foreach ($this->placesOn($move->path, $move->cutter->radius) as [$x, $y, $z, $alongX, $alongY, $goesDown]) {
            $looked++;
            $cuts = $this->contact->ahead($move->cutter, $x, $y, $z, $alongX, $alongY, $short);
            $under = $goesDown && $this->field->at($x, $y) > $z + 1e-6;
            $cutting += $cuts || $under ? 1 : 0;
            $center = $center || $under;
            $width = max($width, $this->contact->width);
            $angle = max($angle, $this->contact->angle);
            $over = max($over, $this->contact->over);
        }

        $seen = [$width, $angle, $looked === 0 ? 100 : (int) round(100 * ($looked - $cutting) / $looked), $center, $over];

        return $short?->keep($seen) ?? $seen;
    }

    /**
     * A cut so light, or a tool so narrow, that no place on the rim has shown it: it goes on where a wall stands right beside the way when
     * it is done, and is as wide as what it has taken says.
     *
     * @return array{width: float, angle: float, air: int}|null  null where it is no cut
     */
    private function light(Move $move): ?array
    {
        $radius = $move->cutter->radius;
        $looked = $beside = 0;
        $whole = 0.0;
        foreach ($move->path as $i => $to) {
            $whole += $i === 0 ? 0.0 : hypot($to->x - $move->path[$i - 1]->x, $to->y - $move->path[$i - 1]->y);
        }
        foreach ($this->placesOn($move->path, $radius) as [$x, $y, $z]) {
            $looked++;
            $beside += $this->contact->highestOn($x, $y, $radius + $this->field->cell()) > max($z, $this->field->bottom) + 1e-6 ? 1 : 0;
        }
        $share = $beside === 0 ? 1.0 : $beside / $looked;
        $width = min(2 * $radius, $this->volume / max(1e-9, $this->depth * $whole * $share));
        if ($this->cells <= self::SLIVERS || $width < self::SLIVER * $this->field->cell()) {
            return null; // what another path has left at its wall
        }

        return ['width' => $width, 'angle' => rad2deg(acos(1 - $width / $radius)), 'air' => (int) round(100 * (1 - $share))];
    }

    /** Whether a flat tool has its rim within a cell of its middle, where Contact looks at none of it. */
    private function isNarrow(Cutter $cutter): bool
    {
        return $cutter->isFlat() && $cutter->radius <= $this->field->cell();
    }

    /**
     * Places along a path to look from, as near to each other as its tool asks for.
     *
     * @param  non-empty-list<PartPoint>  $path
     * @return iterable<array{float, float, float, float, float, bool}> each with the direction there, and whether the way goes down
     */
    private function placesOn(array $path, float $radius): iterable
    {
        $whole = 0.0;
        for ($i = 1; $i < count($path); $i++) {
            $whole += hypot($path[$i]->x - $path[$i - 1]->x, $path[$i]->y - $path[$i - 1]->y);
        }
        $step = $whole / max(1, min(self::MOST_PLACES, (int) ceil($whole / max($radius / 2, 2 * $this->field->cell()))));
        $next = $step / 2;
        for ($i = 1; $i < count($path); $i++) {
            [[$x0, $y0, $z0], [$x1, $y1, $z1]] = [$path[$i - 1]->each(), $path[$i]->each()];
            $length = hypot($x1 - $x0, $y1 - $y0);
            for (; $length > 1e-9 && $next < $length; $next += $step) {
                $share = $next / $length;
                yield [
                    $x0 + ($x1 - $x0) * $share, $y0 + ($y1 - $y0) * $share, $z0 + ($z1 - $z0) * $share, ($x1 - $x0) / $length, ($y1 - $y0) / $length,
                    $z1 < $z0,
                ];
            }
            $next -= $length;
        }
    }

    /** Whether what is above the cutting edges comes to where material stands, anywhere on the way. */
    private function lookAtHolder(Move $move, Incidents $incidents): void
    {
        $lowest = $move->kind === MotionKind::ARC ? min(array_column($move->path, 'z')) : ($move->z0 < $move->z1 ? $move->z0 : $move->z1);
        $tool = $move->tool;
        if ($tool->geometry->fluteLength !== null && $tool->kind->isStraight() && $lowest + $tool->geometry->fluteLength < $this->top - self::GRAZE) {
            // A wall the cutter has just cut stands within half a cell of its radius.
            $over = $this->blocks()->depth($move->path, $move->cutter->radius + self::AT_WALL * $this->field->cell(), $tool->geometry->fluteLength);
            if ($over > self::GRAZE) {
                $incidents->add(Incident::ShankRubs, $move, $over, $this->stock);
            }
        }
        $cone = $tool->kind->cutsWithCone() ? $move->cutter->coneHeight() : INF;
        // Some have a short edge above it; deeper in than it is wide is none of that.
        if ($lowest + $cone + $move->cutter->radius < $this->top - self::GRAZE) {
            $over = $this->blocks()->depth($move->path, $move->cutter->radius + self::AT_WALL * $this->field->cell(), $cone);
            if ($over > $move->cutter->radius) {
                $incidents->add(Incident::ConeBuried, $move, $over, $this->stock);
            }
        }
        $above = $tool->holding->stickout ?? INF;
        foreach ($tool->holding->holder as $holder) {
            if ($lowest + $above >= $this->top - self::GRAZE) {
                break;
            }
            $over = $this->blocks()->depth($move->path, max(0.0, $holder['diameter'] / 2 - $this->field->cell() / 2), $above);
            if ($over > self::GRAZE) {
                $incidents->add(Incident::HolderHits, $move, $over, $this->stock);

                break;
            }
            $above += $holder['length'] ?? INF;
        }
    }

    private function blocks(): Blocks
    {
        return $this->blocks ??= new Blocks($this->field);
    }
}
