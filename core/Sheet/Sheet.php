<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Obstacle;

/** An operation sheet: header, tools, and the operations in order. Lengths in millimetres but for the answers, which stand as they were typed. */
final readonly class Sheet
{
    /**
     * @param  non-empty-list<string>  $workOffsets
     * @param  array<string, mixed>  $names  figures with a name of their own
     * @param  array<int, SheetTool>  $tools  by number
     * @param  list<Step>  $steps
     * @param  list<string>  $notes  for whoever runs the program
     * @param  list<Obstacle>  $obstacles  in the coordinates of the part
     * @param  bool  $isByHand  whether somebody moves Z: each depth is a message and a stop
     * @param  bool  $hasFigures  whether the answers stand in the program as comments
     * @param  Travel|null  $travel  of the machine, where the sheet is made in a setup
     * @param  array<string, mixed>|null  $stock  as it stands in the file
     */
    public function __construct(
        public string $name,
        public ?int $programNumber,
        public Units $units,
        public string $profile,
        public array $workOffsets,
        public bool $isByTool,
        public bool $isZeroAtBottom,
        public array $names,
        public float $clearance,
        public float $crossing,
        public float $homeZ,
        public string $material,
        public Blank $blank,
        public ?array $stock,
        public array $tools,
        public array $steps,
        public array $notes = [],
        public array $obstacles = [],
        public ?Travel $travel = null,
        public bool $hasFigures = false,
        public bool $isByHand = false,
    ) {
    }

    /** Where a tool may go across: clear of the raw part and of whatever stands beside it. */
    public function clearHeight(): float
    {
        $tops = array_map(static fn (Obstacle $obstacle): float => $obstacle->around->high->z, $this->obstacles);

        return $this->clearance + max([$this->blank->top(), ...$tops]);
    }
}
