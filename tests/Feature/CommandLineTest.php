<?php

declare(strict_types=1);

use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Geometry\Box;
use OakTrace\Core\Solids\HeightField;
use Tests\Core\Demo;

/**
 * Runs ./oak as a person would.
 *
 * @return array{int, string, string} exit status, standard output, standard error
 */
function oak(string $arguments, string $input = ''): array
{
    $process = proc_open('./oak '.$arguments, [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, dirname(__DIR__, 2));
    fwrite($pipes[0], $input);
    fclose($pipes[0]);
    [$out, $err] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

    return [proc_close($process), $out, $err];
}

function setupFile(string $program): string
{
    $path = tempnam(sys_get_temp_dir(), 'oak');
    file_put_contents($path, Demo::file($program));

    return $path;
}

it('checks: 0 clear, 1 stop', function (string $program, int $status, string $verdict): void {
    [$exit, $out, $err] = oak("check database/demo/O{$program}.nc --setup ".setupFile($program).' --format json');
    expect($exit)->toBe($status)->and($err)->toBe('')
        ->and(json_decode($out, true))->toMatchArray(['format' => 'oak-check/1', 'verdict' => $verdict]);
})->with([['1305', 0, 'clear'], ['1210', 1, 'stop']]);

it('reads the program from standard input and answers in plain text', function (): void {
    [$exit, $out] = oak('check - --setup '.setupFile('1210'), Demo::text('1210'));
    expect($exit)->toBe(1)->and($out)->toContain('line 63  error')->toMatch('/^Stock: [\d,]+ mm³ removed, [\d,]+ mm³ left \(cells of 0\.200 mm\)$/m')
        ->and($out)->toMatch('/^T2 needs at most \d\.\d\d kW of cutting power, \d\.\d N m and \d+ N, at a removal rate of [\d.]+ cm³\/min \(line \d+\)$/m');
});

it('takes a solid from a file that stands beside the setup', function (): void {
    $folder = (string) tempnam(sys_get_temp_dir(), 'oak');
    unlink($folder);
    mkdir($folder);
    $setup = json_decode((string) file_get_contents(setupFile('1935')), true);
    $setup['stock'] = ['shape' => 'solid', 'stl' => 'file:blank.stl'];
    unset($setup['target']);
    file_put_contents("{$folder}/setup.json", json_encode($setup));
    [$exit, , $err] = oak("check database/demo/O1935.nc --setup {$folder}/setup.json");
    expect([$exit, $err])->toBe([2, "oak: there is no solid file {$folder}/blank.stl\n"]);
    file_put_contents("{$folder}/blank.stl", StlFile::of(HeightField::box(Box::of([-60, -35, -30], [60, 35, 2]), 5.0), 'blank'));
    [, $out] = oak("check database/demo/O1935.nc --setup {$folder}/setup.json --format json");
    expect(json_decode($out, true)['summary']['stock']['removed'])->toEqualWithDelta(120 * 70 * 5 + 6200, 1200);
});

it('says on standard error what of a setup it does not know, and checks all the same', function (): void {
    $path = setupFile('1305');
    file_put_contents($path, str_replace('"centerCutting"', '"centreCutting"', (string) file_get_contents($path)));
    [$exit, $out, $err] = oak("check database/demo/O1305.nc --setup {$path} --format json");
    expect([$exit, json_decode($out, true)['verdict']])->toBe([0, 'clear'])
        ->and(explode("\n", $err)[0])->toBe("oak: {$path}: tools.2.centreCutting: There is no such field, and nothing reads it. Is centerCutting meant?");
});

it('tells what comes out beside what is wanted', function (): void {
    [, $out] = oak('check database/demo/O1935.nc --setup '.setupFile('1935').' --format json');
    $summary = json_decode($out, true)['summary'];
    expect($summary['compared']['features'][0])->toMatchArray(
        ['feature' => 'Pocket', 'what' => 'length', 'wanted' => 44, 'least' => 43.9, 'most' => 44.1, 'within' => true],
    )
        ->and($summary['compared']['features'][0]['got'])->toEqualWithDelta(44, 0.001)
        ->and($summary['compared']['gouged'])->toMatchArray(['by' => 3, 'z' => -3, 'wanted' => 0])->and($summary['compared']['left'])->toBeNull()
        ->and(array_column($summary['stock']['loads'], 'tool'))->toBe([1, 2, 3])->and($summary['stock']['loads'][0]['motor'])->toEqualWithDelta(
            $summary['stock']['loads'][0]['power'] / 0.8, 0.01,
        );
});

it('simulates the stock, and leaves it out where it is told to', function (): void {
    $setup = setupFile('1935');
    [$exit, $out] = oak("check database/demo/O1935.nc --setup {$setup} --format json");
    $with = json_decode($out, true);
    [, $out] = oak("check database/demo/O1935.nc --setup {$setup} --format json --no-stock");
    $without = json_decode($out, true);
    // 120 × 70 of 5 mm faced off, and a pocket of 44 × 30 with corners of 6 and a slot 3 and 9 deeper (geometry).
    $faced = 120 * 70 * 5;
    $pocket = (44 * 30 - (4 - M_PI) * 36) * 3;
    $slot = (38 * 6 + M_PI * 9) * 9;
    expect($exit)->toBe(1)->and($with['summary']['stock']['removed'])->toEqualWithDelta($faced + $pocket + $slot, 0.005 * $faced)
        ->and(
            $with['summary']['stock']['removed'] + $with['summary']['stock']['left'],
        )->toEqualWithDelta(120 * 70 * 32, 1.0)->and($with['summary']['stock']['cell'])->toBe(0.25)
        ->and(array_column($with['findings'], 'check'))->toContain('cutting.flute-length')
        ->and($without['summary'])->not->toHaveKey('stock')->and(array_column($without['findings'], 'check'))->not->toContain('cutting.flute-length');
});

it('traces as JSON Lines and expands to a program that checks clear', function (): void {
    $setup = setupFile('1305');
    [$exit, $out] = oak("trace database/demo/O1305.nc --setup {$setup}");
    $lines = array_map(fn (string $line): array => json_decode($line, true), explode("\n", trim($out)));
    expect($exit)->toBe(0)
        ->and($lines[0])->toBe(['format' => 'oak-trace/1', 'units' => 'mm'])
        ->and(array_column($lines, 'i'))->toBe(range(0, count($lines) - 2));
    [$exit, $plain] = oak("expand database/demo/O1305.nc --setup {$setup} --decimals 3");
    expect($exit)->toBe(0)->and(oak("check - --setup {$setup}", $plain)[0])->toBe(0);
});

it('explains a line in plain words, or as JSON', function (): void {
    $setup = setupFile('1711');
    [$exit, $out] = oak("explain database/demo/O1711.nc --setup {$setup} --line 16");
    expect($exit)->toBe(0)->and($out)->toContain('tool left of the path, with D1: 4.985 mm beside it')->toContain('Ends at');
    [$exit, $json] = oak("explain database/demo/O1711.nc --setup {$setup} --line 16 --format json");
    expect($exit)->toBe(0)->and(json_decode($json, true))->toMatchArray(['line' => 16, 'text' => 'G41 D1 X-50. Y-12. F640.']);
});

it('says in the trace and the findings which program a line is in', function (): void {
    $setup = setupFile('1711');
    [, $out] = oak("trace database/demo/O1711.nc --setup {$setup}");
    expect($out)->toContain('"program":"O8200","calledFrom":67');
    [$exit, $out] = oak(
        "check - --setup {$setup} --format json --rapid-override 25 --feed-override 50", str_replace('M98 P8200', 'M98 P8201', Demo::text('1711')),
    );
    $result = json_decode($out, true);
    expect($exit)->toBe(1)->and($result['findings'][0])->toMatchArray(['check' => 'flow.missing-program', 'line' => 67])
        ->and($result['summary']['overrides']['seconds'])->toBeGreaterThan($result['summary']['seconds']);
});

it('writes a program from a sheet, which checks clear in a setup with what the sheet says of it', function (): void {
    [$exit, $program] = oak('build docs/examples/hub-plate.sheet.json');
    [, $json] = oak('build - --format json', (string) file_get_contents(base_path('docs/examples/hub-plate.sheet.json')));
    $built = json_decode($json, true);
    expect($exit)->toBe(0)->and($program)->toStartWith("O1306 (HUB PLATE)\n")->and($built['program'])->toBe($program)
        ->and($built['operations'][0])->toBe(['id' => 'face', 'offset' => 'G54', 'lines' => [9, 23]])->and($built['setup']['units'])->toBe('mm')
        ->and(array_column($built['setup']['tools'], 'number'))->toBe([1, 2, 3, 4]);
    [$exit, $out, $err] = oak('build docs/examples/hub-plate.sheet.json --setup '.setupFile('1305'));
    expect([$exit, $out])->toBe([2, ''])->and($err)->toContain('tools.0: T1 is “10 spot drill 90°” in the setup.');
});

it('says in one line on standard error what it could not read, and exits 2', function (string $arguments, string $says): void {
    [$exit, $out, $err] = oak(str_replace('SETUP', setupFile('1305'), $arguments));
    expect($exit)->toBe(2)->and($out)->toBe('')->and(trim($err))->toContain($says)->and(substr_count(trim($err), "\n"))->toBe(0);
})->with([
    ['check nowhere.nc --setup SETUP', 'there is no program file nowhere.nc'],
    ['check database/demo/O1305.nc --setup nowhere.json', 'there is no setup file nowhere.json'],
    ['check database/demo/O1305.nc', 'say which setup'],
    ['check --setup SETUP', 'program'],
    ['check database/demo/O1305.nc --setup database/demo/setup-1305.json', 'machine: This field is missing'],
    ['check database/demo/O1305.nc --setup SETUP --format xml', 'text or json'],
    ['expand database/demo/O1305.nc --setup SETUP --decimals many', '--decimals'],
    ['explain database/demo/O1305.nc --setup SETUP', '--line N, from 1 to'],
    ['explain database/demo/O1305.nc --setup SETUP --line 9999', '--line N, from 1 to'],
    ['check database/demo/O1305.nc --setup SETUP --rapid-override none', '--rapid-override is a percentage'],
    ['trace database/demo/O1305.nc --setup SETUP --sideways', 'sideways'],
    ['build nowhere.json', 'there is no sheet file nowhere.json'],
    ['build docs/examples/O1305.json', 'docs/examples/O1305.json: '],
    ['build docs/examples/hub-plate.sheet.json --format xml', 'text or json'],
]);

it('lists what it can do, and refuses what it cannot', function (): void {
    expect(oak('help')[1])->toContain('./oak demo', './oak check')->and(oak('dance')[0])->toBe(2)->and(oak('dance')[2])->toContain('no command dance');
});

it('says in one line that the port is taken', function (): void {
    $socket = stream_socket_server('tcp://127.0.0.1:0');
    $port = substr((string) strrchr((string) stream_socket_get_name($socket, false), ':'), 1);
    $process = proc_open('./oak demo', [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, dirname(__DIR__, 2), ['OAK_PORT' => $port] + getenv());
    $err = (string) stream_get_contents($pipes[2]);
    expect(proc_close($process))->not->toBe(0)->and(trim($err))->toContain("Port {$port} is taken");
});

/**
 * Runs a line of the shell in a folder of its own, where a program and its setup lie.
 *
 * @return array{int, string, string} exit status, standard output, standard error
 */
function elsewhere(string $line): array
{
    $folder = sys_get_temp_dir().'/oak-'.bin2hex(random_bytes(4));
    mkdir($folder);
    copy(dirname(__DIR__, 2).'/database/demo/O1305.nc', "{$folder}/part.nc");
    file_put_contents("{$folder}/setup.json", Demo::file('1305'));
    symlink(dirname(__DIR__, 2).'/oak', "{$folder}/oak");
    $process = proc_open(['bash', '-c', $line], [['file', '/dev/null', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes, $folder);
    [$out, $err] = [(string) stream_get_contents($pipes[1]), (string) stream_get_contents($pipes[2])];

    return [proc_close($process), $out, $err];
}

it('takes files of the folder one stands in, by a link too, and pipes as files', function (string $line): void {
    [$exit, $out, $err] = elsewhere($line);
    expect([$exit, $err])->toBe([0, ''])->and($out)->toContain('CLEAR');
})->with([
    './oak check part.nc --setup setup.json', './oak check <(cat part.nc) --setup <(cat setup.json)',
    './oak check /dev/stdin --setup setup.json < part.nc',
]);

it('never takes a failure for a verdict', function (string $line, int $status, string $says): void {
    [$exit, , $err] = elsewhere($line);
    expect($exit)->toBe($status)->and($err)->toContain($says)->and(substr_count($err, "\n"))->toBe(1);
})->with([
    'a full disk' => ['./oak check part.nc --setup setup.json > /dev/full', 3, 'could not be written to its end'],
    'a closed pipe' => ['./oak trace part.nc --setup setup.json | true; exit ${PIPESTATUS[0]}', 3, 'could not be written to its end'],
    'another format' => ['./oak explain part.nc --setup setup.json --line 2 --format xml', 2, '--format is text or json'],
    'no such file' => ['./oak check nothing.nc --setup setup.json', 2, 'there is no program file nothing.nc'],
]);

it('throws no shop away unasked, nor under a demo that runs', function (string $before, int $status, string $says): void {
    // The command itself, without its installing, in a folder with a shop that can be lost.
    $own = 'sed "s/^demo() {/need_app() { :; }; need_front_end() { exit 7; }; demo() {/" '.dirname(__DIR__, 2)
        .'/oak > own && mkdir -p database storage/framework && touch database/database.sqlite && ';
    [$exit, , $err] = elsewhere($own.str_replace('DEMO', 'OAK_PORT=8397 bash own demo', $before));
    expect($exit)->toBe($status)->and($err)->toContain($says);
})->with([
    [
        'sed -i "s/need_front_end() { exit 7; }/need_front_end() { :; }; need_env() { :; }/" own; DEMO --fresh; code=$?; test -f '
            .'database/database.sqlite && exit $code',
        1, './oak demo --fresh --yes',
    ],
    [
        'exec 8>storage/framework/demo.lock; flock 8; DEMO --fresh --yes 8>&-; code=$?; test -f database/database.sqlite && exit $code', 1,
        'A demo of this shop is running',
    ],
    ['DEMO', 7, ''],
]);

it('does nothing where it is asked what it does', function (string $command): void {
    [$exit, $out, $err] = oak("{$command} --help");
    expect([$exit, $err])->toBe([0, ''])->and($out)->toStartWith("./oak {$command}");
})->with(['demo', 'test', 'check', 'trace', 'expand', 'explain', 'build', 'bench', 'endure', 'screenshots']);

it('lets no control character of a program reach the terminal', function (): void {
    [, $out, $err] = oak('check - --setup '.setupFile('1305'), "G21 (\e[31mRED\x07)\nG0 X1. \e]0;x\x07\n\u{9B}31m");
    expect($out.$err)->not->toMatch('/[\x00-\x08\x0B-\x1F\x7F]|\xC2[\x80-\x9F]/')->and($out)->toContain('·');
});
