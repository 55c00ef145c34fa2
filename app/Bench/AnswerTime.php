<?php

declare(strict_types=1);

namespace App\Bench;

use App\Checking\BenchAnswer;
use App\Checking\SimulatedStock;
use OakTrace\Core\Setup\Setup;

/** What the bench's answer costs beside the core's own work, for a program of usual size. */
final class AnswerTime
{
    private const BLOCKS = 2000;

    private const TURNS = 5;

    /** @return list<array{string, float, string}> */
    public static function figures(Setup $setup): array
    {
        $text = LongProgram::text(self::BLOCKS);
        $answer = INF;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $start = hrtime(true);
            BenchAnswer::of($text, $setup, SimulatedStock::of($setup, $text));
            $answer = min($answer, (hrtime(true) - $start) / 1e6);
        }

        return [['answer.ms', $answer, 'ms']];
    }
}
