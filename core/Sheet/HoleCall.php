<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Control\Code;

/** A canned cycle with its figures, in millimetres of the part. The same one serves at every place of a pattern. */
final readonly class HoleCall
{
    public function __construct(
        public Code $code,
        public float $bottom,
        public float $r,
        public float $feed,
        public ?float $peck = null,
        public ?float $dwell = null,
        public bool $toInitial = false,
    ) {
    }
}
