<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\BarBlank;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\State;

/** Takes the moves of a turning program out of a bar, and keeps what is worth telling of them. Places in the stock's work offset, mm. */
final class TurnedStock implements ChunkReader
{
    /** Edge of a cell where the bar is short, mm. */
    private const CELL = 0.02;

    private const MOST_CELLS = 20_000;

    /** A rapid that takes no more touches what stands there, mm. */
    private const GRAZE = 0.01;

    /** Leaving a shoulder, the tip takes what an edge of more than 90° has left of it: no more than this is none (common practice). */
    private const LEAVING = 0.3;

    /** What a cycle takes at rapid of a wall that leans as its edge has left it, mm: each control retracts a little otherwise. */
    private const IN_CYCLE = 0.1;

    /** How far chords of an arc may stand off it, mm. */
    private const CHORD = 0.001;

    private const MOST_CHORDS = 2000;

    /** Of one kind no more are kept. */
    private const MOST = 200;

    /** Places looked at along a pass of a thread. */
    private const CREST_LOOKS = 40;

    /** How far beside a cut the bar is what it was, mm. */
    private const BESIDE = 5.0;

    /** Cells it looks at before it gives up: some seconds. */
    private const MOST_VISITS = 8_000_000;

    private int $visits = 0;

    public RadiusProfile $profile;

    public readonly float $before;

    public CutWatch $watch;

    public Surroundings $around;

    public NearRapids $near;

    public Neighbours $neighbours;

    public Holders $holders;

    public OffCenter $offCenter;

    /** @var list<TurnedCut> rapids that go into the stock: how deep */
    public array $rapids = [];

    /** @var array<int, true> tools whose shape is not told, so that from their first cut on nothing is known */
    public array $unknownTools = [];

    /** @var array<int, TurnedCut> by tool the deepest cut of one that turns: how deep */
    public array $deepest = [];

    /** Where the C axis stands, degrees. */
    private float $angle = 0.0;

    /** mm a turn */
    private float $feed = 0.0;

    /** @var list<TurnedCut> where something came off: its radius there */
    public array $partings = [];

    /** @var array<int, true> lines, of whichever text, that have cut before the last part was parted off */
    private array $linesCut = [];

    /** @var array<int, TurnedCut> by tool its first feed where the part has been parted off before */
    public array $behindParting = [];

    /** @var list<TurnedCut> those of them with nothing to take the part: no second chuck closed on it, no catcher under it */
    public array $uncaught = [];

    /** @var list<TurnedCut> those of them with the tailstock in */
    public array $partedFromCenter = [];

    /** @var list<float|null> how far each pass of a thread goes below the crest it is cut into, mm; null where nothing stands there */
    public array $threadDepths = [];

    /** @var list<float> and how far at most: where a shoulder stands in its way it is more, mm */
    public array $threadWalls = [];

    /** @var array<int, TurnedCut> by tool its longest way at feed through air, s; where it ends */
    public array $air = [];

    private float $airSeconds = 0.0;

    /** Whether the move met something. */
    private bool $hasMet = false;

    /** Radius where a move straight in met it; INF for another move. */
    private float $metAt = INF;

    /** @var list<RadiusProfile> what has come off */
    public array $partedOff = [];

    /** @var array<int, true> tools that have taken something */
    public array $cutting = [];

    /** @var array<string, non-empty-list<array{float, float}>|null> tool and offset => its shape */
    private array $shapes = [];

    /** @var array<int, list<RadiusProfile>> row => what stood after it, and what had come off; of the rows that were asked for */
    public array $kept = [];

    /** @var array<int, true> rows */
    private array $keepAfter = [];

    private bool $afterThread = false;

    private readonly ?int $cAxis;

    /** Whether the last move was one at feed. */
    private bool $afterFeed = false;

    private function __construct(
        private readonly Setup $setup, private readonly int $zAxis, private readonly int $xAxis, private readonly string $work, BarBlank $bar, float $radius,
        float $from, float $to, private readonly ?WrongEntry $wrong, float $cell,
    ) {
        $this->profile = RadiusProfile::bar(
            $from, $to, $radius, $bar->bore() / 2, max($cell, ($to - $from) / self::MOST_CELLS), $bar->outer, $bar->inner, $bar->acrossFlats,
        );
        $this->before = $this->profile->volume();
        // Jaws grip what stands behind their face.
        $face = $setup->workholding->chuck->jawFaceZ ?? $from;
        $gripped = $this->profile->radiusAt(max($from, $face) + ($face > $from ? -1.0 : 1.0) * $this->profile->cell) ?: $radius;
        [$this->watch, $this->around] = [new CutWatch($setup), new Surroundings($setup, $gripped)];
        $this->neighbours = new Neighbours($setup);
        $this->holders = new Holders($setup, $radius);
        $this->offCenter = new OffCenter;
        $this->cAxis = $setup->machine->axisIndex[AxisName::C] ?? null;
        $this->near = new NearRapids(clone $this->profile, $setup->margins->clearance ?? 0.0);
    }

    public function __clone()
    {
        [$this->profile, $this->watch, $this->around] = [clone $this->profile, clone $this->watch, clone $this->around];
        [$this->near, $this->neighbours, $this->holders] = [clone $this->near, clone $this->neighbours, clone $this->holders];
        $this->offCenter = clone $this->offCenter;
    }

    /**
     * Null where the machine is no lathe, or the stock no bar along its axis.
     *
     * @param  WrongEntry|null  $wrong  an entry that is wrong
     * @param  float  $cell  edge of a cell where the bar is short, mm
     */
    public static function in(Setup $setup, ?WrongEntry $wrong = null, float $cell = self::CELL): ?self
    {
        $stock = $setup->workpiece->stock;
        $index = $setup->machine->axisIndex;
        if (
            ! $setup->machine->isLathe() || $stock === null || ! $stock->blank instanceof BarBlank || ! $stock->blank->liesAlong(2)
            || ! isset($index[AxisName::Z], $index[AxisName::X])
        ) {
            return null;
        }

        return new self(
            $setup, $index[AxisName::Z], $index[AxisName::X], $stock->workOffset, $stock->blank, $stock->around->high->x, $stock->around->low->z,
            $stock->around->high->z, $wrong, $cell,
        );
    }

    /**
     * Keeps how it stands after some rows; −1 for before all.
     *
     * @param  list<int>  $rows
     */
    public function keepAfter(array $rows): void
    {
        $this->keepAfter = array_fill_keys($rows, true);
        if (isset($this->keepAfter[-1])) {
            $this->kept[-1] = $this->snapshot();
        }
    }

    /** @return list<RadiusProfile> what stands now, and what has come off */
    private function snapshot(): array
    {
        return array_map(static fn (RadiusProfile $part): RadiusProfile => clone $part, [$this->profile, ...$this->partedOff]);
    }

    /** Whether it gave up since there was too much to cut. */
    public function isTooLong(): bool
    {
        return $this->visits > self::MOST_VISITS;
    }

    /** Whether every move has been taken out. */
    public function isComplete(): bool
    {
        return $this->unknownTools === [] && ! $this->isTooLong();
    }

    /** What was cut to chips, mm³. */
    public function removed(): float
    {
        return $this->before - $this->left();
    }

    /** What still stands, and what has come off it, mm³. */
    public function left(): float
    {
        return $this->profile->volume() + array_sum(array_map(static fn (RadiusProfile $part): float => $part->volume(), $this->partedOff));
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        [$zs, $xs] = [$chunk->axis($this->zAxis), $chunk->axis($this->xAxis)];
        [$kinds, $marks, $numbers, $lines, $feeds] = [$chunk->kinds(), $chunk->marks(), $chunk->states(), $chunk->lines(), $chunk->feeds()];
        $seconds = $chunk->seconds();
        $arcs = array_flip($chunk->arcRows());
        $this->offCenter->learn($states);
        $angles = $this->cAxis === null ? [] : $chunk->axis($this->cAxis);
        [$z, $x] = [$chunk->before[$this->zAxis], $chunk->before[$this->xAxis]];
        for ($row = 0; $row < $chunk->count; $row++) {
            [$toZ, $toX, $state] = [$zs[$row], $xs[$row], $states[$numbers[$row]]];
            [$byZ, $byX] = $this->wrong === null ? [0.0, 0.0]
                : [$this->wrong->on($this->zAxis, $state, $marks[$row]), $this->wrong->on($this->xAxis, $state, $marks[$row])];
            [$toZ, $toX] = [$toZ + $byZ, $toX + $byX];
            if ($kinds[$row] <= MotionKind::ARC && ($toZ !== $z || $toX !== $x)) {
                $arc = $kinds[$row] !== MotionKind::ARC ? null
                    : $chunk->arc($arcs[$row])->moved($byZ, $byX);
                $this->feed = $state->feedsByTurn() ? $feeds[$row] : $feeds[$row] / max(1e-9, $state->spindle->rpm);
                $this->hasMet = false;
                $this->angle = $angles[$row] ?? 0.0;
                $this->move($state, $kinds[$row], $marks[$row], $lines[$row], [$z, $x], [$toZ, $toX], $arc);
                $this->countAir($state, $kinds[$row] === MotionKind::RAPID || ($marks[$row] & Mark::THREAD) !== 0, $lines[$row], $seconds[$row], $x, $toX);
            }
            [$z, $x] = [$toZ, $toX];
            if (isset($this->keepAfter[$chunk->first + $row])) {
                $this->kept[$chunk->first + $row] = $this->snapshot();
            }
        }
    }

    /**
     * @param  array{float, float}  $from  axis positions
     * @param  array{float, float}  $to
     */
    private function move(State $state, int $kind, int $marks, int $place, array $from, array $to, ?Arc $arc): void
    {
        $tool = $this->setup->tooling->tools[$state->tool] ?? null;
        if ($tool === null || ! $this->isComplete()) {
            return;
        }
        if ($this->offCenter->has($tool)) {
            $this->drive($state, $kind, $marks, $place, $from, $to);

            return;
        }
        $isThread = ($marks & Mark::THREAD) !== 0;
        if ($isThread) {
            $this->threadDepths[] = $this->belowCrest($state, $from, $to);
        }
        $wasThread = $this->afterThread;
        $this->afterThread = $isThread;
        $shape = $this->shapeOf($tool, $state->length->number);
        // A thread does not cut the profile, nor does what turns a tap out of it.
        if ($isThread || $wasThread || $tool->kind === ToolKind::Threading || $tool->kind === ToolKind::Tap) {
            $stroke = $this->stroke($state, $kind, $marks, $place, $from, $to);
            if ($isThread) {
                $this->lookBehindParting($stroke);
            }
            if ($shape !== null) {
                $this->pass($stroke, $shape, $isThread || $wasThread);
            }
            $this->lookAtHolder($stroke);

            return;
        }
        if ($shape === null) {
            if ($kind !== MotionKind::RAPID) {
                $this->unknownTools[$state->tool] = true;
            }

            return;
        }
        $zero = $this->zero($state);
        $last = null;
        foreach ($this->chords($from, $to, $arc) as [$z, $x]) {
            $here = [$z - $zero[0], $x - $zero[1]];
            if ($last !== null) {
                $this->sweep($stroke = new Stroke($this->setup, $state, $kind, $marks, $place, $last, $here, $arc !== null, $this->feed), $shape);
                $this->lookAtHolder($stroke);
            }
            $last = $here;
        }
        $this->afterFeed = $kind !== MotionKind::RAPID;
        if ($kind !== MotionKind::RAPID && ($tool->kind === ToolKind::Parting || $tool->kind === ToolKind::Grooving)) {
            $this->partOff($place, $state);
        }
    }

    /**
     * What of a tool cuts, with an offset; null where its shape is not told. With its offset cancelled nobody knows where the tip is.
     *
     * @return non-empty-list<array{float, float}>|null
     */
    private function shapeOf(Tool $tool, int $offset): ?array
    {
        $key = $tool->number.'/'.$offset;
        if ($offset !== 0 && ! array_key_exists($key, $this->shapes)) {
            $this->shapes[$key] = CuttingShape::of($tool, $this->setup->turningOffset($tool->number, $offset));
        }

        return $offset === 0 ? null : $this->shapes[$key];
    }

    /**
     * A move as a whole.
     *
     * @param  array{float, float}  $from  axis positions
     * @param  array{float, float}  $to
     */
    private function stroke(State $state, int $kind, int $marks, int $place, array $from, array $to): Stroke
    {
        $zero = $this->zero($state);
        $own = [[$from[0] - $zero[0], $from[1] - $zero[1]], [$to[0] - $zero[0], $to[1] - $zero[1]]];

        return new Stroke($this->setup, $state, $kind, $marks, $place, ...$own, isChord: false, feed: $this->feed);
    }

    /**
     * A move of a driven tool, which cuts beside the axis.
     *
     * @param  array{float, float}  $from  axis positions
     * @param  array{float, float}  $to
     */
    private function drive(State $state, int $kind, int $marks, int $place, array $from, array $to): void
    {
        if ($state->length->number === 0) {
            return;
        }
        $this->afterFeed = $this->afterThread = false;
        $stroke = $this->stroke($state, $kind, $marks, $place, $from, $to);
        $hull = $stroke->hull(OffCenter::shape($stroke->tool));
        $this->visits += $this->profile->cellsAlong($hull);
        if (! $stroke->isRapid()) {
            $this->hasMet = $this->offCenter->cut($stroke, $hull, $this->profile, $this->angle);
        } elseif (! OffCenter::drawsOut($stroke) && ! $this->offCenter->hasHole($stroke, $this->angle)) {
            $this->meetsAtRapid($stroke, $hull, $this->profile->meet($hull, false));
        }
        $this->around->meet($stroke, $hull);
        if ($stroke->tool->holding->driven !== null) {
            $this->visits += $this->holders->look($stroke, $this->profile, $this->around);
        }
    }

    /** With its offset cancelled nobody knows where it is. */
    private function lookAtHolder(Stroke $stroke): void
    {
        if ($stroke->state->length->number !== 0) {
            $this->visits += $this->holders->look($stroke, $this->profile, $this->around);
        }
    }

    /** A feed where the part was, as if it were still there; a second spindle holds it where it is. */
    private function lookBehindParting(Stroke $stroke): void
    {
        $part = $this->partedOff[count($this->partedOff) - 1] ?? null;
        $second = $stroke->state->modes->second;
        $line = SourceMap::lineNumber($stroke->place);
        if ($part === null) {
            $this->linesCut[$line] = true;
        }
        // A line that comes again makes the next part, of a bar that has been fed on.
        $isAgain = $part === null || isset($this->linesCut[$line]) || isset($this->behindParting[$stroke->tool->number]);
        if ($isAgain || ($second?->clamps === true && $second->isForward !== false)) {
            return;
        }
        [$z, $x] = [($stroke->from[0] + $stroke->to[0]) / 2, min(abs($stroke->from[1]), abs($stroke->to[1]))];
        if ($z > $part->from + self::BESIDE && $x < $part->radiusAt($z)) {
            $this->behindParting[$stroke->tool->number] = $stroke->cut($z, $x, 0.0);
        }
    }

    private function partOff(int $place, State $state): void
    {
        $part = $this->profile->dropLoose();
        if ($part !== null) {
            $this->partedOff[] = $part;
            $this->partings[] = $cut = new TurnedCut($place, $state->tool, $part->from, $this->profile->radiusAt($part->from - self::BESIDE), 0.0);
            if ($this->around->isCenterIn($state)) {
                $this->partedFromCenter[] = $cut;
            }
            if (! $state->modes->catcherOut && $state->modes->second?->clamps !== true) {
                $this->uncaught[] = $cut;
            }
        }
    }

    /**
     * What a thread insert does not cut it may still run into.
     *
     * @param  non-empty-list<array{float, float}>  $shape
     * @param  bool  $isInGroove  whether it is in its thread, or comes out of it
     */
    private function pass(Stroke $stroke, array $shape, bool $isInGroove): void
    {
        $this->afterFeed = false;
        $hull = $stroke->hull($shape);
        if ($stroke->isRapid() && ! $isInGroove) {
            $this->meetsAtRapid($stroke, $hull, $this->profile->meet($hull, false));
        }
        $this->around->meet($stroke, $hull);
        $this->neighbours->look($stroke);
    }

    /** @param  non-empty-list<array{float, float}>  $shape */
    private function sweep(Stroke $stroke, array $shape): void
    {
        $hull = $stroke->hull($shape);
        $this->visits += $this->profile->cellsAlong($hull);
        $removed = $this->profile->meet($hull, ! $stroke->isRapid());
        $hasCut = $removed->volume > 0.0;
        $this->hasMet = $this->hasMet || $hasCut;
        $this->metAt = $stroke->from[0] === $stroke->to[0] && $hasCut ? $removed->x : INF;
        if (! $stroke->isRapid() || ! $this->meetsAtRapid($stroke, $hull, $removed)) {
            $this->watch->back($stroke, $this->profile);
            if ($stroke->isRapid() && ! $stroke->isOfCycle()) {
                $this->near->look($stroke, $shape, $this->profile);
            }
        }
        if (! $stroke->isRapid()) {
            $this->watch->surfaces($stroke, $hull, $this->profile);
            $this->watch->fed($stroke, $this->profile->to());
            $this->lookBehindParting($stroke);
        }
        if ($hasCut && ! $stroke->isRapid()) {
            $number = $stroke->state->tool;
            $this->cutting[$number] = true;
            if ($removed->isThickerThan($this->deepest[$number]->by ?? 0.0)) {
                $this->deepest[$number] = $stroke->cut($removed->z, $removed->x, $removed->by());
            }
            $this->watch->cut($stroke, $removed, $this->profile);
            $this->offCenter->turnsOver($stroke, $hull);
        }
        $this->around->meet($stroke, $hull);
        $this->neighbours->look($stroke);
    }

    /** @return list<float> inner and outer radii of what stands at a place, on the bar or on what has come off it */
    public function standing(float $z): array
    {
        foreach ([$this->profile, ...$this->partedOff] as $profile) {
            $stands = $profile->at($z);
            if ($stands !== []) {
                return $stands;
            }
        }

        return [];
    }

    /** @param  float  $fromX  where the move begins; straight in, what lies before the part is air */
    private function countAir(State $state, bool $isOther, int $place, float $seconds, float $fromX, float $toX): void
    {
        $zero = $this->zero($state)[1];
        $share = ! $this->hasMet ? 1.0 : ($fromX - $zero > $this->metAt && $toX < $fromX ? ($fromX - $zero - $this->metAt) / ($fromX - $toX) : 0.0);
        $air = $isOther ? 0.0 : $this->airSeconds + $share * $seconds;
        if ($air > ($this->air[$state->tool]->by ?? 0.0)) {
            $this->air[$state->tool] = new TurnedCut($place, $state->tool, 0.0, $toX - $zero, $air);
        }
        $this->airSeconds = $this->hasMet ? 0.0 : $air;
    }

    /** Whether a rapid goes into the stock. */
    private function meetsAtRapid(Stroke $stroke, Hull $hull, Removed $removed): bool
    {
        $isHit = $removed->isThickerThan(match (true) {
            $this->afterFeed => self::LEAVING,
            $stroke->isOfCycle() => self::IN_CYCLE,
            default => self::GRAZE,
        });
        if (! $isHit && $this->afterFeed && $removed->volume > 0.0) {
            $this->profile->meet($hull, true); // leaving, the nose shaves the wall the edge has left
        }
        if ($isHit && count($this->rapids) < self::MOST) {
            $this->rapids[] = $stroke->cut($removed->z, $removed->x, $removed->reach());
        }

        return $isHit;
    }

    /**
     * How far the tip is inside what it is to thread, in the middle of the way along it.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    private function belowCrest(State $state, array $from, array $to): ?float
    {
        $zero = $this->zero($state);
        $isBore = ($this->setup->turningOffset($state->tool, $state->length->number)?->tip()[1] ?? 0) > 0;
        $depths = [];
        for ($i = 1; $i < self::CREST_LOOKS; $i++) {
            $share = $i / self::CREST_LOOKS;
            $stands = $this->profile->at($from[0] + ($to[0] - $from[0]) * $share - $zero[0]);
            if ($stands !== []) {
                $x = $from[1] + ($to[1] - $from[1]) * $share - $zero[1];
                $depths[] = $isBore ? $x - $stands[0] : $stands[count($stands) - 1] - $x;
            }
        }
        $this->threadWalls[] = $depths === [] ? 0.0 : max($depths);
        sort($depths);

        return $depths[intdiv(count($depths), 2)] ?? null;
    }

    /** @return array{float, float} axis positions of the stock's zero with the tool offset in force */
    private function zero(State $state): array
    {
        $work = $this->setup->machine->ordered($this->setup->workOffsets[$this->work] ?? []);

        return [$work[$this->zAxis] + $state->length->shift[$this->zAxis], $work[$this->xAxis] + $state->length->shift[$this->xAxis]];
    }

    /**
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     * @return list<array{float, float}>
     */
    private function chords(array $from, array $to, ?Arc $arc): array
    {
        if ($arc === null) {
            return [$from, $to];
        }
        [$centerZ, $centerX, $sweep] = [$arc->first, $arc->second, $arc->sweep];
        $radius = $arc->radius(...$from);
        $start = atan2($from[1] - $centerX, $from[0] - $centerZ);
        $steps = $radius <= self::CHORD ? 1 : $arc->chordsAt($radius, self::CHORD, self::MOST_CHORDS);
        $places = [$from];
        for ($i = 1; $i < $steps; $i++) {
            $angle = $start + deg2rad($sweep) * $i / $steps;
            $places[] = [$centerZ + $radius * cos($angle), $centerX + $radius * sin($angle)];
        }

        return [...$places, $to];
    }
}
