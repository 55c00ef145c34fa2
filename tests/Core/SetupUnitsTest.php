<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupUnits;
use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Solids\HeightField;
use Tests\Core\Bench;

/** Every figure a setup can hold, one of each. */
function everyFigure(): string
{
    $box = base64_encode(StlFile::of(HeightField::box(Box::of([-10, -6, -4], [10, 6, 2]), 10.0), 'box'));

    return (string) json_encode([
        'format' => 'oak-setup/1', 'units' => 'mm', 'start' => ['Z' => -10, 'A' => 90],
        'machine' => ['name' => 'Elm', 'kind' => 'mill', 'control' => ['profile' => 'iso-mill'], 'axes' => array_fill_keys(['X', 'Y', 'Z', 'A'], (object) [])],
        'workOffsets' => ['G54' => ['X' => -254, 'Y' => -127, 'Z' => -381, 'A' => 45]],
        'tools' => [[
            'number' => 3, 'diameter' => 12.7, 'kind' => 'end-mill', 'cornerRadius' => 0.5, 'flutes' => 4, 'fluteLength' => 25.4, 'shankDiameter' => 12,
            'length' => 120, 'stickout' => 40, 'pointAngle' => 118, 'holder' => [['diameter' => 40, 'length' => 60], ['diameter' => 63]], 'maxRpm' => 8000,
            'maxAxialDepth' => 6, 'maxRadialWidth' => 8, 'pitch' => 1.25, 'feedPerTooth' => [0.02, 0.08], 'surfaceSpeed' => [90, 150],
            'house' => ['shelf' => 25.4],
        ]],
        'offsets' => ['H' => ['3' => ['geometry' => -127, 'wear' => 0.0254], '4' => -101.6], 'D' => ['3' => 12.7]],
        'stock' => [
            'shape' => 'cylinder', 'diameter' => 63.5, 'length' => 50.8, 'bore' => 12.7,
            'face' => 2.54, 'axis' => 'Z', 'outer' => [[-50.8, 60], [0, 50.8]], 'inner' => [[-10, 12.7], [0, 25.4]],
        ],
        'moreStock' => [
            ['shape' => 'box', 'min' => [100, 0, -25.4], 'max' => [127, 50, 0]],
            ['shape' => 'heights', 'at' => [200, 0], 'square' => 1.27, 'bottom' => -10, 'heights' => [[-1, null], [-2.54, -2]]],
        ],
        'obstacles' => [
            ['name' => 'clamp', 'shape' => 'box', 'min' => [-30, -30, -20], 'max' => [-20, -20, 10], 'angle' => 30],
            ['name' => 'stud', 'shape' => 'cylinder', 'at' => [60, 60], 'diameter' => 12.7, 'bottom' => -20, 'top' => 15],
        ],
        'switches' => ['blockSkip' => [2, 3], 'optionalStop' => true],
        'clearance' => 2.54, 'breakThrough' => 1, 'nearLimit' => 5.08, 'thinnest' => 1.5,
        'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -63.5], 'table' => -200]],
        'target' => ['stl' => $box, 'tolerance' => 0.05, 'edges' => 0.25],
        'grip' => ['kind' => 'jaws', 'depth' => 6.35, 'force' => 22241.108],
        'chuck' => ['kind' => 'jaws', 'maxRpm' => 3000, 'jaws' => 3, 'jawFaceZ' => -50.8, 'jawOuter' => 127, 'gripForce' => 22241.108],
        'tailstock' => ['mouth' => 4, 'pointAngle' => 60, 'faceZ' => 1.27, 'quillDiameter' => 25.4, 'quillReach' => 40, 'bodyDiameter' => 80],
        'steady' => ['z' => -25.4, 'width' => 12.7, 'diameter' => 101.6],
        'zones' => [['name' => 'catch plate', 'profile' => [[-50.8, 88.9], [-40, 88.9], [-30, 60]], 'frame' => 'machine']],
        'subprograms' => ['9001' => "G1 X10.\nM99"], 'material' => 'brass',
    ], JSON_THROW_ON_ERROR);
}

it('means the same in the other unit, in every figure', function (): void {
    $files = Bench::files();
    $document = json_decode(everyFigure(), false, 64, JSON_THROW_ON_ERROR);
    $turned = SetupUnits::turned($document, Units::Inch);
    [$was, $is] = [$files->read(everyFigure()), $files->read((string) json_encode($turned))];
    expect($is->units)->toBe(Units::Inch)->and($turned->workOffsets->G54->X)->toBe(-10.0)->and($turned->workOffsets->G54->A)->toBe(45)
        ->and($turned->tools[0]->surfaceSpeed[0])->toEqualWithDelta(295.275591, 1e-6)->and($turned->tools[0]->flutes)->toBe(4)
        ->and($turned->tailstock->pointAngle)->toBe(60)->and($turned->zones[0]->profile[0])->toBe([-2.0, 3.5])
        ->and($turned->grip->force)->toEqualWithDelta(5000.0, 1e-3)->and($turned->subprograms->{'9001'})->toBe("G1 X10.\nM99");
    $flats = [];
    foreach ([$was, $is] as $setup) {
        $flat = [];
        $walk = static function (mixed $value, string $path) use (&$walk, &$flat): void {
            if (is_int($value) || is_float($value)) {
                $flat[$path] = (float) $value;
            }
            // What is kept of the file itself, to be written as it came, is in its own units.
            foreach (is_object($value) && ! $value instanceof UnitEnum ? get_mangled_object_vars($value) : (is_array($value) ? $value : []) as $name => $part) {
                $name = trim(substr("\0{$name}", (int) strrpos("\0{$name}", "\0")), "\0");
                if (! in_array($name, ['source', 'control', 'more'], true)) {
                    $walk($part, "{$path}.{$name}");
                }
            }
        };
        $walk($setup, '');
        $flats[] = $flat;
    }
    [$before, $after] = $flats;
    expect(array_keys($after))->toBe(array_keys($before))->and(count($before))->toBeGreaterThan(120);
    foreach ($before as $path => $value) {
        expect($after[$path])->toEqualWithDelta($value, 2e-5 * max(1.0, abs($value)), $path);
    }
});

it('comes back to the figures it began with', function (): void {
    $document = json_decode(everyFigure(), false, 64, JSON_THROW_ON_ERROR);
    $back = SetupUnits::turned(SetupUnits::turned($document, Units::Inch), Units::Millimetre);
    expect($back->target->stl)->not->toBe('');
    unset($document->target, $back->target);
    expect(json_decode((string) json_encode($back), true))->toEqualWithDelta(json_decode((string) json_encode($document), true), 2e-5);
});

it('leaves a setup alone that is in the unit already, and fields nobody knows', function (): void {
    $document = json_decode(everyFigure(), false, 64, JSON_THROW_ON_ERROR);
    expect(SetupUnits::turned($document, Units::Millimetre))->toEqual($document);
    $document->house = 25.4;
    expect(SetupUnits::turned($document, Units::Inch)->house)->toBe(25.4);
});
