<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;

it('says of every check why it matters, in two sentences and in words of its own', function (): void {
    $whys = array_map(fn (Check $check): string => $check->why(), CheckCatalogue::all());
    foreach ($whys as $why) {
        expect(preg_match_all('/[.!?](?= |$)/', $why))->toBe(2, $why)->and($why)->not->toMatch('/\bsafe\b/i');
    }
    expect(array_unique($whys))->toHaveCount(count($whys));
});

it('has a test file for every check of the catalogue, and no other', function (): void {
    $files = array_map(fn (string $file): string => basename(dirname($file)).'\\'.basename($file, 'Test.php'), glob(__DIR__.'/Checks/*/*Test.php') ?: []);
    $classes = array_map(fn (Check $check): string => str_replace('OakTrace\\Core\\Checks\\', '', $check::class), CheckCatalogue::all());
    $names = array_map(fn (Check $check): string => $check->name(), CheckCatalogue::all());
    expect($files)->toEqualCanonicalizing($classes)->and($names)->toBe(array_values(array_unique($names)));
});

it('names one cause once', function (string $text, array $names): void {
    expect(Bench::names(Bench::verify(Bench::sound($text))))->toBe($names);
})->with([
    'a slip is not also below the stock' => ["G0 Z2.\nG1 Z-50. F100.\nX10.\nG0 Z25.", ['heights.decimal-slip']],
    'what cannot fit is not also an overrun' => ["G0 Y-210.\nY210.", ['travel.does-not-fit']],
    'many bare numbers' => ["G0 X10\nX11\nX12\nY13", ['reading.no-decimal']],
    'no more than a note of a sound slot' => ["G0 Z2.\nG1 Z-3. F100.\nX20. F300.\nG3 X20. Y10. I0. J5.\nG0 Z25.", ['cutting.full-slot']],
]);

it('offers the value that was probably meant, as an edit of the word', function (): void {
    $finding = Bench::verify(Bench::sound("G0 Z2.\nG1 Z-3. F100.\nX10.\nG0 Z2.\nX0.\nG1 Z-30. F100.\nG0 Z25."))->findings[0];
    expect($finding->edit)->toMatchArray(['line' => 11, 'column' => 5, 'length' => 4, 'text' => '-3.'])
        ->and($finding->figures['like'])->toBe(7);
});

it('says where an overrun is, by how much, and where the offset may stand', function (): void {
    $finding = Bench::verify(Bench::sound("G0 Y190.\nY212.5\nY203."))->findings[0];
    expect($finding->line)->toBe(7)
        ->and($finding->alsoAt)->toBe([8])
        ->and($finding->figures['by']->value)->toEqualWithDelta(12.5, 1e-9)
        ->and([$finding->figures['fitMin']->value, $finding->figures['fitMax']->value])->toEqualWithDelta([-410, -212.5], 1e-9)
        ->and($finding->field)->toBe('workOffsets.G54.Y');
});

it('gives the centre that would fit a wrong arc', function (): void {
    // Start (0, 0), end (10, 5): every fitting centre lies on the bisector 2 x + y = 12.5.
    $finding = Bench::verify(Bench::sound('G2 X10. Y5. I5. J0. F100.'))->findings[0];
    expect(2 * $finding->figures['centerI']->value + $finding->figures['centerJ']->value)->toEqualWithDelta(12.5, 1e-9)
        ->and($finding->severity)->toBe(Severity::Stop);
});

it('tells a wrong work offset as a shift of everything, not axis by axis', function (array $offset, int $findings): void {
    $text = Bench::sound("G0 X-30. Y-20.\nZ2.\nG1 Z-2. F100.\nX30. F300.\nY20.\nX-30.\nG0 Z25.");
    $verification = Bench::verify($text, ['workOffsets' => ['G54' => $offset]]);
    $overruns = array_values(array_filter($verification->findings, fn (Finding $finding): bool => $finding->check === 'travel.overrun'));
    expect($overruns)->toHaveCount($findings);
    if ($findings === 1) {
        $wording = new Wording(Units::Millimetre);
        expect($wording->text($overruns[0]))->toBe(
            'Everything in G54 stands outside the travel: 450.000 mm past the plus limit of X, 230.000 mm past the plus limit of Y. The offset '
                .'looks wrong, not the program.',
        )
            ->and($wording->remedy($overruns[0]))->toBe(
                'For everything to be inside G54 must have X −730.000 mm to −30.000 mm, Y −390.000 mm to −20.000 mm.',
            )
            ->and($overruns[0]->field)->toBe('workOffsets.G54');
    }
})->with([
    'touched off with the wrong sign' => [['X' => 420, 'Y' => 210, 'Z' => 0], 1],
    'at the edge on both axes' => [['X' => -10, 'Y' => -5, 'Z' => 0], 2],
]);

it('asks on another machine none of the checks of a mill', function (): void {
    $names = fn (string $kind): array => array_map(
        fn (Check $check): string => $check->name(), CheckCatalogue::for(Bench::setup(['machine' => ['kind' => $kind]])->machine),
    );
    $all = array_map(fn (Check $check): string => $check->name(), CheckCatalogue::all());
    $ofLathes = fn (string $name): bool => str_starts_with($name, 'turning.') || $name === 'state.no-tool-offset';
    $onLathes = $names('lathe');
    expect($names('sliding-head'))->toBe(['reading.machine-kind'])
        ->and($names('mill'))->toBe(array_values(array_filter($all, fn (string $name): bool => $name !== 'reading.machine-kind' && ! $ofLathes($name))))
        ->and(array_diff(array_filter($all, $ofLathes), $onLathes))->toBe([])
        ->and(array_values(preg_grep('/^(heights|cutting)\./', $onLathes) ?: []))->toBe(['cutting.small-peck'])
        ->and($onLathes)->toContain('travel.overrun', 'reading.unknown-code', 'geometry.arc-radius', 'state.no-feed');
});
