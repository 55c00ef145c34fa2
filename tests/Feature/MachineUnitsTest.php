<?php

declare(strict_types=1);

use App\Models\Machine;
use OakTrace\Core\Quantities\Units;

/** A machine with every field there is, in millimetres. */
function wholeMachine(): Machine
{
    return new Machine(['name' => 'Elm', 'definition' => json_decode((string) json_encode([
        'name' => 'Elm', 'kind' => 'mill',
        'axes' => [
            'X' => ['min' => -508, 'max' => 0, 'rapid' => 25400, 'acceleration' => 2540], 'Z' => ['min' => -254, 'max' => 25.4],
            'A' => ['min' => -360, 'max' => 360, 'rapid' => 7200, 'acceleration' => 720], 'B' => ['rapid' => 3600],
        ],
        'home' => ['X' => 0, 'Z' => 25.4, 'A' => 90], 'secondHome' => ['Z' => -50.8], 'maxFeed' => 12700,
        'spindle' => ['maxRpm' => 8000, 'secondsToSpeed' => 1.5, 'power' => 7.4569987, 'torque' => 13.558179],
        'toolChange' => ['seconds' => 6, 'at' => ['Z' => 25.4]],
        'control' => ['profile' => 'iso-mill', 'arcTolerance' => 0.00254, 'peckClearance' => 0.508, 'lookAheadBlocks' => 3],
        'places' => ['Vice X1' => ['X' => -254, 'A' => 45]], 'rotaryCenters' => ['A' => ['at' => ['Y' => -101.6, 'Z' => -203.2], 'table' => -228.6]],
        'obstacles' => [
            ['name' => 'post', 'shape' => 'box', 'min' => [-25.4, -50.8, -76.2], 'max' => [0, 25.4, 50.8], 'angle' => 30],
            ['name' => 'stud', 'shape' => 'cylinder', 'at' => [25.4, 50.8], 'diameter' => 12.7, 'bottom' => -25.4, 'top' => 0],
        ],
        'programFiles' => ['lineEnds' => 'crlf', 'percent' => true, 'ending' => 'nc'],
    ]), false)]);
}

it('puts lengths into inches, and nothing else', function (string $path, float $inches): void {
    $definition = json_decode((string) json_encode(wholeMachine()->definitionIn('inch')), true);
    expect((float) data_get($definition, $path))->toEqualWithDelta($inches, 1e-9);
})->with([
    ['axes.X.min', -20], ['axes.X.rapid', 1000], ['axes.X.acceleration', 100], ['axes.A.min', -360], ['axes.A.rapid', 7200], ['axes.B.rapid', 3600],
    ['home.Z', 1], ['home.A', 90], ['secondHome.Z', -2], ['maxFeed', 500], ['spindle.maxRpm', 8000], ['spindle.power', 10], ['spindle.torque', 10],
    ['spindle.secondsToSpeed', 1.5], ['toolChange.seconds', 6], ['toolChange.at.Z', 1], ['control.arcTolerance', 0.0001], ['control.peckClearance', 0.02],
    ['control.lookAheadBlocks', 3], ['places.Vice X1.X', -10], ['places.Vice X1.A', 45], ['rotaryCenters.A.at.Y', -4], ['rotaryCenters.A.table', -9],
    ['obstacles.0.min.2', -3], ['obstacles.0.max.0', 0], ['obstacles.0.angle', 30], ['obstacles.1.at.1', 2], ['obstacles.1.diameter', 0.5],
    ['obstacles.1.bottom', -1],
]);

it('comes back from inches as it went', function (): void {
    $machine = wholeMachine();
    $there = $machine->definitionIn(Units::Inch->value);
    $back = Machine::inMillimetres($there, Units::Inch->value);
    expect(json_decode((string) json_encode($back), true))->toEqualWithDelta(json_decode((string) json_encode($machine->definition), true), 1e-6);
});

it('leaves millimetres as they are, and what it was given untouched', function (): void {
    $machine = wholeMachine();
    $before = json_encode($machine->definition);
    expect(json_encode($machine->definitionIn('mm')))->toBe($before)->and(json_encode(Machine::inMillimetres($machine->definition, 'mm')))->toBe($before);
    $machine->definitionIn('inch');
    expect(json_encode($machine->definition))->toBe($before);
});
