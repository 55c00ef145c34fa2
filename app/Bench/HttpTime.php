<?php

declare(strict_types=1);

namespace App\Bench;

use GuzzleHttp\Cookie\CookieJar;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Http\Client\PendingRequest;
use Illuminate\Support\Facades\Http;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Verification;
use RuntimeException;
use Symfony\Component\Process\Process;

/**
 * How much longer the answer to an edit takes over HTTP than the core needs to read and check the program: framework,
 * session, setup file, columns, JSON and the wire. Asks a server of its own on a shop seeded for it.
 */
final readonly class HttpTime
{
    private const BLOCKS = 2000;

    private const TURNS = 15;

    public function __construct(private SetupFile $files)
    {
    }

    /** @return list<array{string, float, string}> */
    public function figures(): array
    {
        $database = (string) tempnam(sys_get_temp_dir(), 'oak-bench');
        $environment = ['DB_DATABASE' => $database, 'APP_ENV' => 'production'];
        try {
            (new Process([PHP_BINARY, 'artisan', 'migrate', '--force', '--seed', '--quiet'], base_path(), $environment))->setTimeout(120)->mustRun();
            $port = self::freePort();
            $server = new Process([
                PHP_BINARY, '-d', 'opcache.enable_cli=1', '-d', 'opcache.jit=tracing', '-d', 'opcache.jit_buffer_size=64M', '-d', 'memory_limit=1G',
                '-S', "127.0.0.1:{$port}", base_path('vendor/laravel/framework/src/Illuminate/Foundation/resources/server.php'),
            ], public_path(), $environment);
            $server->setTimeout(null)->start();
            try {
                return $this->ask(Http::baseUrl("http://127.0.0.1:{$port}")->withOptions(['cookies' => new CookieJar]));
            } finally {
                $server->stop(1);
            }
        } finally {
            unlink($database);
        }
    }

    /** @return list<array{string, float, string}> */
    private function ask(PendingRequest $http): array
    {
        for ($try = 0; $try < 100 && ! self::isUp($http); $try++) {
            usleep(100_000);
        }
        $http->get('/sign-in')->throw();
        $this->post($http, '/sign-in', ['email' => 'lead@fernhollow.example', 'password' => 'escapement']);
        $setup = $this->files->read($http->get('/setups/1/file')->throw()->body());
        $text = LongProgram::text(self::BLOCKS);
        $core = $answer = INF;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $start = hrtime(true);
            Verification::of(Program::fromText($text), $setup);
            $core = min($core, (hrtime(true) - $start) / 1e6);
            $start = hrtime(true);
            $this->post($http, '/programs/1/check', ['text' => $text]);
            $answer = min($answer, (hrtime(true) - $start) / 1e6);
        }

        return [['http.overheadMs', $answer - $core, 'ms'], ['http.answerMs', $answer, 'ms'], ['http.coreMs', $core, 'ms']];
    }

    /** @param  array<string, string>  $body */
    private function post(PendingRequest $http, string $path, array $body): void
    {
        /** @var CookieJar $jar */
        $jar = $http->getOptions()['cookies'];
        $token = $jar->getCookieByName('XSRF-TOKEN')?->getValue() ?? throw new RuntimeException('The server gave no token.');
        (clone $http)->withHeaders(['X-XSRF-TOKEN' => urldecode($token), 'Accept' => 'application/json'])->post($path, $body)->throw();
    }

    private static function isUp(PendingRequest $http): bool
    {
        try {
            return (clone $http)->get('/up')->ok();
        } catch (ConnectionException) {
            return false;
        }
    }

    private static function freePort(): int
    {
        $socket = stream_socket_server('tcp://127.0.0.1:0') ?: throw new RuntimeException('There is no free port.');
        $name = (string) stream_socket_get_name($socket, false);
        fclose($socket);

        return (int) substr($name, 1 + (int) strrpos($name, ':'));
    }
}
