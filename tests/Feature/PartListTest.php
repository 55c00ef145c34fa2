<?php

declare(strict_types=1);

use App\Models\LogEntry;
use App\Models\Part;
use App\Models\Program;

/** A program as the first screen lists it. */
function listedProgram(string $name): array
{
    return collect(props('/')['parts'])->flatMap(fn (array $part): array => $part['setups'])->flatMap(fn (array $setup): array => $setup['programs'])
        ->firstWhere('name', $name);
}

beforeEach(fn () => $this->actingAs(person('machinist')));

it('says of each program what to begin with, and draws its plan', function (): void {
    $stopped = listedProgram('O1210');
    expect($stopped['worst'])->toBe([
        'severity' => 'stop', 'line' => 63,
        'text' => 'Z −40.000 mm is 26.000 mm below the stock, which is 14.000 mm thick. The cut on line 56 went to −4.000 mm.',
    ])->and($stopped['sketch']['stock'])->toHaveCount(4)->and($stopped['sketch']['cuts'])->toStartWith('M');
    expect(listedProgram('O1608')['worst'])->toBeNull()->and(listedProgram('O1608')['savedBy'])->toBe('M. Hollow');
});

it('follows a change of the setup', function (): void {
    $setup = program('1305')->setup;
    $document = documentOf($setup);
    $this->putJson("/setups/{$setup->id}", [
        'changes' => ['offsets' => ['H' => ['3' => -24.6] + $document['offsets']['H']]], 'removed' => [], 'machineId' => $setup->machine_id, 'version' => 1,
    ])->assertOk();
    expect(listedProgram('O1305')['verdict'])->toBe('stop')->and(listedProgram('O1305')['worst']['severity'])->toBe('stop');
});

it('takes what of a setup was changed, and leaves the rest', function (): void {
    $setup = program('1305')->setup;
    $before = documentOf($setup);
    $this->putJson("/setups/{$setup->id}", [
        'changes' => ['material' => 'bronze'], 'removed' => ['clearance'], 'machineId' => $setup->machine_id, 'version' => 1,
    ])->assertOk();
    expect(documentOf($setup->refresh()))->toEqual(array_diff_key(['material' => 'bronze'] + $before, ['clearance' => 0]));
    foreach ([['changes' => ['material' => 'x']], ['changes' => 5, 'removed' => []], ['changes' => [], 'removed' => [1]], []] as $body) {
        $this->putJson("/setups/{$setup->id}", $body + ['machineId' => $setup->machine_id, 'version' => 2])->assertUnprocessable();
    }
    expect($setup->refresh()->version)->toBe(2);
});

it('tells findings by the field they speak of', function (): void {
    $fields = collect(props('/setups/'.program('1935')->setup_id)['programs'][0]['fields']);
    expect($fields->pluck('field')->all())->toContain('tools.1.centerCutting', 'tools.2.fluteLength')
        ->and($fields->firstWhere('field', 'tools.1.centerCutting'))->toBe([
            'severity' => 'stop', 'text' => 'T2 plunges 3.000 mm into material, and is not centre cutting.', 'field' => 'tools.1.centerCutting',
        ]);
});

it('keeps the visits of each person apart, and of a part once', function (): void {
    foreach ([1, 2, 1] as $setup) {
        $this->travel(1)->minutes();
        $this->get("/setups/{$setup}")->assertOk();
    }
    expect(array_slice(array_column(props('/')['parts'], 'name'), 0, 2))->toBe(['Hand hub', 'Pallet bridge plate']);
    $this->actingAs(person());
    expect(array_filter(array_column(props('/')['parts'], 'opened')))->toBe([]);
});

it('knows the offsets a program uses, and forgets what it does not use any more', function (): void {
    expect(program('1305')->uses)->toBe(['G54', 'H1', 'H2', 'H3', 'H4']);
    $text = "G21 G17 G40 G49 G80 G90 G94\nT3 M6\nG55 G0 X0. Y0.\nS1000 M3\nG43 H3 Z25.\nM30\n";
    $this->postJson('/programs/1/revisions', ['text' => $text, 'base' => 1])->assertCreated();
    expect(Program::findOrFail(1)->uses)->toContain('G55', 'H3')->not->toContain('H1');
});

it('writes a new part, its change and its archiving into the logbook', function (): void {
    $id = $this->postJson('/parts', ['name' => 'Click', 'drawing_number' => null, 'material' => null, 'units' => 'inch'])->assertCreated()->json('id');
    $this->putJson("/parts/{$id}", ['name' => 'Click', 'drawing_number' => 'FCW-7', 'material' => 'brass', 'units' => 'inch'])->assertNoContent();
    $this->putJson("/parts/{$id}/archived", ['archived' => true])->assertNoContent();
    expect(LogEntry::where('kind', 'part')->orderBy('id')->get()->map->only('field', 'was', 'is')->all())->toBe([
        ['field' => 'part', 'was' => null, 'is' => 'created'], ['field' => 'drawing number', 'was' => '', 'is' => 'FCW-7'],
        ['field' => 'material', 'was' => null, 'is' => 'brass'], ['field' => 'archived', 'was' => 'no', 'is' => 'yes'],
    ])->and(Part::findOrFail($id)->units)->toBe('inch');
    $this->putJson("/parts/{$id}/archived", ['archived' => 'perhaps'])->assertUnprocessable();
});
