<?php

declare(strict_types=1);

namespace App\Bench;

use OakTrace\Core\Interpreter\Interpreter;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;

/**
 * Reading, interpreting, timing and checking a long program against the floor: one bare pass over the same text in the
 * same process that does nothing but take every line apart into letters and numbers.
 */
final readonly class ReadSpeed
{
    /** Each is measured so often, turn about, and the quickest counts: what is slower is the machine's other business. */
    private const TURNS = 9;

    public function __construct(private Setup $setup)
    {
    }

    /** @return list<array{string, float, string}> name, value, unit */
    public function speed(string $text): array
    {
        $floor = $read = $timed = $all = INF;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $floor = min($floor, self::floor($text));
            $program = Program::fromText($text);
            $start = hrtime(true);
            Interpreter::read($program, $this->setup);
            $read = min($read, self::since($start));
            $start = hrtime(true);
            Verification::trace($program, $this->setup);
            $timed = min($timed, self::since($start));
            $start = hrtime(true);
            Verification::of($program, $this->setup);
            $all = min($all, self::since($start));
        }

        return [
            ['read.ratio', $all / $floor, '×'],
            ['read.floorMs', $floor * 1000, 'ms'],
            ['read.allMs', $all * 1000, 'ms'],
            ['read.interpretMs', $read * 1000, 'ms'],
            ['checks.share', ($all - $timed) / $timed, 'of reading'],
        ];
    }

    /** @return list<array{string, float, string}> peak memory beyond the text, for each motion */
    public function memory(string $text): array
    {
        gc_collect_cycles();
        memory_reset_peak_usage();
        $before = memory_get_usage();
        $verification = Verification::of(Program::fromText($text), $this->setup);

        return [
            ['read.bytesPerMotion', (memory_get_peak_usage() - $before) / max(1, $verification->trace->rows()), 'bytes'],
            ['read.memoryMotions', (float) $verification->trace->rows(), 'motions'],
        ];
    }

    private static function floor(string $text): float
    {
        $start = hrtime(true);
        $sum = 0.0;
        foreach (explode("\n", $text) as $line) {
            preg_match_all('/([A-Z])\s*([-+]?[0-9]*\.?[0-9]*)/', $line, $match);
            foreach ($match[1] as $i => $letter) {
                $sum += ord($letter) + (float) $match[2][$i];
            }
        }

        return self::since($start) + ($sum === 0.0 ? 1.0 : 0.0);
    }

    private static function since(int|float $start): float
    {
        return (hrtime(true) - $start) / 1e9;
    }
}
