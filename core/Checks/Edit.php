<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** A change of the program's text that would mend a finding: in a line, the characters from a column on. */
final readonly class Edit
{
    public function __construct(
        public int $line,
        public int $column,
        public int $length,
        public string $text,
        public string $label,
    ) {
    }
}
