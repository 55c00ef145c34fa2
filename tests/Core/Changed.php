<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Transform\Text\Scope;
use OakTrace\Core\Transform\Text\TextTransforms;
use OakTrace\Core\Verification;
use RuntimeException;

/** A text after one of the changes of text. */
final class Changed
{
    /**
     * @param  array<string, mixed>  $values  by the name of the field
     * @param  array<string, mixed>  $setup  changes of Bench::setup()
     */
    public static function text(string $name, string $text, array $values = [], int $from = 1, ?int $to = null, array $setup = []): string
    {
        return self::on(Bench::setup($setup), $name, $text, $values, $from, $to);
    }

    /** @param  array<string, mixed>  $values */
    public static function on(Setup $setup, string $name, string $text, array $values = [], int $from = 1, ?int $to = null): string
    {
        $transform = TextTransforms::named($name) ?? throw new RuntimeException("There is no change {$name}.");
        $program = Program::fromText($text);
        $edits = $transform->edits(
            new Scope($program, $setup->machine->control, Verification::trace($program, $setup), $from, $to),
            TextTransforms::values($transform, $values),
        );

        return $edits === [] ? $text : Mended::with($text, $edits[0]->and(...array_slice($edits, 1)));
    }
}
