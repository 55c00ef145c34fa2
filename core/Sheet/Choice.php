<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Quantities\Quantity;

/** Something the sheet decided by itself, with the reason. It can be overruled by an answer. */
final readonly class Choice
{
    /**
     * @param  string  $text  {name} stands for a figure
     * @param  array<string, Quantity|string|int>  $figures
     */
    public function __construct(public string $field, public string $text, public array $figures = [])
    {
    }
}
