<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Timing\RunTimes;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Row;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;

/**
 * What whole programs do, line by line, as it was read and cut when it was last looked at: where the axes go, how far and how long, what is
 * cut, what is told. That the figures are right is shown elsewhere; here no other change may move one of them unseen. Where one was meant to,
 * OAK_RECORD=1 writes the records anew, and `git diff` shows what has changed.
 */
final class Recorded
{
    /**
     * Holds some programs against their record.
     *
     * @param  string  $record  its file in Recorded/
     * @param  iterable<string, Verification>  $runs  by the name of the program
     */
    public static function expect(string $record, iterable $runs): void
    {
        $lines = [];
        foreach ($runs as $name => $run) {
            foreach (["== {$name}", ...self::of($run)] as $line) {
                array_push($lines, ...explode("\n", wordwrap($line, 150, "\n    ")));
            }
        }
        $file = __DIR__."/Recorded/{$record}.txt";
        if (getenv('OAK_RECORD') === '1') {
            file_put_contents($file, implode("\n", $lines)."\n");
        }
        $recorded = file($file, FILE_IGNORE_NEW_LINES) ?: [];
        $name = '';
        foreach ($recorded as $number => $line) {
            $name = str_starts_with($line, '== ') ? $line : $name;
            $got = $lines[$number] ?? '';
            if (! self::isLike($got, $line)) {
                expect("{$name}: {$got}")->toBe("{$name}: {$line}");
            }
        }
        expect(count($lines))->toBe(count($recorded));
    }

    /** Whether two lines are the same but for one of the last digit of a figure. */
    private static function isLike(string $one, string $other): bool
    {
        $figure = '/-?\d+\.\d+/';
        if (preg_replace($figure, '#', $one) !== preg_replace($figure, '#', $other)) {
            return false;
        }
        preg_match_all($figure, $one, $ones);
        preg_match_all($figure, $other, $others);
        foreach ($others[0] as $n => $written) {
            $last = 10 ** -(strlen($written) - strpos($written, '.') - 1);
            if (abs((float) $ones[0][$n] - (float) $written) > 1.5 * $last) {
                return false;
            }
        }

        return true;
    }

    /** @return list<string> */
    private static function of(Verification $run): array
    {
        $lines = [];
        $rows = [];
        foreach ($run->trace->each() as $row) {
            $rows[$row->line][] = $row;
        }
        foreach ($rows as $place => $ofLine) {
            $lines[] = self::line($run, $place, $ofLine);
        }
        $times = RunTimes::of($run->trace, $run->setup->machine, 0.5, 0.8);
        foreach ($times->operations() as $operation) {
            $lines[] = sprintf(
                'operation %s, T%d at line %d: %.2f s, %.2f s', $operation['name'], $operation['tool'], $operation['line'], $operation['seconds'],
                $operation['overridden'],
            );
        }
        $stock = $run->input->stock;
        $turned = $run->input->turned;
        array_push($lines, ...($stock === null ? [] : self::stock($stock)), ...($turned === null ? [] : self::turned($turned)));
        $wording = new Wording(Units::Millimetre);

        return [...$lines, ...array_map(static fn (Finding $finding): string => sprintf(
            '%s %d:%d %s %s', $finding->check, SourceMap::lineNumber($finding->line), $finding->column, $finding->severity->value, $wording->text($finding),
        ), $run->findings)];
    }

    /** @param  non-empty-list<Row>  $rows  of one line */
    private static function line(Verification $run, int $place, array $rows): string
    {
        $text = ['line '.($place >> 32).'/'.SourceMap::lineNumber($place).': '.trim($run->trace->sources->text($place)).' ->'];
        $last = $rows[count($rows) - 1];
        foreach ($last->to as $axis => $to) {
            $text[] = sprintf('%s%.3f', $run->trace->axisNames[$axis], $to + 0.0);
        }
        $kinds = array_count_values(array_map(static fn (Row $row): int => $row->kind, $rows));
        foreach ($kinds as $kind => $count) {
            $text[] = MotionKind::NAMES[$kind].' '.$count;
        }
        $text[] = sprintf('F%.3f', $last->feed);
        $text[] = sprintf('%.2f s', array_sum(array_map(static fn (Row $row): float => $row->seconds, $rows)));
        $text[] = 'marks '.array_reduce($rows, static fn (int $marks, Row $row): int => $marks | $row->marks, 0);
        $engagement = $run->input->stock?->engagement;
        foreach (['depth' => '%.2f', 'width' => '%.1f', 'angle' => '%.1f', 'volume' => '%.1f', 'power' => '%.3f', 'chip' => '%.4f'] as $name => $format) {
            $column = $engagement?->column($name) ?? [];
            $values = array_filter(array_map(static fn (Row $row): float => (float) ($column[$row->number] ?? 0.0), $rows), is_finite(...));
            $value = $values === [] ? 0.0 : ($name === 'volume' ? array_sum($values) : max($values));
            $text[] = $value === 0.0 ? '' : $name.' '.sprintf($format, $value);
        }

        return implode(' ', array_filter($text, static fn (string $part): bool => $part !== ''));
    }

    /** @return list<string> */
    private static function stock(StockRun $stock): array
    {
        $lines = [sprintf('removed %.1f, left %.1f', $stock->removed(), $stock->left())];
        foreach ($stock->bodies as $number => $body) {
            // How much stands, and where the middle of it is.
            $sums = [0.0, 0.0, 0.0];
            foreach ($body->field->heights as $cell => $height) {
                [$x, $y] = $body->field->middle($cell);
                $sums = is_finite($height) ? [$sums[0] + $height, $sums[1] + $height * $x, $sums[2] + $height * $y] : $sums;
            }
            $cells = count($body->field->heights);
            $lines[] = sprintf('body %d: %.3f high, %.2f in X, %.2f in Y', $number, ...array_map(static fn (float $sum): float => $sum / $cells, $sums));
        }
        foreach (Incident::cases() as $incident) {
            foreach (array_merge(...$stock->incidents->of($incident)) as $cut) {
                /** @var Cut $cut */
                $at = sprintf('%s: line %d T%d', $incident->value, SourceMap::lineNumber($cut->line), $cut->tool);
                $lines[] = sprintf('%s X%.2f Y%.2f Z%.2f by %.2f', $at, $cut->x, $cut->y, $cut->z, $cut->by);
            }
        }

        return $lines;
    }

    /** @return list<string> */
    private static function turned(TurnedStock $stock): array
    {
        $lines = [sprintf('turned off %.1f, left %.1f', $stock->removed(), $stock->left())];
        foreach ($stock->profile->stretches(0.25) as [$from, $to, $radii]) {
            $lines[] = vsprintf('stands Z%.2f to Z%.2f'.str_repeat(' R%.2f', count($radii)), [$from, $to, ...$radii]);
        }
        $told = [
            'rapid' => $stock->rapids, 'deepest' => $stock->deepest, 'parting' => $stock->partings, 'uncaught' => $stock->uncaught, 'air' => $stock->air,
            'from a centre' => $stock->partedFromCenter, 'behind parting' => $stock->behindParting, 'gouge' => $stock->watch->gouges,
            'uncompensated' => $stock->watch->uncompensated, 'feed' => $stock->watch->mostFeed, 'speed' => $stock->watch->fastest,
            'rubs' => $stock->watch->rubs, 'pip' => $stock->watch->pips, 'sideways' => $stock->watch->sideways, 'away' => $stock->watch->away,
            'holder' => $stock->holders->met,
            ...$stock->around->collisions,
        ];
        foreach ($told as $what => $cuts) {
            foreach (is_array($cuts) ? $cuts : [$cuts] as $cut) {
                /** @var TurnedCut $cut */
                $line = SourceMap::lineNumber($cut->place);
                $lines[] = sprintf('%s: line %d T%d Z%.2f R%.2f by %.3f', $what, $line, $cut->tool, $cut->z, $cut->x, $cut->by);
            }
        }
        foreach ($stock->threadDepths as $n => $depth) {
            $lines[] = sprintf('thread pass %d: %.3f deep, %.3f at a wall', $n, $depth ?? 0.0, $stock->threadWalls[$n] ?? 0.0);
        }

        return $lines;
    }
}
