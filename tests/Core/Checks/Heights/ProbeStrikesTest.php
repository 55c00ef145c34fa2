<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\CheckCases;

$probe = ['tools' => [['number' => 1, 'kind' => 'probe', 'diameter' => 6]]];
CheckCases::raises('heights.probe-strikes', [
    'down onto the part by a plain move' => [
        "M5\nG1 Z-5. F100.\nG0 Z25.", 7, 'stop', 'T1 is a probe, and is fed 5.000 mm into the stock by a move that does not stop at contact.', null, $probe,
    ],
    'against its side, once' => [
        "M5\nG0 X-70.\nZ-5.\nG1 X-40. F300.\nX-70.\nX-40.\nG0 X-70.", 9, 'stop',
        'T1 is a probe, and is fed 5.000 mm into the stock by a move that does not stop at contact.', null, $probe,
    ],
]);

CheckCases::staysQuiet('heights.probe-strikes', [
    'probe moves, and back from where they may have stopped' => [
        "M5\nG0 X-70.\nZ-5.\nG31 X-40. F100.\nG1 X-42. F500.\nG31 X-40. F30.\nG0 X-42.\nG0 X-70.", $probe,
    ],
    'beside it' => ["M5\nG0 X-70.\nZ-5.\nG1 Y30. F500.\nG0 Z25.", $probe],
    'above it' => ["M5\nG1 Z2. F500.\nX20.\nG0 Z25.", $probe],
    'in a pocket that was cut' => [
        "G0 X-20. Y0.\nG1 Z-6. F300.\nX20.\nG0 Z50.\nT2 M6\nG43 H2 G0 Z25.\nX0.\nG1 Z-5. F500.\nX2.\nG0 Z25.",
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 16], ['number' => 2, 'kind' => 'probe', 'diameter' => 6]]],
    ],
    'a mill' => ["G1 Z-5. F100.\nG0 Z25."],
]);

it('is a rapid into the stock where a probe is run into it at rapid, and no feed is offered for it', function (string $lines, array $at) use ($probe): void {
    $found = Bench::findings('heights.rapid-into-stock', Bench::verify(Bench::sound("M5\nF100.\n{$lines}"), $probe));
    expect(array_map(static fn ($finding): array => [$finding->line, $finding->edit], $found))->toBe($at);
})->with([
    'down' => ["G0 Z-3.\nG0 Z25.", [[8, null]]], 'across' => ["G0 X-70.\nZ-5.\nX70.\nZ25.", [[10, null]]],
    'above' => ["G0 Z2.\nX20.\nZ25.", []], 'back from a probe move' => ["G0 X-70.\nZ-5.\nG31 X-40.\nG0 X-42.\nX-70.\nZ25.", []],
]);
