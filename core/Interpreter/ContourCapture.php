<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Cycles\Turning\Contour;
use OakTrace\Core\Cycles\Turning\Stretch;
use OakTrace\Core\Geometry\Arc;
use OakTrace\Core\Trace\MotionKind;

/** Takes the moves of the blocks of a turned shape instead of letting them be made. */
final class ContourCapture
{
    /** @var list<Stretch> */
    private array $stretches = [];

    /** Whether the first block names X and Z. */
    private bool $namesBoth = false;

    /** @var array<int, ShapeWords> what was in force behind each block, by its place */
    private array $words = [];

    /**
     * @param  int  $z  column of Z
     * @param  int  $x  column of X
     */
    public function __construct(private readonly int $z, private readonly int $x)
    {
    }

    /**
     * @param  list<float>  $from
     * @param  list<float>  $to
     * @param  Arc|null  $arc  in Z and X
     */
    public function add(int $kind, int $line, array $from, array $to, ?Arc $arc = null): void
    {
        if ($from !== $to || $arc !== null) {
            $this->stretches[] = new Stretch(
                $from[$this->z], $from[$this->x], $to[$this->z], $to[$this->x], $arc, $kind === MotionKind::RAPID, $line,
            );
        }
    }

    /** @param  array<string, float>  $words  of the first block */
    public function begin(array $words, WayLetters $ways): void
    {
        $this->namesBoth = $ways->names($words, $this->z) && $ways->names($words, $this->x);
    }

    /** A block has been done. */
    public function end(int $line, ModalState $modal): void
    {
        $this->words[$line] = new ShapeWords($modal->feedWord, $modal->spindle, $modal->cutter->side);
    }

    /** @return array<int, ShapeWords> by the place of the block */
    public function words(): array
    {
        return $this->words;
    }

    /** On which side of the shape the nose is while a block of it is done: 1 left, -1 right, 0 on neither. */
    public function side(int $line): int
    {
        return ($this->words[$line] ?? null)->side ?? 0;
    }

    public function contour(): ?Contour
    {
        return $this->stretches === [] ? null : new Contour($this->stretches, $this->namesBoth);
    }
}
