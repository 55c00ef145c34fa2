<?php

declare(strict_types=1);

namespace OakTrace\Core\Kinematics;

/** Tools of a lathe that stand side by side on its cross slide: nothing turns when another is called. */
final readonly class Posts
{
    /** @param  string|null  $side  of the part, for the operator: front or rear */
    public function __construct(public ?string $side = null)
    {
    }
}
