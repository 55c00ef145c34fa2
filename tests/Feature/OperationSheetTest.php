<?php

declare(strict_types=1);

use App\Models\Program;
use App\Models\Setup;
use OakTrace\Core\Sheet\OperationCatalogue;

beforeEach(function (): void {
    $this->program = program('1306');
    $this->path = "/programs/{$this->program->id}";
    $this->actingAs(person('machinist'));
    $this->sheet = $this->program->latest->sheet;
    $this->ask = fn (array $document, array $more = []) => $this->postJson(
        "{$this->path}/operation-sheet", $more + ['document' => $document, 'written' => $this->sheet['written'], 'text' => $this->program->latest->text],
    );
    $this->with = function (string $id, array $answers): array {
        $document = $this->sheet['document'];
        $n = array_search($id, array_column($document['operations'], 'id'), true);
        $document['operations'][$n] = $answers + $document['operations'][$n];

        return $document;
    };
});

it('opens a sheet with what can be asked, and what its setup has', function (): void {
    $sheet = props($this->path)['sheet'];
    expect(array_column($sheet['kinds'], 'kind'))->toBe(
        [...array_map(static fn ($operation): string => $operation->kind(), OperationCatalogue::all()), 'again', 'repeat'],
    )->and($sheet['units'])->toBe('mm')->and($sheet['workOffsets'])->toBe(['G54'])->and(array_column($sheet['tools'], 'number'))->toBe([1, 2, 3, 4])
        ->and($sheet['document'])->not->toHaveKeys(['stock', 'material', 'units'])
        ->and($sheet['document']['tools'][1])->toBe(['number' => 2, 'rpm' => 2600, 'feed' => 420, 'coolant' => 'flood'])
        ->and(props('/programs/'.program('1305')->id)['sheet'])->toBeNull();
});

it('changes the lines of the operation that was changed and no others', function (): void {
    $answer = ($this->ask)(($this->with)('seat', ['depth' => 4]))->assertOk()->json();
    $before = explode("\n", $this->program->latest->text);
    $seat = collect($answer['sections'])->firstWhere('key', 'seat G54 1');
    $was = collect($this->sheet['written'])->firstWhere('key', 'seat G54 1')['lines'];
    $lines = explode("\n", $answer['text']);
    [$from, $to] = $seat['lines'];
    expect(array_slice($lines, 0, $from - 1))->toBe(array_slice($before, 0, $from - 1))
        ->and(array_slice($lines, $to))->toBe(array_slice($before, $from - 1 + count($was)))
        ->and(implode("\n", array_slice($lines, $from - 1, $to - $from + 1)))->toContain('Z-4.')->not->toContain('Z-6.')
        ->and($answer['problems'])->toBe([])->and($answer['orders'])->toBeNull();
});

it('tells every problem at its field, draws what is answered, and leaves the text alone', function (): void {
    $document = ($this->with)('seat', ['size' => ['diameter' => 8], 'depth' => '']);
    $document['tools'][3]['feed'] = '';
    $document['tools'][0]['rpm'] = 'fast';
    $answer = ($this->ask)($document)->assertOk()->json();
    expect($answer['text'])->toBeNull()->and($answer['problems'])->toHaveKey('tools.T1.rpm');
    $document['tools'][0]['rpm'] = 1800;
    $answer = ($this->ask)($document)->assertOk()->json();
    expect($answer['text'])->toBeNull()->and($answer['problems'])->toBe([
        'operations.2.depth' => 'How deep is it?', 'operations.2.size' => 'T2 is wider than the pocket.', 'tools.T4.feed' => 'How fast does T4 feed?',
    ])->and($answer['operations'][2]['figure']['labels'][0]['text'])->toBe('Ø 8 · R 4')->and($answer['operations'][0]['figure']['heights'])->toEqual([1, 0]);
});

it('keeps lines that were changed by hand, and takes the sheet’s where that is wanted', function (): void {
    $byHand = str_replace('G1 Z0. F200.', 'G1 Z-0.02 F200.', $this->program->latest->text);
    expect($byHand)->not->toBe($this->program->latest->text);
    $kept = ($this->ask)(($this->with)('seat', ['depth' => 4]), ['text' => $byHand])->json();
    expect($kept['text'])->toContain('G1 Z-0.02 F200.')->and(collect($kept['sections'])->firstWhere('key', 'face G54 1')['standing'])->toBe('by-hand');
    $both = ($this->ask)(($this->with)('face', ['step' => 0.6]), ['text' => $byHand])->json();
    expect(collect($both['sections'])->firstWhere('key', 'face G54 1'))->toMatchArray(['standing' => 'both'])->and($both['text'])->toContain('Z-0.02');
    $taken = ($this->ask)(($this->with)('face', ['step' => 0.6]), ['text' => $byHand, 'taken' => ['face G54 1']])->json();
    expect($taken['text'])->toContain('Z0.5')->not->toContain('Z-0.02');
});

it('saves a sheet with its text, keeps it through a change by hand, and takes it up again', function (): void {
    $document = ($this->with)('seat', ['depth' => 4]);
    $answer = ($this->ask)($document)->json();
    $this->postJson("{$this->path}/revisions", [
        'text' => $answer['text'], 'base' => 1, 'reason' => 'Seat 4 deep', 'sheet' => ['document' => $document, 'written' => $answer['written']],
    ])->assertCreated();
    $this->postJson("{$this->path}/revisions", ['text' => $answer['text'].'(by hand)', 'base' => 2])->assertCreated();
    $this->postJson("{$this->path}/revisions/1/restore", ['base' => 3])->assertCreated();
    $depths = $this->program->revisions()->reorder('number')->get()->map(static fn ($revision) => $revision->sheet['document']['operations'][2]['depth']);
    expect($depths->all())->toBe([6, 4, 4, 6])->and($this->program->fresh()->latest->sheet['written'])->toBe($this->sheet['written'])
        ->and($this->program->fresh()->verdict)->toBe('clear');
});

it('tells that the setup has changed under a sheet', function (): void {
    $document = documentOf($this->program->setup);
    $document['tools'][1]['diameter'] = 10;
    $this->program->setup->update(['document' => (object) $document]);
    $answer = ($this->ask)($this->sheet['document'])->json();
    expect($answer['text'])->not->toBe($this->program->latest->text)->and(collect($answer['sections'])->pluck('standing')->unique()->all())->toBe(['written']);
});

it('costs both orders of several vices', function (): void {
    $program = program('1610');
    $sheet = $program->latest->sheet;
    $answer = $this->postJson("/programs/{$program->id}/operation-sheet", ['document' => $sheet['document'], 'text' => $program->latest->text])->assertOk()
        ->json();
    expect($answer['orders']['by-tool']['changes'])->toBe(3)->and($answer['orders']['by-part']['changes'])->toBe(6)
        ->and($answer['orders']['by-part']['seconds'])->toBeGreaterThan($answer['orders']['by-tool']['seconds'])
        ->and($answer['text'])->toBe($program->latest->text);
});

it('tells which operations use a name', function (): void {
    $document = $this->sheet['document'];
    $document['names']['spare'] = 3;
    expect(($this->ask)($document)->json('usedBy'))->toBe(['seat' => ['3'], 'circle' => ['4', '5'], 'spare' => []]);
});

it('begins an empty sheet in a setup', function (): void {
    $setup = $this->program->setup;
    $id = $this->postJson("/setups/{$setup->id}/new-sheet", ['name' => 'Second side', 'number' => 1307])->assertCreated()->json('id');
    $sheet = props("/programs/{$id}")['sheet'];
    expect($sheet['document'])->toBe(['name' => 'Second side', 'programNumber' => 1307, 'operations' => []])->and(Program::find($id)->latest->text)->toBe('');
    $answer = $this->postJson("/programs/{$id}/operation-sheet", ['document' => $sheet['document'], 'text' => ''])->assertOk()->json();
    expect($answer['text'])->toBeNull()->and($answer['problems'])->toHaveKey('operations');
    $this->postJson("/setups/{$setup->id}/new-sheet", ['name' => 'Second side'])->assertUnprocessable()->assertJsonValidationErrors('name');
    $this->postJson("/setups/{$setup->id}/new-sheet", ['name' => 'x', 'number' => 0])->assertUnprocessable()->assertJsonValidationErrors('number');
    $this->actingAs(person('learner'))->postJson("/setups/{$setup->id}/new-sheet", ['name' => 'y'])->assertForbidden();
});

it('copies a program with its sheet, and gives the sheet as a file the command line takes', function (): void {
    $id = $this->postJson("{$this->path}/copy")->assertCreated()->json('id');
    expect(Program::find($id)->latest->sheet)->toBe($this->sheet);
    $file = $this->get("{$this->path}/sheet-file")->assertOk()->assertDownload('O1306.sheet.json')->json();
    expect($file)->toHaveKeys(['format', 'stock', 'material'])->and($file['tools'][0])->toMatchArray(['number' => 1, 'diameter' => 40, 'rpm' => 1800]);
    $path = tempnam(sys_get_temp_dir(), 'oak');
    file_put_contents($path, json_encode($file));
    exec(escapeshellarg(base_path('oak')).' build '.escapeshellarg($path), $lines, $status);
    expect($status)->toBe(0)->and($lines[0])->toBe('O1306 (HUB PLATE)');
    $this->get('/programs/'.program('1305')->id.'/sheet-file')->assertNotFound();
});

it('refuses what is no sheet, and asks nobody who may not see the program', function (): void {
    $this->postJson("{$this->path}/operation-sheet", ['text' => ''])->assertUnprocessable();
    $this->postJson("{$this->path}/operation-sheet", ['text' => '', 'document' => 'x'])->assertUnprocessable();
    $huge = ['name' => 'x', 'operations' => [['kind' => 'note', 'text' => str_repeat('y', 2_100_000)]]];
    ($this->ask)($huge)->assertUnprocessable()->assertJsonPath('errors.document.0', 'This sheet is too large.');
    ($this->ask)(['name' => 'x', 'operations' => [['kind' => 'knit']]])->assertOk()->assertJsonPath(
        'problems', ['operations.0.kind' => 'There is no operation of this kind.'],
    );
    auth()->logout();
    ($this->ask)($this->sheet['document'])->assertUnauthorized();
});

it('names what stands in the way of a setup that cannot be read', function (): void {
    Setup::find($this->program->setup_id)->update(['document' => (object) ['format' => 'oak-setup/1', 'units' => 'mm', 'tools' => 'none']]);
    expect(props($this->path)['sheet']['tools'])->toBe([]);
    ($this->ask)($this->sheet['document'])->assertUnprocessable();
});
