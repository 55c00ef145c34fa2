<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\SoundPrograms;

/** Round a rectangle of 60 × 40, clockwise, led in from a place and out to one, with the cutter on a side. */
function roundIt(string $side, string $from, string $to, string $path = "X-30. Y20. F400.\nX30.\nY-20.\nX-30.\nY0."): string
{
    return "G0 {$from}\nZ2.\nG1 Z-3. F200.\n{$side} D1 X-30. Y0. F400.\n{$path}\nG40 {$to}\nG0 Z25.";
}

const BACKWARDS = "X-30. Y-20. F400.\nX30.\nY20.\nX-30.\nY0.";

CheckCases::raises('compensation.wrong-side', [
    'an outside cut on its inner side' => [
        roundIt('G42', 'X-75. Y0.', 'X-75. Y0.'), 9, 'stop',
        'T1 comes from outside the outline and then runs inside it: it crosses the line that it should follow.', 'Put G41 @ 9:1 3 “G41”',
    ],
    'the same the other way round' => [
        roundIt('G41', 'X-75. Y0.', 'X-75. Y0.', BACKWARDS), 9, 'stop',
        'T1 comes from outside the outline and then runs inside it: it crosses the line that it should follow.', 'Put G42 @ 9:1 3 “G42”',
    ],
    'a pocket on its outer side' => [
        roundIt('G41', 'X0. Y0.', 'X0. Y0.'), 9, 'stop',
        'T1 comes from inside the outline and then runs outside it: it crosses the line that it should follow.', 'Put G42 @ 9:1 3 “G42”',
    ],
    'closed at a corner by drawn-out edges' => [
        "G0 X-75. Y-60.\nZ2.\nG1 Z-3. F200.\nG42 D1 X-30. Y-50. F400.\nY20.\nX30.\nY-20.\nX-55.\nG40 X-75. Y-60.\nG0 Z25.", 9, 'stop',
        'T1 comes from outside the outline and then runs inside it: it crosses the line that it should follow.', 'Put G41 @ 9:1 3 “G41”',
    ],
    'round an outline of arcs' => [
        "G0 X-75. Y0.\nZ2.\nG1 Z-3. F200.\nG42 D1 X-30. Y0. F400.\nG2 X30. Y0. R30.\nX-30. R30.\nG1 G40 X-75.\nG0 Z25.", 9, 'stop',
        'T1 comes from outside the outline and then runs inside it: it crosses the line that it should follow.', 'Put G41 @ 9:1 3 “G41”',
    ],
]);

CheckCases::staysQuiet('compensation.wrong-side', [
    'an outside' => [roundIt('G41', 'X-75. Y0.', 'X-75. Y0.')],
    'an inside' => [roundIt('G42', 'X0. Y0.', 'X0. Y0.')],
    'led in over the part and plunged inside' => [
        "G0 X-75. Y0.\nZ2.\nG42 D1 X-30. Y0. F400.\nX-30. Y5.\nG1 Z-3. F200.\nY20. F400.\nX30.\nY-20.\nX-30.\nY0.\nG0 Z25.\nG40 X-75.",
    ],
    'an open pocket, in and out by its mouth' => [
        "G0 X-75. Y0.\nZ2.\nG1 Z-3. F200.\nG41 D1 X-45. Y-10. F400.\nX-30.\nY-20.\nX30.\nY20.\nX-30.\nY10.\nX-45.\nG40 X-75. Y0.\nG0 Z25.",
    ],
    'one edge, begun on its other side' => ["G0 X-75. Y0.\nZ2.\nG1 Z-3. F200.\nG42 D1 X-70. Y-30. F400.\nX60.\nG40 X75. Y-50.\nG0 Z25."],
]);

it('lets no sound outline be on the wrong side, and finds each that is', function (): void {
    $tried = 0;
    foreach (SoundPrograms::all() as $name => [$text, $changes]) {
        if (preg_match('/outside|inside/', (string) $name) === 1 && preg_match('/G4[12]/', $text) === 1) {
            $tried++;
            expect(Bench::names(Bench::verify($text, $changes)))->not->toContain('compensation.wrong-side')
                ->and(Bench::names(Bench::verify(strtr($text, ['G41' => 'G42', 'G42' => 'G41']), $changes)))->toContain('compensation.wrong-side');
        }
    }
    expect($tried)->toBeGreaterThan(1);
});
