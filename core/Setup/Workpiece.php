<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

use OakTrace\Core\Target\Target;

/** What is clamped, of what, and what is to come of it. */
final readonly class Workpiece
{
    /**
     * @param  list<Stock>  $moreStock  other pieces clamped beside it, at other work offsets
     * @param  string|null  $material  in the words of the setup
     * @param  Target|null  $target  what the setup is to make of the stock
     */
    public function __construct(public ?Stock $stock = null, public array $moreStock = [], public ?string $material = null, public ?Target $target = null)
    {
    }
}
