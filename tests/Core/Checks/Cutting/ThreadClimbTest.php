<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$mill = ['tools' => [['number' => 1, 'kind' => 'thread-mill', 'diameter' => 10, 'pitch' => 1.5]]];

/** A thread of 20 milled from below: led in on half a circle, once round, led out. */
function thread(string ...$turns): string
{
    return "Z2.\nG1 Z-15. F500.\nG3 X5. I2.5 Z-14.8 F100.\n".implode("\n", $turns)."\nG3 X0. I-2.5\nG0 Z25.";
}

CheckCases::raises('cutting.thread-climb', [
    'a climb of another pitch' => [thread('G3 I-5. Z-13.55'), 9, 'stop', 'T1 climbs 1.250 mm a turn; its pitch is 1.500 mm.', null, $mill],
    'the whole pitch in half a turn' => [
        thread('G3 X-5. I-5. Z-13.3', 'X5. I5. Z-11.8'), 9, 'stop', 'T1 climbs 3.000 mm a turn; its pitch is 1.500 mm.', null, $mill,
    ],
    'down, counter-clockwise' => [
        "Z2.\nG1 Z-10. F500.\nG3 X5. I2.5 Z-10.2 F100.\nG3 I-5. Z-11.7\nG3 X0. I-2.5\nG0 Z25.", 9, 'caution', 'T1 mills a left-hand thread.', null, $mill,
    ],
    'down, counter-clockwise, where a comment speaks of what is left on' => [
        "(0.2 LEFT ON)\nZ2.\nG1 Z-10. F500.\nG3 X5. I2.5 Z-10.2 F100.\nG3 I-5. Z-11.7\nG3 X0. I-2.5\nG0 Z25.", 10, 'caution',
        'T1 mills a left-hand thread.', null, $mill,
    ],
    'up, clockwise, twice round' => [
        "Z2.\nG1 Z-15. F500.\nG2 X-5. I-2.5 Z-14.8 F100.\nG2 I5. Z-13.3\nG2 I5. Z-11.8\nG2 X0. I2.5\nG0 Z25.", [9, 10], 'caution',
        'T1 mills a left-hand thread.', null, $mill,
    ],
    'none at all' => [thread('G3 I-5.'), 9, 'caution', 'T1 circles without climbing; its pitch is 1.500 mm.', null, $mill],
]);

CheckCases::staysQuiet('cutting.thread-climb', [
    'its pitch' => [thread('G3 I-5. Z-13.3'), $mill],
    'its pitch, and a chamfer round the hole' => [thread('G3 I-5. Z-13.3', 'G3 I-5.'), $mill],
    'down, clockwise' => ["Z2.\nG1 Z-10. F500.\nG2 X-5. I-2.5 Z-10.2 F100.\nG2 I5. Z-11.7\nG2 X0. I2.5\nG0 Z25.", $mill],
    'left-hand, as a comment says' => ["(M20 X 1.5 LH)\nZ2.\nG1 Z-10. F500.\nG3 X5. I2.5 Z-10.2 F100.\nG3 I-5. Z-11.7\nG3 X0. I-2.5\nG0 Z25.", $mill],
    'left-hand, as the name of the tool says' => [
        "Z2.\nG1 Z-10. F500.\nG3 X5. I2.5 Z-10.2 F100.\nG3 I-5. Z-11.7\nG3 X0. I-2.5\nG0 Z25.",
        ['tools' => [['name' => 'left-hand thread mill'] + $mill['tools'][0]]],
    ],
    'its pitch in two halves' => [thread('G3 X-5. I-5. Z-14.05', 'X5. I5. Z-13.3'), $mill],
    'several turns one after another' => [thread('G3 I-5. Z-13.3', 'G3 I-5. Z-11.8', 'G3 I-5. Z-10.3'), $mill],
    'an end mill on a helix' => [thread('G3 I-5. Z-13.55'), ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'pitch' => 1.5]]]],
    'a pitch that is not given' => [thread('G3 I-5. Z-13.55'), ['tools' => [['number' => 1, 'kind' => 'thread-mill', 'diameter' => 10]]]],
]);

it('names every turn that goes the wrong way', function () use ($mill): void {
    $found = Bench::findings('cutting.thread-climb', Bench::verify(Bench::sound(
        "Z2.\nG1 Z-15. F500.\nG2 X-5. I-2.5 Z-14.8 F100.\nG2 I5. Z-13.3\nG2 I5. Z-11.8\nG2 X0. I2.5\nG0 Z25.",
    ), $mill));
    expect($found)->toHaveCount(1)->and([$found[0]->line, $found[0]->alsoAt, Bench::remedy($found[0])])->toBe([
        9, [10], 'For a right-hand thread go up counter-clockwise, or down clockwise. If left-hand is meant, say so in a comment.',
    ]);
});
