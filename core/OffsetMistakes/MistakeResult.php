<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

/** What a mistake leads to: what is met first, where, and from what height the tool comes. */
final readonly class MistakeResult
{
    /**
     * @param  string  $meets  limit, stock, below-stock, obstacle, nothing
     * @param  string  $name  the axis and side of the limit, or the obstacle
     * @param  int|null  $place  of the motion that meets it
     * @param  float|null  $height  of the tip above the stock where that motion begins, mm; null where nobody can know
     */
    public function __construct(
        public Mistake $mistake,
        public string $meets,
        public string $name = '',
        public ?int $place = null,
        public int $tool = 0,
        public ?float $height = null,
    ) {
    }
}
