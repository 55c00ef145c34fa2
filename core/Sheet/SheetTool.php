<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Setup\Tool;

/** A tool with how it runs in this sheet. Feeds in mm/min. */
final readonly class SheetTool
{
    /**
     * @param  array<string, mixed>  $source  its fields of a setup, in the units of the sheet
     * @param  float|null  $plungeFeed  down into material: a third of its feed where nothing else is said (common practice)
     * @param  string|null  $coolant  flood or mist
     * @param  float|null  $springStroke  how far it gives, mm; null where it does not
     * @param  string  $stop  before it is changed: none, optional or program
     */
    public function __construct(
        public Tool $tool,
        public array $source,
        public ?float $rpm,
        public ?float $feed,
        public ?float $plungeFeed,
        public ?string $coolant = null,
        public string $stop = 'optional',
        public string $note = '',
        public ?float $springStroke = null,
    ) {
    }

    public function diameter(): float
    {
        return $this->tool->geometry->diameter ?? 0.0;
    }

    public function radius(): float
    {
        return $this->tool->radius();
    }

    /** Down into material. */
    public function downFeed(): float
    {
        return $this->plungeFeed ?? 0.0;
    }
}
