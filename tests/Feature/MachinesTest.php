<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Profile;
use App\Models\Setup;
use OakTrace\Core\Formats\SetupFile;

function machine(string $name = 'Alder'): Machine
{
    return Machine::where('name', $name)->firstOrFail();
}

function put(Machine $machine, array $changes, string $units = 'mm', int $profile = 0): Illuminate\Testing\TestResponse
{
    $definition = array_replace_recursive(json_decode((string) json_encode($machine->definitionIn($units)), true), $changes);

    return test()->putJson("/machines/{$machine->id}", ['units' => $units, 'profile' => $profile, 'definition' => $definition]);
}

it('begins a usual mill, which a setup can be made on', function (): void {
    $this->actingAs(person('machinist'));
    $id = $this->postJson('/machines', ['name' => 'Elm'])->assertCreated()->json('id');
    $setup = (new Setup(['document' => (object) ['format' => 'oak-setup/1', 'units' => 'mm']]))->setRelation('machine', Machine::findOrFail($id));
    $core = app(SetupFile::class)->read(Setup::join($setup->document, $setup->machine));
    expect($core->machine->axes['Z']->min)->toEqual(-400)->and($core->machine->control->name)->toBe('iso-mill');
});

it('copies a machine under another name', function (): void {
    $this->actingAs(person());
    $id = $this->postJson('/machines', ['name' => 'Alder two', 'copyOf' => machine()->id])->assertCreated()->json('id');
    expect(Machine::findOrFail($id)->definition->axes)->toEqual(machine()->definition->axes)
        ->and(Machine::findOrFail($id)->definition->name)->toBe('Alder two');
    $this->postJson('/machines', ['name' => 'Alder'])->assertUnprocessable()
        ->assertJsonPath('errors.name.0', 'There is a machine of this name already. It may be in the bin.');
});

it('checks every setup on it again, and writes down what changed', function (): void {
    $this->actingAs(person());
    $before = program('1305')->setup->version;
    put(machine(), ['axes' => ['Y' => ['min' => -200]]])->assertOk()->assertJsonPath('rechecked', 10);
    expect(program('1305')->verdict)->toBe('stop')->and(program('1305')->setup->version)->toBe($before + 1)
        ->and(LogEntry::where('kind', 'machine')->firstOrFail()->only('subject', 'field', 'was', 'is'))
        ->toBe(['subject' => 'Alder', 'field' => 'axes, Y, min', 'was' => '-410', 'is' => '-200']);
});

it('takes figures in inches', function (): void {
    $this->actingAs(person());
    $there = ['places' => ['Vice' => ['X' => -10, 'Y' => -5]], 'obstacles' => [['name' => 'post', 'shape' => 'cylinder', 'at' => [-20, -4], 'diameter' => 2,
        'bottom' => -18, 'top' => -10]]];
    put(machine('Alder with rotary'), ['axes' => ['X' => ['min' => -30]], 'spindle' => ['power' => 10]] + $there, 'inch')->assertOk();
    $kept = machine('Alder with rotary')->definition;
    expect($kept->axes->X->min)->toEqual(-762)->and($kept->axes->A->rapid)->toEqual(7200)->and($kept->spindle->power)->toEqualWithDelta(7.4569987, 1e-6)
        ->and($kept->places->Vice->X)->toEqual(-254)->and($kept->obstacles[0]->at)->toEqual([-508, -101.6])->and($kept->obstacles[0]->top)->toEqual(-254);
});

it('keeps the control’s switches, until another profile is chosen', function (): void {
    $this->actingAs(person());
    put(machine(), ['maxFeed' => 9000])->assertOk();
    expect(machine()->definition->control->arcTolerance)->toEqual(0.002);
    put(machine(), ['control' => ['profile' => 'wide-table-mill']])->assertOk();
    expect(machine()->definition->control->profile)->toBe('wide-table-mill');
    $own = Profile::firstOrFail();
    put(machine(), [], profile: $own->id)->assertOk();
    expect(machine()->profile_id)->toBe($own->id);
    put(machine(), [], profile: 99)->assertUnprocessable();
});

it('refuses crossed limits by their axis', function (): void {
    $this->actingAs(person());
    $answer = put(machine(), ['axes' => ['X' => ['min' => 5]]])->assertUnprocessable()->json();
    expect($answer['fields'])->toBe(['axes.X' => 'The minus limit (5) must be less than the plus limit (0).']);
    $name = put(machine(), ['name' => ''])->assertUnprocessable()->json('errors');
    expect($name['definition.name'][0])->toBe('Enter a name.');
    expect(LogEntry::where('kind', 'machine')->count())->toBe(0);
});

it('keeps what a lead has lowered, whoever changes the machine', function (): void {
    $machine = machine();
    $machine->update(['definition' => (object) (get_object_vars($machine->definition) + ['lowered' => [['check' => 'state.coolant-off', 'reason' => 'dry']]])]);
    $this->actingAs(person('machinist'));
    put($machine, ['maxFeed' => 9000, 'lowered' => []])->assertOk();
    expect(machine()->definition->lowered[0]->reason)->toBe('dry');
});

it('is not deleted while a setup stands on it', function (): void {
    $this->actingAs(person());
    $this->deleteJson('/machines/'.machine()->id)->assertConflict()
        ->assertJsonPath('message', static fn (string $said): bool => str_contains($said, 'Alder is used by') && str_contains($said, 'and others'));
    $id = $this->postJson('/machines', ['name' => 'Elm'])->json('id');
    $this->deleteJson("/machines/{$id}")->assertNoContent();
    $this->postJson("/bin/machine/{$id}")->assertNoContent();
    expect(Machine::find($id))->not->toBeNull();
});

it('is not a learner’s to change', function (string $method, string $url): void {
    $this->actingAs(person('learner'))->{$method.'Json'}($url, [])->assertForbidden();
})->with([['post', '/machines'], ['put', '/machines/1'], ['delete', '/machines/1']]);

it('asks for a sign-in', function (string $method, string $url): void {
    $this->{$method.'Json'}($url, [])->assertUnauthorized();
})->with([['get', '/machines'], ['post', '/machines'], ['put', '/machines/1'], ['delete', '/machines/1']]);
