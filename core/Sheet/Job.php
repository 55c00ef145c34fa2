<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use Closure;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Obstacle;

/** What an operation works with: its tool, the heights, the raw part and what was made of it before. Lengths in millimetres. */
final class Job
{
    /** @var array<string, Choice> what was decided and why, by field */
    private array $choices = [];

    /** @var list<array{float, float, float}> */
    private array $openings = [];

    /**
     * @param  array<string, Edge>  $edges  of the operations before, by their ids
     * @param  list<Obstacle>  $obstacles
     * @param  Only  $only  what of it is made, where an operation is made again
     * @param  array<string, Edge>  $planned  of all operations
     * @param  (Closure(): ?CutStock)|null  $stockSoFar  what the operations before have left, worked out when it is asked for
     * @param  bool  $isByHand  whether somebody moves Z
     * @param  Travel|null  $travel  of the machine, where the sheet is made in a setup
     */
    public function __construct(
        public readonly SheetTool $tool,
        public readonly Blank $blank,
        public readonly ControlProfile $control,
        public readonly float $clearance,
        public readonly string $material,
        public readonly Units $units = Units::Millimetre,
        public readonly float $usualTop = 0.0,
        private readonly array $edges = [],
        private readonly array $obstacles = [],
        public readonly Only $only = Only::All,
        public readonly ?Travel $travel = null,
        private readonly array $planned = [],
        public readonly bool $isByHand = false,
        private readonly ?Closure $stockSoFar = null,
    ) {
    }

    /** What stands when the operation begins; null where there is no raw part to tell of, or nothing was cut yet. */
    public function cutStock(): ?CutStock
    {
        return $this->stockSoFar === null ? null : ($this->stockSoFar)();
    }

    /** The edge an operation is going to leave, before this one or after it; null where not all of it is answered. */
    public function plannedEdgeOf(string $operation): ?Edge
    {
        return $this->planned[$operation] ?? null;
    }

    /** The edge an operation left that was made before; null where it left none. */
    public function edgeOf(string $operation): ?Edge
    {
        return $this->edges[$operation] ?? null;
    }

    /** @return list<Edge> of what earlier operations went into, but for what a wider one took away as deep */
    public function wallsAround(): array
    {
        $walls = array_values(array_filter($this->edges, static fn (?Edge $edge): bool => $edge?->isInside === true));

        return array_values(array_filter($walls, static fn (Edge $wall): bool => array_filter($walls, $wall->isGoneWith(...)) === []));
    }

    /** What stands in a straight way of the tool. */
    public function inTheWay(PartPoint $from, PartPoint $to): ?Obstacle
    {
        foreach ($this->obstacles as $obstacle) {
            if ($obstacle->isEnteredBy($from, $to, $this->tool->radius())) {
                return $obstacle;
            }
        }

        return null;
    }

    /** A length as it is told in the units of the sheet. */
    public function said(float $millimetres): string
    {
        return number_format($millimetres / $this->units->millimetres(), $this->units->decimals(), '.', '').' '.strtoupper($this->units->symbol());
    }

    /** Notes that the tool comes down where nothing stands: beside the raw part, or in a hole as wide as is told. A copy needs the same. */
    public function relyOn(float $x, float $y, float $hole): void
    {
        $this->openings[] = [$x, $y, $hole];
    }

    /** @return list<array{float, float, float}> X, Y, and the diameter of the hole it comes down in; 0 beside the raw part */
    public function openings(): array
    {
        return $this->openings;
    }

    public function decide(Choice $choice): void
    {
        // What is decided again for each pass is told once.
        $this->choices[$choice->field] ??= $choice;
    }

    /** @return list<Choice> */
    public function choices(): array
    {
        return array_values($this->choices);
    }
}
