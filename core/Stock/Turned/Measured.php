<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Target\Target;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** What a size of a turned part has come out as at the end of a run, mm. */
final readonly class Measured
{
    /** What a diameter may be off by its cells, mm; a face by half a cell. */
    private const SURE = 0.002;

    /** How far from where it is wanted a face is looked for, mm. */
    private const AROUND = 10.0;

    /**
     * @param  float|null  $got  null where nothing stands there
     * @param  Surface|null  $surface  what cut it last
     */
    private function __construct(public TurnedSize $size, public ?float $got, public ?Surface $surface, private float $sure)
    {
    }

    /** @return list<self> the sizes a setup wants; none where its stock was not cut to the end */
    public static function all(?TurnedStock $stock, ?Target $target): array
    {
        if ($stock === null || $target === null || ! $stock->isComplete()) {
            return [];
        }
        $measured = [];
        foreach ($target->turned as $n => $size) {
            $measured[] = self::of($size, $stock, $target->edges, $stock->watch->surfaces[$n] ?? null);
        }

        return $measured;
    }

    /** @param  float  $edges  how far from its ends a diameter is not measured, since edges are broken */
    private static function of(TurnedSize $size, TurnedStock $stock, float $edges, ?Surface $surface): self
    {
        return $size->kind === TurnedKind::Face ? new self($size, self::face($size, $stock), $surface, $stock->profile->cell / 2 + self::SURE)
            : new self($size, self::diameter($size, $stock, $edges), $surface, self::SURE);
    }

    public function isWithin(): bool
    {
        return $this->got !== null && $this->got >= $this->size->least - $this->sure && $this->got <= $this->size->most + $this->sure;
    }

    /** Whether too much has been taken off, which cannot be put back. */
    public function isScrap(): bool
    {
        return $this->got !== null && ! $this->isWithin()
            && ($this->size->kind === TurnedKind::Bore ? $this->got > $this->size->most : $this->got < $this->size->least);
    }

    /** The diameter that is furthest off. */
    private static function diameter(TurnedSize $size, TurnedStock $stock, float $edges): ?float
    {
        $margin = min($edges, ($size->to - $size->from) / 4);
        $furthest = null;
        for ($z = $size->from + $margin; $z <= $size->to - $margin + 1e-9; $z += $stock->profile->cell) {
            $stands = $stock->standing($z);
            if ($stands === []) {
                continue;
            }
            $got = 2 * ($size->kind === TurnedKind::Bore ? $stands[0] : $stands[count($stands) - 1]);
            if ($furthest === null || abs($got - $size->wanted) > abs($furthest - $size->wanted)) {
                $furthest = $got;
            }
        }

        return $furthest;
    }

    /** Where material ends towards plus at the diameter it is measured on, nearest to where it is wanted. */
    private static function face(TurnedSize $size, TurnedStock $stock): ?float
    {
        $cell = $stock->profile->cell;
        $nearest = null;
        $stood = false;
        for ($z = $size->from - self::AROUND; $z <= $size->from + self::AROUND + $cell; $z += $cell) {
            $stands = $stock->standing($z);
            $stand = false;
            for ($i = 0, $n = count($stands); $i < $n; $i += 2) {
                $stand = $stand || ($stands[$i] <= $size->diameter / 2 && $stands[$i + 1] >= $size->diameter / 2);
            }
            $edge = $stock->profile->edgeBelow($z);
            if ($stood && ! $stand && ($nearest === null || abs($edge - $size->wanted) < abs($nearest - $size->wanted))) {
                $nearest = $edge;
            }
            $stood = $stand;
        }

        return $nearest;
    }
}
