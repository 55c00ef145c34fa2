<?php

declare(strict_types=1);

use App\Models\CribTool;
use App\Models\LogEntry;
use Illuminate\Http\UploadedFile;

function crib(string $csv): Illuminate\Testing\TestResponse
{
    return test()->actingAs(person('machinist'))->post('/tools/import', ['file' => UploadedFile::fake()->createWithContent('tools.csv', $csv)]);
}

$mill = ['name' => '10 end mill, short', 'kind' => 'end-mill', 'diameter' => 10, 'holder' => [['diameter' => 20, 'length' => 30], ['diameter' => 40]]];

it('keeps a tool in millimetres, whatever units it was typed in', function () use ($mill): void {
    $this->actingAs(person('machinist'));
    $id = $this->postJson(
        '/tools', ['units' => 'inch', 'definition' => ['diameter' => 0.5, 'surfaceSpeed' => [100, 200]] + $mill],
    )->assertCreated()->json('id');
    $kept = CribTool::findOrFail($id)->definition;
    expect($kept['diameter'])->toEqual(12.7)->and($kept['holder'][0])->toEqual(['diameter' => 508, 'length' => 762])
        ->and($kept['surfaceSpeed'][0])->toEqualWithDelta(30.48, 1e-6)->and($kept)->not->toHaveKey('cornerRadius');
    person('machinist')->update(['settings' => ['units' => 'inch']]);
    $this->actingAs(person('machinist'));
    expect(collect(props('/tools')['tools'])->firstWhere('id', $id)['definition']['diameter'])->toEqual(0.5);
});

it('changes a tool and tells the logbook', function () use ($mill): void {
    $this->actingAs(person());
    $id = $this->postJson('/tools', ['units' => 'mm', 'definition' => $mill])->json('id');
    $this->putJson("/tools/{$id}", ['units' => 'mm', 'definition' => ['stickout' => 32] + $mill])->assertOk()->assertJsonPath('definition.stickout', 32);
    expect(LogEntry::where('kind', 'tool')->where('field', 'stickout')->firstOrFail()->is)->toBe('32');
    $this->deleteJson("/tools/{$id}")->assertNoContent();
    expect(props('/bin')['contents'][0]['title'])->toBe('10 end mill, short');
    $this->postJson("/bin/tool/{$id}")->assertNoContent();
    expect(CribTool::find($id))->not->toBeNull();
});

it('names the field that is wrong', function (array $change, string $field, string $says) use ($mill): void {
    $count = CribTool::count();
    $this->actingAs(person())->postJson('/tools', ['units' => 'mm', 'definition' => $change + $mill])->assertUnprocessable()
        ->assertJsonPath("errors.{$field}.0", static fn (string $said): bool => str_contains($said, $says));
    expect(CribTool::count())->toBe($count);
})->with([
    [['name' => ''], 'name', 'Enter a name'], [['diameter' => 0], 'diameter', '0.0001'], [['kind' => 'saw'], 'kind', 'one of'],
    [['flutes' => 2.5], 'flutes', 'whole'],
]);

it('goes out as a table and comes back the same', function () use ($mill): void {
    $this->actingAs(person());
    $more = ['name' => '"M8" tap, blue', 'kind' => 'tap', 'diameter' => 8, 'pitch' => 1.25, 'material' => 'high-speed-steel', 'hand' => 'left'];
    foreach ([$mill + ['centerCutting' => false, 'feedPerTooth' => [0.02, 0.08]], $more] as $definition) {
        $this->postJson('/tools', ['units' => 'mm', 'definition' => $definition])->assertCreated();
    }
    $csv = $this->get('/tools.csv')->assertOk()->getContent();
    $before = CribTool::orderBy('name')->get()->map->only('name', 'kind', 'definition')->all();
    CribTool::query()->forceDelete();
    crib($csv)->assertRedirect('/tools')->assertSessionHas('notice', count($before).' tools imported: '.count($before).' new, 0 replaced.');
    expect(CribTool::orderBy('name')->get()->map->only('name', 'kind', 'definition')->all())->toEqual($before);
    crib($csv)->assertSessionHas('notice', count($before).' tools imported: 0 new, '.count($before).' replaced.');
});

it('reads a table of a spreadsheet that has its commas elsewhere', function (): void {
    crib("name;kind;diameter;centerCutting\n8,5 drill;drill;8,5;yes\n")->assertRedirect('/tools');
    expect(CribTool::where('name', '8,5 drill')->firstOrFail()->definition)->toMatchArray(['diameter' => 8.5, 'centerCutting' => true]);
});

it('writes a name that a spreadsheet would reckon with as text, and reads it back', function (): void {
    crib("name,kind,diameter\n\"=HYPERLINK(1)\",end-mill,6\n\"'=A1\",end-mill,8\n")->assertSessionHasNoErrors();
    $csv = (string) $this->get('/tools.csv')->getContent();
    expect($csv)->toContain("'=HYPERLINK(1)")->and($csv)->not->toMatch('/(^|,)"?=/m');
    crib($csv)->assertSessionHasNoErrors();
    expect(CribTool::where('name', '=HYPERLINK(1)')->count())->toBe(1)->and(CribTool::where('name', '=A1')->count())->toBe(1);
});

it('takes no table with a mistake in it, and says where', function (string $csv, string $says): void {
    $count = CribTool::count();
    crib($csv)->assertSessionHasErrors('file');
    expect(session('errors')->first('file'))->toBe($says)->and(CribTool::count())->toBe($count);
})->with([
    'no head' => ["8 drill,drill,8\n", 'Nobody knows a column “8 drill”. The columns are '.implode(', ', App\Shop\ToolTable::heads()).'. Nothing was saved.'],
    'no kind' => ["name,diameter\n8 drill,8\n", 'The first row has to name the columns, name and kind among them. Nothing was saved.'],
    'no number' => ["name,kind,diameter\nA,drill,8\nB,drill,8mm\n", 'Row 3, diameter: “8mm” is not a number. Nothing was saved.'],
    'no such units' => ["units,name,kind\ncm,A,drill\n", 'Row 2: units are mm or inch. Nothing was saved.'],
    'neither yes nor no' => ["name,kind,centerCutting\nA,end-mill,perhaps\n", 'Row 2, centerCutting: say yes or no. Nothing was saved.'],
    'nothing' => ["name,kind\n", 'There is no tool in this file. Nothing was saved.'],
]);

it('is not a learner’s to change', function (string $method, string $url): void {
    $tool = CribTool::create(['name' => 'A', 'kind' => 'drill', 'definition' => ['name' => 'A', 'kind' => 'drill']]);
    $this->actingAs(person('learner'))->{$method.'Json'}(str_replace('ID', (string) $tool->id, $url), [])->assertForbidden();
})->with([['post', '/tools'], ['post', '/tools/import'], ['put', '/tools/ID'], ['delete', '/tools/ID']]);

it('asks for a sign-in', function (string $method, string $url): void {
    $this->{$method.'Json'}($url, [])->assertUnauthorized();
})->with([['get', '/tools'], ['get', '/tools.csv'], ['post', '/tools'], ['post', '/tools/import'], ['put', '/tools/1'], ['delete', '/tools/1']]);
