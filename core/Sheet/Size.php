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

    /** As it stands on a drawing, a radius beside a diameter, and what is cut of it where it may be off. */
    public function drawn(Answers $answers, string $sign = 'Ø '): string
    {
        $tolerance = $this->lower === 0.0 && $this->upper === 0.0 ? '' : sprintf(
            ' %s/%s, cut %s', self::signed($answers, $this->upper), self::signed($answers, $this->lower), $answers->drawn($this->aimed()),
        );

        return $sign.$answers->drawn($this->nominal).($sign === '' ? '' : ' · R '.$answers->drawn($this->nominal / 2)).$tolerance;
    }

    private static function signed(Answers $answers, float $value): string
    {
        return ($value > 0.0 ? '+' : '').$answers->drawn($value);
    }

    public function radius(): float
    {
        return $this->aimed() / 2;
    }
}
