<?php

declare(strict_types=1);

use OakTrace\Core\Setup\ProgramFileStyle;

it('writes a program as a control wants it', function (ProgramFileStyle $style, string $text, string $written): void {
    expect($style->written($text))->toBe($written);
})->with([
    'as it is' => [new ProgramFileStyle, "O1\nM30\n", "O1\nM30\n"],
    'line ends' => [new ProgramFileStyle('crlf'), "O1\r\nM30", "O1\r\nM30\r\n"],
    'percent signs' => [new ProgramFileStyle(percent: true), "O1\nM30\n\n", "%\nO1\nM30\n%\n"],
    'percent signs that are there' => [new ProgramFileStyle(percent: true), "%\nO1\nM30\n%", "%\nO1\nM30\n%\n"],
    'nothing but a percent sign' => [new ProgramFileStyle(percent: true), '%', "%\n%\n"],
]);

it('names the file', function (string $program, string $ending, string $name): void {
    expect((new ProgramFileStyle(ending: $ending))->fileName($program))->toBe($name);
})->with([['O1305', 'nc', 'O1305.nc'], ['O1305 copy', '', 'O1305_copy'], ['../x', 'txt', 'x.txt'], ['%', 'nc', 'program.nc']]);
