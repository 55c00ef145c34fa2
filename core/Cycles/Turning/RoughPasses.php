<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

use OakTrace\Core\Control\RoughRetract;
use OakTrace\Core\Control\TurningOptions;

/** Passes along one axis, stepped along the other, down to a shape with something left on it. Named as for passes along Z. Millimetres. */
final readonly class RoughPasses
{
    /** Levels closer than this are one, mm. */
    private const NEAR = 1e-6;

    /** More passes than anybody waits for. */
    private const MOST = 10_000;

    /**
     * @param  float  $leftZ  with its sign
     * @param  float  $leftX  on the radius, with its sign
     * @param  float  $depth  of a pass
     * @param  float  $retract  how far it goes off at its end
     */
    public function __construct(private float $leftZ, private float $leftX, private float $depth, private float $retract, private TurningOptions $options)
    {
    }

    /**
     * @param  float  $z  where the tool stands
     * @param  bool  $isAcross  whether Z and X have been changed for each other
     */
    public function make(float $z, float $x, Contour $contour, TurningMotion $motion, bool $isAcross): void
    {
        $side = $contour->liesBelow($x) ? -1 : 1; // the way passes are stepped: down on an outside, up in a bore
        $takesPockets = $this->options->roughKind->takesPockets($contour->namesBoth);
        $wanted = $contour->moved($this->leftZ, $this->leftX);
        [$fromZ, $fromX] = [$z + $this->leftZ, $x + $this->leftX];
        $motion->rapid($fromZ, $fromX);
        $deepest = $wanted->start()->x;
        // What lies deeper than where the shape begins is a pocket.
        foreach ($takesPockets ? [] : $wanted->stretches as $stretch) {
            $deepest = $side < 0 ? min($deepest, $stretch->x) : max($deepest, $stretch->x);
        }
        for ($i = 1; $i <= self::MOST; $i++) {
            $level = $fromX + $side * $i * $this->depth;
            if (($level - $deepest) * $side > -1e-9) {
                break;
            }
            // Where a pass lies beyond the shape's last point, it goes as far along as that (common practice).
            $this->pass(
                $fromZ, $level, self::firstCrossing($wanted, $level, $fromZ) ?? $wanted->end()->z, $side, $contour->start()->isRapid, $motion,
            );
        }
        foreach ($takesPockets ? Pocket::in($wanted, $side) : [] as $pocket) {
            $this->pocket($pocket, $fromZ, $fromX, $side, $motion);
        }
        if ($this->options->roughLast) {
            foreach ($wanted->stretches as $n => $stretch) {
                $n === 0 && $stretch->isRapid ? $motion->rapid($stretch->z, $stretch->x) : $motion->follow($stretch);
            }
        }
        $motion->rapid($z, $x);
    }

    /** Passes down into a pocket, each down its near wall, across, and off its far wall. */
    private function pocket(Pocket $pocket, float $fromZ, float $fromX, int $side, TurningMotion $motion): void
    {
        $over = $fromX;
        for ($i = 1; $i <= self::MOST; $i++) {
            $level = $fromX + $side * $i * $this->depth;
            $deep = ($level - $pocket->rim()[1]) * $side;
            if ($deep > self::NEAR) {
                break;
            }
            $over = $deep < -self::NEAR ? $level : $over; // the last pass over all of it
        }
        $over -= $side * $this->retract;
        $motion->rapid($fromZ, $fromX);
        $motion->rapid($pocket->rim()[0], $fromX);
        $this->deepen($pocket, $i, $fromX, $over, $over, $fromZ, $side, $motion);
        $motion->rapid($pocket->rim()[0], $fromX);
        $motion->rapid($fromZ, $fromX);
    }

    /**
     * What of a pocket lies deeper than the next level.
     *
     * @param  int  $number  of that level
     * @param  float  $over  where nothing stands any more above all of the pocket
     * @param  float  $clear  and above what has been cut of this part of it
     */
    private function deepen(Pocket $pocket, int $number, float $fromX, float $over, float $clear, float $fromZ, int $side, TurningMotion $motion): void
    {
        $level = $fromX + $side * $number * $this->depth;
        foreach ($number > self::MOST ? [] : $pocket->below($level, $side) as $part) {
            $motion->rapid($part->way[0][0], $over);
            $motion->rapid($part->way[0][0], $clear);
            foreach ($part->way as [$z, $x]) {
                $motion->feed($z, $x);
            }
            [$end] = $part->end();
            $motion->feed($end, $level);
            $off = $end + ($fromZ <=> $end) * min($this->retract, abs($part->rim()[0] - $end) / 2);
            $motion->rapid($off, $level - $side * $this->retract);
            // Out where it came in: the far wall leans towards the tool as far as the edge left it.
            $motion->rapid($part->rim()[0], $level - $side * $this->retract);
            $motion->rapid($part->rim()[0], $over);
            $this->deepen($part, $number + 1, $fromX, $over, $level - $side * $this->retract, $fromZ, $side, $motion);
        }
    }

    private function pass(float $fromZ, float $level, float $end, int $side, bool $isRapid, TurningMotion $motion): void
    {
        $isRapid ? $motion->rapid($fromZ, $level) : $motion->feed($fromZ, $level);
        $motion->feed($end, $level);
        $off = $level - $side * $this->retract;
        $motion->rapid($this->options->roughRetract === RoughRetract::At45 ? $end + ($fromZ <=> $end) * $this->retract : $end, $off);
        $motion->rapid($fromZ, $off);
    }

    /** Where a pass first comes to the shape. */
    private static function firstCrossing(Contour $wanted, float $level, float $fromZ): ?float
    {
        $nearest = null;
        foreach ($wanted->shape() as $stretch) {
            foreach ($stretch->crossings($level) as $z) {
                if ($nearest === null || abs($z - $fromZ) < abs($nearest - $fromZ)) {
                    $nearest = $z;
                }
            }
        }

        return $nearest;
    }
}
