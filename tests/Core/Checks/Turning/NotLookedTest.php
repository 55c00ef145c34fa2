<?php

declare(strict_types=1);

use Tests\Core\Lathe;
use Tests\Core\LatheCases;

LatheCases::raises('turning.no-lathe-check', [
    'a setup that does not tell of the jaws' => [LatheCases::READY.'G0 X44. Z2.', 1, 'caution',
        'This setup does not tell enough of the chuck: rapids into the part or the jaws could not be checked all the way.', ['chuck' => null],
    ],
]);

LatheCases::staysQuiet('turning.no-lathe-check', [
    'a setup that tells all' => [LatheCases::READY."G0 X44. Z2.\nG1 Z1. F0.2"],
]);

it('names the tailstock as not looked at where nothing is said of it', function (array $changes, bool $names): void {
    $told = array_filter(LatheCases::gaps("G21\nM30", $changes), static fn (string $text): bool => str_starts_with($text, 'Tailstock and loads'));
    expect($told !== [])->toBe($names);
})->with([
    'silent' => [[], true], 'back' => [['tailstock' => ['retracted' => true]], false], 'in' => [['tailstock' => ['mouth' => 4, 'quillDiameter' => 30]], false],
]);

it('says so where there is too much to cut', function (): void {
    $pecks = "G21 G99\nT0202\nG97 S800 M3\nG0 X0. Z2.\nG83 Z-50. Q20 F0.1\nG80";
    $found = Lathe::found('turning.no-lathe-check', $pecks, array_replace_recursive(LatheCases::BAR, ['stock' => ['length' => 400]]));
    expect($found)->toHaveCount(1)->and($found[0]->text)->toContain('too many moves for the bar to be cut to its end');
});
