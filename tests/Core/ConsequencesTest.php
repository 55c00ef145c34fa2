<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Consequences;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\Demo;

/** @return array<string, string> check => what it says, of what is more than a note */
function findingsOf(string $program, string $text, array $changes = []): array
{
    $setup = Bench::files()->read((string) json_encode(array_replace(json_decode(Demo::file($program), true), $changes)));
    $findings = Verification::of(Program::fromText($text), $setup, stock: StockRun::in($setup))->findings;
    $findings = array_filter($findings, static fn (Finding $finding): bool => $finding->severity->rank() < 2);

    return array_combine(array_column($findings, 'check'), array_map((new Wording(Units::Millimetre))->text(...), $findings));
}

it('lists one cause and counts what follows from it', function (string $program, string $from, string $to, string $check, string $says): void {
    $told = findingsOf($program, str_replace($from, $to, Demo::text($program)));
    expect(array_keys($told))->toBe([$check])->and($told[$check])->toStartWith($says)->toMatch('/ \d+ more findings follow from this and are not listed\.$/');
})->with([
    'inches for millimetres' => ['1305', 'G21', 'G20', 'state.units', 'The program is in inch; the setup is in mm.'],
    'millimetres for inches' => ['1608', 'G20', 'G21', 'state.units', 'The program is in mm; the setup is in inch.'],
]);

it('tells of a diameter that is not set, and not of the floor and the walls it spoils', function (): void {
    $told = findingsOf('1711', Demo::text('1711'), ['offsets' => ['D' => (object) []] + json_decode(Demo::file('1711'), true)['offsets']]);
    expect(array_keys($told))->toBe(['compensation.no-diameter'])
        ->and($told['compensation.no-diameter'])->toEndWith('2 more findings follow from this and are not listed.');
});

it('counts a single one that follows', function (): void {
    $cause = new Finding('compensation.no-diameter', Severity::Stop, 8, 1, 'D1 is not set.');
    $other = new Finding('state.feed-over', Severity::Caution, 4, 1, 'F is too high.');
    $folded = Consequences::fold([$other, $cause, new Finding('cutting.full-slot', Severity::Note, 9, 1, 'A slot.')]);
    expect(array_map((new Wording(Units::Millimetre))->text(...), $folded))
        ->toBe(['F is too high.', 'D1 is not set. One more finding follows from this and is not listed.'])
        ->and(Consequences::fold([$other, $cause]))->toBe([$other, $cause]);
});

it('hides nothing that has a cause of its own', function (): void {
    $told = findingsOf('1305', str_replace(['G21', 'T2 M6'], ['G20', 'T22 M6'], Demo::text('1305')));
    expect(array_keys($told))->toContain('state.units', 'state.no-tool');
    // Nor anything where the cause is no stop.
    $told = findingsOf('1305', str_replace('G21 ', '', Demo::text('1305'))."\n");
    expect($told['state.units'])->not->toContain('follow');
});
