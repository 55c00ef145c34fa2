<?php

declare(strict_types=1);

// Prints a line for each of many programs: what its check comes to, whatever PHP's settings are.

use Illuminate\Contracts\Console\Kernel as Console;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\SoundMaker;
use Tests\Core\SoundPrograms;

require dirname(__DIR__, 2).'/vendor/autoload.php';
$app = require dirname(__DIR__, 2).'/bootstrap/app.php';
$app->make(Console::class)->bootstrap();

/** @return iterable<array{string, array<string, mixed>}> */
function programs(): iterable
{
    yield from SoundPrograms::all();
    $maker = new SoundMaker(71);
    for ($i = 0; $i < 60; $i++) {
        yield [$maker->next(), SoundMaker::SETUP];
    }
    $inch = iterator_to_array(SoundPrograms::all())['inch, conversational style'][1] ?? array_values(
        array_filter(iterator_to_array(SoundPrograms::all(), false), static fn (array $case): bool => ($case[1]['units'] ?? '') === 'inch'),
    )[0][1];
    for ($i = 0; $i < 100; $i++) {
        $arcs = '';
        for ($turn = 0; $turn < 4; $turn++) {
            $arcs .= sprintf(
                "G3 X%.4F Y%.4F I%.4F J%.4F\n", $x = mt_rand(-9, 9) / 10, $y = mt_rand(-9, 9) / 10, ...[mt_rand(-50, 50) / 100, mt_rand(1, 50) / 100],
            );
            $arcs .= sprintf("G2 X%.4F Y%.4F R%.4F\nG3 X%.4F Y%.4F I-.25 J0.\n", $x / 2, $y / 3, 1 + mt_rand(1, 99) / 100, $x / 2, $y / 3);
        }
        yield ["G20 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS2500 M3\nG43 H1 Z1.\nG0 Z.1\nG1 Z-.1 F8.\n{$arcs}G0 Z1.\nM30\n", $inch];
    }
}

foreach (programs() as [$text, $changes]) {
    echo sha1((string) json_encode(CheckResult::of(Bench::verify($text, $changes)), JSON_THROW_ON_ERROR)), "\n";
}
foreach (Demo::TURNED as $program) {
    $verification = Verification::of(Program::fromText(Demo::text($program)), Demo::setup($program));
    echo md5((string) json_encode(CheckResult::of($verification))), "\n";
}
