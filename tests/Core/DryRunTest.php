<?php

declare(strict_types=1);

use OakTrace\Core\Language\Program;
use OakTrace\Core\Transform\DryRun;
use OakTrace\Core\Verification;
use Tests\Core\Bench;
use Tests\Core\Demo;
use Tests\Core\SoundMaker;

/** Where every move ends in the machine, and whether a work offset carries its height there. */
function machinePoints(Program $program, object $setup): array
{
    $points = [];
    foreach (Verification::trace($program, $setup)->each() as $row) {
        if ($row->moves()) {
            $points[] = [$row->to[0], $row->to[1], $row->to[2], ($row->marks & 0b100) !== 0];
        }
    }

    return $points;
}

it('makes the same motion, higher by what was asked wherever a work offset carries it', function (string $text, object $setup): void {
    $was = machinePoints(Program::fromText($text), $setup);
    $is = machinePoints(Program::fromText(DryRun::of(Program::fromText($text), $setup, 40.0)->text), $setup);
    expect(count($is))->toBe(count($was));
    foreach ($was as $i => [$x, $y, $z, $isCarried]) {
        expect([$is[$i][0], $is[$i][1], $is[$i][2]])->toEqualWithDelta([$x, $y, $z + ($isCarried ? 40.0 : 0.0)], 1e-5);
    }
})->with(function (): iterable {
    $maker = new SoundMaker(9);
    foreach (range(1, 4) as $i) {
        yield "made {$i}" => [$maker->next(), Bench::setup(SoundMaker::SETUP)];
    }
    foreach (['1305', '1210', '1711'] as $program) {
        yield "O{$program}" => [Demo::text($program), Demo::setup($program)];
    }
    yield 'an arc upright' => ["G21 G18 G90\nT1 M6\nG54 G0 X0. Y0. S3000 M3\nG43 H1 Z25.\nG1 Z5. F100.\nG2 X20. Z5. I10. K0.\nG0 Z25.\nG17\nM30", Bench::setup()];
});

it('says at its head that it is lifted and by how much, in the units of the program', function (): void {
    expect(DryRun::of(Program::fromText(Demo::text('1305')), Demo::setup('1305'))->text)->toStartWith("%\n(DRY RUN - LIFTED BY 150.000 MM - NOTHING IS CUT - KEEP RAPIDS SLOW)\n")
        ->and(DryRun::of(Program::fromText(Demo::text('1608')), Demo::setup('1608'), 50.8)->text)->toContain('LIFTED BY 2.0000 IN');
});

it('has its own check: it must fit the travel too', function (): void {
    $text = Program::fromText(Bench::sound("G0 X10.\nZ2.\nG1 Z-5. F100.\nG0 Z25."));
    // Z25 stands at −225 in the machine: 225 is the most it can be lifted.
    expect(DryRun::of($text, Bench::setup(), 224.9)->overruns)->toBe([])
        ->and(DryRun::of($text, Bench::setup(), 225.1)->overruns[0]->check)->toBe('travel.overrun');
});

it('reckons its time with slowed rapids', function (): void {
    $text = Program::fromText(Demo::text('1305'));
    $full = array_sum(array_map(fn ($chunk): float => array_sum($chunk->seconds()), iterator_to_array(Verification::trace($text, Demo::setup('1305'))->chunks(), false)));
    expect(DryRun::of($text, Demo::setup('1305'))->seconds)->toBeGreaterThan($full);
});
