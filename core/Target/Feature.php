<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** Something the drawing shows: cut into the part, or standing on it. Lengths in mm. */
final readonly class Feature
{
    /**
     * @param  string  $kind  name of its FeatureKind
     * @param  float  $floor  height of its floor; of one that stands, of its top
     * @param  bool  $isThrough  whether it goes through the part
     * @param  bool  $stands  a boss
     * @param  list<Dimension>  $dimensions
     * @param  float  $chamfer  of its upper edge, as wide as it is deep; 0 where none is drawn
     */
    public function __construct(
        public string $name, public string $kind, public Outline $outline, public float $floor, public bool $isThrough, public bool $stands,
        public array $dimensions, public FloorShape $floorShape = FloorShape::Flat, public float $chamfer = 0.0,
    ) {
    }
}
