<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Checks\Question;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Interpreter\Rereading;
use OakTrace\Core\Kinematics\Tip;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Units;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\LineHeights;
use OakTrace\Core\Verification;

/** Everything the bench shows about a program, in one answer. */
final class BenchAnswer
{
    /**
     * The head and the columns as one body, see PackedColumns. Columns are those of DrawingColumns, and for each text
     * (0 the program, 1 and on those it calls) heightZ0, heightLowest0, heightTool0, heightMarks0, heightSeconds0 by line, see LineHeights.
     *
     * @param  Rereading|null  $kept  of the reading before
     * @param  Units|null  $asked  units of everything; those of the setup and of the program where not given
     * @param  ChunkReader|null  $watch  shown the rows on the way, where nothing is kept
     */
    public static function of(string $text, Setup $setup, ?Rereading $kept = null, ?Units $asked = null, ?ChunkReader $watch = null): string
    {
        $units = $asked ?? $setup->units;
        $verification = Verification::of(Program::fromText($text), $setup, $kept, $watch);
        $words = new StateWords($setup, $asked);
        $others = $verification->trace->library->others();
        $columns = DrawingColumns::of($verification->trace, $setup, $units);
        foreach ([$verification->program, ...array_column($others, 1)] as $number => $program) {
            self::addHeights($columns, $number, $verification, $program, $units);
        }

        return $columns->body([
            'result' => CheckResult::of($verification, units: $asked),
            'questions' => self::questions(),
            'texts' => array_map(static fn (array $other): array => ['name' => $other[0], 'text' => $other[1]->text], $others),
            'scene' => self::scene($setup, $verification, $units),
            'states' => array_map($words->of(...), $verification->trace->states),
        ]);
    }

    /**
     * The questions in their order, and whether any check looks at them yet.
     *
     * @return list<array{question: string, looked: bool}>
     */
    private static function questions(): array
    {
        $looked = array_map(static fn (Check $check): Question => Question::of($check->name()), CheckCatalogue::all());

        return array_map(static fn (Question $question): array => ['question' => $question->value, 'looked' => in_array($question, $looked, true)], Question::cases());
    }

    private static function addHeights(PackedColumns $columns, int $number, Verification $verification, Program $text, Units $units): void
    {
        $machine = $verification->setup->machine;
        $heights = LineHeights::of($verification->trace, $machine->axisIndex[$machine->lengthAxis()] ?? null, $text);
        $unit = $units->millimetres();
        $scaled = static fn (array $lengths): array => $unit === 1.0 ? $lengths : array_map(static fn (float $length): float => $length / $unit, $lengths);
        foreach (['Z' => [ColumnType::F32, $scaled($heights->z)], 'Lowest' => [ColumnType::F32, $scaled($heights->lowest)], 'Tool' => [ColumnType::U16, $heights->tool], 'Marks' => [ColumnType::U8, $heights->marks], 'Seconds' => [ColumnType::F32, $heights->seconds]] as $name => [$type, $values]) {
            $columns->open("height{$name}{$number}", $type);
            $columns->add("height{$name}{$number}", $values);
        }
    }

    /**
     * What stands still: the stock, the zero the drawing is made about, the travel around it, the tools.
     *
     * @return array<string, mixed>
     */
    private static function scene(Setup $setup, Verification $verification, Units $units): array
    {
        $unit = $units->millimetres();
        $scaled = static fn (array $values): array => array_map(static fn (float $value): float => round($value / $unit, 6), $values);
        $tip = Tip::inPart($setup);
        $zero = $setup->machine->ordered($setup->workOffsets[$tip->workOffset] ?? []);
        $travel = [];
        foreach ($setup->machine->axisNames as $axis => $name) {
            $limits = $setup->machine->axes[$name];
            if ($limits->min !== null && $limits->max !== null) {
                $travel[$name] = $scaled([$limits->min - $zero[$axis], $limits->max - $zero[$axis]]);
            }
        }
        $tools = [];
        foreach ($setup->tools as $tool) {
            $tools[$tool->number] = ['name' => $tool->name, 'diameter' => $tool->diameter === null ? null : round($tool->diameter / $unit, 6), 'point' => round($tool->pointLength() / $unit, 6)];
        }

        return [
            'units' => $units->value,
            'decimals' => $units->decimals(),
            'axes' => $setup->machine->axisNames,
            'work' => $tip->workOffset,
            'stock' => $setup->stock === null ? null : ['min' => $scaled($setup->stock->min), 'max' => $scaled($setup->stock->max)],
            'obstacles' => array_map(static fn (Obstacle $obstacle): array => ['name' => $obstacle->name, 'min' => $scaled(self::seenFrom($setup, $tip->workOffset, $obstacle->workOffset, $obstacle->min)), 'max' => $scaled(self::seenFrom($setup, $tip->workOffset, $obstacle->workOffset, $obstacle->max))], $setup->obstacles),
            'zero' => (object) array_combine($setup->machine->axisNames, $scaled($zero)),
            'mayMove' => (object) self::mayMove($verification, $tip->workOffset, $unit),
            'clearance' => $setup->clearance === null ? null : round($setup->clearance / $unit, 6),
            'travel' => (object) $travel,
            'tools' => (object) $tools,
        ];
    }

    /**
     * How far the zero of the drawing may move on each axis for everything to fit, seen from where it stands.
     *
     * @return array<string, array{float|null, float|null}|null>
     */
    private static function mayMove(Verification $verification, string $work, float $unit): array
    {
        $ranges = [];
        foreach (array_keys($verification->evidence->reach->work[$work] ?? []) as $axis) {
            $range = $verification->evidence->reach->fit($work, $axis);
            $zero = $verification->setup->workOffsets[$work][$axis] ?? 0.0;
            $ranges[$axis] = $range === null ? null : array_map(static fn (float $end): ?float => is_infinite($end) ? null : round(($end - $zero) / $unit, 6), $range);
        }

        return $ranges;
    }

    /**
     * A point of one work offset in the coordinates of another, mm.
     *
     * @param  array{float, float, float}  $point
     * @return list<float>
     */
    private static function seenFrom(Setup $setup, string $here, string $there, array $point): array
    {
        $shift = static fn (string $work, int $i): float => $setup->workOffsets[$work][['X', 'Y', 'Z'][$i]] ?? 0.0;

        return array_map(static fn (float $value, int $i): float => $value + $shift($there, $i) - $shift($here, $i), $point, [0, 1, 2]);
    }
}
