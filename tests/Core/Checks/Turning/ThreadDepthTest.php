<?php

declare(strict_types=1);

use Tests\Core\LatheCases;

const THREAD_HEAD = "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\n";
const THREAD_IN_BORE = ['stock' => ['bore' => 20], 'offsets' => ['T' => ['5' => ['tip' => 6]]]];

// 0.6134 of a pitch of 1.5 are 0.920 below a crest of Ø40 (ISO 724, from memory): Ø38.160.
LatheCases::raises('turning.thread-depth', [
    'a thread that ends in a shoulder' => [
        "G21 G99\nT0505\nG97 S500 M3\nG0 X34. Z8.\nG92 X29.2 Z-22. F1.5\nX28.6\nX28.16\n", 5, 'stop', 'T5 runs its thread 5.920 mm deep into a shoulder.',
        ['stock' => ['outer' => [[1, 30], [-20, 30], [-20, 40], [-80, 40]]]],
    ],
    'a height with a figure left out' => [THREAD_HEAD."G76 P010060 Q50 R0.02\nG76 X38.16 Z-20. P92 Q250 F1.5", 6, 'stop',
        'One pass of T5 goes 0.900 mm deeper than the one before.',
    ],
    'a pass that is left out' => [THREAD_HEAD."G92 X39.4 Z-20. F1.5\nX38.16\n", 6, 'caution',
        'One pass of T5 goes 0.620 mm deeper than the one before.',
    ],
    'a last pass that is missing' => [THREAD_HEAD."G92 X39.2 Z-20. F1.5\nX38.6\n", 5, 'caution',
        'T5 cuts its thread 0.700 mm deep; a pitch of 1.500 mm wants 0.920 mm.',
    ],
    'too deep' => [THREAD_HEAD."G92 X39.2 Z-20. F1.5\nX38.4\nX37.8\n", 5, 'caution', 'T5 cuts its thread 1.100 mm deep; a pitch of 1.500 mm wants 0.920 mm.'],
    'a shaft that is too small' => [THREAD_HEAD."G92 X41. Z-20. F1.5\nX40.4\n", 5, 'stop',
        'T5 cuts its thread in air: its last pass stays 0.200 mm off what is to be threaded.',
    ],
    'a bore' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X18. Z8.\nG92 X20.6 Z-20. F1.5\nX21.\n", 5, 'caution',
        'T5 cuts its thread 0.500 mm deep; a pitch of 1.500 mm wants 0.812 mm.', THREAD_IN_BORE,
    ],
    'the second of two threads' => [THREAD_HEAD."G92 X39.2 Z-12. F1.5\nX38.16\nG0 Z-20.\nG92 X39.2 Z-40. F1.5\nX38.6", 8, 'caution',
        'T5 cuts its thread 0.700 mm deep; a pitch of 1.500 mm wants 0.920 mm.',
    ],
    'a minus that is missing before Z' => [
        "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z8.\nG92 X39.2 Z20. F1.5\nX38.16", 5, 'caution',
        'Nothing stands where T5 cuts its thread, from Z 8.000 mm to Z 20.000 mm.',
    ],
    'a part that is not there' => [
        "G21 G99\nT0505\nG97 S500 M3\nG0 X44. Z-70.\nG92 X39.2 Z-90. F1.5\nX38.16", 5, 'caution',
        'Nothing stands where T5 cuts its thread, from Z −70.000 mm to Z −90.000 mm.', ['stock' => ['length' => 60]],
    ],
]);

LatheCases::staysQuiet('turning.thread-depth', [
    'a thread that ends in its relief' => [
        "G21 G99\nT0505\nG97 S500 M3\nG0 X34. Z8.\nG92 X29.2 Z-18.5 F1.5\nX28.6\nX28.16\n",
        ['stock' => ['outer' => [[1, 30], [-17, 30], [-17, 27], [-20, 27], [-20, 40], [-80, 40]]]],
    ],
    'as deep as its pitch wants' => [THREAD_HEAD."G92 X39.2 Z-20. F1.5\nX38.16\n"],
    'a crest turned small' => [THREAD_HEAD."G92 X39.2 Z-20. F1.5\nX38.46\n"],
    'a core drilled large' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X18. Z8.\nG92 X20.6 Z-20. F1.5\nX21.3\n", THREAD_IN_BORE],
    'as deep as a 55° form, and a little' => [THREAD_HEAD."G92 X39.2 Z-20. F1.5\nX38.4\nX37.9\n"],
    'two starts of that pitch' => [THREAD_HEAD."G92 X39.2 Z-20. F3.\nX38.16\nG0 Z9.5\nG92 X39.2 Z-20. F3.\nX38.16"],
    'a bore' => ["G21 G99\nT0505\nG97 S500 M3\nG0 X18. Z8.\nG92 X20.6 Z-20. F1.5\nX21.624\n", THREAD_IN_BORE],
    'blocks that go on into one another' => [
        THREAD_HEAD."X39.\nG32 Z-18. F1.5\nU4. Z-20.\nG0 X44.\nZ8.\nX38.16\nG32 Z-18. F1.5\nU4. Z-20.\nG0 X44.",
    ],
]);

it('says that the depth of a thread was not looked at', function (string $tool, array $changes, string $says): void {
    expect(LatheCases::gaps(str_replace('T0505', $tool, THREAD_HEAD)."G92 X39.2 Z-20. F1.5\nG28 U0 W0\nM30", $changes))->toContain($says);
})->with([
    'no pitch' => ['T0101', [], 'No pitch given for T1: the depth of the thread was not checked.'],
    'no stock' => ['T0505', ['stock' => null], 'Without the stock the depth of the thread was not checked.'],
]);

it('has looked at the depth of a thread whose pitch and stock are given', function (): void {
    expect(implode(' ', LatheCases::gaps(THREAD_HEAD."G92 X39.2 Z-20. F1.5\nG28 U0 W0\nM30", [])))->not->toContain('the depth of the thread');
});
