<?php

declare(strict_types=1);

use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Stock\Contact;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Resolution;
use OakTrace\Core\Stock\Sweep;

it('has the profile of its kind', function (ToolKind $kind, array $geometry, float $radius, array $heights): void {
    $cutter = Cutter::of(new Tool(1, '', $kind, new ToolGeometry(...$geometry)));
    expect($cutter->radius)->toBe($radius);
    foreach ($heights as $away => $height) {
        expect($cutter->height(((float) $away) ** 2))->toEqualWithDelta($height, 1e-9);
    }
})->with([
    'an end mill' => [ToolKind::EndMill, ['diameter' => 10], 5.0, ['0' => 0, '3' => 0, '5' => 0]],
    'an end mill with corners' => [ToolKind::EndMill, ['diameter' => 10, 'cornerRadius' => 1], 5.0, ['4' => 0, '4.6' => 1 - 0.8, '5' => 1]],
    'a bull mill' => [ToolKind::BullMill, ['diameter' => 12, 'cornerRadius' => 2], 6.0, ['3.9' => 0, '5.2' => 2 - 1.6, '6' => 2]],
    'a ball mill' => [ToolKind::BallMill, ['diameter' => 10], 5.0, ['0' => 0, '3' => 1, '4' => 2, '5' => 5]],
    // 118°: the point is 0.300 d long (geometry).
    'a drill' => [ToolKind::Drill, ['diameter' => 10], 5.0, ['0' => 0, '5' => 5 / tan(deg2rad(59))]],
    'a drill with another point' => [ToolKind::Drill, ['diameter' => 10, 'pointAngle' => 140.0], 5.0, ['5' => 5 / tan(deg2rad(70))]],
    'a spot drill' => [ToolKind::SpotDrill, ['diameter' => 8], 4.0, ['1' => 1, '4' => 4]],
    'a chamfer mill of 60°' => [ToolKind::ChamferMill, ['diameter' => 8, 'pointAngle' => 60.0], 4.0, ['2' => 2 * sqrt(3)]],
    'a reamer' => [ToolKind::Reamer, ['diameter' => 6], 3.0, ['3' => 0]],
]);

it('has a cone as high as its angle makes it', function (Cutter $cutter, float $high): void {
    expect($cutter->coneHeight())->toEqualWithDelta($high, 1e-9);
})->with([
    [Cutter::cone(5, 118), 5 / tan(deg2rad(59))], [Cutter::cone(5, 60, 1), 4 * sqrt(3)], [Cutter::cone(4, 90, 0.5), 3.5], [Cutter::flat(5), 0.0],
]);

it('is none where nothing is cut, or nothing is known', function (ToolKind $kind, array $geometry): void {
    expect(Cutter::of(new Tool(1, '', $kind, new ToolGeometry(...$geometry))))->toBeNull();
})->with([[ToolKind::Probe, ['diameter' => 6]], [ToolKind::EndMill, []]]);

it('finds from a height how far out the edge is, and back', function (Cutter $cutter): void {
    for ($height = 0.05; $height < 6.0; $height += 0.13) {
        $away = $cutter->radiusAt($height);
        expect($away)->toBeLessThanOrEqual($cutter->radius);
        if ($away < $cutter->radius - 1e-9) {
            expect($cutter->height($away ** 2))->toEqualWithDelta($height, 1e-9);
        }
    }
    expect($cutter->radiusAt(100.0))->toBe($cutter->radius)->and($cutter->radiusAt(0.0))->toBe($cutter->flat);
})->with([[Cutter::flat(4)], [Cutter::ball(4)], [Cutter::bull(5, 1.5)], [Cutter::cone(4, 90)], [Cutter::cone(3, 118)]]);

it('knows which kinds go straight down', function (): void {
    $no = array_filter(ToolKind::cases(), fn (ToolKind $kind): bool => ! $kind->cutsAtCenter());
    expect(array_values($no))->toBe([ToolKind::FaceMill, ToolKind::Reamer, ToolKind::Tap, ToolKind::BoringBar, ToolKind::ThreadMill])
        ->and((new Tool(1, '', ToolKind::FaceMill, new ToolGeometry(centerCutting: true)))->cutsAtCenter())->toBeTrue()
        ->and((new Tool(1, '', ToolKind::EndMill, new ToolGeometry(centerCutting: false)))->cutsAtCenter())->toBeFalse();
});

it('chooses a round figure for a cell, by the tools and within bounds', function (array $max, float $diameter, Units $units, float $cell): void {
    $stock = Stock::box('G54', Box::of([0.0, 0.0, -10.0], [...$max, 0.0]), []);
    expect(Resolution::of($stock, [new Tool(1, '', ToolKind::EndMill, new ToolGeometry($diameter))], $units))->toEqualWithDelta($cell, 1e-9);
})->with([
    'a plate and a usual tool' => [[100.0, 80.0], 10.0, Units::Millimetre, 0.25],
    'a small part' => [[30.0, 20.0], 6.0, Units::Millimetre, 0.1],
    'a large one' => [[700.0, 400.0], 20.0, Units::Millimetre, 2.0],
    'a large tool on a small part' => [[40.0, 40.0], 80.0, Units::Millimetre, 0.4],
    'in inches' => [[127.0, 76.2], 9.525, Units::Inch, 0.01 * 25.4],
]);

it('looks round itself', function (): void {
    $field = HeightField::box(Box::of([-20.0, -20.0, -10.0], [20.0, 20.0, 0.0]), 0.2);
    // A step: five deep to the left of X0; and a hole through at X10 Y10.
    $sweep = new Sweep($field);
    for ($y = -22.0; $y <= 22.0; $y += 4.0) {
        $sweep->straight(Cutter::flat(5), -30.0, $y, -5.0, -5.0, $y, -5.0);
    }
    $sweep->straight(Cutter::flat(2), 10.0, 10.0, 5.0, 10.0, 10.0, -12.0);
    $contact = new Contact($field);
    expect($contact->highest(-10.0, 0.0, 4.0))->toBe(-5.0)->and($contact->highest(-2.0, 0.0, 4.0))->toBe(0.0)
        ->and($contact->highest(10.0, 10.0, 1.5))->toBe(-INF)->and($contact->highestOn(10.0, 10.0, 3.0))->toBe(0.0)
        ->and($contact->tilt(0.0, 0.0, 3.0))->toBe(5.0)->and($contact->tilt(-10.0, 0.0, 3.0))->toBe(0.0)->and($contact->tilt(10.0, 10.0, 4.0))->toBe(0.0)
        ->and($field->at(25.0, 0.0))->toBe(-INF);
    // Along the step with half of the tool on it, climbing over none of it, and in the open.
    expect(
        $contact->ahead(Cutter::flat(5), 0.0, -10.0, -5.0, 0.0, 1.0),
    )->toBeTrue()->and($contact->angle)->toEqualWithDelta(90.0, 4.0)->and($contact->width)->toEqualWithDelta(5.0, 0.3)
        ->and($contact->ahead(Cutter::flat(5), -10.0, -10.0, -5.0, 0.0, 1.0))->toBeFalse()->and([$contact->angle, $contact->width])->toBe([0.0, 0.0]);
});

it('knows what of it lies below a height', function (Cutter $cutter): void {
    foreach ([0.3, 1.0, 2.5, 7.0] as $height) {
        $sum = 0.0;
        for ($n = 0; $n < 4000; $n++) {
            $sum += M_PI * $cutter->radiusAt($height * ($n + 0.5) / 4000) ** 2 * $height / 4000;
        }
        expect($cutter->volumeUnder($height))->toEqualWithDelta($sum, 1e-4 * $sum);
    }
    expect($cutter->volumeUnder(-1.0))->toBe(0.0);
})->with([
    'flat' => [Cutter::flat(4)], 'ball' => [Cutter::ball(3)], 'bull' => [Cutter::bull(5, 1.5)], 'cone' => [Cutter::cone(4, 118)],
    'cut off' => [Cutter::cone(4, 90, 1.0)],
]);
