<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** How long a run takes, tool by tool and operation by operation, as programmed and with the overrides turned. Seconds. */
final class RunTimes
{
    public float $seconds = 0.0;

    public float $overridden = 0.0;

    /** @var array<int, array{float, float}> tool => seconds, and with the overrides */
    public array $tools = [];

    /**
     * A new operation begins with a comment that has a line to itself, and with a tool change after something was cut.
     *
     * @var list<array{line: int, name: string, tool: int, seconds: float, overridden: float}>
     */
    public array $operations = [];

    private function __construct()
    {
    }

    /** @param  float  $rapidOverride 1 for the full rate */
    public static function of(Trace $trace, Program $program, Machine $machine, float $rapidOverride = 1.0, float $feedOverride = 1.0): self
    {
        $times = new self;
        $turned = $rapidOverride === 1.0 && $feedOverride === 1.0 ? null : new Timer($machine, $rapidOverride, $feedOverride);
        $headings = self::headings($program);
        // Lines from here to before there are under the heading found last.
        [$from, $until] = [0, 0];
        $heading = $tool = null;
        $cuts = false;
        $last = $program->lineCount() + 1;
        foreach ($trace->chunks() as $chunk) {
            $states = $chunk->states();
            $kinds = $chunk->kinds();
            $seconds = $chunk->seconds();
            $overridden = $turned?->times($chunk, $trace->states, $trace->details)[1] ?? $seconds;
            $sum = $turnedSum = 0.0;
            foreach ($chunk->lines() as $row => $at) {
                $number = $trace->states[$states[$row]]->tool;
                if ($number !== $tool || $at < $from || $at >= $until) {
                    $times->add($tool ?? $number, $sum, $turnedSum);
                    $sum = $turnedSum = 0.0;
                    $found = self::headingBefore($headings, $trace->library->mainLine($at));
                    [$from, $until] = [$headings[$found][0] ?? 1, $headings[$found + 1][0] ?? $last];
                    if ($found === $heading && ! $cuts && $number !== $tool) {
                        $tool = $number; // the tool the heading spoke of has come in
                        $times->relabel($tool);
                    } elseif ($found !== $heading || $number !== $tool) {
                        $cuts = false;
                        $heading = $found;
                        $tool = $number;
                        $times->operations[] = ['line' => $headings[$found][0] ?? $trace->library->mainLine($at), 'name' => $headings[$found][1] ?? '', 'tool' => $tool, 'seconds' => 0.0, 'overridden' => 0.0];
                    }
                }
                $cuts = $cuts || $kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC;
                $sum += $seconds[$row];
                $turnedSum += $overridden[$row];
            }
            $times->add($tool ?? 0, $sum, $turnedSum);
        }
        $times->operations = array_values(array_filter($times->operations, static fn (array $operation): bool => $operation['seconds'] > 0.0));

        return $times;
    }

    private function relabel(int $tool): void
    {
        $last = array_pop($this->operations);
        if ($last !== null) {
            $this->operations[] = ['tool' => $tool] + $last;
        }
    }

    private function add(int $tool, float $seconds, float $overridden): void
    {
        $this->seconds += $seconds;
        $this->overridden += $overridden;
        $before = $this->tools[$tool] ?? [0.0, 0.0];
        $this->tools[$tool] = [$before[0] + $seconds, $before[1] + $overridden];
        $last = array_pop($this->operations);
        if ($last !== null) {
            $last['seconds'] += $seconds;
            $last['overridden'] += $overridden;
            $this->operations[] = $last;
        }
    }

    /** @return list<array{int, string}> line and text of every comment that has a line to itself */
    private static function headings(Program $program): array
    {
        preg_match_all('/^[ \t]*(?:N\d+[ \t]*)?\(([^)\n]*)\)[ \t\r]*$/mi', $program->text, $match, PREG_OFFSET_CAPTURE);
        $headings = [];
        $line = 1;
        $seen = 0;
        foreach ($match[1] as [$text, $offset]) {
            $line += substr_count($program->text, "\n", $seen, $offset - $seen);
            $seen = $offset;
            $headings[] = [$line, mb_strimwidth(mb_scrub(trim($text), 'UTF-8'), 0, 80, '…', 'UTF-8')];
        }

        return $headings;
    }

    /** @param  list<array{int, string}>  $headings */
    private static function headingBefore(array $headings, int $line): int
    {
        $low = 0;
        $high = count($headings);
        while ($low < $high) {
            $middle = intdiv($low + $high, 2);
            $headings[$middle][0] <= $line ? $low = $middle + 1 : $high = $middle;
        }

        return $low - 1;
    }
}
