<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A size the drawing of a turned part gives. Millimetres, Z in the work offset of the stock; diameters. */
final readonly class TurnedSize
{
    /**
     * @param  TurnedKind  $kind  what it is the size of
     * @param  float  $from  Z where it begins, towards the chuck; of a face where it lies
     * @param  float  $diameter  of a face where it is measured
     * @param  float  $wanted  the diameter, the Z of a face, a length
     * @param  float|null  $roughness  Ra that is wanted, µm
     * @param  int  $grows  1 where cutting makes it larger, -1 where it makes it smaller, 0 where there is no mending it either way
     */
    public function __construct(
        public string $name, public TurnedKind $kind, public float $from, public float $to, public float $diameter, public float $wanted, public float $least,
        public float $most, public ?float $roughness, public int $grows = -1, public ?SizeShape $shape = null,
    ) {
    }

    /** @return array{float, float} Z and radius of a place on it */
    public function middle(): array
    {
        if ($this->shape instanceof CornerShape) {
            // In the middle of where it is broken (geometry).
            $in = $this->wanted * ($this->kind === TurnedKind::Round ? 1 - M_SQRT1_2 : 0.5) * ($this->shape->isHollow ? -1 : 1);

            return [$this->from - $this->shape->towards * $in, $this->diameter / 2 - ($this->shape->isBore ? -$in : $in)];
        }

        return [$this->kind === TurnedKind::Length ? $this->from : ($this->from + $this->to) / 2, $this->diameter / 2];
    }
}
