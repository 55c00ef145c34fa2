<?php

declare(strict_types=1);

use App\Models\Machine;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\TurnedSetupDrawing;

/** The files of a zip by name. */
function unzipped(string $bytes): array
{
    $path = (string) tempnam(sys_get_temp_dir(), 'oak');
    file_put_contents($path, $bytes);
    $zip = new ZipArchive;
    $zip->open($path);
    $files = [];
    for ($i = 0; $i < $zip->numFiles; $i++) {
        $files[(string) $zip->getNameIndex($i)] = $zip->getFromIndex($i);
    }

    return $files;
}

function wantsCrlf(): void
{
    $machine = Machine::where('name', 'Alder')->firstOrFail();
    $machine->update(
        ['definition' => (object) (get_object_vars($machine->definition) + ['programFiles' => ['lineEnds' => 'crlf', 'percent' => true, 'ending' => 'min']])],
    );
}

beforeEach(fn () => $this->actingAs(person('machinist')));

it('prints a setup sheet with its title block, offsets, tools, findings, hold points and the reminder', function (): void {
    $setup = program('1210')->setup;
    $page = $this->get("/setups/{$setup->id}/sheet?page=1")->assertOk();
    foreach ([
        'Pallet bridge plate', 'FCW-1201', '10 One vice', 'Alder', 'M. Hollow', '−380.000', '10 end mill', '−250.040', 'O1210, revision 1 by M. Hollow',
        'Z −40.000 mm is 26.000 mm below the stock', 'class="box"', 'Display must show', 'Prove the program out',
    ] as $words) {
        $page->assertSee($words, false);
    }
    expect(substr_count($page->getContent(), 'class="box"'))->toBeGreaterThan(4)->toBeLessThanOrEqual(24);
});

it('prints the setup of a lathe with its tool offsets, how it is held, and the bar in its chuck', function (): void {
    $setup = program('2140')->setup;
    $page = $this->get("/setups/{$setup->id}/sheet?page=1")->assertOk();
    foreach ([
        'Winding arbor, turned', 'Tool offsets', '35° insert, rough', 'Ø−198.200', '−62.300', 'Held: in jaws; tailstock in', 'first approach of T6',
        'X Ø15.400  Z 2.050',
    ] as $words) {
        $page->assertSee($words, false);
    }
    $page->assertDontSee('Stick-out');
    $svg = TurnedSetupDrawing::svg($setup->core(app(SetupFile::class)));
    // Two jaws and the tailstock; the bar is 120 long and stands out 95.
    expect(substr_count((string) $svg, '<polygon'))->toBe(3)->and($svg)->toContain('>120<')->toContain('>95<')->toContain('>Ø14<');
    $this->get("/setups/{$setup->id}/sheet")->assertOk()->assertHeader('Content-Type', 'application/pdf');
    $this->get("/setups/{$setup->id}/picture")->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->assertSee('>95<', false);
    auth()->logout();
    $this->get("/setups/{$setup->id}/picture")->assertRedirect('/sign-in');
});

it('makes a PDF of it that can be read', function (): void {
    $pdf = $this->get('/setups/1/sheet')->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent();
    expect(substr($pdf, 0, 5))->toBe('%PDF-')->and(substr_count($pdf, '/Type /Page'))->toBeGreaterThan(1);
});

it('lifts the heights of a dry run: the offset and the machine, not the display', function (): void {
    $sheet = $this->get('/setups/1/sheet?page=1')->getContent();
    $dry = $this->get('/setups/1/sheet?page=1&lift=100')->assertSee('Dry run, everything raised by 100.000 mm')->getContent();
    preg_match('#<td>\d+</td><td>T\d+</td><td>[^<]+</td>\s*<td[^>]*>([^<]+)</td><td[^>]*>Z (−?)([\d.]+)</td>#', $sheet, $was);
    preg_match('#<td>\d+</td><td>T\d+</td><td>[^<]+</td>\s*<td[^>]*>([^<]+)</td><td[^>]*>Z (−?)([\d.]+)</td>#', $dry, $is);
    $z = static fn (array $match): float => ($match[2] === '' ? 1 : -1) * (float) $match[3];
    expect($is[1])->toBe($was[1])->and($z($is) - $z($was))->toEqualWithDelta(100, 1e-6);
    $this->getJson('/setups/1/sheet?lift=-5')->assertUnprocessable();
});

it('names what is not trusted on paper', function (): void {
    $copy = $this->postJson('/setups/1/copy')->json('id');
    expect(substr_count($this->get("/setups/{$copy}/sheet?page=1")->getContent(), 'not trusted: touch off'))->toBe(5);
});

it('writes programs as the control wants them, one or all', function (): void {
    wantsCrlf();
    $this->postJson('/setups/1/new-program', ['name' => 'SUB', 'text' => "O2000\nG91 G1 X1. F100.\nM99\n"])->assertCreated();
    $one = $this->get('/programs/'.program('1305')->id.'/file')->assertOk()->assertHeader(
        'Content-Disposition', 'attachment; filename="O1305.min"',
    )->getContent();
    expect($one)->toStartWith("%\r\n")->toEndWith("\r\n%\r\n")->and(preg_match('/(?<!\r)\n/', $one))->toBe(0);
    $files = unzipped($this->get('/setups/1/programs.zip')->assertOk()->getContent());
    expect(array_keys($files))->toBe(['O2000.min', 'O1305.min'])->and($files['O1305.min'])->toBe($one);
});

it('gives the path to other programs', function (): void {
    $lines = explode("\n", trim($this->get('/programs/1/trace')->assertOk()->getContent()));
    expect(json_decode($lines[0], true))->toBe(['format' => 'oak-trace/1', 'units' => 'mm'])->and(count($lines))->toBeGreaterThan(100);
    expect($this->get('/programs/1/dxf')->assertOk()->getContent())->toContain("LINE\r\n  8\r\nCUT")->toEndWith("  0\r\nEOF\r\n");
});

it('does not make anybody wait for a program that is too long for paper', function (): void {
    config(['oak.long_run' => 1000]);
    $text = "G21 G90\n".str_repeat("G1 X1. F100.\nG1 X0.\n", 20_000)."M30\n";
    $this->postJson('/setups/1/new-program', ['name' => 'LONG', 'text' => $text])->assertCreated();
    $id = App\Models\Program::where('name', 'LONG')->firstOrFail()->id;
    $this->get('/setups/1/sheet?page=1')->assertOk()->assertSee('The rest stands on the bench: the program is too long for this sheet.', false);
    $this->getJson("/programs/{$id}/dxf")->assertConflict()->assertSee('LONG is too long to be written out');
});

it('asks for a sign-in', function (string $url): void {
    auth()->logout();
    $this->getJson($url)->assertUnauthorized();
})->with(['/setups/1/sheet', '/setups/1/programs.zip', '/programs/1/file', '/programs/1/trace', '/programs/1/dxf']);
