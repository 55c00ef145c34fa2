<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;
use Tests\Core\LatheCases;
use Tests\Core\Rounded;

/** Round a corner by an arc: a line along X to 20, an arc about 20, 10 to 30, 10, and on along Y. */
function corner(string $arc, string $on = 'G1 Y30.'): string
{
    return "Z2.\nG1 Z-2. F100.\nX20. F300.\n{$arc}\n{$on}\nG0 Z25.";
}

CheckCases::raises('geometry.arc-reversed', [
    'clockwise for counter-clockwise' => [
        corner('G2 X30. Y10. I0. J10.'), 9, 'caution', 'The arc sets out straight back along the move before it, and goes 270.000° round; the other way '
            .'it would join both moves smoothly, over 90.000°.', 'Put G3 @ 9:1 2 “G3”',
    ],
    'the other way round' => [
        corner('G3 X30. Y-10. I0. J-10.', 'G1 Y-30.'), 9, 'caution', 'The arc sets out straight back along the move before it, and goes 270.000° round; '
            .'the other way it would join both moves smoothly, over 90.000°.', 'Put G2 @ 9:1 2 “G2”',
    ],
    'a corner hollowed that is rounded elsewhere' => [
        Rounded::plate('G3 X48. Y30. R8.'), 12, 'caution',
        'The arc leaves a corner at both ends; the other way it would join both lines smoothly, like the one on line 10.', 'Put G2 @ 12:1 2 “G2”',
    ],
    'the same by its centre, with the cutter beside it' => [
        Rounded::plate('G3 X48. Y30. I8. J0.', beside: 'G41 D1 '), 12, 'caution',
        'The arc leaves a corner at both ends; the other way it would join both lines smoothly, like the one on line 10.', 'Put G2 @ 12:1 2 “G2”',
    ],
    'behind an arc of the same kind, whose code is in force' => [
        "G0 X-20. Z2.\nG1 Z-2. F100.\nX0. F300.\nG2 X10. Y-10. I0. J-10.\nX20. Y-20. I10. J0.\nG1 X40.\nG0 Z25.", 10, 'caution',
        'The arc sets out straight back along the move before it, and goes 270.000° round; the other way it would join both moves smoothly, over 90.000°.',
        null,
    ],
]);

CheckCases::staysQuiet('geometry.arc-reversed', [
    'two corners hollowed' => [Rounded::plate('G3 X48. Y30. R8.', 'G3 X40. Y-38. R8.')],
    'hollowed by another radius' => [Rounded::plate('G3 X48. Y30. R9.')],
    'one other corner of that radius' => [Rounded::plate('G3 X48. Y30. R8.', 'G2 X40. Y-38. R20.', 'G2 X-48. Y-30. R20.')],
    'the right way' => [corner('G3 X30. Y10. I0. J10.')],
    'round an eye, and on the way it came' => [corner('G3 X20. Y0. I0. J10.', 'G1 X40.')],
    'three quarters of a circle that meets its lines square' => [corner('G2 X30. Y10. I10. J0.', 'G1 X50.')],
    'back along one of them alone' => [corner('G2 X30. Y10. I0. J10.', 'G1 X50.')],
    'before a rapid' => [corner('G2 X30. Y10. I0. J10.', 'G0 Y30.')],
    'going down' => [corner('G2 X30. Y10. Z-3. I0. J10.')],
]);

LatheCases::raises('geometry.arc-reversed', [
    'a corner of a shaft, hollow' => [
        LatheCases::READY."G0 X30. Z3.\nG1 X20. Z0. F0.2\nZ-20.\nX24.\nG2 X30. Z-23. R3.\nG1 Z-30.\nX44.", 9, 'caution',
        'The arc leaves a corner at both ends; the other way it would join both lines smoothly.', [], 'Put G3 @ 9:1 2 “G3”',
    ],
    'a fillet, bulging, the nose beside it' => [
        LatheCases::READY."G0 X30. Z3.\nG42 X10. Z2.\nG1 Z0. F0.2\nX20.\nG2 X30. Z-5. R5.\nG1 Z-10.\nX44.\nG40 G0 X80. Z5.", 9, 'caution',
        'The arc leaves a corner at both ends; the other way it would join both lines smoothly.',
        ['offsets' => ['T' => ['1' => ['R' => 0.8, 'tip' => 3]]]], 'Put G3 @ 9:1 2 “G3”',
    ],
    'on a control that reads them as they are seen from the front' => [
        LatheCases::READY."G0 X30. Z3.\nG1 X20. Z0. F0.2\nZ-20.\nX24.\nG3 X30. Z-23. R3.\nG1 Z-30.\nX44.", 9, 'caution',
        'The arc leaves a corner at both ends; the other way it would join both lines smoothly.',
        ['machine' => ['control' => ['arcSense' => 'as-seen-on-front']]], 'Put G2 @ 9:1 2 “G2”',
    ],
]);

LatheCases::staysQuiet('geometry.arc-reversed', [
    'a corner of a shaft, rounded' => [LatheCases::READY."G0 X30. Z3.\nG1 X20. Z0. F0.2\nZ-20.\nX24.\nG3 X30. Z-23. R3.\nG1 Z-30.\nX44."],
    'a fillet' => [LatheCases::READY."G0 X30. Z3.\nG1 X20. Z0. F0.2\nZ-17.\nG2 X26. Z-20. R3.\nG1 X44."],
    'two hollows' => [
        LatheCases::READY."G0 X8. Z3.\nG1 Z0. F0.2\nX14.\nG2 X20. Z-3. R3.\nG1 Z-20.\nX24.\nG2 X30. Z-23. R3.\nG1 Z-30.\nX44.",
    ],
    'rounded, as it is seen from the front' => [
        LatheCases::READY."G0 X30. Z3.\nG1 X20. Z0. F0.2\nZ-20.\nX24.\nG2 X30. Z-23. R3.\nG1 Z-30.\nX44.",
        ['machine' => ['control' => ['arcSense' => 'as-seen-on-front']]],
    ],
]);

it('names every arc that does it', function (): void {
    $lines = "Z2.\nG1 Z-2. F100.\nX20. F300.\nG2 X30. Y10. I0. J10.\nG1 Y20.\nG2 X20. Y30. I-10. J0.\nG1 X0.\nG0 Z25.";
    $found = Bench::findings('geometry.arc-reversed', Bench::verify(Bench::sound($lines)));
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt, Bench::remedy($found[0])])->toBe([9, [11], 'Is G3 meant?']);
});
