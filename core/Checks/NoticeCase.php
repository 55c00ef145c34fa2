<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Severity;

/** What a kind of notice is told as. */
final readonly class NoticeCase
{
    /**
     * @param  string  $notice  kind of the notice
     * @param  list<string>  $apart  figures that make two notices two findings; all others of the kind are folded into one
     */
    public function __construct(
        public string $notice,
        public Severity $severity,
        public string $text,
        public string $remedy,
        public array $apart = [],
    ) {
    }
}
