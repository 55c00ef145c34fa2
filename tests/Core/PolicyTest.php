<?php

declare(strict_types=1);

use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use Tests\Core\Bench;

const LOW = "G0 Z1.\nX30.\nZ25.";

it('makes a note of a caution the shop has lowered, and keeps the reason in sight', function (array $changes, string $on): void {
    $verification = Bench::verify(Bench::sound(LOW), $changes);
    expect($verification->verdict->value)->toBe('clear')
        ->and($verification->findings[0]->severity)->toBe(Severity::Note)
        ->and(CheckResult::of($verification)['findings'][0]['lowered'])->toBe(['reason' => 'the table is clear', 'on' => $on, 'by' => 'J. Fern']);
})->with([
    'in the setup' => [['lowered' => [['check' => 'heights.rapid-low', 'reason' => 'the table is clear', 'by' => 'J. Fern']]], 'setup'],
    'on the machine' => [['machine' => ['lowered' => [['check' => 'heights.rapid-low', 'reason' => 'the table is clear', 'by' => 'J. Fern']]]], 'machine'],
]);

it('never lowers a stop', function (): void {
    $findings = Bench::verify(Bench::sound("G0 Z-1.\nZ25."), ['lowered' => [['check' => 'heights.rapid-into-stock', 'reason' => 'in a hurry']]])->findings;
    expect(
        array_map(fn (Finding $finding): array => [$finding->check, $finding->severity, $finding->lowered], $findings),
    )->toBe([['heights.rapid-into-stock', Severity::Stop, null]]);
});

it('leaves the cautions of other checks alone', function (): void {
    expect(
        Bench::verify(Bench::sound(LOW), ['lowered' => [['check' => 'heights.combined-approach', 'reason' => 'usual here']]])->verdict->value,
    )->toBe('caution');
});

it('writes its sentences in the units of the program, and the other unit beside them', function (): void {
    $finding = CheckResult::of(Bench::verify(Bench::sound(LOW)))['findings'][0];
    expect($finding['text'])->toContain('1.000 mm')->and($finding['otherUnits'])->toContain('0.0394 in');
});

it('counts columns in characters where the core counts bytes', function (): void {
    $finding = CheckResult::of(Bench::verify(Bench::sound("(ÄÖÜ) G0 Z2.\n(ÄÖÜ) G1 Z-50. F100.\nG0 Z25.")))['findings'][0];
    expect($finding['column'])->toBe(10)->and($finding['edit'])->toMatchArray(['column' => 11, 'length' => 4, 'text' => '-5.']);
});
