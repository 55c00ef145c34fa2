<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** Moves in another place: turned about a point, then shifted. What makes one part of a pattern into the others. */
final readonly class Placed
{
    /** @param  array{float, float}  $about */
    private function __construct(private array $about, private float $radians, private float $x, private float $y)
    {
    }

    /** @param  array{float, float}  $about */
    public static function turned(array $about, float $degrees): self
    {
        return new self($about, deg2rad($degrees), 0.0, 0.0);
    }

    public static function shifted(float $x, float $y): self
    {
        return new self([0.0, 0.0], 0.0, $x, $y);
    }

    /** @return array{float, float} */
    public function place(float $x, float $y): array
    {
        [$c, $s] = [cos($this->radians), sin($this->radians)];
        [$dx, $dy] = [$x - $this->about[0], $y - $this->about[1]];

        return [$this->about[0] + $dx * $c - $dy * $s + $this->x, $this->about[1] + $dx * $s + $dy * $c + $this->y];
    }

    /**
     * @param  list<Move>  $moves
     * @return list<Move>
     */
    public function moves(array $moves): array
    {
        [$x, $y] = [0.0, 0.0];
        $placed = [];
        [$c, $s] = [cos($this->radians), sin($this->radians)];
        foreach ($moves as $move) {
            // Where only one axis was said both move once they are turned.
            $isAside = $move->x !== null || $move->y !== null;
            [$x, $y] = [$move->x ?? $x, $move->y ?? $y];
            [$px, $py] = $isAside ? $this->place($x, $y) : [null, null];
            $placed[] = new Move(
                $move->kind, $px, $py, $move->z, $move->i * $c - $move->j * $s, $move->i * $s + $move->j * $c, $move->feed, $move->text, $move->seconds,
                $move->cycle,
            );
        }

        return $placed;
    }
}
