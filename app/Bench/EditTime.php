<?php

declare(strict_types=1);

namespace App\Bench;

use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;

/** How much sooner the verdict on a long program is there after an edit of one line than when all of it is read. */
final class EditTime
{
    private const BLOCKS = 20_000;

    private const TURNS = 3;

    /** Where the edited lines lie, as shares of the text. */
    private const PLACES = [0.05, 0.35, 0.65, 0.95];

    /** @return list<array{string, float, string}> */
    public static function figures(Setup $setup): array
    {
        $text = LongProgram::text(self::BLOCKS);
        $whole = $again = 0.0;
        foreach (self::PLACES as $place) {
            $edited = self::edited($text, (int) (self::BLOCKS * $place));
            $best = [INF, INF];
            for ($turn = 0; $turn < self::TURNS; $turn++) {
                $kept = new ReadingMemory;
                Verification::of(Program::fromText($text), $setup, $kept);
                $best = [min($best[0], self::time($edited, $setup, new ReadingMemory)), min($best[1], self::time($edited, $setup, $kept))];
            }
            $whole += $best[0];
            $again += $best[1];
        }

        return [
            ['edit.gain', $whole / $again, '×'],
            ['edit.wholeMs', $whole / count(self::PLACES), 'ms'],
            ['edit.againMs', $again / count(self::PLACES), 'ms'],
        ];
    }

    private static function time(string $text, Setup $setup, ReadingMemory $kept): float
    {
        $start = hrtime(true);
        Verification::of(Program::fromText($text), $setup, $kept);

        return (hrtime(true) - $start) / 1e6;
    }

    /** Another X in a line. */
    private static function edited(string $text, int $line): string
    {
        $lines = explode("\n", $text);
        $lines[$line] = (string) preg_replace('/X[-\d.]+/', 'X0.125', $lines[$line]);

        return implode("\n", $lines);
    }
}
