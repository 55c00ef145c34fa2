<?php

declare(strict_types=1);

namespace App\Bench;

use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A shop of its own to measure on: a database seeded for it, a server, and queue workers. */
final class BenchShop
{
    private const PHP = [
        '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable', '-d', 'opcache.jit_buffer_size=0', '-d', 'memory_limit=2G', '-d',
        'post_max_size=64M',
    ];

    private const PATIENCE_SECONDS = 20;

    /** @var array<string, Process> */
    private array $running = [];

    /** @param  array<string, string>  $environment */
    private function __construct(
        public readonly string $address, public readonly string $database, private readonly array $environment, private readonly int $port,
        private readonly ?string $url,
    ) {
    }

    /**
     * @template T
     *
     * @param  callable(self): T  $measure
     * @param  string|null  $url  of another database than a file made for it; all in it is thrown away
     * @param  int  $workers  processes of the web server
     * @param  string|null  $folder  where its files are
     * @return T
     */
    public static function during(callable $measure, ?string $url = null, int $workers = 1, ?string $folder = null): mixed
    {
        $database = $url === null ? (string) tempnam($folder ?? sys_get_temp_dir(), 'oak-bench') : '';
        $port = self::freePort();
        $shop = new self("http://127.0.0.1:{$port}", $database, [
            // As in the demo, whatever this process itself was started with.
            'APP_ENV' => 'production', 'SESSION_DRIVER' => 'database', 'CACHE_STORE' => 'database', 'QUEUE_CONNECTION' => 'database',
            'DB_CONNECTION' => 'sqlite', 'PHP_CLI_SERVER_WORKERS' => (string) $workers, 'DB_QUEUE_RETRY_AFTER' => '15', 'DB_URL' => (string) $url,
            ...($url === null ? ['DB_DATABASE' => $database] : ['DB_CONNECTION' => explode(':', $url)[0]]),
        ], $port, $url);
        try {
            (
                new Process(
                    [PHP_BINARY, 'artisan', $url === null ? 'migrate' : 'migrate:fresh', '--force', '--seed', '--quiet'], base_path(),
                    $shop->environment,
                )
            )->setTimeout(120)->mustRun();
            array_map($shop->start(...), ['web', 'checks', 'verdicts']);
            $shop->awaitAnswer();

            return $measure($shop);
        } finally {
            array_map($shop->kill(...), array_keys($shop->running));
            if ($url === null) {
                array_map(unlink(...), glob($database.'*') ?: []);
            }
        }
    }

    /** Starts one of its processes: the web server, or a queue worker for the checks or for the verdicts. */
    public function start(string $which): void
    {
        $work = static fn (string $queue): array => [
            [PHP_BINARY, ...self::PHP, 'artisan', 'queue:work', '--quiet', '--sleep=0.1', '--memory=1800', '--timeout=1800', "--queue={$queue}"],
            base_path(),
        ];
        [$command, $folder] = match ($which) {
            'web' => [
                [
                    PHP_BINARY, ...self::PHP, '-S', "127.0.0.1:{$this->port}",
                    base_path('vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php'),
                ],
                public_path(),
            ],
            'checks' => $work('default'),
            default => $work('default,verdicts'),
        };
        $process = new Process(['setsid', ...$command], $folder, $this->environment);
        $process->setTimeout(null)->disableOutput()->start();
        $this->running[$which] = $process;
    }

    /** Kills one of its processes on the spot, and what belongs to it. */
    public function kill(string $which): void
    {
        $pid = $this->running[$which]->getPid();
        if ($pid !== null) {
            posix_kill(-$pid, SIGKILL);
            posix_kill($pid, SIGKILL);
        }
        $this->running[$which]->stop(0);
    }

    public function awaitAnswer(): void
    {
        for ($end = microtime(true) + self::PATIENCE_SECONDS; microtime(true) < $end; usleep(50_000)) {
            if (@file_get_contents("{$this->address}/up") !== false) {
                return;
            }
        }
        throw new RuntimeException('The server made for this does not answer.');
    }

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T
     */
    public function onItsDatabase(callable $work): mixed
    {
        $driver = $this->url === null ? 'sqlite' : explode(':', $this->url)[0];
        config(
            [
                'database.connections.bench' => (
                    $this->url === null ? ['database' => $this->database] : ['url' => $this->url]
                ) + (array) config("database.connections.{$driver}"),
            ],
        );
        $before = DB::getDefaultConnection();
        DB::setDefaultConnection('bench');
        try {
            return $work();
        } finally {
            DB::setDefaultConnection($before);
            DB::purge('bench');
        }
    }

    public static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('There is no free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, 1 + (int) strrpos($name, ':'));
    }
}
