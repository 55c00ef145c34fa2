<?php

declare(strict_types=1);

use App\Checking\MachineDifference;
use OakTrace\Core\Quantities\Units;
use Tests\Core\Bench;

it('tells in what two machines of one name differ, in the units of the setup', function (array $file, Units $units, array $told): void {
    expect(MachineDifference::of(Bench::setup(['machine' => $file])->machine, Bench::setup()->machine, $units))->toBe($told);
})->with([
    'nothing' => [['maxFeed' => 12000], Units::Millimetre, []],
    'a feed that is not said' => [['maxFeed' => null], Units::Millimetre, ['greatest feed not given there, 12000 mm/min here']],
    'a limit' => [['axes' => ['X' => ['min' => -600]]], Units::Millimetre, ['X minus limit −600.000 mm there, −760.000 mm here']],
    'a limit, read in inch' => [['axes' => ['X' => ['min' => -508]]], Units::Inch, ['X minus limit −20.0000 in there, −29.9213 in here']],
    'less than can be read' => [['axes' => ['X' => ['min' => -760.00001]]], Units::Millimetre, []],
    'a limit that is open' => [['axes' => ['X' => ['min' => null]]], Units::Millimetre, ['X minus limit not given there, −760.000 mm here']],
    'an axis more' => [['axes' => ['A' => ['min' => -360, 'max' => 360]]], Units::Millimetre, ['axis A only there']],
    'the kind, and the control' => [
        ['kind' => 'lathe', 'axes' => ['X' => ['xIs' => 'radius']], 'control' => ['profile' => 'integer-mill']], Units::Millimetre,
        ['a lathe there, a mill here', 'control Mill that counts in least increments there, ISO mill here'],
    ],
    'Z by hand' => [['axes' => ['Z' => ['byHand' => true]]], Units::Millimetre, ['Z moved by hand there, by the control here']],
    'the speed' => [['spindle' => ['maxRpm' => 6000]], Units::Millimetre, ['greatest speed 6000 rev/min there, 8000 rev/min here']],
]);
