<?php

declare(strict_types=1);

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
    $told = array_filter(LatheCases::gaps("G21\nM30", $changes), static fn (string $text): bool => str_starts_with($text, 'Holders, tailstock'));
    expect($told !== [])->toBe($names);
})->with([
    'silent' => [[], true], 'back' => [['tailstock' => ['retracted' => true]], false], 'in' => [['tailstock' => ['mouth' => 4, 'quillDiameter' => 30]], false],
]);
