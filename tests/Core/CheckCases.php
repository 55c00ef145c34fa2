<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Language\Library;

/**
 * The tests every check has: programs that must raise it, with the line and severity, and near misses that must raise
 * nothing. A text without M30 is put between a sound beginning and end; its own lines then count from 6.
 */
final class CheckCases
{
    /** @param  list<array{0: string, 1: int, 2: string, 3?: array<string, mixed>}>  $cases  text, line, severity, changes of the setup */
    public static function raises(string $check, array $cases): void
    {
        it("raises {$check}", function (string $text, int $line, string $severity, array $changes = []) use ($check): void {
            $findings = array_values(array_filter(
                Bench::verify(CheckCases::programOf($text), $changes)->findings,
                static fn (Finding $finding): bool => $finding->check === $check,
            ));
            expect($findings)->toHaveCount(1)
                ->and(Library::lineNumber($findings[0]->line))->toBe($line)
                ->and($findings[0]->severity->value)->toBe($severity);
        })->with($cases);
    }

    /** @param  list<array{0: string, 1?: array<string, mixed>}>  $cases  text, changes of the setup */
    public static function staysQuiet(string $check, array $cases): void
    {
        it("is no case of {$check}", function (string $text, array $changes = []) use ($check): void {
            expect(Bench::names(Bench::verify(CheckCases::programOf($text), $changes)))->not->toContain($check);
        })->with($cases);
    }

    public static function programOf(string $text): string
    {
        return str_contains($text, 'G90') && str_contains($text, "\n") ? $text : Bench::sound($text);
    }
}
