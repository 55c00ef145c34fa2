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
        return BenchShop::during(fn (BenchShop $shop): array => $this->ask(Http::baseUrl($shop->address)->withOptions(['cookies' => new CookieJar])));
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
}
