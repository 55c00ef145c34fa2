<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Edit;

/** Makes the changes a finding offers, as an editor would. */
final class Mended
{
    public static function with(string $text, Edit $edit): string
    {
        $lines = explode("\n", $text);
        $edits = [$edit, ...$edit->also];
        // From the end, so that a change does not move the place of another.
        usort($edits, static fn (Edit $a, Edit $b): int => [$b->line, $b->column] <=> [$a->line, $a->column]);
        foreach ($edits as $change) {
            $lines[$change->line - 1] = substr_replace($lines[$change->line - 1], $change->text, $change->column - 1, $change->length);
        }

        return implode("\n", $lines);
    }
}
