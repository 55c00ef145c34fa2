<?php

declare(strict_types=1);

use Tests\Core\Bench;
use Tests\Core\Noticed;

// A mill that breaks corners with ,C and ,R. Figures are worked out by hand.

const WITH_CORNERS = ['machine' => ['control' => ['cornerWords' => 'comma']]];

it('rounds and breaks the corners of a mill, in any plane', function (string $text, array $points): void {
    expect(Bench::points("G21 G90 F100.\n{$text}", Bench::merge(Bench::AT_ZERO, WITH_CORNERS)))->toEqualWithDelta($points, 1e-9);
})->with([
    'a radius and a chamfer' => [
        "G1 X30. ,R5.\nY30. ,C2.\nX-30.", [['feed', 25, 0, 0], ['arc', 30, 5, 0], ['feed', 30, 28, 0], ['feed', 28, 30, 0], ['feed', -30, 30, 0]],
    ],
    'of worked-out sizes' => [
        "#1=5.\nG1 X30. ,R#1\nY[6*#1] ,C[#1-3]\nX-30.",
        [['feed', 25, 0, 0], ['arc', 30, 5, 0], ['feed', 30, 28, 0], ['feed', 28, 30, 0], ['feed', -30, 30, 0]],
    ],
    'in inches' => ["G20 G1 X1. ,R.1\nY1.", [['feed', 22.86, 0, 0], ['arc', 25.4, 2.54, 0], ['feed', 25.4, 25.4, 0]]],
    'from the side' => ["G18 G1 X10. ,C1.\nZ-10.", [['feed', 9, 0, 0], ['feed', 10, 0, -1], ['feed', 10, 0, -10]]],
    'beside the cutter, outside' => [
        "G0 X-10.\nG41 D1 G1 X0.\nY30. ,R5.\nX30.\nG40 Y50.",
        [['rapid', -10, 0, 0], ['feed', -5, 0, 0], ['feed', -5, 25, 0], ['arc', 5, 35, 0], ['feed', 30, 35, 0], ['feed', 30, 50, 0]],
    ],
]);

it('tells corners where nothing breaks them', function (string $text, array $notices): void {
    expect(Noticed::onMill("G21 F100.\n{$text}", WITH_CORNERS))->toBe($notices);
})->with([
    'at rapid' => ['G0 X5. ,C1.', ['2:8 corner-not-at-feed letter=,C']],
    'on an arc' => ['G2 X9. R4.5 ,R1.', ['2:13 corner-not-at-feed letter=,R']],
    'in a cycle' => ['G81 X20. Z-1. R1. ,C1.', ['2:19 corner-not-at-feed letter=,C']],
    'before anything but a straight move' => ["G1 X20. ,R2.\nM8\nY9.", ['2:1 corner-without-next letter=,R']],
    'half a word' => ["#1=2\nG1 X#1 ,", ['3:8 bad-word problem=expression piece=a word begins with a letter']],
    'an angle with a comma' => ['G1 X25. ,A30.', ['2:9 unused-word word=,A30 plane=XY in=block']],
]);

it('keeps what the profile of a mill says of corners and arcs', function (array $control): void {
    $setup = Bench::setup(['machine' => ['control' => $control]]);
    expect(Bench::files()->read((string) json_encode(Bench::files()->write($setup))))->toEqual($setup);
})->with([
    [['cornerWords' => 'comma']], [['arcOver180' => 'refused']], [['incrementWords' => true, 'threadPullOff' => 0.5]], [['profile' => 'wide-table-mill']],
]);
