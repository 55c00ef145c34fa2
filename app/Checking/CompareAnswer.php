<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Compare\Comparison;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\DrawingColumns;
use OakTrace\Core\Formats\StateWords;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Trace;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;

/** Two texts of a program side by side, as text and as motion. */
final class CompareAnswer
{
    /** As many of the greatest changes are told by line. */
    private const MOST_TOLD = 200;

    /**
     * The columns of the second text as DrawingColumns has them, those of the first named `was.…`; `change` (one value a row,
     * see Change), `by` (how far it went) and `other` (1 + the row it was, 0 for none), and `was.change` of the first; `gaps`
     * are the rows before which moves have gone.
     */
    public static function of(string $before, string $after, Setup $setup, ?Units $asked = null): string
    {
        $units = $asked ?? $setup->units;
        [$was, $is] = array_map(
            static fn (string $text): Verification => Verification::of(Program::fromText($text), $setup, stock: SimulatedStock::of($setup, $text)),
            [$before, $after],
        );
        $comparison = Comparison::of($was, $is);
        $columns = DrawingColumns::of($is->trace, $setup, $units);
        $columns->include(DrawingColumns::of($was->trace, $setup, $units), 'was.');
        [$change, $by, $other] = [array_fill(0, $is->trace->rows(), 0), array_fill(0, $is->trace->rows(), 0.0), array_fill(0, $is->trace->rows(), 0)];
        foreach ($comparison->after as $row => $found) {
            $change[$row] = $found['change']->value;
            $by[$row] = $found['by'] / $units->millimetres();
            $other[$row] = 1 + ($found['other'] ?? -1);
        }
        $wasChange = array_fill(0, $was->trace->rows(), 0);
        foreach ($comparison->before as $row => $found) {
            $wasChange[$row] = $found->value;
        }
        foreach ([
            'change' => [ColumnType::U8, $change], 'by' => [ColumnType::F32, $by], 'other' => [ColumnType::U32, $other],
            'gaps' => [ColumnType::U32, $comparison->gaps], 'was.change' => [ColumnType::U8, $wasChange],
        ] as $name => [$type, $values]) {
            $columns->open($name, $type);
            $columns->add($name, $values);
        }
        $words = new StateWords($setup, $asked);
        $wording = new Wording($asked ?? $is->trace->end->modes->units);
        $told = static fn (array $findings, Trace $trace): array => array_map(
            static fn (Finding $finding): array => [
                'severity' => $finding->severity->value, 'line' => $trace->sources->mainLine($finding->line), 'text' => $wording->text($finding),
            ],
            $findings,
        );
        $summary = static function (Verification $verification) use ($words, $units, $asked): array {
            $result = CheckResult::of($verification, units: $asked);

            return [
                'verdict' => $result['verdict'], 'seconds' => $result['summary']['seconds'], 'reach' => $result['summary']['reach'],
                'scene' => Scene::of($verification, $units), 'states' => array_map($words->of(...), $verification->trace->states),
            ];
        };

        return $columns->body([
            'was' => $summary($was),
            'is' => $summary($is),
            'lines' => ['changed' => $comparison->lines->changed, 'added' => $comparison->lines->added, 'removed' => $comparison->lines->removed],
            'counts' => $comparison->counts(),
            'changes' => self::changes($comparison, $is->trace, $units),
            'newFindings' => $told($comparison->newFindings, $is->trace),
            'goneFindings' => $told($comparison->goneFindings, $was->trace),
        ]);
    }

    /**
     * The lines whose motion has changed, in their order, each by the move that went furthest; the greatest where there are too many.
     *
     * @return list<array{line: int, row: int, change: int, by: float}>
     */
    private static function changes(Comparison $comparison, Trace $trace, Units $units): array
    {
        $lines = [];
        foreach ($trace->chunks() as $chunk) {
            foreach ($chunk->lines() as $row => $place) {
                $found = $comparison->after[$chunk->first + $row] ?? null;
                $line = $trace->sources->mainLine($place);
                if ($found !== null && $found['by'] >= ($lines[$line]['by'] ?? -1.0)) {
                    $lines[$line] = ['line' => $line, 'row' => $chunk->first + $row, 'change' => $found['change']->value, 'by' => $found['by']];
                }
            }
        }
        usort($lines, static fn (array $one, array $other): int => $other['by'] <=> $one['by'] ?: $one['line'] <=> $other['line']);

        $told = array_slice($lines, 0, self::MOST_TOLD);
        usort($told, static fn (array $one, array $other): int => $one['line'] <=> $other['line']);

        return array_map(static fn (array $line): array => ['by' => round($line['by'] / $units->millimetres(), 6)] + $line, $told);
    }
}
