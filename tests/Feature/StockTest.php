<?php

declare(strict_types=1);

use OakTrace\Core\Formats\PackedColumns;
use Tests\Core\Demo;

beforeEach(function (): void {
    $this->actingAs(person());
    $this->program = program('1935');
    $this->stands = fn (array $what): array => PackedColumns::read($this->postJson("/programs/{$this->program->id}/stock", $what)->assertOk()->getContent());
});

it('gives the stock at moments along the run, and after one row', function (): void {
    [$head, $columns] = ($this->stands)(['revision' => 1]);
    $cells = $head['columnCount'] * $head['rows'];
    $sums = array_map(array_sum(...), array_chunk($columns->numbers('heights'), $cells));
    $falling = $sums;
    rsort($falling);
    expect($head['after'][0])->toBe(-1)->and(count($sums))->toBe(count($head['after']))->and($sums)->toBe($falling)->and($sums[0])->toBe(2.0 * $cells)
        ->and([$head['x'], $head['dx'] * $head['columnCount'], $head['bottom'], $head['top']])->toEqual([-60, 120, -30, 2]);
    [$one, $heights] = ($this->stands)(['text' => Demo::text('1935'), 'row' => $head['after'][8]]);
    expect($one['after'])->toBe([$head['after'][8]])->and(array_sum($heights->numbers('heights')))->toBe($sums[8]);
});

it('gives lengths in the units a person has set', function (): void {
    person()->update(['settings' => ['units' => 'inch']]);
    $this->actingAs(person());
    [$head, $columns] = ($this->stands)(['revision' => 1, 'row' => 0]);
    expect($head['x'] * 25.4)->toEqualWithDelta(-60, 1e-9)->and($columns->numbers('heights')[0] * 25.4)->toEqualWithDelta(2.0, 1e-5);
});

it('gives what is left as a solid', function (): void {
    $stl = $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertOk()->assertHeader('Content-Type', 'model/stl')->getContent();
    expect(substr($stl, 0, 9))->toBe('O1935, mm')->and(strlen($stl))->toBe(84 + 50 * unpack('V', $stl, 80)[1]);
});

it('tells what each row cuts with the check', function (): void {
    [$head, $columns] = checked($this->program, Demo::text('1935'));
    $deep = max($columns->numbers('cutDepth'));
    expect($deep)->toEqualWithDelta(4.0, 1e-6)->and(count($columns->numbers('cutAir')))->toBe(count($columns->numbers('kind')))
        ->and($head['result']['summary']['stock']['complete'])->toBeTrue();
});

it('says why there is nothing to show', function (): void {
    config(['oak.stock_picture_visits' => 10]);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1])->assertStatus(422)->assertJsonPath('message', 'This program cuts too much to be worked out while somebody waits.');
    $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertStatus(422)->assertJsonPath('message', 'This program cuts too much to be worked out while somebody waits.');
    $this->program->setup->update(['document' => (object) (['stock' => null] + documentOf($this->program->setup))]);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1])->assertStatus(422);
    $this->postJson("/programs/{$this->program->id}/solid", ['revision' => 1])->assertStatus(422);
    $this->postJson("/programs/{$this->program->id}/stock", ['revision' => 1, 'row' => -1])->assertStatus(422);
});
