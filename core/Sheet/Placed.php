<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** Moves in another place: mirrored, turned about a point, then shifted. What makes one part of a pattern into the others. */
final readonly class Placed
{
    /**
     * @param  array{float, float}  $about
     * @param  bool  $isMirrored  left to right, before it is turned
     */
    private function __construct(private array $about, private float $radians, private float $x, private float $y, public bool $isMirrored = false)
    {
    }

    /** @param  array{float, float}  $about */
    public static function turnedBy(array $about, float $degrees): self
    {
        return new self($about, deg2rad($degrees), 0.0, 0.0);
    }

    public static function shifted(float $x, float $y): self
    {
        return new self([0.0, 0.0], 0.0, $x, $y);
    }

    /** @param  bool  $isInX  left to right about an X; else front to back about a Y */
    public static function mirrored(bool $isInX, float $at): self
    {
        // Front to back is left to right, turned round.
        return $isInX ? new self([$at, 0.0], 0.0, 0.0, 0.0, true) : new self([0.0, $at], M_PI, 0.0, 0.0, true);
    }

    /** @return array{float, float}|null how far it is shifted, where it is nothing but that */
    public function shift(): ?array
    {
        return $this->radians === 0.0 && ! $this->isMirrored ? [$this->x, $this->y] : null;
    }

    /** @return array{float, float, float}|null about X and Y, degrees, where it is nothing but turned */
    public function turned(): ?array
    {
        return $this->radians !== 0.0 && ! $this->isMirrored && $this->x === 0.0 && $this->y === 0.0 ? [...$this->about, rad2deg($this->radians)] : null;
    }

    /** @return array{float, float} */
    public function place(float $x, float $y): array
    {
        [$dx, $dy] = $this->turn($x - $this->about[0], $y - $this->about[1]);

        return [$this->about[0] + $dx + $this->x, $this->about[1] + $dy + $this->y];
    }

    /**
     * @param  list<Move>  $moves
     * @return list<Move>
     */
    public function moves(array $moves): array
    {
        [$x, $y] = [0.0, 0.0];
        $placed = [];
        foreach ($moves as $move) {
            // Where only one axis was said both move once they are turned.
            $isAside = $move->x !== null || $move->y !== null;
            [$x, $y] = [$move->x ?? $x, $move->y ?? $y];
            [$px, $py] = $isAside ? $this->place($x, $y) : [null, null];
            [$i, $j] = $this->turn($move->i, $move->j);
            $placed[] = new Move(
                $this->isMirrored ? $move->kind->mirrored() : $move->kind, $px, $py, $move->z, $i, $j, $move->feed, $move->text, $move->seconds, $move->cycle,
            );
        }

        return $placed;
    }

    /** @return array{float, float} */
    private function turn(float $dx, float $dy): array
    {
        $dx = $this->isMirrored ? -$dx : $dx;
        [$c, $s] = [cos($this->radians), sin($this->radians)];

        return [$dx * $c - $dy * $s, $dx * $s + $dy * $c];
    }
}
