<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$rotary = [
    'machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 7200]]],
    'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -12.5]]],
];
$cut = "Z2.\nG1 Z-3. F300.\nX40.\nG0 Z25.";

CheckCases::raises('cutting.not-followed', [
    'a tool without a diameter' => [
        $cut, 1, 'caution', 'Cuts of T1 are not simulated: no diameter given.', null, ['tools' => [['number' => 1, 'kind' => 'end-mill']]],
    ],
    'a part that is turned while it is cut' => ["Z2.\nG1 Z-3. F300.\nA90.\nG0 Z60.", 8, 'caution', 'The part is turned by a rotary axis while the tool '
        .'is down at the stock: what is cut meanwhile is not simulated.', null, $rotary],
    'all the way round, which ends as it began' => ["Z2.\nG1 Z-3. F300.\nA360.\nG0 Z60.", 8, 'caution', 'The part is turned by a rotary axis while '
        .'the tool is down at the stock: what is cut meanwhile is not simulated.', null, $rotary],
    'a part that comes to the tool beside its end' => ["G0 X54.\nZ-3.\nG1 A90. F720.\nG0 Z60.", 8, 'caution', 'The part is turned by a rotary axis '
        .'while the tool is down at the stock: what is cut meanwhile is not simulated.', null, $rotary],
    'a corner of it that comes to the tool' => ["G0 Y46.\nZ-3.\nG1 A90. F720.\nG0 Z60.", 8, 'caution', 'The part is turned by a rotary axis '
        .'while the tool is down at the stock: what is cut meanwhile is not simulated.', null, $rotary],
    'a part that is turned about nobody knows what' => [
        "Z2.\nG1 Z-3. F300.\nG0 Z25.\nA90.\nG1 Z-3.\nG0 Z25.", 9, 'caution', 'The part is turned by a rotary axis: cuts after that are not simulated, and '
            .'the stock is taken as given. The rotary centre is not given.', null,
        ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 7200]]]],
    ],
]);

CheckCases::staysQuiet('cutting.not-followed', [
    'a cut like any other' => [$cut],
    'a probe, which cuts nothing' => ["Z2.\nG1 Z-3. F300.\nX40.\nG0 Z25.", ['tools' => [['number' => 1, 'kind' => 'probe']]]],
    'a tool that is not in the setup' => ["G0 Z50.\nT9 M6\nG1 Z-3. F300.\nG0 Z25."],
    'a part that is turned beside the tool' => ["Z2.\nG1 Z-3. F300.\nG0 Z60.\nX60.\nZ-3.\nA90.\nG0 Z60.", $rotary],
    'turned at feed beside its end' => ["G0 X56.\nZ-3.\nG1 A90. F720.\nG0 Z60.", $rotary],
    'turned at feed beside its other end' => ["G0 X-56.\nZ-3.\nG1 A90. F720.\nG0 Z60.", $rotary],
    // The corners of the stock swing at √(40² + 12.5²) = 41.9 about the centre.
    'turned at feed where it does not reach' => ["G0 Y47.5\nZ-3.\nG1 A90. F720.\nG0 Z60.", $rotary],
    'turned at feed where it does not reach either' => ["G0 Y-47.5\nZ-3.\nG1 A90. F720.\nG0 Z60.", $rotary],
    'a part that is turned between cuts' => ["Z2.\nG1 Z-3. F300.\nG0 Z60.\nA90.\nG1 Z-3.\nG0 Z60.\nA0.", $rotary],
    'a rotary axis that stands still' => [$cut, ['machine' => ['axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 7200]]]]],
]);

it('says so where it would take too long', function () use ($cut): void {
    $setup = Bench::setup();
    $run = Verification::of(Program::fromText(Bench::sound($cut)), $setup, stock: StockRun::in($setup, mostVisits: 10));
    expect(Bench::names($run))->toContain('cutting.not-followed')->and($run->input->stock->removed())->toBe(0.0);
});
