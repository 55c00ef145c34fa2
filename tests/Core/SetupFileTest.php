<?php

declare(strict_types=1);

use OakTrace\Core\Formats\SetupFileError;
use Tests\Core\Bench;
use Tests\Core\Demo;

it('writes what it reads', function (string $json): void {
    $files = Bench::files();
    $once = $files->read($json);
    $written = (string) json_encode($files->write($once));
    expect($files->read($written))->toEqual($once)->and((string) json_encode($files->write($files->read($written))))->toBe($written);
})->with([
    'millimetres' => [fn (): string => (string) json_encode(Bench::file())],
    'inches' => [fn (): string => Demo::file('1608')],
    'everything the contract has' => [fn (): string => (string) json_encode(Bench::file([
        'start' => ['X' => -5], 'material' => 'brass', 'breakThrough' => 0.3, 'subprograms' => ['O2000' => 'M99'],
        'switches' => ['blockSkip' => [2], 'optionalStop' => true], 'workOffsets' => ['G54.1P1' => ['X' => 1, 'Y' => 2, 'Z' => 3]],
        'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 1.5, 'Z' => -12.5], 'table' => -80.25]],
        'obstacles' => [
            ['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54'],
            ['name' => 'plate', 'shape' => 'box', 'min' => [-1, -2, -3], 'max' => [1, 2, 3], 'workOffset' => 'G54', 'turnsWith' => 'A'],
            ['name' => 'clamp', 'shape' => 'box', 'min' => [-1, -2, -3], 'max' => [1, 2, 3], 'workOffset' => 'machine', 'angle' => 30],
            ['name' => 'stud', 'shape' => 'cylinder', 'at' => [5, 6], 'diameter' => 12, 'bottom' => -10, 'top' => 20, 'workOffset' => 'G54'],
        ],
        'places' => ['G54' => 'Vice, left'],
        'machine' => [
            'secondHome' => ['Z' => -50], 'axes' => ['A' => ['min' => -360, 'max' => 360]], 'places' => ['Vice, left' => ['X' => -400, 'Y' => -200]],
            'obstacles' => [['name' => 'probe', 'shape' => 'box', 'min' => [-700, -400, -450], 'max' => [-650, -350, -300]]],
            'programFiles' => ['lineEnds' => 'crlf', 'percent' => true, 'ending' => 'txt'],
            'rotaryCenters' => ['B' => ['at' => ['X' => -300, 'Z' => -350]]],
        ],
        'notTrusted' => ['H2' => ['why' => 'begun', 'at' => '2026-03-02 10:42'], 'G54' => ['why' => 'copied', 'from' => 'Hand hub, op 10 Vice']],
    ]))],
    'what is said of the cut' => [fn (): string => (string) json_encode(Bench::file([
        'thinnest' => 0.8, 'grip' => ['kind' => 'dovetail', 'depth' => 2.5, 'force' => 4000], 'machine' => [
            'spindle' => ['maxRpm' => 6000, 'power' => 3.7, 'torque' => 24],
        ],
        'tools' => [['number' => 1, 'diameter' => 10, 'material' => 'carbide'], ['number' => 2, 'material' => 'high-speed-steel']],
        'moreStock' => [['shape' => 'cylinder', 'axis' => 'Y', 'towards' => 'plus', 'diameter' => 20, 'length' => 40, 'bore' => 0, 'workOffset' => 'G54']],
        'target' => ['top' => -1, 'features' => [['kind' => 'slot', 'from' => [0, 0], 'to' => [20, 0], 'width' => 8, 'depth' => 3, 'tolerance' => [0, 0.1]]]],
    ]))],
    'only what it must have' => [fn (): string => '{"format":"oak-setup/1","units":"mm","machine":{"name":"M","kind":"mill","axes":{"X":{}}}}'],
]);

it('gives back what it has read', function (): void {
    $written = Bench::files()->write(
        Bench::setup(['material' => 'brass', 'tools' => [['number' => 1, 'fluteLength' => 25, 'holder' => ['diameter' => 40, 'length' => 60]]]]),
    );
    expect($written['material'])->toBe('brass')->and($written['tools'][0]['holder'])->toEqual(['diameter' => 40, 'length' => 60])
        ->and($written['machine']['control']['outsideCorner'])->toBe('arc');
});

it('turns inches into millimetres and leaves degrees alone', function (): void {
    $setup = Bench::setup(
        ['units' => 'inch', 'workOffsets' => ['G54' => ['X' => -10]], 'machine' => ['axes' => ['A' => ['min' => -90, 'max' => 90]]], 'clearance' => 0.1],
    );
    expect($setup->workOffsets['G54']['X'])->toEqual(-254)->and($setup->machine->axes['A']->max)->toEqual(90)
        ->and($setup->margins->clearance)->toEqualWithDelta(2.54, 1e-12)
        ->and($setup->tooling->lengthOffsets[3]->total())->toEqualWithDelta(-239.98 * 25.4, 1e-9);
});

it('names the field that is wrong', function (array $changes, string $field, string $reason): void {
    try {
        Bench::setup($changes);
        $this->fail('The file was taken.');
    } catch (SetupFileError $e) {
        expect($e->fields)->toHaveKey($field)->and($e->fields[$field])->toContain($reason);
    }
})->with([
    [['units' => 'cm'], 'units', 'mm, inch'],
    [['format' => 'oak-setup/2'], 'format', 'oak-setup/1'],
    [['machine' => null], 'machine', 'missing'],
    [['machine' => ['kind' => 'saw']], 'machine.kind', 'mill, lathe'],
    [['machine' => ['axes' => ['X' => ['min' => 'left']]]], 'machine.axes.X.min', 'a number, not string'],
    [['machine' => ['axes' => ['X' => ['min' => 5, 'max' => 5]]]], 'machine.axes.X', 'minus limit'],
    [['machine' => ['axes' => ['Q' => ['min' => 5]]]], 'machine.axes', '“Q”'],
    [['machine' => ['control' => ['profile' => 'unheard-of']]], 'machine.control.profile', 'iso-mill'],
    [['machine' => ['spindle' => ['maxRpm' => 0]]], 'machine.spindle.maxRpm', '0.0001 or more'],
    [['workOffsets' => ['G54' => ['A' => 5]]], 'workOffsets.G54.A', 'no A axis'],
    [['workOffsets' => ['G9' => []]], 'workOffsets', '“G9”'],
    [['tools' => [['number' => 1], ['number' => 1]]], 'tools.1.number', 'Two tools'],
    [['tools' => [['number' => 1, 'kind' => 'saw']]], 'tools.0.kind', 'one of'],
    [['tools' => [['name' => 'x']]], 'tools.0.number', 'missing'],
    [
        ['stock' => ['shape' => 'heights', 'at' => [0, 0], 'square' => 5, 'bottom' => -5, 'heights' => [[0, 0], [0]]]], 'stock.heights.1',
        'has 1 heights, the first has 2',
    ],
    [['stock' => ['shape' => 'heights', 'at' => [0, 0], 'square' => 5, 'bottom' => -5, 'heights' => [[0, -6]]]], 'stock.heights.0.1', 'below the bottom'],
    [['stock' => ['shape' => 'heights', 'at' => [0, 0], 'square' => 5, 'bottom' => -5, 'heights' => [[null]]]], 'stock.heights', 'no stock'],
    [['stock' => ['shape' => 'solid', 'stl' => 'bm90IGEgc29saWQ=']], 'stock.stl', 'not an STL file'],
    [['moreStock' => [['shape' => 'cylinder', 'diameter' => 5, 'length' => 5, 'workOffset' => 'G57']]], 'moreStock.0.workOffset', 'G57 has no value'],
    [['stock' => null, 'target' => ['top' => 0]], 'target', 'needs the stock'],
    [['moreStock' => [['shape' => 'box', 'min' => [0, 0, 0], 'max' => [0, 1, 1]]]], 'moreStock.0.max.0', 'ends in X'],
    [['stock' => ['min' => [0, 0, 0], 'max' => [10, 10, 0]]], 'stock.max.2', 'ends in Z'],
    [['obstacles' => [['shape' => 'box', 'min' => [0, 0, 5], 'max' => [10, 10, 0]]]], 'obstacles.0.max.2', 'ends in Z'],
    [['stock' => ['shape' => 'cylinder', 'min' => null, 'max' => null]], 'stock.diameter', 'missing'],
    [['clearance' => -1], 'clearance', '0 or more'],
    'a length so small that a figure cannot be divided by it' => [
        ['tools' => [['number' => 1, 'kind' => 'end-mill', 'diameter' => 10, 'shankDiameter' => 1e-300]]], 'tools.0.shankDiameter', '0.0001 or more',
    ],
    [['offsets' => ['H' => ['1' => ['wear' => 1]]]], 'offsets.H.1.geometry', 'missing'],
]);

it('says so where the text is no JSON at all', function (): void {
    Bench::files()->read('{"format": ');
})->throws(SetupFileError::class, 'not valid JSON');

it('knows what holds a tool, in one step or in several, and what the tool can take', function (array|string $holder, array $steps): void {
    $tool = [
        'number' => 1, 'kind' => 'end-mill', 'diameter' => 0.5, 'cornerRadius' => 0.03, 'fluteLength' => 1.0, 'stickout' => 1.5,
        'maxRadialWidth' => 0.25, 'centerCutting' => false, 'holder' => $holder,
    ];
    $file = ['units' => 'inch'] + Bench::file(['tools' => [$tool], 'stock' => null, 'offsets' => null, 'workOffsets' => null]);
    $setup = Bench::files()->read((string) json_encode($file));
    $read = $setup->tooling->tools[1];
    expect($read->holding->holder)->toEqual($steps)->and(
        [$read->geometry->cornerRadius, $read->geometry->fluteLength, $read->limits->maxRadialWidth],
    )->toEqualWithDelta([0.762, 25.4, 6.35], 1e-9)
        ->and($read->cutsAtCenter())->toBeFalse();
    $again = Bench::files()->read((string) json_encode(Bench::files()->write($setup)))->tooling->tools[1];
    expect($again)->toEqual($read);
})->with([
    'one step' => [['diameter' => 1, 'length' => 2], [['diameter' => 25.4, 'length' => 50.8]]],
    'two, the last without an end' => [
        [['diameter' => 1, 'length' => 2], ['diameter' => 2]], [['diameter' => 25.4, 'length' => 50.8], ['diameter' => 50.8, 'length' => null]],
    ],
]);

it('refuses a holder without a diameter', function (): void {
    expect(fn () => Bench::setup(['tools' => [['number' => 1, 'holder' => ['length' => 30]]]]))->toThrow(SetupFileError::class);
});

it('takes power and force in the units that go with inches', function (): void {
    $setup = Bench::setup(
        [
            'units' => 'inch', 'grip' => ['kind' => 'jaws', 'depth' => 0.25, 'force' => 1000],
            'machine' => ['spindle' => ['power' => 5, 'torque' => 20]], 'thinnest' => 0.02,
        ],
    );
    expect(
        [
            $setup->workholding->grip->depth, $setup->workholding->grip->force, $setup->margins->thinnest, $setup->machine->spindle('main')->power,
            $setup->machine->spindle('main')->torque,
        ],
    )->toEqualWithDelta([6.35, 4448.22, 0.508, 3.7285, 27.116], 0.01);
});
