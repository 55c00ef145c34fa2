<?php

declare(strict_types=1);

namespace App\Bench;

use App\Checking\BenchAnswer;
use App\Models\Machine;
use App\Models\Setup as SetupRecord;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Verification;

/** A lathe: a long contour read and checked, a bar of 5000 cells cut by 2000 moves, and the wait for a program of the demo. */
final readonly class TurnSpeed
{
    private const BLOCKS = 100_000;

    private const MOVES = 2_000;

    private const TURNS = 5;

    public function __construct(private SetupFile $files)
    {
    }

    /** @return list<array{string, float, string}> name, value, unit */
    public function figures(): array
    {
        $setup = $this->setup();
        $bare = $setup->emptied();
        $ratio = array_column((new ReadSpeed($bare))->speed(self::contour(self::BLOCKS)), 1, 0)['read.ratio'] ?? 0.0;
        $trace = Verification::trace(Program::fromText(self::contour(self::MOVES)), $setup);
        $text = (string) file_get_contents(database_path('demo/O2110.nc'));
        $stock = $answer = INF;
        for ($turn = 0; $turn < self::TURNS; $turn++) {
            $start = hrtime(true);
            $trace->show(TurnedStock::in($setup) ?? throw new \LogicException('The setup of the bench has no bar.'));
            $stock = min($stock, (hrtime(true) - $start) / 1e6);
            $start = hrtime(true);
            BenchAnswer::of($text, $setup, null, new ReadingMemory, Units::Millimetre);
            $answer = min($answer, (hrtime(true) - $start) / 1e6);
        }

        return [['turn.readRatio', $ratio, '×'], ['turn.stockMs', $stock, 'ms'], ['turn.answerMs', $answer, 'ms']];
    }

    private function setup(): Setup
    {
        /** @var array<string, object> $machines */
        $machines = get_object_vars((object) json_decode((string) file_get_contents(database_path('demo/machines.json'))));
        /** @var array{stock: array<string, mixed>} $file */
        $file = json_decode((string) file_get_contents(database_path('demo/setup-2110.json')), true);
        $document = (object) (['stock' => ['length' => 99.0] + $file['stock']] + $file);
        $machine = new Machine;
        $machine->definition = $machines['Hazel'];

        return $this->files->read(SetupRecord::join($document, $machine));
    }

    /** A shape of short lines along the bar, again and again a little deeper. */
    private static function contour(int $blocks): string
    {
        $lines = ['G21 G99 G40', 'T0101', 'G50 S2200', 'G96 S220 M3', 'G0 X64. Z2.'];
        for ($block = count($lines); $block < $blocks; $block++) {
            $step = $block % 200;
            $lines[] = $step === 0 ? 'G0 X64. Z2.' : sprintf(
                '%sX%.3f Z%.3f%s', $step === 1 ? 'G1 ' : '', 58 - 20 * intdiv($block, 200) / ($blocks / 200) + 0.8 * sin($step / 9), -0.2 * $step,
                $step === 1 ? ' F0.2' : '',
            );
        }

        return implode("\n", $lines)."\n";
    }
}
