<?php

declare(strict_types=1);

namespace App\Bench;

use App\Models\Program;
use App\Models\Role;
use App\Models\User;
use Closure;
use Generator;
use GuzzleHttp\Client;
use GuzzleHttp\Cookie\CookieJar;
use GuzzleHttp\Handler\CurlMultiHandler;
use GuzzleHttp\HandlerStack;
use GuzzleHttp\Promise\Coroutine;
use GuzzleHttp\Promise\PromiseInterface;
use GuzzleHttp\Promise\Utils;
use GuzzleHttp\TransferStats;
use Psr\Http\Message\ResponseInterface;
use RuntimeException;

/** People at work on a server of their own: each types into a program, has it checked, saves it, and sets a zero, at the pace people do. */
final class PeopleLoad
{
    /** Between two acts of a person, milliseconds. */
    private const PAUSE = [900, 2600];

    /** Checks for each save. */
    private const CHECKS = 3;

    /** @var array<string, list<float>> what was asked => seconds of each answer */
    private array $seconds = [];

    /** @var list<string> */
    private array $errors = [];

    /** One for all, so that they are at it at the same time. */
    private readonly HandlerStack $line;

    /** People of a shop that is busy. */
    public const SHOP = 20;

    private function __construct(private readonly BenchShop $shop)
    {
        $this->line = HandlerStack::create(new CurlMultiHandler);
    }

    /** @return list<array{string, float, string}> */
    public static function figures(int $people, int $seconds, string $name, ?string $url = null): array
    {
        return BenchShop::during(static function (BenchShop $shop) use ($people, $seconds, $name, $url): array {
            $load = new self($shop);
            $load->work($people, $seconds);
            $figures = [["people.{$name}.{$people}.errors", (float) count($load->errors), '']];
            foreach ($load->seconds as $what => $times) {
                sort($times);
                array_push(
                    $figures, ["people.{$name}.{$people}.{$what}s", (float) count($times), ''],
                    ["people.{$name}.{$people}.{$what}.median", 1000 * $times[intdiv(count($times), 2)], 'ms'],
                    ["people.{$name}.{$people}.{$what}.slowest", 1000 * $times[count($times) - 1], 'ms'],
                );
            }
            if ($people === self::SHOP && $url === null) {
                $figures[] = ['load.errors', (float) count($load->errors), ''];
                $figures[] = ['load.slowestMs', 1000 * max([0.0, ...array_merge(...array_values($load->seconds))]), 'ms'];
            }
            foreach (array_slice(array_unique($load->errors), 0, 5) as $error) {
                fwrite(STDERR, "people.{$name}.{$people}: {$error}\n");
            }

            return $figures;
        }, $url, 4);
    }

    private function work(int $people, int $seconds): void
    {
        $programs = $this->shop->onItsDatabase(fn (): array => array_map($this->settle(...), range(1, $people)));
        $signedIn = array_map(fn (int $person): Client => $this->signIn($person), range(1, $people));
        $end = microtime(true) + $seconds;
        Utils::all(
            array_map(
                fn (Client $client, array $program): PromiseInterface => Coroutine::of(fn (): Generator => $this->day($client, $program, $end)),
                $signedIn, $programs,
            ),
        )->wait();
    }

    /** @return array{program: int, setup: int, text: string} */
    private function settle(int $person): array
    {
        User::create(['name' => "Person {$person}", 'email' => "person{$person}@fernhollow.example", 'password' => 'escapement', 'role' => Role::Machinist]);
        $own = Program::with('setup', 'latest')->findOrFail(1 + ($person - 1) % 8);
        $setup = $own->setup->replicate();
        $setup->fill(['operation' => 100 + $person, 'version' => 1])->save();
        $latest = $own->latest;
        $program = $setup->programs()->create(['name' => "P{$person}"]);
        $program->revisions()->create(['number' => 1, 'text' => $latest->text, 'user_id' => 1, 'reason' => '']);

        return ['program' => $program->id, 'setup' => $setup->id, 'text' => $latest->text];
    }

    private function signIn(int $person): Client
    {
        $client = new Client(
            ['handler' => $this->line, 'base_uri' => $this->shop->address, 'cookies' => new CookieJar, 'http_errors' => false, 'timeout' => 60],
        );
        $client->get('/sign-in');
        if (
            $this->send(
                $client, 'sign-in', 'POST', '/sign-in', ['email' => "person{$person}@fernhollow.example", 'password' => 'escapement'], 0,
            )->wait()->getStatusCode() >= 400
        ) {
            throw new RuntimeException('Somebody could not sign in.');
        }

        return $client;
    }

    /** @param  array{program: int, setup: int, text: string}  $at */
    private function day(Client $client, array $at, float $end): Generator
    {
        [$revision, $version, $text] = [1, 1, $at['text']];
        for ($act = 0; microtime(true) < $end; $act++) {
            $text = "({$act})\n{$at['text']}";
            yield $this->send($client, 'check', 'POST', "/programs/{$at['program']}/check", ['text' => $text]);
            if ($act % self::CHECKS === self::CHECKS - 1) {
                /** @var ResponseInterface $saved */
                $saved = yield $this->send(
                    $client, 'save', 'POST', "/programs/{$at['program']}/revisions", ['text' => $text, 'base' => $revision, 'reason' => ''],
                );
                $revision = json_decode((string) $saved->getBody(), true)['revision']['number'] ?? $revision;
                /** @var ResponseInterface $set */
                $set = yield $this->send(
                    $client, 'zero', 'PUT', "/setups/{$at['setup']}/zero",
                    ['version' => $version, 'name' => 'G54', 'units' => 'mm', 'position' => ['X' => -380 + $act / 100]],
                );
                $version = json_decode((string) $set->getBody(), true)['version'] ?? $version;
            }
        }
    }

    /** @param  array<string, mixed>  $body */
    private function send(Client $client, string $what, string $method, string $path, array $body, ?int $pause = null): PromiseInterface
    {
        /** @var CookieJar $jar */
        $jar = $client->getConfig('cookies');

        return $client->requestAsync($method, $path, [
            'json' => $body, 'delay' => $pause ?? random_int(...self::PAUSE),
            'headers' => ['X-XSRF-TOKEN' => urldecode((string) $jar->getCookieByName('XSRF-TOKEN')?->getValue()), 'Accept' => 'application/json'],
            'on_stats' => $this->note($what),
        ]);
    }

    /** @return Closure(TransferStats): void */
    private function note(string $what): Closure
    {
        return function (TransferStats $stats) use ($what): void {
            $this->seconds[$what][] = (float) $stats->getTransferTime();
            $response = $stats->getResponse();
            if ($response === null || $response->getStatusCode() >= 400) {
                $this->errors[] = $what.': '.(
                    $response === null ? json_encode($stats->getHandlerErrorData()) : $response->getStatusCode().' '.substr(
                        (string) $response->getBody(), 0, 200,
                    )
                );
            }
        };
    }
}
