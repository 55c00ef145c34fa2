<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;

/** The program calls O7 of its own text from line 3, that calls O9 of another text from its line 8, and O9 is called once more from line 4. */
function calledPrograms(): array
{
    $main = Program::fromText("%\nO1\nM98 P7\nM98 P9\nM30\nO7\nX1.\nM98 P9\nM99\n");
    $other = Program::fromText("O9\nX5.\nM99\n");
    $map = new SourceMap($main);
    $own = $map->call('O7', $main, 3, 6);
    $deep = $map->call('O9', $other, $own + 8, 1);
    $again = $map->call('O9', $other, 4, 1);

    return [$map, $main, $other, $own, $deep, $again];
}

it('keeps which line of which text a place is, and who called it', function (): void {
    [$map, $main, $other, $own, $deep, $again] = calledPrograms();
    expect(array_unique([$own, $deep, $again, 0]))->toHaveCount(4)
        ->and([SourceMap::lineNumber(3), SourceMap::lineNumber($own + 7), SourceMap::lineNumber($deep + 2)])->toBe([3, 7, 2])
        ->and([$map->text(3), $map->text($own + 7), $map->text($deep + 2), $map->text($again + 3)])->toBe(['M98 P7', 'X1.', 'X5.', 'M99'])
        ->and([$map->textOf(3), $map->textOf($own + 7), $map->textOf($deep + 2)])->toBe([$main, $main, $other])
        ->and([$map->program(3), $map->program($own + 7), $map->program($deep + 2), $map->program($again + 2)])->toBe([null, 'O7', 'O9', 'O9'])
        ->and([$map->from(3), $map->from($own + 7), $map->from($deep + 2), $map->from($again + 2)])->toBe([null, 3, $own + 8, 4])
        ->and([$map->first(3), $map->first($own + 7), $map->first($deep + 2)])->toBe([null, 6, 1])
        ->and([$map->words(3), $map->words($own + 7), $map->words($deep + 2)])->toBe(['3', '7 of O7', '2 of O9'])
        ->and($map->call('O9', $other, 4, 1))->toBe($again)->and($map->others())->toBe([['O9', $other]])->and($map->lineCount())->toBe(9 + 3);
});

it('finds the line that stands for a place in a text', function (): void {
    [$map, $main, $other, $own, $deep, $again] = calledPrograms();
    expect([$map->mainLine(3), $map->mainLine($own + 7), $map->mainLine($deep + 2), $map->mainLine($again + 2)])->toBe([3, 7, 8, 4])
        ->and([$map->lineIn($other, $deep + 2), $map->lineIn($other, 3), $map->lineIn($main, $deep + 2)])->toBe([2, null, 8])
        ->and([$map->isInMain(3), $map->isInMain($own + 7), $map->isInMain($deep + 2), $map->isInMain($again + 2)])->toBe([true, true, false, false]);
});

it('goes back from place to place, out of what is called too', function (): void {
    [$map, , , $own, $deep, $again] = calledPrograms();
    expect([$map->before(1), $map->before(3), $map->before($own + 8), $map->before($own + 7), $map->before($own + 6)])->toBe([0, 2, $own + 7, $own + 6, 3])
        ->and([$map->before($deep + 2), $map->before($deep + 1), $map->before($again + 1)])->toBe([$deep + 1, $own + 8, 4]);
});

it('shows the lines of a text as they are given', function (): void {
    $text = "G0 X1.\r\n\r\n(A)\nM30";
    $long = Program::fromText(implode("\n", array_map(static fn (int $n): string => "N{$n}\r", range(1, 150))));
    expect(array_map(Program::fromText($text)->line(...), [1, 2, 3, 4, 5]))->toBe(['G0 X1.', '', '(A)', 'M30', ''])
        ->and([$long->line(100), $long->line(101), $long->line(150), $long->line(151), $long->line(99)])->toBe(['N100', 'N101', 'N150', '', 'N99']);
});

it('finds the numbers of programs, blocks and loops by their lines', function (): void {
    $program = Program::fromText("%\nO0012 (A)\nN10 G0\n n20X1.\nN10 X2.\n/N30\nWHILE[#1LT2]DO1\nN40 END1\n:77\nEND 2\nM30\n");
    expect($program->programNumbers())->toBe([[12, 2], [77, 9]])->and($program->linesOfBlock(10))->toBe([3, 5])->and($program->linesOfBlock(20))->toBe([4])
        ->and($program->linesOfBlock(99))->toBe([])->and($program->loopEnds())->toBe([[1, 8], [2, 10]]);
});

it('reads a long text in portions that end with a line', function (): void {
    $lines = array_map(static fn (int $n): string => "x {$n}. y2.\t", range(1, 20_000));
    $program = Program::fromText(implode("\n", $lines));
    [$read, $at] = [[], 0];
    for ($portions = 0; ([$found, $next] = $program->section($at)) && $found !== []; $portions++, $at = $next) {
        array_push($read, ...$found);
    }
    expect($portions)->toBeGreaterThan(2)->and($read)->toHaveCount(20_000)->and([$read[0], $read[19_999]])->toBe(['X1.Y2.', 'X20000.Y2.'])
        ->and($program->section(strlen($program->text)))->toBe([[], strlen($program->text)]);
});
