<?php

declare(strict_types=1);

use Tests\Core\Lathe;

it('says where a corner cannot be broken', function (string $program, string $says): void {
    $findings = Lathe::verify("G21 G99 G40\nT0101\nG97 S1000 M3\n".$program."\nM30")->findings;
    $found = array_values(array_filter($findings, fn ($finding): bool => $finding->check === 'turning.corner'));
    expect($found)->toHaveCount(1)->and($found[0]->line)->toBe(5)->and($found[0]->text)->toContain($says);
})->with([
    'nothing follows' => ["G0 X14. Z0.\nG1 X20.,C1. F0.1\nG0 Z5.", 'no straight move'],
    'the next move is too short' => ["G0 X14. Z0.\nG1 X20.,C1. F0.1\nZ-0.5\nG0 X30.", 'too short'],
    'in a single cycle' => ["G0 X42. Z2.\nG90 X38. Z-5.,R1. F0.1", 'makes none'],
    'at rapid' => ["G0 X14. Z0.\nG0 X20.,C1.\nG1 Z-15. F0.1", 'makes none'],
]);

it('tells a sign that says the other way', function (string $block, bool $isTold): void {
    $control = ['machine' => ['control' => ['cornerWords' => 'signed']]];
    $text = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X20. Z0.\nG1 {$block} F0.1\nX30.\nM30";
    expect(array_column(Lathe::found('turning.corner', $text, $control), 'line'))->toBe($isTold ? [5] : []);
})->with([
    'out, as it goes' => ['Z-15. I2.', false],
    'in, and it goes out' => ['Z-15. I-2.', true],
    'a rounding out' => ['Z-15. R2.', false],
    'a rounding in, and it goes out' => ['Z-15. R-2.', true],
]);

it('has nothing to say of corners that fit', function (): void {
    $text = "G21 G99 G40\nT0101\nG97 S1000 M3\nG0 X14. Z0.\nG1 X20.,C1. F0.1\nZ-15.\nM30";
    expect(array_column(Lathe::verify($text)->findings, 'check'))->not->toContain('turning.corner');
});
