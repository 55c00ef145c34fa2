<?php

declare(strict_types=1);

use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\LineReader;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\Program;
use Tests\Core\Demo;
use Tests\Core\SoundPrograms;

/** @return list<string> every line of the demo and of the sound programs that has words, and reckons in none */
function plainLines(): array
{
    $texts = array_map(Demo::text(...), ['1210', '1305', '1410', '1502', '1608', '1820', '1935']);
    foreach (SoundPrograms::all() as $program) {
        $texts[] = (string) $program[0];
    }
    $lines = array_unique(array_merge(...array_map(static fn (string $text): array => explode("\n", $text), $texts)));

    return array_values(array_filter($lines, static fn (string $line): bool => LineWords::isBlock($line) && ! LineWords::reckons($line)));
}

it('takes a line apart as the reader of blocks does', function (): void {
    $reader = new BlockReader(true);
    $block = new Block;
    $compared = 0;
    foreach (plainLines() as $line) {
        $reader->read(1, (string) (new LineReader(Program::fromText($line)))->next(), $block);
        $words = $gs = $ms = [];
        foreach (LineWords::of($line) as ['letter' => $letter, 'number' => $number]) {
            match ($letter) {
                'G' => $gs[] = (int) round((float) $number * 10),
                'M' => $ms[] = (int) round((float) $number * 10),
                'N', 'O' => null,
                default => $words[$letter] = (float) $number,
            };
        }
        expect([$block->g, $block->m])->toBe([$gs, $ms], $line)->and(array_diff_key($block->words, ['N' => 1]))->toEqual($words, $line);
        $compared++;
    }
    expect($compared)->toBeGreaterThan(400);
});

it('says which words of a line that reckons are plain', function (string $line, array $words): void {
    $found = array_map(static fn (array $word): string => $word['letter'].$word['number'].'@'.$word['at'], LineWords::plain($line));
    expect($found)->toBe($words);
})->with([
    ['X#1 Y2. F[#2*3.]', ['Y2.@5']],
    ['IF [#1 LT 6.] THEN X5.', ['X5.@20']],
    ['WHILE [[#1 GT 3] AND [#2 MOD 2]] DO1', []],
    ['X[1.+[2.*3.]] Z-5.', ['Z-5.@15']],
    ['X[1. Y2.', ['Y2.@6']],
    ['SETVN 101[X9.]', []],
    ['DPRNT[X9.*#1[43]]', []],
]);

it('says where each word stands, past comments', function (string $line, array $words): void {
    $found = array_map(
        static fn (array $word): string => substr($line, $word['from'], $word['at'] + strlen($word['number']) - $word['from']), LineWords::of($line),
    );
    expect($found)->toBe($words);
})->with([
    ['N10 G1 X-1.5 (X9.) Y+.5 F100', ['N10', 'G1', 'X-1.5', 'Y+.5', 'F100']],
    ['g0x1y 2.;z3', ['g0', 'x1', 'y 2.']],
    ['/2 M30', ['M30']],
    ['G1 X5. ,R2. , C1', ['G1', 'X5.', ',R2.', ', C1']],
    ['X#1 Y2.', []],
    ['END 1', []],
    ['GX5. Y1', ['X5.', 'Y1']],
    ['#1=5', []],
]);

it('knows the mark, the number and the jump of a line', function (): void {
    expect(LineWords::skipMark(' /2 N10 G0'))->toBe(['mark' => '/2 ', 'at' => 1])
        ->and(LineWords::skipMark('G0'))->toBe(['mark' => '', 'at' => 0])
        ->and(LineWords::blockNumber('/N10 G0'))->toBe(['number' => 10, 'at' => 1, 'length' => 4])
        ->and(LineWords::blockNumber('G0'))->toBe(['number' => null, 'at' => 0, 'length' => 0])
        ->and(LineWords::jump('IF [#1 LT 5] GOTO 20 (GOTO 30)'))->toBe(['number' => 20, 'at' => 18, 'length' => 2])
        ->and(LineWords::jump('GOTO #3'))->toMatchArray(['number' => null])
        ->and(LineWords::jump('(GOTO 20)'))->toBeNull();
});

it('tells a line of plain words from any other', function (string $line, bool $isPlain, bool $hasPlace): void {
    expect(LineWords::isPlain($line))->toBe($isPlain)->and(LineWords::names($line, 'XYZ'))->toBe($hasPlace);
})->with([
    ['G1 X1. F200', true, true], ['/1 M8', true, false], ['X#1', false, true], ['Z[1+2]', false, true], ['(X1.)', false, false],
    ['TOUCH OFF HERE', false, false], ['', false, false],
]);
