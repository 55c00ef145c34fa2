<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Setup\Setup;

/**
 * The level passes of a program, and how deep each goes below what the passes before it left. Without a model of the stock
 * this is an estimate from the ground they cover; it is made for programs with few enough passes to be told apart.
 */
final class PassSurvey
{
    /** More passes than this are a surface, which has no step-down to compare. */
    private const MOST = 300;

    /** @var list<Pass> */
    private array $passes = [];

    /** @var list<Step>|null */
    private ?array $steps = null;

    /** Whether it has given up. */
    public bool $tooMany = false;

    private int $lastRow = -2;

    private ?Pass $current = null;

    public function __construct(private readonly Setup $setup)
    {
    }

    /**
     * A cut that stays at its level, below the top of the stock.
     *
     * @param  bool  $isRamped  whether a slope or a helix led to it
     * @param  int  $piece  number of the piece of stock it is at, in whose coordinates the places are
     * @param  int  $row  number of its row in the trace; a pass is rows without a gap
     */
    public function level(int $row, int $line, int $tool, float $fromX, float $fromY, float $x, float $y, float $z, bool $isRamped, int $piece): void
    {
        if ($this->current === null || $row !== $this->lastRow + 1 || $this->current->piece !== $piece) {
            if ($this->tooMany = count($this->passes) === self::MOST) {
                return;
            }
            $this->current = $this->passes[] = new Pass($tool, $line, $z, ($this->setup->tooling->tools[$tool] ?? null)?->radius() ?? 0.0, $isRamped, $piece);
            $this->current->include($fromX, $fromY);
        }
        $this->lastRow = $row;
        $this->current->include($x, $y);
    }

    /** @return list<Step> what each pass over the stock takes, in order */
    public function steps(): array
    {
        if ($this->steps !== null) {
            return $this->steps;
        }
        $this->steps = [];
        $stocks = $this->setup->stocks();
        if ($stocks === [] || $this->tooMany) {
            return [];
        }
        $passes = array_filter($this->passes, static fn (Pass $pass): bool => $pass->maxX + $pass->radius > $stocks[$pass->piece]->around->low->x
            && $pass->minX - $pass->radius < $stocks[$pass->piece]->around->high->x
                && $pass->maxY + $pass->radius > $stocks[$pass->piece]->around->low->y && $pass->minY - $pass->radius < $stocks[$pass->piece]->around->high->y);
        $done = [];
        foreach ($passes as $pass) {
            $height = $stocks[$pass->piece]->top();
            $before = [];
            foreach ($done as $step) {
                if ($step->pass->isUnder($pass)) {
                    $height = min($height, $step->pass->level);
                    if ($step->pass->isLike($pass) && $step->depth > 0.01) {
                        $before[] = $step;
                    }
                }
            }
            $this->steps[] = $done[] = new Step($pass, $pass->isRamped ? 0.0 : $height - $pass->level, $height, $before);
        }

        return $this->steps;
    }
}
