<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;

/** What holds of every finding, whatever it is about: it points to something that is there. */
final class Pointing
{
    public static function expect(Finding $finding, Verification $verification): void
    {
        $sources = $verification->trace->sources;
        $line = SourceMap::lineNumber($finding->line);
        expect($line)->toBeGreaterThan(0)->toBeLessThanOrEqual($sources->textOf($finding->line)->lineCount());
        if ($finding->check !== 'reading.bad-word') {
            $text = $sources->text($finding->line);
            $there = substr($text, $finding->column - 1);
            $isWord = preg_match('~^[A-Z(\[%/;:,]~i', $there) === 1 && preg_match('~[A-Z]$~i', substr($text, 0, $finding->column - 1)) === 0;
            expect($finding->column === 1 || $isWord || str_starts_with($there, '#'))
                ->toBeTrue("column {$finding->column} of “{$text}” begins no word");
        }
        expect($finding->alsoAt)->not->toContain($finding->line)->toBe(array_values(array_unique($finding->alsoAt)));
        if ($finding->field !== null) {
            self::expectField($finding->field, $verification->setup);
        }
    }

    /** A field of a setup, or one that can be given where what it belongs to is there. */
    private static function expectField(string $field, Setup $setup): void
    {
        $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schemas/oak-setup-1.json'), true);
        $steps = explode('.', $field);
        expect($schema['properties'])->toHaveKey($steps[0]);
        $at = json_decode((string) json_encode(Bench::files()->write($setup)), true);
        foreach (array_slice($steps, 0, -1) as $step) {
            expect($at)->toBeArray("{$field} is of nothing that is there");
            $at = $at[$step] ?? null;
        }
        expect($at)->toBeArray("{$field} is of nothing that is there");
        $last = $steps[count($steps) - 1];
        // A number or a name of its own is one that is there, but for an offset, which can be called before it has a value.
        expect($steps[0] === 'offsets' || $steps[0] === 'workOffsets' || preg_match('/^\d+$/', $last) === 0 || array_key_exists($last, $at))
            ->toBeTrue("{$field} is none that is there");
    }
}
