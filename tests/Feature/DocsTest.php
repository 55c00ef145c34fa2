<?php

declare(strict_types=1);

use App\Docs\CheckList;
use App\Docs\Examples;
use App\Docs\OperationList;
use GuzzleHttp\Psr7\Utils;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Console\Output\StreamOutput;

it('has docs that say what the code says; php artisan oak:docs makes them anew', function (): void {
    expect(file_get_contents(base_path('docs/sheets.md')))->toBe(OperationList::markdown())->toContain('| `pocketWidth` | Width | length |');
    expect(file_get_contents(base_path('docs/checks.md')))->toBe(CheckList::markdown())->toContain('- `travel.overrun` (stop). An axis past its limit.');
    $examples = Examples::files();
    expect(array_map(basename(...), glob(base_path('docs/examples/*'))))->toEqualCanonicalizing(array_keys($examples));
    foreach ($examples as $name => $text) {
        expect(file_get_contents(base_path("docs/examples/{$name}")))->toBe($text);
    }
});

it('has examples the command line takes', function (string $program, int $exit, string $says): void {
    $said = new StreamOutput(Utils::tryFopen('php://memory', 'w+'));
    $files = ['program' => base_path("docs/examples/{$program}.nc"), '--setup' => base_path("docs/examples/{$program}.json")];
    expect(Artisan::call('oak:check', $files, $said))->toBe($exit);
    rewind($said->getStream());
    expect(stream_get_contents($said->getStream()))->toContain($says);
})->with([['O1305', 0, 'CLEAR'], ['O1608', 0, 'CLEAR'], ['O1820', 0, 'CLEAR'], ['O1410', 1, 'STOP']]);

it('names files in its docs that are there', function (string $file): void {
    preg_match_all('/\]\((?!https?:)([^)#]+)/', (string) file_get_contents(base_path($file)), $links);
    expect($links[1])->not->toBeEmpty();
    foreach ($links[1] as $link) {
        expect(file_exists(dirname(base_path($file)).'/'.$link))->toBeTrue("{$file} links to {$link}");
    }
})->with(['README.md', 'CONTRIBUTING.md', 'docs/architecture.md', 'CHANGELOG.md']);
