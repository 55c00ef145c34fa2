<?php

declare(strict_types=1);

namespace App\Bench;

use RuntimeException;
use Symfony\Component\Process\Process;

/** A shop of its own to measure on: a database seeded for it, a server, and a queue worker. */
final readonly class BenchShop
{
    private const PHP = ['-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=disable', '-d', 'opcache.jit_buffer_size=0', '-d', 'memory_limit=2G', '-d', 'post_max_size=64M'];

    private function __construct(public string $address, public string $database)
    {
    }

    /**
     * @template T
     *
     * @param  callable(self): T  $measure
     * @return T
     */
    public static function during(callable $measure): mixed
    {
        $database = (string) tempnam(sys_get_temp_dir(), 'oak-bench');
        $environment = ['DB_DATABASE' => $database, 'APP_ENV' => 'production'];
        $running = [];
        try {
            (new Process([PHP_BINARY, 'artisan', 'migrate', '--force', '--seed', '--quiet'], base_path(), $environment))->setTimeout(120)->mustRun();
            $port = self::freePort();
            foreach ([
                [[PHP_BINARY, ...self::PHP, '-S', "127.0.0.1:{$port}", base_path('vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php')], public_path()],
                [[PHP_BINARY, ...self::PHP, 'artisan', 'queue:work', '--quiet', '--sleep=0.1', '--memory=1800', '--timeout=1800'], base_path()],
            ] as [$command, $folder]) {
                $process = new Process($command, $folder, $environment);
                $process->setTimeout(null)->start();
                $running[] = $process;
            }

            return $measure(new self("http://127.0.0.1:{$port}", $database));
        } finally {
            foreach ($running as $process) {
                $process->stop(1);
            }
            array_map(unlink(...), glob($database.'*') ?: []);
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
