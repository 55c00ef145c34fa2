<?php

declare(strict_types=1);

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Language\Block;
use OakTrace\Core\Language\BlockReader;
use OakTrace\Core\Language\Program;
use Tests\Core\Bench;

/*
 * ISO 6983-1:2009 (from memory): the preparatory and miscellaneous functions it gives a meaning to, and the address letters. What
 * the standard leaves to the maker is not here.
 */
const ISO_G = [
    0 => Code::Rapid, 1 => Code::Feed, 2 => Code::ArcClockwise, 3 => Code::ArcCounterClockwise, 4 => Code::Dwell, 9 => Code::ExactStopOnce,
    17 => Code::PlaneXY, 18 => Code::PlaneZX, 19 => Code::PlaneYZ, 33 => Code::Thread, 40 => Code::CutterOff, 41 => Code::CutterLeft,
    42 => Code::CutterRight, 43 => Code::LengthAdd, 44 => Code::LengthSubtract, 53 => Code::MachineCoordinates, 54 => Code::WorkOffset,
    55 => Code::WorkOffset, 56 => Code::WorkOffset, 57 => Code::WorkOffset, 58 => Code::WorkOffset, 59 => Code::WorkOffset,
    80 => Code::CycleOff, 81 => Code::Drill, 82 => Code::DrillDwell, 83 => Code::PeckDrill, 84 => Code::Tap, 85 => Code::Bore,
    86 => Code::BoreSpindleStop, 88 => Code::BoreByHand, 89 => Code::BoreDwell, 90 => Code::Absolute, 91 => Code::Incremental,
    92 => Code::SetPosition, 93 => Code::InverseTime, 94 => Code::FeedPerMinute, 95 => Code::FeedPerRevolution, 96 => Code::SurfaceSpeed,
    97 => Code::SpindleSpeed,
];

const ISO_M = [
    0 => Code::ProgramStop, 1 => Code::OptionalStop, 2 => Code::ProgramEnd, 3 => Code::SpindleClockwise, 4 => Code::SpindleCounterClockwise,
    5 => Code::SpindleStop, 6 => Code::ToolChange, 7 => Code::MistOn, 8 => Code::FloodOn, 9 => Code::CoolantOff, 19 => Code::SpindleOrient,
    30 => Code::ProgramEnd, 60 => Code::ProgramStop,
];

it('gives the functions of ISO 6983-1 their meaning, in every profile but where one has its own', function (string $name): void {
    $profile = Profiles::named($name);
    foreach (ISO_G as $number => $code) {
        expect($profile->gCodes[$number * 10] ?? null)->toBe($code, "G{$number}");
    }
    foreach (ISO_M as $number => $code) {
        expect($profile->mCodes[$number * 10] ?? null)->toBe($code, "M{$number}");
    }
})->with(array_filter(Profiles::names(), fn (string $name): bool => Profiles::named($name)?->isOfLathe() === false));

it('gives a lathe with G90 and G91 the functions of ISO 6983-1 it has a use for', function (): void {
    $profile = Profiles::named('iso-lathe-b');
    foreach (array_intersect_key(ISO_G, array_flip([0, 1, 2, 3, 4, 17, 18, 19, 33, 40, 41, 42, 53, 54, 59, 90, 91, 94, 95, 96, 97])) as $number => $code) {
        expect($profile->gCodes[$number * 10] ?? null)->toBe($code, "G{$number}");
    }
});

/** The modal groups of NISTIR 6556 (from memory), with the cycles in a group of their own as the profile's switch has it. */
it('puts codes that exclude each other in one group', function (array $codes, ModalGroup $group): void {
    $profile = Profiles::named('iso-mill');
    foreach ($codes as $number) {
        expect($profile->gCodes[(int) round($number * 10)]->group())->toBe($group);
    }
})->with([
    'motion' => [[0, 1, 2, 3, 33], ModalGroup::Motion],
    'cycles' => [[73, 74, 76, 80, 81, 82, 83, 84, 85, 86, 87, 88, 89], ModalGroup::Cycle],
    'plane' => [[17, 18, 19], ModalGroup::Plane],
    'distance' => [[90, 91], ModalGroup::Distance],
    'arc centre' => [[90.1, 91.1], ModalGroup::ArcCenter],
    'feed mode' => [[93, 94, 95], ModalGroup::FeedMode],
    'units' => [[20, 21], ModalGroup::Units],
    'cutter' => [[40, 41, 42], ModalGroup::Cutter],
    'length' => [[43, 44, 49], ModalGroup::Length],
    'return' => [[98, 99], ModalGroup::ReturnMode],
    'work offset' => [[54, 55, 56, 57, 58, 59, 54.1], ModalGroup::WorkOffset],
    'path' => [[61, 64], ModalGroup::Path],
    'scaling' => [[50, 51], ModalGroup::Scaling],
    'mirror' => [[50.1, 51.1], ModalGroup::Mirror],
    'rotation' => [[68, 69], ModalGroup::Rotation],
    'polar' => [[15, 16], ModalGroup::Polar],
    'speed mode' => [[96, 97], ModalGroup::SpeedMode],
    'macro call' => [[66, 67], ModalGroup::MacroCall],
    'none: they are over with their block' => [[4, 9, 10, 12, 13, 27, 28, 30, 31, 52, 53, 65, 92, 92.1, 92.2], ModalGroup::None],
]);

it('says so when two of one group stand in a block, and takes the last', function (string $block): void {
    $run = Bench::verify(Bench::sound("{$block} X1. Y1. R0. D1 H1 P1 F100.\nG40 G69 G50 G50.1 G15 G17 G49 G80 G97 G67 X0. Y0."));
    expect(Bench::names($run))->toContain('reading.modal-conflict');
})->with([
    'G0 G1', 'G17 G18', 'G90 G91', 'G20 G21', 'G41 G42', 'G43 G44', 'G54 G55', 'G61 G64', 'G68 G69', 'G51 G50', 'G51.1 G50.1', 'G16 G15', 'G96 G97',
    'G81 G82', 'G98 G99', 'G93 G94',
]);

it('reads every address letter of ISO 6983-1 with its number', function (string $letter): void {
    $block = new Block;
    expect((new BlockReader)->read(1, Program::prepare("{$letter} -12.5"), $block))->toBeTrue()
        ->and($block->words)->toBe([$letter => -12.5]);
})->with(str_split('ABCDEFHIJKLNPQRSTUVWXYZ'));

it('reads a program start, a program number, block numbers and the skip slash', function (string $line, ?string $number, int $skip, array $words): void {
    $block = new Block;
    (new BlockReader)->read(1, Program::prepare($line), $block);
    expect($block->programNumber)->toBe($number)->and($block->skip)->toBe($skip)->and($block->words)->toEqual($words);
})->with([
    ['%', null, 0, []], ['% PART 7', null, 0, []], ['O1234 (NAME)', '1234', 0, []], [':0012', '12', 0, []], ['N10 O77', '77', 0, ['N' => 10]],
    ['/N20 X1.', null, 1, ['N' => 20, 'X' => 1]], ['/3 X1.', null, 3, ['X' => 1]], ['x 1 . 5 y+.25 (z9)', null, 0, ['X' => 1.5, 'Y' => .25]],
]);

it('keeps surface speed by turning faster nearer the middle, up to the clamp', function (): void {
    // Machinery's Handbook: rpm = 1000 v / (π d), v m/min, d mm.
    $rows = Bench::rows("G21 G54\nG50 S3000\nG96 S100 M3\nG0 X50.\nX20.\nX1.\nG97 S500\nX30.\nM30", Bench::AT_ZERO);
    $speeds = array_column(array_filter($rows, fn (array $row): bool => $row['kind'] === 'rapid'), 'spindle');
    expect($speeds[0])->toEqualWithDelta(1000 * 100 / (M_PI * 100), 1)
        ->and($speeds[1])->toEqualWithDelta(1000 * 100 / (M_PI * 40), 1)
        ->and($speeds[2])->toEqual(3000)
        ->and($speeds[3])->toEqual(500);
});

it('takes a surface speed in feet where lengths are in inches', function (): void {
    // Machinery's Handbook: rpm = 12 v / (π d), v ft/min, d in.
    $rows = Bench::rows("G20 G54\nG96 S300 M3\nG0 X1.\nM30", Bench::AT_ZERO);
    expect(array_column(array_filter($rows, fn (array $row): bool => $row['kind'] === 'rapid'), 'spindle')[0])->toEqualWithDelta(12 * 300 / (M_PI * 2), 1);
});

it('goes home by one code and to the second home by the other', function (): void {
    $ends = static fn (string $code): float => (
        array_column(
            Bench::rows(
                "G21 G54\nG0 Z5.\n{$code} Z5.\nM30",
                array_replace_recursive(Bench::AT_ZERO, ['machine' => ['home' => ['Z' => 0], 'secondHome' => ['Z' => -50]]]),
            ),
            'machineTo',
        )
    )[1]['Z'];
    expect($ends('G28'))->toEqual(0)->and($ends('G30'))->toEqual(-50);
});

it('keeps one coolant running when the other is turned on, and ends both by one code', function (): void {
    $states = static fn (string $lines): array => array_map(
        static fn ($state): array => [$state->coolant->flood, $state->coolant->mist],
        Bench::verify("G21 G54\n{$lines}\nG0 X1.\nM30", Bench::AT_ZERO)->trace->states,
    );
    expect($states("M8\nM7"))->toContain([true, true])->and($states("M7\nM8"))->toContain([true, true])
        ->and(array_slice($states("M8\nM7\nM9"), -1))->toBe([[false, false]]);
});

it('feeds in step with the spindle by its pitch', function (): void {
    $move = Bench::moves("G21 S400 M3\nG33 Z-10. K1.5\nM30", Bench::AT_ONCE)[0];
    expect($move['kind'])->toBe('feed')->and($move['feed'])->toEqual(600)->and($move['seconds'])->toEqualWithDelta(1.0, 1e-6);
});

it('checks the reference point without leaving it', function (): void {
    $run = Bench::verify("G21 G54\nG27 X0. Y0.\nM30", Bench::AT_ZERO);
    expect(Bench::names($run))->not->toContain('reading.bad-word');
});

it('stops exactly where it is told to, for a block or until further notice', function (): void {
    $time = fn (string $text): float => array_sum(array_column(Bench::rows("G21 F6000.\n{$text}\nM30", Bench::AT_ZERO), 'seconds'));
    $through = $time("G64 G1 X5.\nX10.\nX15.");
    $once = $time("G64 G9 G1 X5.\nX10.\nX15.");
    $always = $time("G61 G1 X5.\nX10.\nX15.");
    expect($once)->toBeGreaterThan($through)->and($always)->toBeGreaterThan($once);
});
