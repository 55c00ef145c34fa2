<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** A word whose decimal point or sign looks lost, the move it made, and the number that may have been meant. */
final readonly class EntryError
{
    /**
     * @param  LowMove|null  $like  a move that goes to the depth that may have been meant
     * @param  list<int>  $alsoAt  further lines the slip takes along
     * @param  bool  $isSign  whether the sign is wrong, and not the point
     */
    public function __construct(
        public PlacedWord $word,
        public LowMove $move,
        public string $meant,
        public ?LowMove $like = null,
        public array $alsoAt = [],
        public bool $isSign = false,
    ) {
    }
}
