<?php

declare(strict_types=1);

namespace App\Endurance;

use App\Bench\BenchShop;
use RuntimeException;
use Tests\Core\BadInputs;

/** Programs and setups nobody should write, sent to a server: each is answered, none makes it fail. */
final class BadInputsByHttp
{
    /** Answers that are one: an answer, a long check begun, a refusal with its reason. */
    private const ANSWERS = [200, 201, 202, 409, 413, 422, 429];

    /** @return list<string> */
    public static function run(int $count, int $seed): array
    {
        if (! class_exists(BadInputs::class)) {
            throw new RuntimeException('the bad inputs are among the tests, which are not installed here');
        }

        return BenchShop::during(static function (BenchShop $shop) use ($count, $seed): array {
            $client = new Client($shop->address);
            $inputs = new BadInputs($seed);
            $answers = [];
            $slowest = 0.0;
            for ($i = 0; $i < $count; $i++) {
                $text = $inputs->next();
                // As a program, and as what stands in the place of a setup's document.
                [$method, $path, $body] = $i % 4 === 3
                    ? ['PUT', '/setups/1', (string) json_encode(['version' => 1, 'machineId' => 1, 'document' => self::torn($text)], JSON_INVALID_UTF8_SUBSTITUTE)]
                    : ['POST', '/programs/'.(1 + $i % 8).'/check', $i % 4 === 2 ? "{\"text\": \"{$text}\"}" : (string) json_encode(['text' => $text], JSON_INVALID_UTF8_SUBSTITUTE)];
                $began = microtime(true);
                $status = $client->send($method, $path, $body)?->getStatusCode() ?? 0;
                $slowest = max($slowest, microtime(true) - $began);
                $answers[$status] = ($answers[$status] ?? 0) + 1;
                if (! in_array($status, self::ANSWERS, true)) {
                    throw new RuntimeException("input {$i} of seed {$seed} was answered with {$status}: ".substr((string) json_encode($body, JSON_INVALID_UTF8_SUBSTITUTE), 0, 400));
                }
            }
            ksort($answers);

            return [sprintf('%d bad inputs (seed %d) by HTTP: %s; slowest %.2f s', $count, $seed, implode(', ', array_map(static fn (int $status, int $times): string => "{$times} × {$status}", array_keys($answers), $answers)), $slowest)];
        });
    }

    /** @return array<string, mixed> a document with what was torn in places where it may not stand */
    private static function torn(string $text): array
    {
        $piece = substr($text, 0, 40);

        return ['format' => 'oak-setup/1', 'units' => strlen($text) % 2 === 0 ? 'mm' : $piece, 'workOffsets' => ['G54' => ['X' => $piece, 'Y' => (float) $piece]], 'tools' => [['number' => (int) $piece, 'kind' => 'drill', 'name' => $piece]], $piece => $piece];
    }
}
