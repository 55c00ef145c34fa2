<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** Which holes of a run, and which tools, take nothing of any stock. */
final class Idleness
{
    /** Of one tool no more are kept. */
    private const MOST = 200;

    /** @var list<Idle> */
    private array $holes = [];

    /** @var array<int, int> tool => place of its first move at feed, in the order they come in */
    private array $fed = [];

    /** @var array<int, true> tools that took something, or came to where something had been */
    private array $worked = [];

    /** @var array<int, int> tool => holes kept */
    private array $kept = [];

    /** The hole that is being made, and whether it has met anything. */
    private ?Idle $hole = null;

    private bool $met = false;

    /** A move at feed. */
    public function feeds(int $tool, int $line): void
    {
        $this->fed[$tool] ??= $line;
    }

    public function works(int $tool): void
    {
        $this->worked[$tool] = true;
    }

    public function hasWorked(int $tool): bool
    {
        return isset($this->worked[$tool]);
    }

    /** A stroke of a cycle; those at one place are one hole. */
    public function strokes(Idle $at, bool $meets): void
    {
        if ($this->hole === null || $this->hole->line !== $at->line || hypot($this->hole->x - $at->x, $this->hole->y - $at->y) > 1e-6) {
            $this->endHole();
            $this->met = false;
        }
        if ($this->hole === null || $at->z < $this->hole->z) {
            $this->hole = $at;
        }
        $this->met = $this->met || $meets;
    }

    private function endHole(): void
    {
        if ($this->hole !== null && ! $this->met && ($this->kept[$this->hole->tool] = ($this->kept[$this->hole->tool] ?? 0) + 1) <= self::MOST) {
            $this->holes[] = $this->hole;
        }
        $this->hole = null;
    }

    /** @return list<Idle> the holes that take nothing */
    public function holes(): array
    {
        $this->endHole();

        return $this->holes;
    }

    /** @return array<int, int> tools that take nothing at all => place of their first move at feed */
    public function tools(): array
    {
        return array_diff_key($this->fed, $this->worked);
    }
}
