<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/**
 * The tests every check has: programs that must raise it, with the line and severity, and near misses that must raise
 * nothing. A text that does not begin with G90, or have both G90 and M30, is put between a
 * sound beginning and end; its own lines then count from 6.
 */
final class CheckCases
{
    /**
     * @param  array<array-key, array{0: string, 1: int|non-empty-list<int>, 2: string, 3: string, 4: string|null, 5?: array<string, mixed>}>  $cases
     *         text, line (or that and all the others it names), severity, its whole sentence, what it offers to change (see offered()), changes of
     *         the setup
     * @param  bool  $isCut  whether the stock is cut on the way, or taken as given
     */
    public static function raises(string $check, array $cases, bool $isCut = true): void
    {
        it("raises {$check}".($isCut ? '' : ' without its cut'), function (
            string $text, int|array $line, string $severity, string $says, ?string $offers, array $changes = [],
        ) use ($check, $isCut): void {
            $verification = Bench::verify(CheckCases::programOf($text), $changes, $isCut);
            $findings = Bench::findings($check, $verification);
            expect($findings)->toHaveCount(1)
                ->and(CheckCases::lines($findings[0]))->toBe((array) $line)
                ->and($findings[0]->severity->value)->toBe($severity)
                ->and((new Wording($verification->setup->units))->text($findings[0]))->toBe($says)
                ->and((new Wording($verification->setup->units))->remedy($findings[0]))->not->toContain('{')->not->toBe('')
                ->and(CheckCases::offered($findings[0]->edit))->toBe($offers);
            Pointing::expect($findings[0], $verification);
            CheckCases::expectMended($check, CheckCases::programOf($text), $changes, $findings[0]->edit, $isCut);
        })->with($cases);
    }

    /** @param  array<array-key, array{0: string, 1?: array<string, mixed>}>  $cases  text, changes of the setup */
    public static function staysQuiet(string $check, array $cases, bool $isCut = true): void
    {
        it("is no case of {$check}".($isCut ? '' : ' without its cut'), function (string $text, array $changes = []) use ($check, $isCut): void {
            expect(Bench::names(Bench::verify(CheckCases::programOf($text), $changes, $isCut)))->not->toContain($check);
        })->with($cases);
    }

    /**
     * What the finding offers to change does away with it, and brings no stop that was not there.
     *
     * @param  array<string, mixed>  $changes
     */
    public static function expectMended(string $check, string $text, array $changes, ?Edit $edit, bool $isCut = true): void
    {
        if ($edit === null) {
            return;
        }
        $stops = static fn (string $text): array => array_map(
            static fn (Finding $finding): string => $finding->check,
            array_values(array_filter(
                Bench::verify($text, $changes, $isCut)->findings, static fn (Finding $finding): bool => $finding->severity === Severity::Stop,
            )),
        );
        $mended = Mended::with($text, $edit);
        expect(Bench::names(Bench::verify($mended, $changes, $isCut)))->not->toContain($check)
            ->and(array_values(array_diff($stops($mended), $stops($text))))->toBe([]);
    }

    /** @return non-empty-list<int> the line of a finding, and those where it is so as well */
    public static function lines(Finding $finding): array
    {
        return array_map(SourceMap::lineNumber(...), [$finding->line, ...$finding->alsoAt]);
    }

    /** A change of text in one line: what it is called, then of each part where it stands, the characters it replaces, and by what. */
    public static function offered(?Edit $edit): ?string
    {
        if ($edit === null) {
            return null;
        }
        $parts = array_map(
            static fn (Edit $part): string => SourceMap::lineNumber($part->line)
                .":{$part->column} {$part->length} “".str_replace("\n", '¶', $part->text).'”',
            [$edit, ...$edit->also],
        );

        return $edit->label.' @ '.implode(', ', $parts);
    }

    public static function programOf(string $text): string
    {
        return preg_match('/^.*G90.*\n|G90(.*\n)+.*M30/', $text) === 1 ? $text : Bench::sound($text);
    }
}
