<?php

declare(strict_types=1);

use App\Models\Machine;
use App\Models\Program;
use App\Models\Role;
use App\Models\Setup;
use App\Models\User;
use Inertia\Testing\AssertableInertia as Page;
use Tests\Core\Demo;

beforeEach(fn () => $this->actingAs(User::where('email', 'lead@fernhollow.example')->firstOrFail()));

it('gives the list every part with its setups, machines, programs and who saved them', function (): void {
    $this->get('/')->assertInertia(fn (Page $page) => $page
        ->component('parts/Parts', false)
        ->has('parts', Demo::JOBS)
        ->where('parts.0.name', 'Dial ring segment')
        ->where('parts.0.drawingNumber', 'FCW-1410')
        ->where('parts.0.setups.0.machine', 'Alder')
        ->where('parts.0.setups.0.operation', 20)
        ->where('parts.0.setups.0.programs.0.verdict', 'stop')
        ->where('parts.0.setups.0.programs.0.stops', 1)
        ->where('parts.0.setups.0.programs.0.savedBy', 'J. Fern')
        ->where('user.name', 'J. Fern')
        ->where('user.mayChange', true)
        ->missing('user.email')
        ->missing('user.password'));
});

it('gives the bench the latest text, its setup, and every revision with the newest first', function (): void {
    $program = Program::where('name', 'O1210')->firstOrFail();
    $program->revisions()->create(
        ['number' => 2, 'text' => "G21\nM30\n", 'user_id' => User::where('email', 'machinist@fernhollow.example')->value('id'), 'reason' => 'Shorter'],
    );
    $this->get("/programs/{$program->id}")->assertInertia(fn (Page $page) => $page
        ->component('bench/Bench', false)
        ->where('program.name', 'O1210')
        ->where('program.text', "G21\nM30\n")
        ->where('program.revision', 2)
        ->where('setup.part', 'Pallet bridge plate')
        ->where('setup.machine', 'Alder')
        ->has('revisions', 2)
        ->where('revisions.0.number', 2)
        ->where('revisions.0.by', 'M. Hollow')
        ->where('revisions.0.reason', 'Shorter')
        ->where('revisions.1.number', 1));
});

it('offers a program the changes of text its machine can run, and all where the setup cannot be used', function (): void {
    $offered = fn (Program $program): array => array_column($this->get("/programs/{$program->id}")->inertiaProps('transforms'), 'name');
    $turned = Program::where('name', 'O2110')->firstOrFail();
    expect($offered($turned))->toContain('shift-path')->not->toContain('turn-path', 'mirror-path', 'scale-path');
    $turned->setup->update(['document' => (object) ['units' => 'feet']]);
    expect($offered($turned->refresh()))->toContain('shift-path', 'turn-path');
});

it('gives the setup page its document, the machines to choose from, and the verdicts', function (): void {
    $setup = Setup::whereHas('programs', fn ($query) => $query->where('name', 'O1305'))->firstOrFail();
    $this->get("/setups/{$setup->id}")->assertInertia(fn (Page $page) => $page
        ->component('setup/SetupPage', false)
        ->where('setup.document.units', 'mm')
        ->where('setup.document.workOffsets.G54.X', -380)
        ->missing('setup.document.machine')
        ->has('machines', 4)
        ->where('machines.0.name', 'Alder')
        ->where('machines.1.name', 'Alder with rotary')
        ->has('programs', 1)
        ->where('programs.0.verdict', 'clear'));
});

it('answers plainly where there is nothing', function (string $path): void {
    $this->get($path)->assertNotFound();
})->with(['/programs/999', '/setups/999', '/programs/999/file', '/nowhere']);

it('lets leads and machinists change things, and learners look', function (Role $role, bool $may): void {
    $user = User::create(['name' => 'N. Twig', 'email' => 'twig@fernhollow.example', 'password' => 'escapement', 'role' => $role]);
    expect($user->can('update', Program::firstOrFail()))->toBe($may)
        ->and($user->can('update', Setup::firstOrFail()))->toBe($may)
        ->and($user->can('view', Setup::firstOrFail()))->toBeTrue();
})->with([[Role::Lead, true], [Role::Machinist, true], [Role::Learner, false]]);

it('puts lengths of a machine into inches, and nothing that is no length', function (): void {
    $machine = Machine::where('name', 'Alder with rotary')->firstOrFail()->definitionIn('inch');
    expect($machine->axes->X->min)->toEqualWithDelta(-29.921259843, 1e-9)
        ->and($machine->axes->X->acceleration)->toEqualWithDelta(98.425196850, 1e-9)
        ->and($machine->axes->A->max)->toBe(36000)
        ->and($machine->axes->A->rapid)->toBe(7200)
        ->and($machine->secondHome->Z)->toEqualWithDelta(-1.968503937, 1e-9)
        ->and($machine->toolChange->seconds)->toBe(6)
        ->and($machine->spindle->maxRpm)->toBe(8000)
        ->and($machine->control->arcTolerance)->toEqualWithDelta(0.0000787402, 1e-9);
});

it('keeps passwords as nobody can read them', function (): void {
    expect(User::where('email', 'lead@fernhollow.example')->value('password'))->not->toContain('escapement')->toStartWith('$2y$');
});
