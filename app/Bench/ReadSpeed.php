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
    private const TURNS = 11;

    public function __construct(private Setup $setup)
    {
    }

    /**
     * The machine's own speed wanders, so each reading is set beside the floor just before and just after it, and of all these
     * ratios the middle one counts.
     *
     * @return list<array{string, float, string}> name, value, unit
     */
    public function speed(string $text): array
    {
        $floors = $reads = $alls = $ratios = $shares = [];
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $program = Program::fromText($text);
            $before = self::floor($text);
            $alls[] = $all = self::seconds(fn () => Verification::of($program, $this->setup));
            $floors[] = $floor = ($before + self::floor($text)) / 2;
            $ratios[] = $all / $floor;
            $reads[] = self::seconds(fn () => Interpreter::read($program, $this->setup));
            $timed = self::seconds(fn () => Verification::trace($program, $this->setup));
            $shares[] = ($all - $timed) / $timed;
        }

        return [
            ['read.ratio', self::middle($ratios), '×'],
            ['read.floorMs', self::middle($floors) * 1000, 'ms'],
            ['read.allMs', self::middle($alls) * 1000, 'ms'],
            ['read.interpretMs', self::middle($reads) * 1000, 'ms'],
            ['checks.share', self::middle($shares), 'of reading'],
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

    /** @param  callable(): mixed  $work */
    private static function seconds(callable $work): float
    {
        $start = hrtime(true);
        $work();

        return self::since($start);
    }

    /** @param  list<float>  $values  an odd number of them */
    private static function middle(array $values): float
    {
        sort($values);

        return $values[intdiv(count($values), 2)];
    }

    private static function since(int|float $start): float
    {
        return (hrtime(true) - $start) / 1e9;
    }
}
