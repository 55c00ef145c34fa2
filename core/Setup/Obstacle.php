<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** Something that stands in the way, as a box in millimetres in the coordinates of its work offset: a jaw, a clamp. */
final readonly class Obstacle
{
    /**
     * @param  array{float, float, float}  $min
     * @param  array{float, float, float}  $max
     * @param  string|null  $turnsWith  rotary axis it turns with; it stands as given where that axis is at 0
     */
    public function __construct(public string $name, public string $workOffset, public array $min, public array $max, public ?string $turnsWith = null)
    {
    }
}
