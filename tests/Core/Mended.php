<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Edit;

/** Makes the changes a finding offers, as an editor would. */
final class Mended
{
    public static function with(string $text, Edit $edit): string
    {
        return $edit->in($text);
    }
}
