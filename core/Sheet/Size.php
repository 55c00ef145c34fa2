<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A size of the drawing: nominal, how far it may be off, and what is aimed at. Lengths in millimetres, across (a diameter or a width). */
final readonly class Size
{
    public function __construct(public float $nominal, public float $lower = 0.0, public float $upper = 0.0, public string $aim = 'middle')
    {
    }

    /** The size that is cut. */
    public function aimed(): float
    {
        return $this->nominal + match ($this->aim) {
            'low' => $this->lower,
            'high' => $this->upper,
            default => ($this->lower + $this->upper) / 2,
        };
    }

    public function radius(): float
    {
        return $this->aimed() / 2;
    }
}
