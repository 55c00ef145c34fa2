<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** A word whose decimal point looks lost, the move it made, and the number that may have been meant. */
final readonly class Slip
{
    /**
     * @param  LowMove|null  $like  a move that goes to the depth that may have been meant
     * @param  list<int>  $alsoAt  further lines the slip takes along
     */
    public function __construct(
        public PlacedWord $word,
        public LowMove $move,
        public string $meant,
        public ?LowMove $like = null,
        public array $alsoAt = [],
    ) {
    }
}
