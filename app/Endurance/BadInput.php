<?php

declare(strict_types=1);

namespace App\Endurance;

use RuntimeException;
use Tests\Core\BadInputs;
use Tests\Core\BadSetups;

/** Programs and setups nobody should write, by the thousand and from a seed: each is answered, none makes Oak Trace fail. */
final class BadInput
{
    /** Every so manieth of them is a setup; the others are programs. */
    private const SETUPS = 11;

    /**
     * @param  callable(string|null, string|null): array{int|string, string}  $answer to a program's text, or to a setup's JSON: what was
     *         answered, and in which words
     * @param  list<int|string>  $right  what may be answered
     */
    public static function each(int $count, int $seed, string $by, callable $answer, array $right): string
    {
        if (! class_exists(BadInputs::class)) {
            throw new RuntimeException('the bad inputs are among the tests, which are not installed here');
        }
        [$programs, $setups] = [new BadInputs($seed), new BadSetups($seed)];
        $answers = [];
        $slowest = [0.0, 0];
        for ($i = 1; $i <= $count; $i++) {
            $given = $i % self::SETUPS === 0 ? [null, $setups->next()] : [$programs->next(), null];
            $began = microtime(true);
            [$status, $words] = $answer(...$given);
            $slowest = max($slowest, [microtime(true) - $began, $i]);
            $answers[$status] = ($answers[$status] ?? 0) + 1;
            if (! in_array($status, $right, true)) {
                throw new RuntimeException(
                    "input {$i} of seed {$seed} was answered with {$status}, {$words}: ".json_encode($given[0] ?? $given[1], JSON_INVALID_UTF8_SUBSTITUTE),
                );
            }
        }
        ksort($answers);

        return sprintf('%d bad programs and %d bad setups (seed %d) by %s: %s; slowest input %d, %.2f s',
            $count - intdiv($count, self::SETUPS), intdiv($count, self::SETUPS), $seed, $by,
            implode(
                ', ', array_map(static fn (int|string $status, int $times): string => "{$times} × {$status}", array_keys($answers), $answers),
            ), $slowest[1], $slowest[0]);
    }
}
