<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Setup;
use App\Models\TouchOff;
use Illuminate\Testing\TestResponse;

function touching(string $act, array $fields, ?Setup $setup = null): TestResponse
{
    return test()->postJson('/setups/'.($setup ?? program('1305')->setup)->id."/touching-off/{$act}", $fields);
}

function readOff(string $subject, string $method, array $readings, array $more = []): TestResponse
{
    return touching('read', ['subject' => $subject, 'method' => $method, 'readings' => $readings] + $more);
}

function hub(): array
{
    return documentOf(program('1305')->setup->refresh());
}

beforeEach(fn () => $this->actingAs(person('machinist')));

it('lists a worksheet for every offset the programs use', function (): void {
    $rows = collect(props('/setups/1/touching-off')['rows'])->where('isUsed', true);
    expect($rows->pluck('subject')->all())->toBe(['G54 X', 'G54 Y', 'G54 Z', 'H1', 'H2', 'H3', 'H4'])
        ->and($rows->firstWhere('subject', 'H3')['methods'][0]['name'])->toBe('part-top')->and($rows->every('isTrusted'))->toBeTrue();
});

it('takes a length from its reading to trust, and stops until then', function (): void {
    $before = hub()['offsets']['H']['3']['geometry'];
    touching('begin', ['subject' => 'H3'])->assertOk();
    expect(hub()['notTrusted']['H3']['why'])->toBe('begun')->and(program('1305')->verdict)->toBe('stop')
        ->and(program('1305')->worst['text'])->toContain('Touching off H3 was begun at')->toContain('and not finished');
    $reading = $before - 0.12;
    readOff('H3', 'part-top', ['at' => $reading + 50, 'block' => 50, 'height' => 0])->assertOk()->assertJsonPath('state', 'read')
        ->assertJsonPath('terms.1', [-50, 'gauge block']);
    expect(hub()['offsets']['H']['3']['geometry'])->toEqual($before)->and(hub()['notTrusted'])->toHaveKey('H3');
    touching('type-back', ['subject' => 'H3', 'typed' => (string) ($reading + 1)])->assertUnprocessable()
        ->assertJsonPath('errors.typed.0', static fn (string $said): bool => str_contains($said, 'Look at the control again.'));
    touching('type-back', ['subject' => 'H3', 'typed' => number_format($reading, 3)])->assertOk()->assertJsonPath('state', 'trusted');
    expect(hub()['offsets']['H']['3']['geometry'])->toEqualWithDelta($reading, 1e-9)->and(hub())->not->toHaveKey('notTrusted')
        ->and(program('1305')->refresh()->verdict)->not->toBe('stop')
        ->and(LogEntry::where('field', 'H3')->firstOrFail()->only('by', 'why'))->toBe(['by' => 'M. Hollow', 'why' => 'part top']);
});

it('asks about a turned figure before it keeps it', function (): void {
    $length = hub()['offsets']['H']['3']['geometry'];
    touching('begin', ['subject' => 'H3'])->assertOk();
    $asked = readOff('H3', 'part-top', ['at' => $length - 90, 'block' => 0, 'height' => 0])->assertOk()->assertJsonPath('state', 'asked')->json('asks');
    expect($asked[0])->toContain('90.000 mm off')->and(TouchOff::firstOrFail()->state->value)->toBe('begun');
    readOff('H3', 'part-top', ['at' => $length - 90, 'block' => 0, 'height' => 0], ['confirmed' => true])->assertOk()->assertJsonPath('state', 'read');
});

it('refuses a reading that cannot be, at its field', function (string $subject, string $method, array $readings, string $field, string $says): void {
    touching('begin', ['subject' => $subject])->assertOk();
    readOff($subject, $method, $readings)->assertUnprocessable()->assertJsonPath("errors.{$field}.0", $says);
    expect(TouchOff::firstOrFail()->value)->toBeNull();
})->with([
    ['H3', 'from-control', ['value' => 238.2], 'value', 'H3 would be 238.200 mm. Lengths touched off from home are negative in this setup.'],
    ['H3', 'part-top', ['at' => -470.0, 'block' => 0, 'height' => 0], 'at', 'The reading −470.000 mm is outside the travel of Z, −460.000 mm to 0.000 mm.'],
    ['H3', 'part-top', ['at' => -240.0, 'block' => -1, 'height' => 0], 'block', 'A gauge block is not thinner than nothing.'],
    ['H3', 'part-top', ['at' => 'x', 'block' => 0, 'height' => 0], 'at', 'Enter the figure of “Reading”.'],
    ['H3', 'unheard-of', [], 'method', 'Choose how it is touched off.'],
    ['G54 X', 'edge-finder', ['at' => -380, 'diameter' => 0, 'side' => 1, 'offset' => 0], 'diameter', 'An edge finder has a diameter of more than 0.'],
]);

it('is interrupted by another tool, by ten minutes, and by somebody else', function (Closure $between, string $says): void {
    touching('begin', ['subject' => 'H3'])->assertOk();
    $between();
    $length = hub()['offsets']['H']['3']['geometry'];
    readOff('H3', 'part-top', ['at' => $length - 0.1, 'block' => 0, 'height' => 0])->assertConflict()
        ->assertJsonPath('message', static fn (string $said): bool => str_contains($said, $says));
    expect(hub()['notTrusted'])->toHaveKey('H3');
})->with([
    'another tool' => [fn () => touching('begin', ['subject' => 'H2'])->assertOk(), 'and not finished: do it again.'],
    'eleven minutes' => [fn () => test()->travel(11)->minutes(), 'and not finished: do it again.'],
    'somebody else' => [function (): void {
        test()->actingAs(person());
        touching('begin', ['subject' => 'H3'])->assertOk();
        test()->actingAs(person('machinist'));
    }, 'Somebody else has begun H3 in between.'],
]);

it('trusts a work offset once each of its axes is touched off', function (): void {
    $id = $this->postJson('/setups/1/copy')->assertCreated()->json('id');
    $copy = Setup::findOrFail($id);
    $offset = documentOf($copy)['workOffsets']['G54'];
    foreach (['X', 'Y', 'Z'] as $n => $axis) {
        expect(documentOf($copy->refresh())['notTrusted']['G54']['axes'])->toHaveCount(3 - $n);
        touching('begin', ['subject' => "G54 {$axis}"], $copy)->assertOk();
        touching(
            'read', ['subject' => "G54 {$axis}", 'method' => 'from-control', 'readings' => ['value' => $offset[$axis]], 'confirmed' => true], $copy,
        )->assertOk();
        touching('type-back', ['subject' => "G54 {$axis}", 'typed' => (string) $offset[$axis]], $copy)->assertOk();
    }
    expect(documentOf($copy->refresh())['notTrusted'])->not->toHaveKey('G54')->toHaveKey('H1');
});

it('has the first bore of a row measured again, and tells what moved meanwhile', function (): void {
    $take = static function (string $subject, float $middle): TestResponse {
        touching('begin', ['subject' => $subject])->assertOk();

        return readOff($subject, 'bore', ['first' => $middle - 20, 'second' => $middle + 20, 'ball' => 4.0, 'offset' => 0.0]);
    };
    $at = hub()['workOffsets']['G54']['X'];
    $take('G54 X', $at + 1);
    expect(props('/setups/1/touching-off')['again'])->toBe([]);
    $take('G55 X', -120.0);
    expect(props('/setups/1/touching-off')['again'])->toBe(['G54 X, the first of 2']);
    foreach (['1.25' => '0.250', '0.5' => '0.500'] as $to => $off) {
        expect($take('G54 X', $at + (float) $to)->json('asks'))->toBe([
            "G54 X, the first of the row, is {$off} mm off where it was before the others were measured. Did the part or the probe move?",
        ])->and(props('/setups/1/touching-off')['again'])->toBe([]);
    }
    expect($take('G54 X', $at + 1.01)->json('asks'))->toBe([]);
});

it('adds to a value as a control does, and only to one that is trusted', function (): void {
    $before = hub()['offsets']['H']['3']['geometry'];
    touching('adjust', ['subject' => 'H3', 'by' => 0.005, 'why' => 'bore 0.01 small'])->assertNoContent();
    expect(hub()['offsets']['H']['3']['geometry'])->toEqualWithDelta($before + 0.005, 1e-9)
        ->and(LogEntry::where('field', 'H3')->firstOrFail()->why)->toBe('by hand: bore 0.01 small');
    touching('begin', ['subject' => 'H3']);
    touching('adjust', ['subject' => 'H3', 'by' => 0.005])->assertConflict()->assertJsonPath('message', 'H3 is not set, or not trusted: touch it off first.');
    touching('adjust', ['subject' => 'H3', 'by' => 'x'])->assertUnprocessable();
});

it('takes a change back from the history', function (): void {
    $before = hub()['offsets']['H']['3']['geometry'];
    touching('adjust', ['subject' => 'H3', 'by' => -0.02])->assertNoContent();
    $entry = collect(props('/setups/1/touching-off')['history'])->firstWhere('field', 'H3');
    expect((float) $entry['was'])->toEqualWithDelta($before, 1e-9);
    touching('take-back', ['entry' => $entry['id']])->assertNoContent();
    expect(hub()['offsets']['H']['3']['geometry'])->toEqualWithDelta($before, 1e-9);
    touching('take-back', ['entry' => 999_999])->assertNotFound();
});

it('puts no figure back that is in other units', function (): void {
    touching('adjust', ['subject' => 'H3', 'by' => 0.005, 'why' => 'bore 0.01 small'])->assertNoContent();
    $entry = LogEntry::where('field', 'H3')->latest('id')->firstOrFail();
    expect(collect(props('/setups/1/touching-off')['history'])->firstWhere('id', $entry->id)['mayTakeBack'])->toBeTrue();
    $setup = Setup::findOrFail(1);
    $inch = $this->postJson('/setups/1/in-units', ['document' => $setup->document, 'units' => 'inch'])->json('document');
    $this->putJson('/setups/1', ['document' => $inch, 'version' => $setup->version, 'machineId' => $setup->machine_id])->assertOk();
    // Converted figures are no change of theirs.
    expect(LogEntry::where('setup_id', 1)->where('id', '>', $entry->id)->pluck('field')->all())->toBe(['units'])
        ->and(collect(props('/setups/1/touching-off')['history'])->firstWhere('id', $entry->id)['mayTakeBack'])->toBeFalse();
    touching('take-back', ['entry' => $entry->id])->assertStatus(409)->assertJsonPath('message', 'The setup was in other units then. Touch it off again.');
});

it('simulates a reading, and marks what came of it', function (): void {
    $length = hub()['offsets']['H']['3']['geometry'];
    $reading = touching('simulate', ['subject' => 'H3', 'touch' => 1])->assertOk()->json('reading');
    expect($reading)->toEqualWithDelta($length, 0.0031)->and(touching('simulate', ['subject' => 'H3', 'touch' => 1])->json('reading'))->toBe($reading);
    touching('begin', ['subject' => 'H3']);
    readOff('H3', 'part-top', ['at' => $reading, 'block' => 0, 'height' => 0], ['simulated' => true, 'confirmed' => true])->assertOk();
    touching('type-back', ['subject' => 'H3', 'typed' => (string) $reading])->assertOk();
    expect(LogEntry::where('field', 'H3')->firstOrFail()->why)->toBe('simulated, part top')
        ->and(collect(props('/setups/1/touching-off')['rows'])->firstWhere('subject', 'H3')['simulated'])->toBeTrue();
});

it('knows the further work offsets, whose names have a point', function (): void {
    $setup = program('1305')->setup;
    $setup->update(['document' => (object) (['workOffsets' => (object) ['G54' => ['X' => -380, 'Y' => -205, 'Z' => 0], 'G54.1P2' => ['X' => -200, 'Y' => -200]]]
        + get_object_vars($setup->document))]);
    touching('begin', ['subject' => 'G54.1P2 X'])->assertOk();
    touching('read', ['subject' => 'G54.1P2 X', 'method' => 'from-control', 'readings' => ['value' => -201.5]])->assertOk()->assertJsonPath('state', 'read');
    touching('type-back', ['subject' => 'G54.1P2 X', 'typed' => '-201.5'])->assertOk();
    expect(hub()['workOffsets']['G54.1P2']['X'])->toEqual(-201.5)->and(hub())->not->toHaveKey('notTrusted')
        ->and(LogEntry::where('field', 'G54.1P2 X')->firstOrFail()->is)->toBe('-201.5')
        ->and(collect(props('/setups/1/touching-off')['history'])->first()['field'])->toBe('G54.1P2 X');
});

it('works in the units of the setup', function (): void {
    $setup = program('1608')->setup;
    $number = array_key_first(documentOf($setup)['offsets']['H']);
    $length = documentOf($setup)['offsets']['H'][$number]['geometry'];
    touching('begin', ['subject' => "H{$number}"], $setup)->assertOk();
    touching('read', [
        'subject' => "H{$number}", 'method' => 'part-top', 'readings' => ['at' => $length - 0.002 + 1, 'block' => 1, 'height' => 0],
    ], $setup)->assertOk()->assertJsonPath('value', round($length - 0.002, 4));
    touching('type-back', ['subject' => "H{$number}", 'typed' => number_format($length - 0.002, 4)], $setup)->assertOk();
    expect(documentOf($setup->refresh())['offsets']['H'][$number]['geometry'])->toEqualWithDelta($length - 0.002, 1e-9);
});

it('is not a learner’s to do, and asks for a sign-in', function (string $act): void {
    $this->actingAs(person('learner'));
    touching($act, ['subject' => 'H3'])->assertForbidden();
    auth()->logout();
    touching($act, ['subject' => 'H3'])->assertUnauthorized();
})->with(['begin', 'read', 'type-back', 'adjust', 'take-back']);
