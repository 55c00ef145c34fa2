<?php

declare(strict_types=1);

use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use Tests\Core\Bench;

// A row's marks: which axes stand where they do because of the work offset, then a dash, then which the program has moved at all.

it('marks what moves with a work offset', function (string $text, array $marks): void {
    $said = [];
    $setup = Bench::setup(Bench::merge(Bench::AT_ZERO, ['workOffsets' => ['G55' => ['X' => 100, 'Y' => 0, 'Z' => 0]]]));
    foreach (Interpreter::read(Program::fromText("G21 G90\n{$text}"), $setup)->chunks() as $chunk) {
        foreach ($chunk->kinds() as $row => $kind) {
            if (in_array($kind, [MotionKind::RAPID, MotionKind::FEED, MotionKind::ARC], true)) {
                $of = static fn (Closure $mark): string => implode('', array_filter(
                    ['X', 'Y', 'Z'], static fn (string $axis, int $index): bool => ($chunk->marks()[$row] & $mark($index)) !== 0, ARRAY_FILTER_USE_BOTH,
                ));
                $said[] = $of(Mark::tied(...)).'-'.$of(Mark::touched(...));
            }
        }
    }
    expect($said)->toBe($marks);
})->with([
    'an axis at a time' => ["G0 X1.\nY1.\nZ5.", ['X-X', 'XY-XY', 'XYZ-XYZ']],
    'another offset' => ["G54 G0 X1. Y1.\nG55 X2.\nG55 Y2.\nG54 Z5.", ['XY-XY', 'X-XY', 'XY-XY', 'Z-XYZ']],
    'the same offset said again' => ["G54 G0 X1. Y1.\nG54 Z5.", ['XY-XY', 'XYZ-XYZ']],
    'a cycle moves its own axis' => ["F100.\nG0 X1. Y1.\nG99 G81 Z-1. R2.", ['XY-XY', 'XYZ-XYZ', 'XYZ-XYZ', 'XYZ-XYZ']],
    'a cycle in steps does not tie it' => ["F100.\nG0 X1. Y1.\nG91 G99 G81 Z-1. R-2. L1", ['XY-XY', 'XY-XYZ', 'XY-XYZ', 'XY-XYZ']],
    'a step from nowhere ties nothing' => ["G91 G0 X1.\nG90 X2.", ['-X', 'X-X']],
    'a rotation takes the other axis along' => ["G68 X0. Y0. R30.\nG0 X5.\nZ5.", ['XY-XY', 'XYZ-XYZ']],
    'in steps it ties nothing' => ["G68 X0. Y0. R30.\nG91 G0 X5.", ['-XY']],
    'an arc' => ["F100.\nG1 X10. Y0.\nG3 X0. Y10. I-10. J0.", ['XY-XY', 'XY-XY']],
]);
