<?php

declare(strict_types=1);

use OakTrace\Core\Checks\Gaps;
use Tests\Core\Bench;
use Tests\Core\CheckCases;

$widest = fn (float $width): array => ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRadialWidth' => $width]]];
$along = fn (float $y): string => "X-60. Y{$y}\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z25.";

// A hole of 18.5, and 15 deep of M20 × 1.5 up it, by arcs in and out.
$threads = ['tools' => [
    ['number' => 1, 'kind' => 'drill', 'diameter' => 18.5, 'pointAngle' => 118],
    ['number' => 2, 'kind' => 'thread-mill', 'diameter' => 15, 'pitch' => 1.5, 'flutes' => 4],
]];
$thread = fn (string $in): string => "G98 G81 X0. Y0. Z-24. R2. F100.\nG80\nT2 M6\nS900 M3\nG54 G0 X0. Y0.\nG43 H2 Z25.\nG1 Z-16. F300.\n{$in}\n"
    ."G3 I-2.5 Z-14.5\nG3 X0. Y0. I-1.25 J0.\nG0 Z25.";

CheckCases::raises('cutting.too-wide', [
    'a slot' => [$along(0.0), 9, 'caution', 'T1 cuts 10.000 mm wide; its limit is 6.000 mm.', null, $widest(6)],
    'a thread mill fed into the wall' => [
        $thread("G1 X8. F100.\nX2.5"), 13, 'caution',
        'T2 cuts 15.000 mm wide: a thread mill takes the depth of its thread, in a hole that is there.', null, $threads,
    ],
    'the widest of two' => [
        "X-60. Y-39.\nG0 Z2.\nG1 Z-2. F300.\nX60.\nG0 Z2.\nX-60. Y0.\nG1 Z-2.\nX60.\nG0 Z25.", [13, 9], 'caution',
        'T1 cuts 10.000 mm wide; its limit is 4.000 mm.', null, $widest(4),
    ],
    'six along an edge' => [$along(-39.0), 9, 'caution', 'T1 cuts 6.016 mm wide; its limit is 4.000 mm.', null, $widest(4)],
]);

CheckCases::staysQuiet('cutting.too-wide', [
    'a thread mill by an arc into the wall of a hole that is a close fit' => [$thread('G3 X2.5 Y0. I1.25 J0.'), $threads],
    'three along an edge' => [$along(-42.0), $widest(4)],
    'as wide as it may' => [$along(0.0), $widest(10)],
]);

it('says where the cells of the stock are too coarse for a width limit', function (float $limit, bool $isCut, bool $told): void {
    $tools = ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'maxRadialWidth' => $limit]]];
    $gaps = array_column(Gaps::of(Bench::verify(Bench::sound("Z2.\nG1 Z-1. F100.\nX10."), $tools, $isCut)->input), 'text');
    expect(in_array('The cells of the stock are too coarse for the width limit of T1: it was not checked.', $gaps, true))->toBe($told);
})->with([
    // A width is told within two cells of 0.5.
    'within two cells of all of it' => [9.0, true, true], 'less' => [8.9, true, false], 'all of it' => [10.0, true, false], 'no stock' => [9.0, false, false],
]);
