<?php

declare(strict_types=1);

namespace App\Endurance;

use App\Bench\BenchShop;

/** What nobody should write, sent to a server by somebody signed in. */
final class BadInputByHttp
{
    /** Answers that are one: an answer, a long check begun, a refusal with its reason. */
    private const ANSWERS = [200, 201, 202, 409, 413, 422, 429];

    public static function run(int $count, int $seed): string
    {
        return BenchShop::during(static function (BenchShop $shop) use ($count, $seed): string {
            $client = new Client($shop->address);
            $sent = 0;

            return BadInput::each($count, $seed, 'HTTP', static function (?string $program, ?string $setup) use ($client, &$sent): array {
                $sent++;
                $answer = $program === null
                    ? $client->send('PUT', '/setups/1', "{\"version\": 1, \"machineId\": 1, \"document\": {$setup}}")
                    // Every third is JSON that may be none.
                    : $client->send(
                        'POST', '/programs/'.(1 + $sent % 8).'/check',
                        $sent % 3 === 0 ? "{\"text\": \"{$program}\"}" : (string) json_encode(['text' => $program], JSON_INVALID_UTF8_SUBSTITUTE),
                    );

                return [$answer?->getStatusCode() ?? 0, substr((string) $answer?->getBody(), 0, 300)];
            }, self::ANSWERS);
        });
    }
}
