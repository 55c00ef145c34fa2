<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolHolding;
use OakTrace\Core\Trace\State;

/**
 * What driven tools do beside the axis of the part. It is no solid of revolution: the profile stays as it is, and where it is no longer
 * round is kept. Lengths in millimetres.
 */
final class OffCenter
{
    /** How thick the tip is held to be of a tool that nobody knows how it points. */
    private const TIP = 0.1;

    /** Places so near to each other are one, mm and degrees. */
    private const SAME = 0.001;

    /** Of these no more are kept. */
    private const MOST = 500;

    /** @var list<OffCenterCut> where it has cut */
    public array $cuts = [];

    /** @var array<string, array{TurnedCut, OffCenterCut}> tools that turn over such a place later, by tool and the one that cut it */
    public array $interrupted = [];

    /** @var array<int, true> tools the program drives */
    private array $driven = [];

    /** How many states it has learned from. */
    private int $known = 0;

    /**
     * Which tools the program drives. One that is driven is so on its way there and back too, with its spindle still off.
     *
     * @param  list<State>  $states
     */
    public function learn(array $states): void
    {
        for ($count = count($states); $this->known < $count; $this->known++) {
            $state = $states[$this->known];
            if ($state->spindle->isDriven() || $state->cycle?->goesAcross() === true) {
                $this->driven[$state->tool] = true;
            }
        }
    }

    public function has(Tool $tool): bool
    {
        return isset($this->driven[$tool->number]) || $tool->holding->driven === ToolHolding::ACROSS;
    }

    /** @return non-empty-list<array{float, float}> Z and radius from the tip; the tip alone where nobody says how the tool points */
    public static function shape(Tool $tool): array
    {
        $shape = $tool->holding->driven === null ? null : CuttingShape::drill($tool);

        return match (true) {
            $shape === null => [[0.0, 0.0], [self::TIP, self::TIP], [self::TIP, -self::TIP], [2 * self::TIP, 0.0]],
            $tool->holding->driven === ToolHolding::ACROSS => array_map(array_reverse(...), $shape),
            default => $shape,
        };
    }

    /** Whether a rapid draws the tool out of the hole it stands in, of which the profile knows nothing. */
    public static function drawsOut(Stroke $stroke): bool
    {
        [$byZ, $byX] = [$stroke->to[0] - $stroke->from[0], $stroke->to[1] - $stroke->from[1]];
        $driven = $stroke->tool->holding->driven;

        return ($byX === 0.0 && $byZ > 0.0 && $driven !== ToolHolding::ACROSS) || ($byZ === 0.0 && $byX > 0.0 && $driven !== ToolHolding::ALONG);
    }

    /**
     * A stroke at feed.
     *
     * @param  float  $angle  the C axis stands at, degrees
     * @return bool whether it meets the part
     */
    public function cut(Stroke $stroke, Hull $hull, RadiusProfile $profile, float $angle): bool
    {
        $meets = $profile->meet($hull, false)->volume > 0.0;
        if (! $meets || count($this->cuts) >= self::MOST) {
            return $meets;
        }
        $radius = $stroke->tool->radius();
        [$byZ, $byX] = abs($stroke->to[0] - $stroke->from[0]) > abs($stroke->to[1] - $stroke->from[1]) ? [0.0, $radius] : [$radius, 0.0];
        [$z, $x] = [[$stroke->from[0], $stroke->to[0]], [$stroke->from[1], $stroke->to[1]]];
        $this->cuts[] = new OffCenterCut(
            $stroke->place, $stroke->tool->number, min($z) - $byZ, max($z) + $byZ, max(0.0, min($x) - $byX), max($x) + $byX, $angle,
        );

        return true;
    }

    /**
     * Whether a rapid goes straight back into a hole that is there.
     *
     * @param  float  $angle  the C axis stands at, degrees
     */
    public function hasHole(Stroke $stroke, float $angle): bool
    {
        [$z, $x] = $stroke->to;
        $radius = $stroke->tool->radius();
        foreach ($this->cuts as $cut) {
            $turn = abs(fmod($angle - $cut->angle, 360.0));
            if (min($turn, 360.0 - $turn) > self::SAME) {
                continue;
            }
            $isAlong = $stroke->from[1] === $x && $x - $radius > $cut->fromX - self::SAME && $x + $radius < $cut->toX + self::SAME;
            $isAcross = $stroke->from[0] === $z && $z - $radius > $cut->fromZ - self::SAME && $z + $radius < $cut->toZ + self::SAME;
            if (($isAlong && $z > $cut->fromZ - self::SAME) || ($isAcross && $x > $cut->fromX - self::SAME)) {
                return true;
            }
        }

        return false;
    }

    /** A tool that turns, and has taken something. */
    public function turnsOver(Stroke $stroke, Hull $hull): void
    {
        foreach ($this->cuts as $cut) {
            if ($hull->least < $cut->toZ && $hull->most > $cut->fromZ && $hull->liesBeside($cut->fromX, $cut->toX)) {
                $this->interrupted[$stroke->tool->number.' '.$cut->tool] ??= [$stroke->cut(max($hull->least, $cut->fromZ), $cut->toX, 0.0), $cut];
            }
        }
    }
}
