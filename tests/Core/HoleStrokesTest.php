<?php

declare(strict_types=1);

use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;

/** The line explained behind a head that stands at Z25. */
function explainedCycle(string $lines, int $line, array $changes = []): Explanation
{
    return Explanation::of(Program::fromText(Bench::sound($lines)), Bench::setup($changes), $line);
}

it('draws a cycle from its own values, stroke by stroke', function (string $lines, array $strokes, int $pecks, string $words): void {
    $hole = explainedCycle($lines, 6)->hole;
    expect($hole?->strokes)->toEqual($strokes)->and($hole?->pecks)->toBe($pecks)->and($hole?->words())->toBe($words);
})->with([
    // 23 mm and 28 mm at the 15 m/min of Alder's Z, 5 mm down at 100 mm/min: 0.2 + 3.0 s.
    'drilled' => ['G98 G81 X5. Y5. Z-3. R2. F100.', [['rapid', 2.0], ['feed', -3.0], ['rapid', 25.0]], 1, 'about 3.2 s a hole'],
    'in pecks' => [
        'G99 G83 X5. Y5. Z-7. R2. Q4. F100.',
        [['rapid', 2.0], ['feed', -2.0], ['rapid', 2.0], ['rapid', -1.5], ['feed', -6.0], ['rapid', 2.0], ['rapid', -5.5], ['feed', -7.0], ['rapid', 2.0]],
        3, '3 strokes down, about 6.2 s a hole',
    ],
    'spot faced' => ['G98 G82 X5. Y5. Z-1. R2. P0.5 F60.', [['rapid', 2.0], ['feed', -1.0], ['dwell', 0.5], ['rapid', 25.0]], 1, 'about 3.7 s a hole'],
    'bored in and out' => ['G99 G85 X5. Y5. Z-3. R2. F100.', [['rapid', 2.0], ['feed', -3.0], ['feed', 2.0]], 1, 'about 6.1 s a hole'],
    'drawn out by hand' => [
        'G99 G88 X5. Y5. Z-3. R2. P1. F100.',
        [['rapid', 2.0], ['feed', -3.0], ['dwell', 1.0], ['stop', -3.0], ['hand', -3.0], ['rapid', 2.0], ['turn', 2.0]], 1, 'about 4.1 s a hole',
    ],
]);

it('writes its levels as the program does, in its units and from its zero', function (): void {
    expect(explainedCycle('G98 G81 X5. Y5. Z-3. R2. F100.', 6)->hole?->levels)->toEqual(['initial' => 25.0, 'r' => 2.0, 'bottom' => -3.0, 'back' => 25.0])
        ->and(explainedCycle("G20\nG98 G81 X.2 Y.2 Z-.5 R.1 F4.", 7)->hole?->levels['bottom'])->toBe(-0.5)
        ->and(explainedCycle("G52 Z-10.\nG98 G81 X5. Y5. Z-3. R2. F100.", 7)->hole?->levels['r'])->toBe(2.0)
        ->and(explainedCycle('G0 X5.', 6)->hole)->toBeNull();
});

it('says of a bare line under a cycle that it makes another hole', function (): void {
    $next = explainedCycle("G98 G81 X5. Y5. Z-3. R2. F100.\nX15.\nG80\nX20.", 7);
    expect($next->note)->toBe('Another hole is made here: the drilling cycle is still active.')->and($next->hole?->pecks)->toBe(1)
        ->and(explainedCycle("G98 G81 X5. Y5. Z-3. R2. F100.\nX15.\nG80\nX20.", 9)->hole)->toBeNull()
        ->and(explainedCycle('G98 G81 X5. Y5. Z-3. R2. F100.', 6)->note)->toBe('');
});
