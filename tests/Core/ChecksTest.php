<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Checks\Severity;
use Tests\Core\Bench;

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
    'nothing to say of a sound program' => ["G0 Z2.\nG1 Z-2. F100.\nX20. F300.\nG3 X20. Y10. I0. J5.\nG0 Z25.", []],
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
