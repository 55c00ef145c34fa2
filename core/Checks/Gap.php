<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Question;

/** Something that was not looked at, since nobody says what it needs. */
final readonly class Gap
{
    /**
     * @param  string  $text  what, and why
     * @param  string|null  $field  the setup's field that would let it be looked at, dotted
     */
    public function __construct(public Question $question, public string $text, public ?string $field = null)
    {
    }
}
