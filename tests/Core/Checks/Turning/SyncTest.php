<?php

declare(strict_types=1);

use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;
use Tests\Core\Lathe;
use Tests\Core\LatheCases;
use Tests\Core\SecondSpindles;

/** The program of a right pick-off with one of its lines otherwise. */
function takes(string $line, string $instead): string
{
    return str_replace("\n{$line}\n", $instead === '' ? "\n" : "\n{$instead}\n", SecondSpindles::TAKES);
}

LatheCases::raises('turning.sync', [
    // 5 rev/min at R10 for 0.4 s: 2 π 10 · 5/60 · 0.4.
    'at another speed' => [str_replace(["M64\n", "M65\n"], ["S1005 M68\n", ''], SecondSpindles::TAKES), 8, 'stop',
        'The second spindle grips at 1005 rev/min a part that turns at 1000 rev/min: it rubs 2.094 mm in 0.4 s.', SecondSpindles::lathe(),
    ],
    'standing' => [str_replace(["M64\n", "M65\n"], ["M69\n", ''], SecondSpindles::TAKES), 8, 'stop',
        'The second spindle grips at 0 rev/min a part that turns at 1000 rev/min: it rubs 418.879 mm in 0.4 s.', SecondSpindles::lathe(),
    ],
    'each with its own clockwise' => [str_replace(["M64\n", "M65\n"], ["S1000 M67\n", ''], SecondSpindles::TAKES), 8, 'stop',
        'The second spindle grips a part that turns the other way round: 1000 rev/min against 1000 rev/min.', SecondSpindles::lathe(),
    ],
    'at the same speed, not joined' => [str_replace(["M64\n", "M65\n"], ["S1000 M68\n", ''], SecondSpindles::TAKES), 8, 'stop',
        'The second spindle grips a part that turns at its own speed of 1000 rev/min, but is not joined to the main one.', SecondSpindles::lathe(),
    ],
    'at once' => [takes('G4 X2.', ''), 7, 'stop', 'The second spindle grips as soon as it is joined, before it has the speed of the part.',
        SecondSpindles::lathe(),
    ],
    'too soon' => [takes('G4 X2.', 'G4 X0.5'), 8, 'stop', 'The second spindle grips 0.50 s after it was joined; it takes 1.00 s to the speed of the part.',
        SecondSpindles::lathe(),
    ],
    'before it has come' => [takes('M60', ''), 7, 'caution', 'The second chuck closes on nothing: its spindle has not come to the part.',
        SecondSpindles::lathe(),
    ],
    'at a surface speed' => [str_replace('G97 S1000 M3', 'G50 S1000 G96 S100 M3', SecondSpindles::TAKES), 8, 'stop',
        'The second spindle grips while the main one keeps a surface speed, which changes with X.', SecondSpindles::lathe(),
    ],
    'a hexagon at any angle' => [SecondSpindles::TAKES, 8, 'stop', 'The second spindle grips a hexagon, and is not held to the angle of the main one.',
        SecondSpindles::lathe(['stock' => ['acrossFlats' => 17]]),
    ],
    'drawn back with both closed' => [str_replace(['X0. F0.05', "M65\n"], ['X10. F0.05', ''], SecondSpindles::TAKES), 11, 'stop',
        'The second spindle goes back while both chucks hold the part.', SecondSpindles::lathe(),
    ],
    'parted before its turn' => [takes('G1 X0. F0.05', "M65\nG1 X0. F0.05"), 9, 'stop',
        'The main spindle turns a part that the second one holds too, and they are not joined: it is twisted off.', SecondSpindles::lathe(),
    ],
    'started with both closed' => ["G21 G99\nT0404\nG97 S1000\nG0 X30. Z-40.\nM60\nM62\nM3\nG1 X0. F0.05\nG0 X30.\nM61", 7, 'stop',
        'The main spindle turns a part that the second one holds too, and they are not joined: it is twisted off.', SecondSpindles::lathe(),
    ],
]);

LatheCases::staysQuiet('turning.sync', [
    'joined, waited for, parted off, taken back' => [SecondSpindles::TAKES, SecondSpindles::lathe()],
    'a hexagon at the angle of its jaws' => [
        str_replace('M64', 'M66', SecondSpindles::TAKES), SecondSpindles::lathe(['stock' => ['acrossFlats' => 17]]),
    ],
    'gripped standing, and the main chuck opened' => [
        "G21 G99\nT0404\nG97 S1000\nG0 X30. Z-40.\nM60\nM62\nM71\nM61\nM70", SecondSpindles::lathe(),
    ],
    'standing at the part from the beginning' => [takes('M60', ''), SecondSpindles::lathe(['secondSpindle' => ['forward' => true]])],
    'nothing of it in the program' => [LatheCases::READY."G0 X38. Z2.\nG1 Z-9. F0.2", SecondSpindles::lathe()],
]);

it('does not know without the stock whether a part has been parted off', function (): void {
    $changes = SecondSpindles::lathe();
    unset($changes['stock'], $changes['chuck']);
    expect(Lathe::found('turning.sync', SecondSpindles::TAKES, $changes))->toBe([])
        ->and(Lathe::found('turning.sync', takes('G4 X2.', ''), $changes))->toHaveCount(1);
});

it('takes the codes as the main spindle sees them where the control does', function (string $sense, string $code, bool $isAgainst): void {
    $text = str_replace(["M64\n", "M65\n"], ["S1000 {$code}\n", ''], SecondSpindles::TAKES);
    $found = Lathe::found('turning.sync', $text, SecondSpindles::lathe(['machine' => ['control' => ['secondSense' => $sense]]]));
    expect(str_contains($found[0]->text, 'the other way round'))->toBe($isAgainst);
})->with([['own', 'M67', true], ['own', 'M68', false], ['as-main', 'M67', false], ['as-main', 'M68', true]]);

it('says that it does not know how long the second spindle takes', function (): void {
    $says = 'No time to speed of the second spindle given: how long it needs before it may grip was not checked.';
    $open = SecondSpindles::lathe(['machine' => ['spindles' => ['sub' => ['secondsToSpeed' => 0]]]]);
    expect(LatheCases::gaps(SecondSpindles::TAKES, $open))->toContain($says)->and(LatheCases::gaps(SecondSpindles::TAKES, SecondSpindles::lathe()))
        ->not->toContain($says)->and(Lathe::found('turning.sync', SecondSpindles::TAKES, $open))->toBe([]);
});

it('stands in the way where it has come to the part, and only there', function (string $before, array $lines): void {
    $text = "G21 G99\nT0101\nG97 S500 M3\nG0 X100. Z20.\n{$before}\nG0 X70. Z-30.";
    $found = Lathe::found('turning.zone', $text, SecondSpindles::lathe());
    expect(array_map(static fn ($finding): array => [$finding->line, $finding->figures['what'] ?? ''], $found))->toBe($lines);
})->with([
    'come' => ['M60', [[6, 'the second spindle']]], 'gone back' => ["M60\nM61", []], 'never there' => ['M64', []],
]);

it('writes out what is done to it, and keeps it in the setup file', function (): void {
    $functions = static function (string $text): array {
        $run = Lathe::verify($text, SecondSpindles::lathe());

        return array_values(array_filter(array_column(iterator_to_array(TraceLines::of($run->trace, $run->setup), false), 'function')));
    };
    $turned = str_replace('M60', "M60\nS800 M68", SecondSpindles::TAKES);
    expect($functions($turned))->toBe([
        'second-forward', 'second-counter-clockwise', 'spindles-together', 'second-clamp', 'spindles-apart', 'second-back',
    ])->and($functions(Lathe::expand($turned, SecondSpindles::lathe())))->toBe($functions($turned))
        ->and(Lathe::expand($turned, SecondSpindles::lathe()))->toContain('S800 M68')
        ->and((array) Bench::files()->write(Lathe::setup(SecondSpindles::lathe()))['secondSpindle'])->toEqual(SecondSpindles::lathe()['secondSpindle']);
});

it('says how the second spindle stands', function (string $before, string $says): void {
    $run = Lathe::verify("G21 G99\nT0404\nG97 S1000 M3\n{$before}\nG0 X30. Z-40.\nM30", SecondSpindles::lathe());
    $words = array_column((new StateWords($run->setup))->words($run->trace->states[array_key_last($run->trace->states)]), 1, 0);
    expect($words['Second spindle'] ?? null)->toBe($says);
})->with([
    ['M60', 'stopped, at the part, its chuck open'], ['S500 M68', '500 rev/min counter-clockwise, back, its chuck open'],
    ["M60\nM64\nG4 X2.\nM62\nM71", 'with the main one, at the part, its chuck closed; chuck of the main one open'],
    ['M66', 'with the main one, at its angle, back, its chuck open'],
]);

it('leaves the speed of the main spindle alone, and explains whose S it is', function (): void {
    $text = "G21 G99\nT0404\nG97 S1000 M3\nS500 M68\nG0 X30. Z-40.\nM30";
    $moves = Lathe::moves($text, SecondSpindles::lathe());
    $meanings = array_column(Explanation::of(Program::fromText($text), Lathe::setup(SecondSpindles::lathe()), 4)->words, 1, 0);
    expect($moves[0]['spindle'])->toEqual(1000)->and($meanings['S500'] ?? null)->toBe('speed of the second spindle: 500 rev/min');
});
