<?php

declare(strict_types=1);

use OakTrace\Core\Formats\PlanSketch;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

function sketchOf(string $lines, array $changes = []): ?array
{
    $setup = Bench::setup($changes);

    return PlanSketch::of(Verification::trace(Program::fromText(Bench::sound($lines)), $setup), $setup);
}

it('shows the stock, and the cuts inside it to scale', function (): void {
    // A stock of 100 × 80 in 90 × 58 dots: 0.725 dots a millimetre, so 58 dots deep and 72.5 wide about the middle.
    $sketch = sketchOf("G0 X-40. Y-30. Z2.\nG1 Z-1. F100.\nX40.\nY30.\nG0 Z25.");
    expect($sketch['stock'])->toBe([12, 3, 72, 58])->and($sketch['cuts'])->toBe('M19 54L77 54L77 10');
});

it('lets go of the pen between two cuts, and draws nothing twice', function (): void {
    $sketch = sketchOf("G0 X-40. Y-30. Z2.\nG1 Z-1. F100.\nX40.\nG0 Z2.\nX-40.\nG1 Z-2.\nX40.\nG0 Z2.\nY30.\nG1 Z-1.\nX0.");
    expect($sketch['cuts'])->toBe('M19 54L77 54M77 10L48 10');
});

it('marks holes where nothing else is cut', function (): void {
    expect(sketchOf('G81 X10. Y0. Z-5. R2. F100.')['cuts'])->toBe('M55 32h1');
});

it('is not drawn of a run that cuts nothing', function (): void {
    expect(sketchOf('G0 X10.'))->toBeNull();
});

it('fits the cuts where there is no stock', function (): void {
    $sketch = sketchOf('G1 X20. Y10. F100.', ['stock' => null]);
    expect($sketch['stock'])->toBeNull()->and($sketch['cuts'])->toBe('M3 55L93 10');
});
