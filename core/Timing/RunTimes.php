<?php

declare(strict_types=1);

namespace OakTrace\Core\Timing;

use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** How long a run takes, tool by tool and operation by operation, as programmed and with the overrides turned. Seconds. */
final class RunTimes implements ChunkReader
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
    private array $operations = [];

    /** @var list<array{int, string}> */
    private readonly array $headings;

    // Lines from here to before there are under the heading found last.

    private readonly int $end;

    private int $from = 0;

    private int $until = 0;

    private ?int $heading = null;

    private ?int $tool = null;

    /** @var array<int, int> heading => the tool that ran under it last */
    private array $toolUnder = [];

    private bool $cuts = false;

    private readonly ?Timer $turned;

    /** @param  float  $rapidOverride 1 for the full rate */
    public function __construct(private readonly SourceMap $sources, Machine $machine, float $rapidOverride = 1.0, float $feedOverride = 1.0)
    {
        $this->turned = $rapidOverride === 1.0 && $feedOverride === 1.0 ? null : new Timer($machine, $rapidOverride, $feedOverride);
        $this->headings = self::headings($sources->main);
        $this->end = $sources->main->lineCount() + 1;
    }

    /** Of a trace that is timed already. */
    public static function of(Trace $trace, Machine $machine, float $rapidOverride = 1.0, float $feedOverride = 1.0): self
    {
        $times = new self($trace->sources, $machine, $rapidOverride, $feedOverride);
        $trace->show($times);

        return $times;
    }

    /** @param  Chunk  $chunk  timed already */
    public function read(Chunk $chunk, array $states, array $details): void
    {
        $numbers = $chunk->states();
        $kinds = $chunk->kinds();
        $seconds = $chunk->seconds();
        $overridden = $this->turned?->times($chunk, $states, $details)[1] ?? $seconds;
        $sum = $turnedSum = 0.0;
        [$tool, $from, $until, $cuts] = [$this->tool, $this->from, $this->until, $this->cuts];
        $number = 0;
        $lastState = -1;
        $lines = $chunk->lines();
        if (
            $cuts && $lines !== [] && $numbers !== [] && min($lines) >= $from && max($lines) < $until && min($numbers) === max($numbers)
            && $states[$numbers[0]]->tool === $tool
        ) {
            $this->add($tool, array_sum($seconds), array_sum($overridden)); // in the middle of an operation, as most of a long one is

            return;
        }
        foreach ($lines as $row => $at) {
            if ($numbers[$row] !== $lastState) {
                $lastState = $numbers[$row];
                $number = $states[$lastState]->tool;
            }
            if ($number !== $tool || $at < $from || $at >= $until) {
                $this->add($tool ?? $number, $sum, $turnedSum);
                $sum = $turnedSum = 0.0;
                [$this->tool, $this->cuts] = [$tool, $cuts];
                $this->comeTo($at, $number);
                [$tool, $from, $until, $cuts] = [$this->tool, $this->from, $this->until, $this->cuts];
            }
            $cuts = $cuts || $kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC;
            $sum += $seconds[$row];
            $turnedSum += $overridden[$row];
        }
        $this->add($tool ?? 0, $sum, $turnedSum);
        [$this->tool, $this->cuts] = [$tool, $cuts];
    }

    /** Where another operation may begin: under another heading, or with another tool. */
    private function comeTo(int $place, int $tool): void
    {
        $found = $this->headingOf($place);
        [$this->from, $this->until] = [$this->headings[$found][0] ?? 1, $this->headings[$found + 1][0] ?? $this->end];
        if ($tool === $this->tool && $found < $this->heading && ($this->toolUnder[$found] ?? $tool) !== $tool) {
            $found = $this->heading; // blocks of another tool's operation, run once more: a shape that is finished
        }
        if ($found === $this->heading && ! $this->cuts && $tool !== $this->tool) {
            $this->relabel($tool); // the tool the heading spoke of has come in
        } elseif ($found !== $this->heading || $tool !== $this->tool) {
            $this->cuts = false;
            $this->heading = $found;
            $this->operations[] = [
                'line' => $this->headings[$found][0] ?? $this->sources->mainLine($place), 'name' => $this->headings[$found][1] ?? '',
                'tool' => $tool, 'seconds' => 0.0, 'overridden' => 0.0,
            ];
        }
        $this->tool = $this->toolUnder[$found] = $tool;
    }

    /** @return list<array{line: int, name: string, tool: int, seconds: float, overridden: float}> those that take time */
    public function operations(): array
    {
        return array_values(array_filter($this->operations, static fn (array $operation): bool => $operation['seconds'] > 0.0));
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

    /** Of a called program its own, or else that of the block that called it; −1 where there is none. */
    private function headingOf(int $place): int
    {
        $found = self::headingBefore($this->headings, $this->sources->mainLine($place));
        $first = $this->sources->isInMain($place) ? $this->sources->first($place) : null;
        $from = $this->sources->from($place);

        return $first === null || $from === null || ($this->headings[$found][0] ?? 0) > $first ? $found : $this->headingOf($from);
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
