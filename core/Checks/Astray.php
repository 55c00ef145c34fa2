<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** A work offset all of whose cuts lie beside every piece of stock, by one shift. */
final readonly class Astray
{
    /**
     * @param  int  $line  place of the first of the cuts
     * @param  float  $offX  how far off they lie, mm
     * @param  string|null  $fits  another work offset under which they would lie in a piece of stock
     */
    public function __construct(public string $work, public int $line, public float $offX, public float $offY, public ?string $fits)
    {
    }
}
