<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\Gaps;
use OakTrace\Core\Formulas\MachiningPower;
use Tests\Core\Bench;

it('goes by the last word of a material, and by what is cut of it', function (?string $material, ?float $power): void {
    expect(MachiningPower::unitPower($material))->toBe($power);
})->with([
    ['aluminium', 0.90], ['Aluminum 6061-T6', 0.90], ['aluminium bronze', 1.36], ['bronze', 1.36], ['steel', 2.13], ['zinc plated steel', 2.13],
    ['steel, zinc-plated', 2.13],
    ['steel coated with copper', 2.13], ['zinc', 0.68], ['free machining brass', 0.68], ['brass', 1.36], ['stainless steel', 2.24],
    ['tool steel', 2.75], ['free-cutting steel', 1.31], ['cast iron', 1.42],
    ['hard drawn copper', 2.46], ['copper clad aluminium', 0.90], ['unobtainium', null], ['', null], [null, null],
]);

it('says so where nothing is known of a material', function (): void {
    $gaps = static fn (?string $material): array => array_map(
        static fn (Gap $gap): string => $gap->text, Gaps::of(Bench::verify(Bench::sound(''), ['material' => $material])->input),
    );
    expect($gaps('unobtainium'))->toContain('No unit power is known for “unobtainium”: cutting power is not checked.')
        ->and(implode(' ', $gaps('steel')))->not->toContain('unit power')->not->toContain('No material');
});
