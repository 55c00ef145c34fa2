<?php

declare(strict_types=1);

use App\Bench\BenchShop;
use Symfony\Component\Process\Process;

// ./oak demo in a folder of its own, as on a new computer: what is killed of it comes back.

/** @return array<int, string> number of each process that is alive and works in a folder => its command line */
function processesIn(string $folder): array
{
    $found = [];
    foreach (glob('/proc/[0-9]*') ?: [] as $process) {
        if (
            str_starts_with((string) @readlink("{$process}/cwd"), $folder)
            && preg_match('/^State:\s*Z/m', (string) @file_get_contents("{$process}/status")) === 0
        ) {
            $found[(int) basename($process)] = str_replace("\0", ' ', (string) @file_get_contents("{$process}/cmdline"));
        }
    }

    return $found;
}

/** @return list<int> */
function processesLike(string $folder, string $words): array
{
    return array_keys(array_filter(processesIn($folder), static fn (string $command): bool => str_contains($command, $words)));
}

function eventually(callable $holds, string $what): void
{
    for ($end = microtime(true) + 60; microtime(true) < $end && ! $holds(); usleep(200_000));
    expect($holds())->toBeTrue("It never came to this: {$what}");
}

it('starts again what is killed of it, and goes as a whole', function (): void {
    $folder = (string) realpath(sys_get_temp_dir()).'/oak-keep-'.bin2hex(random_bytes(4));
    mkdir($folder);
    Process::fromShellCommandline(
        "tar -c --exclude=./.git --exclude=./vendor --exclude=./node_modules --exclude='./database/*.sqlite*' --exclude=./storage --exclude=./.env "
            .". | tar -x -C {$folder} && ln -s "
            .base_path('vendor')." {$folder}/vendor && ln -s ".base_path('node_modules')." {$folder}/node_modules",
        base_path(),
    )->mustRun();
    $port = BenchShop::freePort();
    $demo = new Process(
        ['./oak', 'demo'], $folder,
        [
            'OAK_PORT' => (string) $port, 'DB_DATABASE' => false, 'APP_ENV' => false, 'APP_KEY' => false, 'CACHE_STORE' => false,
            'SESSION_DRIVER' => false, 'QUEUE_CONNECTION' => false,
        ],
    );
    $demo->setTimeout(null);
    try {
        $demo->start();
        $answers = static fn (): bool => @file_get_contents("http://127.0.0.1:{$port}/up") !== false;
        $isWhole = static fn (): bool => $answers()
            && count(processesLike($folder, "-S 127.0.0.1:{$port}")) >= 5 && count(processesLike($folder, 'queue:work')) === 2;
        eventually($isWhole, 'a web server with its workers and two queue workers');
        foreach (["-S 127.0.0.1:{$port}", 'queue:work'] as $words) {
            $killed = processesLike($folder, $words);
            posix_kill(max($killed), SIGKILL);
            eventually(
                static fn (): bool => ! in_array(max($killed), processesLike($folder, $words), true) && $isWhole(),
                "another for the {$words} that was killed",
            );
        }
        $demo->signal(SIGTERM);
        eventually(static fn (): bool => processesIn($folder) === [], 'nothing of it runs on');
    } finally {
        foreach (array_keys(processesIn($folder)) as $process) {
            posix_kill($process, SIGKILL);
        }
        (new Process(['rm', '-rf', $folder]))->run();
    }
});
