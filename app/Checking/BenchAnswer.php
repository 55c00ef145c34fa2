<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Formats\PartPath;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\LineHeights;
use OakTrace\Core\Trace\Patience;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Question;

/** Everything the bench shows about a program, in one answer. */
final class BenchAnswer
{
    /**
     * The head and the columns as one body, see PackedColumns. Columns are those of DrawingColumns, and for each text
     * (0 the program, 1 and on those it calls) heightZ0, heightLowest0, heightTool0, heightMarks0, heightSeconds0 by line, see LineHeights; where the stock
     * was simulated also cutDepth, cutWidth, cutAngle, cutVolume, cutAir, cutMarks, cutPower, cutChip by row, see Engagement.
     *
     * @param  StockRun|ResumedStockRun|null  $stock  to take the moves out of
     * @param  ReadingMemory|null  $kept  of the reading before
     * @param  Units|null  $asked  units of everything; those of the setup and of the program where not given
     * @param  ChunkReader|null  $watch  shown the rows too, on the way where nothing is kept
     * @param  Patience|null  $patience  whoever waits for it
     */
    public static function of(
        string $text, Setup $setup, StockRun|ResumedStockRun|null $stock, ?ReadingMemory $kept = null, ?Units $asked = null, ?ChunkReader $watch = null,
        ?Patience $patience = null,
    ): string {
        $units = $asked ?? $setup->units;
        $axis = $setup->machine->axisIndex[$setup->machine->lengthAxis()] ?? null;
        $drawing = $heights = null;
        $verification = Verification::of($program = Program::fromText($text), $setup, $kept, static function (SourceMap $sources) use (
            $program, $setup, $units, $axis, $watch, &$drawing, &$heights,
        ): array {
            $drawing = new DrawingColumns($sources, $setup, $units);
            $heights = new LineHeights($sources, $axis, $program, $setup->machine->axisIndex);

            return [$drawing, $heights, ...($watch === null ? [] : [$watch])];
        }, $stock, $patience);
        /** @var DrawingColumns $drawing */
        /** @var LineHeights $heights */
        $words = new StateWords($setup, $asked);
        $others = $verification->trace->sources->others();
        $columns = $drawing->columns();
        PartPath::add($columns, $setup, $units);
        self::addHeights($columns, 0, $heights, $units);
        self::addCuts($columns, $verification->input->stock, $units);
        foreach (array_column($others, 1) as $number => $other) {
            self::addHeights($columns, $number + 1, LineHeights::of($verification->trace, $axis, $other, $setup->machine->axisIndex), $units);
        }

        $result = CheckResult::of($verification, units: $asked);

        return $columns->body([
            'result' => $result,
            'questions' => self::questions($setup->machine),
            'whys' => self::whys($result['findings']),
            'texts' => array_map(static fn (array $other): array => ['name' => $other[0], 'text' => $other[1]->text], $others),
            'scene' => Scene::of($verification, $units),
            'states' => array_map($words->of(...), $verification->trace->states),
        ]);
    }

    private static function addCuts(PackedColumns $columns, ?StockRun $stock, Units $units): void
    {
        if ($stock === null) {
            return;
        }
        foreach (['Depth' => 1, 'Width' => 1, 'Volume' => 3, 'Angle' => 0, 'Air' => 0, 'Marks' => 0, 'Power' => 0, 'Chip' => 1] as $name => $power) {
            $unit = $name === 'Power' ? 1 / Quantity::power(1.0)->in($units) : $units->millimetres() ** $power;
            $values = $stock->engagement->column(strtolower($name));
            $columns->open("cut{$name}", $name === 'Air' || $name === 'Marks' ? ColumnType::U8 : ColumnType::F32);
            $columns->add("cut{$name}", $unit === 1.0 ? $values : array_map(static fn (float $value): float => $value / $unit, $values));
        }
    }

    /**
     * The questions in their order, and whether any check looks at them on such a machine.
     *
     * @return list<array{question: string, looked: bool}>
     */
    private static function questions(Machine $machine): array
    {
        $looked = array_map(static fn (Check $check): Question => Question::of($check->name()), CheckCatalogue::for($machine));

        return array_map(
            static fn (Question $question): array => ['question' => $question->value, 'looked' => in_array($question, $looked, true)],
            Question::cases(),
        );
    }

    /**
     * Why what was found matters, by check.
     *
     * @param  list<array<string, mixed>>  $findings
     * @return array<string, string>
     */
    private static function whys(array $findings): array
    {
        $found = array_fill_keys(array_column($findings, 'check'), true);
        $whys = [];
        foreach (CheckCatalogue::all() as $check) {
            if (isset($found[$check->name()])) {
                $whys[$check->name()] = $check->why();
            }
        }

        return $whys;
    }

    private static function addHeights(PackedColumns $columns, int $number, LineHeights $heights, Units $units): void
    {
        $unit = $units->millimetres();
        $scaled = static fn (array $lengths): array => $unit === 1.0 ? $lengths : array_map(static fn (float $length): float => $length / $unit, $lengths);
        foreach ([
            'Z' => [ColumnType::F32, $scaled($heights->z)], 'Lowest' => [ColumnType::F32, $scaled($heights->lowest)],
            'Tool' => [ColumnType::U16, $heights->tool], 'Marks' => [ColumnType::U8, $heights->marks],
            'Seconds' => [ColumnType::F32, $heights->seconds],
        ] as $name => [$type, $values]) {
            $columns->open("height{$name}{$number}", $type);
            $columns->add("height{$name}{$number}", $values);
        }
    }
}
