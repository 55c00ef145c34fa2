<?php

declare(strict_types=1);

use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Interpreter\SubprogramText;
use OakTrace\Core\Language\Program;

it('knows a text that is there to be called', function (string $text, ?string $name): void {
    expect(SubprogramText::name(Program::fromText($text), Profiles::named('iso-mill')))->toBe($name);
})->with([
    'a subprogram' => ["%\nO2000 (SLOT)\nG91 G1 X1.\nM99\n%", 'O2000'],
    'a program with a subprogram behind it' => ["O1000\nM98 P2000\nM30\nO2000\nM99", null],
    'a program that ends' => ["O1000\nG0 X1.\nM30", null],
    'no number' => ["G0 X1.\nM99", null],
    'an M99 in a comment only' => ["O2000\n(M99 IS MISSING)\nG0 X1.", null],
    'an end on the last line' => ["O2000\nG0 X1.\nM99", 'O2000'],
    'an end with a zero before it' => ["O2000\nM099", 'O2000'],
    'a code that is nearly one' => ["O2000\nM98.9\nG0 X1.", null],
    'no end at all' => ["O2000\nG0 X1.", null],
]);
