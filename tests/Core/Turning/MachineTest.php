<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Kinematics\ThreadLag;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;
use Tests\Core\Bench;
use Tests\Core\Lathe;

it('counts X of a lathe in diameters, unless it says otherwise', function (array $machine, bool $isDiameter, ?string $written): void {
    $files = Bench::files();
    $setup = Lathe::setup(['machine' => $machine]);
    expect($setup->machine->axes['X']->isDiameter)->toBe($isDiameter)->and($setup->machine->axes['Z']->isDiameter)->toBeFalse();
    $text = (string) json_encode($files->write($setup));
    $x = json_decode($text, true)['machine']['axes']['X'];
    expect([$x['xIs'] ?? null, $x['max']])->toEqual([$written, 260])
        ->and($files->read($text)->machine->axes['X']->max)->toEqual($isDiameter ? 130.0 : 260.0);
})->with([
    'a lathe' => [['axes' => ['X' => ['xIs' => null]]], true, 'diameter'],
    'a lathe that says diameter' => [['name' => 'Hazel'], true, 'diameter'],
    'a lathe that says radius' => [['axes' => ['X' => ['xIs' => 'radius']]], false, 'radius'],
    'a sliding-head lathe' => [['kind' => 'sliding-head', 'axes' => ['X' => ['xIs' => null]]], true, 'diameter'],
    'a mill' => [['kind' => 'mill', 'axes' => ['X' => ['xIs' => null]]], false, null],
]);

it('keeps the spindles of a lathe by their names', function (): void {
    $spindles = ['main' => ['maxRpm' => 4500, 'power' => 11], 'sub' => ['maxRpm' => 6000], 'driven' => ['maxRpm' => 5000]];
    $files = Bench::files();
    $setup = Lathe::setup(['machine' => ['spindle' => null, 'spindles' => $spindles]]);
    expect($setup->machine->spindle('main')->maxRpm)->toBe(4500.0)->and($setup->machine->spindle('driven')->maxRpm)->toBe(5000.0)
        ->and($files->read((string) json_encode($files->write($setup))))->toEqual($setup);
});

it('goes past the limit by as much as the control shows', function (array $machine, string $says): void {
    $findings = array_filter(
        Lathe::verify("G21 G99\nT0101\nG97 S500 M3\nG0 X261. Z2.\nG28 U0 W0\nM30", ['machine' => $machine])->findings,
        fn ($finding): bool => str_starts_with($finding->check, 'travel.'),
    );
    expect($findings)->not->toBe([])->and((new Wording(Units::Millimetre))->text(array_values($findings)[0]))->toContain($says);
})->with([
    'in diameter' => [['name' => 'Hazel'], 'Ø1.000 mm'],
    'in radius' => [['axes' => ['X' => ['xIs' => 'radius']]], '1.000 mm'],
]);

it('keeps what stands around the part as it is given', function (): void {
    $files = Bench::files();
    $given = [
        'tailstock' => ['mouth' => 4, 'quillDiameter' => 30, 'retracted' => true], 'steady' => ['z' => -60, 'width' => 20, 'diameter' => 120],
        'zones' => [['name' => 'catch plate', 'profile' => [[-50, 90], [-40, 90]], 'frame' => 'machine']],
    ];
    $written = json_decode((string) json_encode($files->write(Lathe::setup($given))), true);
    expect(array_intersect_key($written, $given))->toEqual($given);
});

it('refuses a zone that is no solid of revolution', function (array $profile, int $point): void {
    expect(fn () => Lathe::setup(['zones' => [['name' => 'dog', 'profile' => $profile]]]))
        ->toThrow(SetupFileError::class, "Give the points of “dog” along Z from minus to plus, each with its diameter: number {$point} is not.");
})->with(['back along Z' => [[[0, 20], [-5, 30]], 2], 'a diameter below nothing' => [[[0, 20], [5, -1], [9, 4]], 2]]);

it('runs a thread in and out over no less than the slide needs to its speed', function (?float $acceleration, float $in, float $out): void {
    // T v (−1 − ln a) and T v with 1/30 s and 1.5 % at 30 mm/s; v² / 2a (kinematics).
    expect((new ThreadLag)->runIn(30.0, $acceleration))->toEqualWithDelta($in, 1e-4)
        ->and((new ThreadLag)->runOut(30.0, $acceleration))->toEqualWithDelta($out, 1e-4);
})->with([
    'nobody says' => [null, 3.1997, 1.0], 'none' => [0.0, 3.1997, 1.0], 'quick' => [1500.0, 3.1997, 1.0], 'slow' => [200.0, 3.1997, 2.25],
    'hardly any' => [0.5, 900.0, 900.0],
]);
