<?php

declare(strict_types=1);

namespace App\LongWork;

/**
 * How many checks of one person are at work at a time, so that nobody takes every process of the server. A slot is a
 * locked file: it is free again however its process ends.
 */
final class Slots
{
    /** Between two tries for one that has become free. */
    private const AGAIN_MICROSECONDS = 50_000;

    /**
     * @template T
     *
     * @param  callable(): T  $work
     * @return T|null null where none became free in time
     */
    public static function during(string $person, callable $work): mixed
    {
        $end = hrtime(true) + (int) config('oak.slot_wait_seconds') * 1_000_000_000;
        do {
            for ($slot = 1; $slot <= (int) config('oak.checks_of_one_person'); $slot++) {
                $file = fopen(self::path($person, $slot), 'c');
                if ($file !== false && flock($file, LOCK_EX | LOCK_NB)) {
                    try {
                        return $work();
                    } finally {
                        fclose($file);
                    }
                }
            }
            usleep(self::AGAIN_MICROSECONDS);
        } while (hrtime(true) < $end);

        return null;
    }

    public static function path(string $person, int $slot): string
    {
        $folder = storage_path('framework/slots');
        if (! is_dir($folder)) {
            @mkdir($folder, 0775, true);
        }

        return "{$folder}/".preg_replace('/\W/', '_', $person)."-{$slot}.lock";
    }
}
