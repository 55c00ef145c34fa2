<?php

declare(strict_types=1);

use App\Bench\BenchShop;
use App\Bench\PeopleLoad;
use App\Endurance\BadInput;
use App\Endurance\BadInputByCommand;
use App\Endurance\BadInputByHttp;
use App\Endurance\FullDisk;
use App\Endurance\KilledWorkers;
use GuzzleHttp\Client;

// A short share of ./oak endure and ./oak bench, on shops made for them.

it('answers every bad input over HTTP and by command', function (): void {
    expect(BadInputByHttp::run(44, 11))->toStartWith('40 bad programs and 4 bad setups (seed 11) by HTTP: ')
        ->and(BadInputByCommand::run(110, 11))->toMatch(
            '/^100 bad programs and 10 bad setups \(seed 11\) by command: (\d+ × [012],? ?)+; slowest input \d+, [\d.]+ s$/',
        );
});

it('says which input was answered wrongly, and how', function (): void {
    $answer = static fn (?string $program, ?string $setup): array => [$setup === null ? 0 : 3, 'fell'];
    expect(static fn () => BadInput::each(11, 1, 'hand', $answer, [0]))->toThrow(RuntimeException::class, 'input 11 of seed 1 was answered with 3, fell: ');
});

it('answers under no name it is not known by', function (): void {
    BenchShop::during(static function (BenchShop $shop): void {
        $ask = static fn (string $host): int => (new Client(['http_errors' => false]))->get(
            "{$shop->address}/sign-in", ['headers' => ['Host' => $host]],
        )->getStatusCode();
        expect([$ask('localhost'), $ask('127.0.0.1'), $ask('elsewhere.example')])->toBe([200, 200, 400]);
    });
});

it('loses no acknowledged save when its workers are killed', function (): void {
    expect(KilledWorkers::run(6)[0])->toMatch('/^6 kills: \d+ saves were acknowledged and all of them are there; integrity ok; every verdict came$/');
});

it('lets several people save and check at once', function (): void {
    $figures = array_column(PeopleLoad::figures(4, 4, 'sqlite'), 1, 0);
    expect($figures['people.sqlite.4.errors'])->toBe(0.0)->and($figures['people.sqlite.4.checks'])->toBeGreaterThan(2.0);
});

it('refuses what a full disk has no room for, and keeps the rest whole', function (): void {
    try {
        $said = FullDisk::run()[0];
    } catch (RuntimeException $e) {
        if (str_contains($e->getMessage(), 'cannot be made here')) {
            $this->markTestSkipped($e->getMessage());
        }
        throw $e;
    }
    expect($said)->toContain('are there whole')->toContain('integrity ok');
});
