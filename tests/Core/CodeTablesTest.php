<?php

declare(strict_types=1);

use OakTrace\Core\Control\AngleWords;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\Profiles\IntegerMill;
use OakTrace\Core\Control\Profiles\IsoLatheA;
use OakTrace\Core\Control\Profiles\IsoLatheB;
use OakTrace\Core\Control\Profiles\IsoLatheC;
use OakTrace\Core\Control\Profiles\IsoMill;
use OakTrace\Core\Control\Profiles\OneLineLathe;
use OakTrace\Core\Control\Profiles\WideTableMill;
use OakTrace\Core\Control\RoughKind;
use OakTrace\Core\Control\StartAngleUnit;
use OakTrace\Core\Control\SystemVariable;
use OakTrace\Core\Control\ToolWord;
use OakTrace\Core\Control\TurningOptions;
use OakTrace\Core\Control\UnknownFunction;
use OakTrace\Core\Control\WordLetters;

// What each code does is here said a second time, as a programming handbook has it: a code that slips by one in a table would read programs
// with another meaning, and no other test need notice. The mill's codes after the tables of NISTIR 6556 and ISO 6983-1, the lathe's common
// practice, all from memory.

const MILL_CODES = 'G0 rapid, G1 feed, G2 arc-clockwise, G3 arc-counter-clockwise, G4 dwell, G9 exact-stop-once, G10 set-offsets, '
    .'G12 pocket-clockwise, G13 pocket-counter-clockwise, G15 polar-off, G16 polar-on, G17 plane-xy, G18 plane-zx, G19 plane-yz, '
    .'G20 units-inch, G21 units-millimetre, G27 reference-check, G28 reference, G30 second-reference, G31 probe, G33 thread, G38.2 probe, '
    .'G40 cutter-off, G41 cutter-left, G42 cutter-right, G43 length-add, G44 length-subtract, G49 length-off, G50 scale-off, G50.1 mirror-off, '
    .'G51 scale-on, G51.1 mirror-on, G52 local-shift, G53 machine-coordinates, G54 work-offset, G54.1 extended-work-offset, G55 work-offset, '
    .'G56 work-offset, G57 work-offset, G58 work-offset, G59 work-offset, G61 exact-stop, G61.1 continuous-path, G64 continuous-path, G65 call-macro, '
    .'G66 call-after-moves, G67 call-after-moves-off, G68 rotate-on, G69 rotate-off, G73 chip-break-drill, G74 left-tap, G76 fine-bore, '
    .'G80 cycle-off, G81 drill, G82 drill-dwell, G83 peck-drill, G84 tap, G85 bore, G86 bore-spindle-stop, G87 back-bore, G88 bore-by-hand, '
    .'G89 bore-dwell, G90 absolute, G90.1 centre-absolute, G91 incremental, G91.1 centre-incremental, G92 set-position, '
    .'G92.1 cancel-set-position, G92.2 cancel-set-position, G93 inverse-time, G94 feed-per-minute, G95 feed-per-revolution, G96 surface-speed, '
    .'G97 spindle-speed, G98 return-initial, G99 return-r, M0 program-stop, M1 optional-stop, M2 program-end, M3 spindle-clockwise, '
    .'M4 spindle-counter-clockwise, M5 spindle-stop, M6 tool-change, M7 mist-on, M8 flood-on, M9 coolant-off, M19 spindle-orient, '
    .'M30 program-end, M48 accepted, M49 accepted, M60 program-stop, M98 call-subprogram, M99 subprogram-end';

// What every lathe has, whichever system of codes it is of.
const LATHE_CODES = 'G0 rapid, G1 feed, G2 arc-clockwise, G3 arc-counter-clockwise, G4 dwell, G9 exact-stop-once, G10 set-offsets, G17 plane-xy, '
    .'G18 plane-zx, G19 plane-yz, G27 reference-check, G28 reference, G30 second-reference, G31 probe, G34 thread-rising, '
    .'G35 thread-falling, G40 cutter-off, G41 cutter-left, G42 cutter-right, G52 local-shift, G53 machine-coordinates, G54 work-offset, '
    .'G55 work-offset, G56 work-offset, G57 work-offset, G58 work-offset, G59 work-offset, G61 exact-stop, G64 continuous-path, '
    .'G65 call-macro, G66 call-after-moves, G67 call-after-moves-off, G80 cycle-off, G83 peck-drill, G84 tap, G85 bore, '
    .'G87 peck-drill-across, G88 tap-across, G89 bore-across, G96 surface-speed, G97 spindle-speed, M0 program-stop, M1 optional-stop, '
    .'M2 program-end, M3 spindle-clockwise, M4 spindle-counter-clockwise, M5 spindle-stop, M7 mist-on, M8 flood-on, M9 coolant-off, '
    .'M19 spindle-orient, M30 program-end, M48 accepted, M49 accepted, M60 program-stop, M98 call-subprogram, M99 subprogram-end';

const LATHE_A = LATHE_CODES.', G20 units-inch, G21 units-millimetre, G32 thread, G50 set-position, G70 finish-shape, G71 rough-along, '
    .'G72 rough-across, G73 rough-pattern, G74 peck-along, G75 peck-across, G76 thread-series, G90 turn-along, G92 thread-pass, '
    .'G94 turn-across, G98 feed-per-minute, G99 feed-per-revolution';

const LATHE_B = LATHE_CODES.', G20 units-inch, G21 units-millimetre, G33 thread, G70 finish-shape, G71 rough-along, G72 rough-across, '
    .'G73 rough-pattern, G74 peck-along, G75 peck-across, G76 thread-series, G77 turn-along, G78 thread-pass, G79 turn-across, G90 absolute, '
    .'G91 incremental, G92 set-position, G94 feed-per-minute, G95 feed-per-revolution, G98 return-initial, G99 return-r';

const LATHE_C = LATHE_CODES.', G20 turn-along, G21 thread-pass, G24 turn-across, G33 thread, G70 units-inch, G71 units-millimetre, '
    .'G72 finish-shape, G73 rough-along, G74 rough-across, G75 rough-pattern, G76 peck-along, G77 peck-across, G78 thread-series, '
    .'G90 absolute, G91 incremental, G92 set-position, G94 feed-per-minute, G95 feed-per-revolution, G98 return-initial, G99 return-r';

/** @return array<string, string> code => what it does */
function codesOf(ControlProfile $control): array
{
    $codes = [];
    foreach (['G' => $control->gCodes, 'M' => $control->mCodes] as $letter => $table) {
        foreach ($table as $tenths => $code) {
            $codes[$letter.($tenths % 10 === 0 ? intdiv($tenths, 10) : sprintf('%.1F', $tenths / 10))] = $code->value;
        }
    }
    ksort($codes, SORT_STRING);

    return $codes;
}

/** @return array<string, string> */
function codesIn(string $said): array
{
    $codes = [];
    foreach (explode(', ', $said) as $one) {
        [$code, $does] = explode(' ', $one);
        $codes[$code] = $does;
    }
    ksort($codes, SORT_STRING);

    return $codes;
}

it('gives every code what it does, and no other code anything', function (ControlProfile $control, string $said): void {
    expect(codesOf($control))->toBe(codesIn($said));
})->with([
    'mill' => fn () => [IsoMill::profile(), MILL_CODES],
    'mill that takes whole numbers for increments' => fn () => [IntegerMill::profile(), MILL_CODES],
    'lathe with increments in U and W' => fn () => [IsoLatheA::profile(), LATHE_A],
    'lathe with absolute and incremental' => fn () => [IsoLatheB::profile(), LATHE_B],
    'lathe with units at the seventies' => fn () => [IsoLatheC::profile(), LATHE_C],
    'lathe with cycles in one line' => fn () => [OneLineLathe::profile(), LATHE_A],
]);

it('gives a mill with a wide table its pockets and its offsets under codes of its own', function (): void {
    $codes = codesOf(WideTableMill::profile());
    $own = array_diff_assoc($codes, codesIn(MILL_CODES));
    expect(array_keys(array_diff_key(codesIn(MILL_CODES), $codes)))->toBe(['G12', 'G13', 'G54.1'])
        ->and($own['G112'])->toBe('pocket-clockwise')->and($own['G113'])->toBe('pocket-counter-clockwise')
        ->and($own['G154'])->toBe('extended-work-offset')
        ->and(array_keys($own, 'work-offset'))->toBe(array_map(fn (int $n): string => "G{$n}", range(120, 139)))
        ->and($own)->toHaveCount(23);
    $offsets = WideTableMill::profile()->workOffsets;
    expect($offsets[540])->toBe('G54')->and($offsets[590])->toBe('G59')->and($offsets[1200])->toBe('G54.1P1')->and($offsets[1390])->toBe('G54.1P20')
        ->and($offsets)->toHaveCount(26);
});

it('knows six work offsets of every control, and the first where none is called', function (ControlProfile $control): void {
    expect(array_slice($control->workOffsets, 0, 6, true))
        ->toBe([540 => 'G54', 550 => 'G55', 560 => 'G56', 570 => 'G57', 580 => 'G58', 590 => 'G59'])->and($control->defaultWorkOffset)->toBe('G54');
})->with([fn () => IsoMill::profile(), fn () => WideTableMill::profile(), fn () => IsoLatheA::profile(), fn () => IsoLatheC::profile()]);

it('reads the state of the control from the parameters it has for it', function (int $number, ?SystemVariable $what): void {
    $found = null;
    foreach (IsoMill::profile()->systemVariables as [$from, $to, $variable]) {
        $found = $number >= $from && $number <= $to ? $variable : $found;
    }
    expect($found)->toBe($what);
})->with([
    // Common practice but for 5061 to 5069 and 5161 to 5390, which are those of NISTIR 6556 (from memory).
    [2999, null], [3000, SystemVariable::Alarm], [3001, SystemVariable::Timer], [3002, SystemVariable::Timer], [3003, null],
    [3006, SystemVariable::MessageStop], [3007, null], [4000, null],
    [4001, SystemVariable::MotionCode], [4002, SystemVariable::PlaneCode], [4003, SystemVariable::DistanceCode], [4004, null],
    [4005, SystemVariable::FeedModeCode], [4006, SystemVariable::UnitsCode], [4007, SystemVariable::CutterCode], [4008, SystemVariable::LengthCode],
    [4009, SystemVariable::CycleCode], [4010, SystemVariable::ReturnCode], [4011, null], [4013, null], [4014, SystemVariable::WorkOffsetCode],
    [4106, null], [4107, SystemVariable::CutterNumber], [4108, null], [4109, SystemVariable::Feed], [4110, null],
    [4111, SystemVariable::LengthNumber], [4112, null], [4118, null], [4119, SystemVariable::Speed], [4120, SystemVariable::Tool], [4121, null],
    [5020, null], [5021, SystemVariable::MachinePosition], [5029, SystemVariable::MachinePosition], [5030, null], [5040, null],
    [5041, SystemVariable::Position], [5049, SystemVariable::Position], [5050, null], [5060, null], [5061, SystemVariable::ProbePosition],
    [5069, SystemVariable::ProbePosition], [5070, null], [5160, null], [5161, SystemVariable::Home], [5169, SystemVariable::Home], [5170, null],
    [5180, null], [5181, SystemVariable::SecondHome], [5189, SystemVariable::SecondHome], [5190, null], [5210, null], [5211, SystemVariable::Shift],
    [5219, SystemVariable::Shift], [5220, SystemVariable::WorkOffsetNumber], [5221, SystemVariable::WorkOffsets],
    [5340, SystemVariable::WorkOffsets], [5341, null], [5420, null], [5421, SystemVariable::Position], [5429, SystemVariable::Position],
    [5430, null],
]);

it('takes the side of what a lathe turns by the codes that go across', function (): void {
    $across = array_filter(Code::cases(), static fn (Code $code): bool => $code->goesAcross());
    expect(array_values($across))->toBe([Code::PeckDrillAcross, Code::TapAcross, Code::BoreAcross]);
});

it('reads and writes codes of a tenth, and takes a code of one\'s own from what had it', function (): void {
    $control = IsoMill::profile()->withCodes(['second-reference' => 'G30.1', 'program-stop' => 'M0', 'flood-on' => 'G8', 'accepted' => 'M77']);
    expect($control->codeOf(Code::SecondReference))->toBe('G30.1')->and($control->gCodes)->not->toHaveKey(300)
        // A function moves with its code from M to G too; what is accepted keeps the codes it has.
        ->and($control->codeOf(Code::FloodOn))->toBe('G8')->and($control->mCodes)->not->toHaveKey(80)
        ->and(array_keys($control->mCodes, Code::Accepted, true))->toBe([480, 490, 770])
        // A program stop had two codes, and has the one that is said.
        ->and(array_keys($control->mCodes, Code::ProgramStop, true))->toBe([0])
        ->and(ControlProfile::written('G', 921))->toBe('G92.1')->and(ControlProfile::written('M', 300))->toBe('M30')
        ->and($control->codeOf(Code::CenterAbsolute))->toBe('G90.1')->and($control->codeOf(Code::TurnAlong))->toBeNull();
});

it('finds the codes of a line that it knows, and where they stand', function (): void {
    expect(IsoMill::profile()->codesIn('N10 G90.1 X5 (G0) G77 M03'))->toBe([
        ['code' => Code::CenterAbsolute, 'at' => 4, 'length' => 5],
        ['code' => Code::SpindleClockwise, 'at' => 22, 'length' => 3],
    ]);
});

it('knows a mill from a lathe by the plane it wakes up in', function (): void {
    expect(IsoMill::profile()->isOfLathe())->toBeFalse()->and(IsoLatheB::profile()->isOfLathe())->toBeTrue();
});

it('counts as the mill that takes whole numbers does', function (): void {
    $options = IntegerMill::profile()->options;
    expect([$options->lookAheadBlocks, $options->semicolonComments])->toBe([2, false]);
    $first = array_slice(IntegerMill::profile()->systemVariables, 0, 2);
    expect($first)->toBe([[2001, 2200, SystemVariable::LengthOffsets], [5001, 5009, SystemVariable::Position]])
        ->and(WideTableMill::profile()->options->shrinkingPecks)->toBeTrue();
});

it('moves by U and W where a lathe has no code for increments', function (ControlProfile $control, bool $has): void {
    expect($control->options->turning->incrementWords)->toBe($has)->and(isset($control->gCodes[910]))->toBe(! $has)
        // A number beside a tool that is neither its length nor its diameter: T says both.
        ->and($control->letters->lengthNumber)->toBe('')->and($control->letters->cutterNumber)->toBe('');
})->with([
    fn () => [IsoLatheA::profile(), true], fn () => [IsoLatheB::profile(), false], fn () => [IsoLatheC::profile(), false],
    fn () => [OneLineLathe::profile(), true],
]);

it('takes letters of one\'s own for what has any, and keeps the others', function (): void {
    $letters = (new WordLetters)->with(['peck' => 'B', 'colour' => 'Z']);
    expect($letters->peck)->toBe('B')->and($letters->dwell)->toBe('P')->and(array_keys($letters->all()))->toBe(array_keys(WordLetters::MEANINGS));
});

it('breaks a corner by the letters its switch names', function (CornerWords $words, string $letter, array $said, bool $breaks): void {
    expect($words->breaks($letter, array_fill_keys($said, 1.0), false, true))->toBe($breaks);
})->with([
    // A sign says the way of the move behind, so it goes by the axis of the move itself: I where it is Z, K where it is X (common practice).
    'I along Z' => [CornerWords::Signed, 'I', ['Z'], true], 'I along W' => [CornerWords::Signed, 'I', ['W'], true],
    'I along X' => [CornerWords::Signed, 'I', ['X'], false], 'K along X' => [CornerWords::Signed, 'K', ['X'], true],
    'K along U' => [CornerWords::Signed, 'K', ['U'], true], 'K along Z' => [CornerWords::Signed, 'K', ['Z'], false],
    'R along X' => [CornerWords::Signed, 'R', ['X'], true], 'R along Z' => [CornerWords::Signed, 'R', ['Z'], true],
    'R along both' => [CornerWords::Signed, 'R', ['X', 'Z'], false], 'I along both' => [CornerWords::Signed, 'I', ['X', 'Z'], false],
    'R along none' => [CornerWords::Signed, 'R', [], false], 'C where it is signed' => [CornerWords::Signed, 'C', ['X'], false],
    'a plain C' => [CornerWords::Plain, 'C', ['X', 'Z'], true], 'a plain R' => [CornerWords::Plain, 'R', ['X'], true],
    'a comma' => [CornerWords::Comma, ',C', ['X'], true], 'no comma' => [CornerWords::Comma, 'C', ['X'], false],
    'none' => [CornerWords::None, 'C', ['X'], false],
]);

it('leaves an axis C its word, unless the spindle turns and one of X and Z goes', function (array $said, bool $turns, bool $breaks): void {
    expect(CornerWords::Plain->breaks('C', array_fill_keys($said, 1.0), true, $turns))->toBe($breaks);
})->with([[['X'], true, true], [['X'], false, false], [['X', 'Z'], true, false], [[], true, false]]);

it('says the angle of a straight move as its switch has it', function (AngleWords $words, array $free, array $withAxis): void {
    expect($words->letters(false))->toBe($free)->and($words->letters(true))->toBe($withAxis);
})->with([
    [AngleWords::None, [], []], [AngleWords::Comma, [',A'], [',A']], [AngleWords::Plain, ['A'], []], [AngleWords::Either, [',A', 'A'], [',A']],
]);

it('has words with a comma where corners or angles are said so', function (CornerWords $corners, AngleWords $angles, bool $has): void {
    expect((new TurningOptions(cornerWords: $corners, angleWords: $angles))->hasCommaWords())->toBe($has);
})->with([
    [CornerWords::Comma, AngleWords::None, true], [CornerWords::Plain, AngleWords::Comma, true], [CornerWords::Plain, AngleWords::Either, true],
    [CornerWords::Plain, AngleWords::Plain, false], [CornerWords::None, AngleWords::None, false],
]);

it('takes so many digits of T for the number of the offset', function (ToolWord $word, ?int $digits): void {
    expect($word->offsetDigits())->toBe($digits);
})->with([
    [ToolWord::Number, null], [ToolWord::WithD, 0], [ToolWord::OneAndOne, 1], [ToolWord::TwoAndTwo, 2], [ToolWord::ThreeAndThree, 3],
]);

it('takes pockets in a rough shape where the control does, or the first block says so', function (RoughKind $kind, bool $one, bool $both): void {
    expect([$kind->takesPockets(false), $kind->takesPockets(true)])->toBe([$one, $both]);
})->with([[RoughKind::Monotone, false, false], [RoughKind::Pockets, true, true], [RoughKind::FirstBlock, false, true]]);

it('counts the angle of a thread in degrees or thousandths of one', function (): void {
    expect(StartAngleUnit::Degrees->degrees())->toBe(1.0)->and(StartAngleUnit::Thousandths->degrees())->toBe(0.001);
});

it('names the function that cannot have a code', function (array $codes): void {
    $said = 'No function of the name '.array_key_first($codes).' can have that code.';
    expect(fn () => IsoMill::profile()->withCodes($codes))->toThrow(UnknownFunction::class, $said);
})->with([[['no-such-thing' => 'G5']], [['drill' => 'H5']], [['drill' => 'G12345']], [['drill' => 'G8.15']]]);
