<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** What is worth telling of the cuts of a lathe, beside what they take. */
final class CutWatch
{
    /** What takes no more touches what stands there, mm. */
    private const GRAZE = 0.01;

    /** Further than that, and at no more than that, mm a turn, nothing is fed away from the face of a part. */
    private const FAR = 5.0;

    private const SLOW = 1.0;

    /** What a tool may take with its side without harm, mm. */
    private const SIDE = 0.2;

    /** What passes no nearer to a corner or a wall has not cut it, mm. */
    private const BY = 1.0;

    /** Of one kind no more are kept. */
    private const MOST = 200;

    /** How long a boring bar is where nobody says, mm. */
    private const BAR = 60.0;

    /** @var list<TurnedCut> falls steeper than the trailing edge: the angle over what it may */
    public array $gouges = [];

    /** @var array<int, TurnedCut> by tool the most a nose leaves on a cone or an arc that is cut without compensation */
    public array $uncompensated = [];

    /** @var array<int, TurnedCut> by tool where it cuts with the greatest feed, mm a turn; what is fed through air is left out */
    public array $mostFeed = [];

    /** @var array<int, TurnedCut> by tool where it cuts fastest: the surface speed there, m/min */
    public array $fastest = [];

    /** @var array<int, TurnedCut> by tool where the back of a boring bar comes into the wall of its bore: how far */
    public array $rubs = [];

    /** @var array<int, TurnedCut> by tool what facing leaves standing on the axis: how high */
    public array $pips = [];

    /** @var array<int, TurnedCut> by tool where it first cuts on a way it has no edge for: how deep */
    public array $sideways = [];

    /** @var array<int, int> by tool the place where it is fed first, whether it cuts or not */
    public array $fed = [];

    /** @var array<int, TurnedCut> by tool where it is first fed away from the part, in front of it: how far */
    public array $away = [];

    /** @var array<int, Surface> by number of a size that is wanted, what cut it last */
    public array $surfaces = [];

    /** @var array<int, float> by number of a size, how near to its corner or wall anything has come, mm */
    private array $missed = [];

    /** @var list<TurnedSize> */
    private readonly array $wanted;

    public PassSeries $passes;

    public function __construct(private readonly Setup $setup)
    {
        $this->passes = new PassSeries;
        $this->wanted = $setup->workpiece->target->turned ?? [];
    }

    public function __clone()
    {
        $this->passes = clone $this->passes;
    }

    /** A stroke at feed, whatever it takes. */
    public function fed(Stroke $stroke, float $face): void
    {
        $number = $stroke->state->tool;
        $this->fed[$number] ??= $stroke->place;
        $by = $stroke->to[0] - $stroke->from[0];
        $isStraight = abs($stroke->to[1] - $stroke->from[1]) < self::GRAZE && ! $stroke->isOfCycle();
        if ($isStraight && $stroke->from[0] >= $face - self::GRAZE && $by > self::FAR && $stroke->feed <= self::SLOW) {
            $this->away[$number] ??= $stroke->cut($stroke->to[0], $stroke->to[1], $by);
        }
    }

    /** A stroke at feed that has taken something. */
    public function cut(Stroke $stroke, Removed $removed, RadiusProfile $profile): void
    {
        $this->speed($stroke, $removed);
        $this->pip($stroke, $profile);
        $this->fall($stroke, $removed);
        $this->nose($stroke);
        $this->sideways($stroke, $removed);
        $this->passes->take($stroke, $removed);
    }

    /** Sizes whose surface the shape now lies on. */
    public function surfaces(Stroke $stroke, Hull $hull, RadiusProfile $profile): void
    {
        foreach ($this->wanted as $n => $size) {
            [$z, $radius] = $size->middle();
            $looks = $size->kind === TurnedKind::Face ? $z + $profile->cell : $z;
            if ($looks < $hull->least || $looks > $hull->most) {
                continue;
            }
            [$lower, $upper] = [0, 0];
            [$low, $high] = [$hull->low($looks, $lower), $hull->high($looks, $upper)];
            $stands = $profile->at($looks);
            $lies = match ($size->kind) {
                TurnedKind::Diameter => $stands !== [] && abs($stands[count($stands) - 1] - $low) < self::GRAZE,
                TurnedKind::Bore => $stands !== [] && abs($stands[0] - $high) < self::GRAZE,
                TurnedKind::Face => $low <= $radius && $high >= $radius,
                TurnedKind::Chamfer, TurnedKind::Round, TurnedKind::Length, TurnedKind::Width => $this->comesNearest($n, max($low - $radius, $radius - $high)),
                default => false,
            };
            if ($lies) {
                $this->surfaces[$n] = new Surface($stroke->place, $stroke->state->tool, $stroke->feed);
            }
        }
    }

    /** Whether it passes a corner or a wall as near as what came before it, give or take a graze. */
    private function comesNearest(int $size, float $away): bool
    {
        $away = max(0.0, $away);
        $nearest = $this->missed[$size] ?? self::BY;
        $this->missed[$size] = min($away, $nearest);

        return $away <= $nearest + self::GRAZE;
    }

    /** The back of a boring bar, on the other side of the axis: its smallest bore from the tip. */
    public function back(Stroke $stroke, RadiusProfile $profile): void
    {
        [$number, $tool] = [$stroke->state->tool, $stroke->tool];
        $deep = $tool->insert->minBore;
        if ($deep === null || $stroke->tip[1] !== 1) {
            return;
        }
        $points = [];
        foreach ([$stroke->from, $stroke->to] as [$z, $x]) {
            // Its end is relieved as far as the nose reaches, which leaves its own round in the corner of a bore.
            foreach ([$tool->geometry->cornerRadius, $tool->holding->stickout ?? self::BAR] as $behind) {
                array_push($points, [$z + $behind, $x - $deep], [$z + $behind, $x - $deep / 2]);
            }
        }
        $met = $profile->meet(new Hull($points), false);
        if ($met->isThickerThan(max(self::GRAZE, $this->rubs[$number]->by ?? 0.0))) {
            $this->rubs[$number] = new TurnedCut($this->rubs[$number]->place ?? $stroke->place, $number, $met->z, $met->x, $met->by());
        }
    }

    /** What cuts at its end alone, and goes across; a parting blade that goes along for more than it is wide, which is no chamfer any more. */
    private function sideways(Stroke $stroke, Removed $removed): void
    {
        $number = $stroke->state->tool;
        if (isset($this->sideways[$number])) {
            return;
        }
        [$along, $across] = [abs($stroke->to[0] - $stroke->from[0]), abs($stroke->to[1] - $stroke->from[1])];
        $isSideways = $stroke->tool->kind->cutsAtEndOnly()
            ? $across > self::GRAZE
            : $stroke->tool->kind === ToolKind::Parting && $along > max($stroke->tool->insert->width ?? 0.0, 2 * $across);
        if ($isSideways && $removed->isThickerThan(self::SIDE)) {
            $this->sideways[$number] = $stroke->cut($removed->z, $removed->x, $removed->by());
        }
    }

    /** How fast it cuts, and with what feed. */
    private function speed(Stroke $stroke, Removed $removed): void
    {
        $number = $stroke->state->tool;
        if ($stroke->feed > ($this->mostFeed[$number]->by ?? 0.0)) {
            $this->mostFeed[$number] = $stroke->cut($removed->z, $removed->x, $stroke->feed);
        }
        $spindle = $stroke->state->spindle;
        if ($spindle->turn === 0 || $removed->x <= 0.0) {
            return;
        }
        $speed = 2 * M_PI * $removed->x * $spindle->rpmAt($spindle->counted($removed->x), $this->setup->machine->spindle($spindle->name)->maxRpm ?? INF) / 1000;
        if ($speed > ($this->fastest[$number]->by ?? 0.0)) {
            $this->fastest[$number] = $stroke->cut($removed->z, $removed->x, $speed);
        }
    }

    /** What stands on the axis once a nose has come to it and not past it: r − √(r² − x²), x its middle (geometry). */
    private function pip(Stroke $stroke, RadiusProfile $profile): void
    {
        [$number, $radius, [$z, $x]] = [$stroke->state->tool, $stroke->tool->geometry->cornerRadius, $stroke->to];
        $isFacing = $stroke->tool->kind === ToolKind::Turning && $stroke->tip[1] === -1 && $x < $stroke->from[1];
        if (! $isFacing || abs($x) >= $radius || $x > self::GRAZE) {
            return;
        }
        $middle = $x + $radius;
        $height = $radius - sqrt(max(0.0, $radius ** 2 - $middle ** 2));
        $stands = $profile->at($z + $height / 2);
        if ($middle > 0.0 && $height > self::GRAZE && ($stands[0] ?? 1.0) <= 0.0) {
            $this->pips[$number] ??= $stroke->cut($z, 0.0, $height);
        }
    }

    /** A way down behind the tip that is steeper than the trailing edge lets it be. */
    private function fall(Stroke $stroke, Removed $removed): void
    {
        $may = $stroke->tool->insert->trailingAngle();
        [$tipZ, $tipX] = $stroke->tip;
        if ($may === null || $tipZ === 0 || $tipX === 0) {
            return;
        }
        // Along the way the tip points to, and down towards what it cuts.
        [$along, $down] = [($stroke->to[0] - $stroke->from[0]) * $tipZ, ($stroke->to[1] - $stroke->from[1]) * $tipX];
        $angle = rad2deg(atan2($down, $along));
        if ($down <= 0.0 || $along <= 0.0 || $angle <= $may + 0.01 || count($this->gouges) >= self::MOST) {
            return;
        }
        // Coming out of the air it has nothing behind its nose for the edge to cut into.
        $behind = max(0.0, $removed->width() - $stroke->tool->geometry->cornerRadius);
        if ($stroke->isChord || $behind * (tan(deg2rad($angle)) - tan(deg2rad($may))) > self::GRAZE) {
            $this->gouges[] = $stroke->cut($removed->z, $removed->x, $angle);
        }
    }

    /**
     * What the nose leaves where the tip that is programmed runs on a cone: r (sin θ + cos θ − 1), square to it (geometry). Roughing
     * leaves it too, and is not asked.
     */
    private function nose(Stroke $stroke): void
    {
        [$number, $tool, $tip] = [$stroke->state->tool, $stroke->tool, $stroke->tip];
        if ($stroke->isOfCycle() || $stroke->state->cutter->side !== 0 || $tool->insert->includedAngle === null || $tip[0] === 0 || $tip[1] === 0) {
            return;
        }
        $angle = atan2(abs($stroke->to[1] - $stroke->from[1]), abs($stroke->to[0] - $stroke->from[0]));
        $left = $tool->geometry->cornerRadius * (sin($angle) + cos($angle) - 1);
        if ($left > ($this->uncompensated[$number]->by ?? self::GRAZE)) {
            $this->uncompensated[$number] = $stroke->cut($stroke->to[0], $stroke->to[1], $left);
        }
    }
}
