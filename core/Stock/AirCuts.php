<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** Which holes of a run, and which tools, take nothing of any stock. */
final class AirCuts
{
    /** Of one tool no more are kept. */
    private const MOST = 200;

    /** Holes remembered. */
    private const MOST_MADE = 20_000;

    /** @var list<AirHole> */
    private array $holes = [];

    /** @var array<int, int> tool => place of its first move at feed, in the order they come in */
    private array $fed = [];

    /** @var array<int, true> tools that took something, or came to where something had been */
    private array $worked = [];

    /** @var array<int, int> tool => holes kept */
    private array $kept = [];

    /** @var array<string, float> tool and place of a hole made => its bottom */
    private array $made = [];

    /** @var array<int, array<string, true>> tool => where it makes holes in material */
    private array $places = [];

    /** @var list<AirHole> holes made a second time */
    private array $again = [];

    /** The hole that is being made, and whether it has met anything. */
    private ?AirHole $hole = null;

    private bool $met = false;

    /** Whether the tool may well go there once more, to size. */
    private bool $mayRepeat = false;

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

    /** The part is turned: the same places are others. */
    public function turn(): void
    {
        $this->endHole();
        $this->made = [];
    }

    /** A stroke of a cycle; those at one place are one hole. */
    public function strokes(AirHole $at, bool $meets, bool $mayRepeat): void
    {
        $this->mayRepeat = $mayRepeat;
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
        if ($this->hole !== null && $this->met) {
            $this->places[$this->hole->tool][round($this->hole->x, 3).' '.round($this->hole->y, 3)] = true;
        }
        if ($this->hole !== null && $this->met && ! $this->mayRepeat) {
            $key = $this->hole->tool.' '.round($this->hole->x, 3).' '.round($this->hole->y, 3);
            $isAgain = isset($this->made[$key]) && $this->hole->z > $this->made[$key] - 1e-6;
            if ($isAgain && count($this->again) < self::MOST) {
                $this->again[] = $this->hole;
            }
            if (count($this->made) < self::MOST_MADE) {
                $this->made[$key] = min($this->made[$key] ?? INF, $this->hole->z);
            }
        }
        $this->hole = null;
    }

    /** @return list<AirHole> the holes a tool makes where it has made one as deep before */
    public function again(): array
    {
        $this->endHole();

        return $this->again;
    }

    /** At how many places a tool makes holes in material. */
    public function holesOf(int $tool): int
    {
        $this->endHole();

        return count($this->places[$tool] ?? []);
    }

    /** @return list<AirHole> the holes that take nothing */
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
