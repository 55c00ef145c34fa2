<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Quantity;

/** A thread mill that does not climb its pitch in a turn. */
final class ThreadClimb implements Check
{
    /** Turns about one centre from which it mills the thread and does not lead in or out. */
    private const TURN = 0.95;

    /** Share of the pitch by which a climb may be off: figures are written with few decimals. */
    private const OFF = 0.02;

    /** Arcs whose centres lie nearer than this go about one, mm. */
    private const SAME = 0.01;

    public function name(): string
    {
        return 'cutting.thread-climb';
    }

    public function examine(Evidence $evidence): iterable
    {
        $mills = array_filter($evidence->setup->tools, static fn (Tool $tool): bool => $tool->kind === ToolKind::ThreadMill && $tool->pitch !== null);
        $off = [];
        foreach ($mills === [] ? [] : $evidence->trace->chunks() as $chunk) {
            foreach ($this->threads($evidence, $chunk) as [$line, $tool, $climb]) {
                $pitch = $mills[$tool]->pitch ?? null;
                if ($pitch !== null && abs($climb - $pitch) > self::OFF * $pitch) {
                    $off[$tool][$line] ??= $climb;
                }
            }
        }
        foreach ($off as $tool => $climbs) {
            $line = array_key_first($climbs);
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'T{tool} climbs {climb} in a turn; its pitch is {pitch}.',
                ['tool' => $tool, 'climb' => Quantity::length($climbs[$line]), 'pitch' => Quantity::length($mills[$tool]->pitch ?? 0.0)],
                'Climb the pitch in each whole turn, half of it in half a turn; or give the right pitch in the setup.', array_slice(array_keys($climbs), 1),
                field: $evidence->toolField($tool, 'pitch'),
            );
        }
    }

    /** @return iterable<array{int, int, float}> place where a tool sets out on arcs about one centre that make a turn, the tool, and its climb a turn, mm */
    private function threads(Evidence $evidence, Chunk $chunk): iterable
    {
        $index = $evidence->setup->machine->axisIndex;
        $arcs = $chunk->arcRows();
        for ($arc = 0, $last = count($arcs); $arc < $last; $arc = $next) {
            $state = $evidence->trace->states[$chunk->states()[$arcs[$arc]]];
            for ($next = $arc + 1; $next < $last && $arcs[$next] === $arcs[$next - 1] + 1 && $this->areAboutOne($chunk, $arc, $next);) {
                $next++;
            }
            $turns = array_sum(array_map(abs(...), array_slice($chunk->arcSweep(), $arc, $next - $arc))) / 360.0;
            $normal = $index[$state->plane->normal()] ?? null;
            if ($turns >= self::TURN && $normal !== null) {
                $from = $chunk->axis($normal)[$arcs[$arc] - 1] ?? $chunk->before[$normal];
                yield [$chunk->lines()[$arcs[$arc]], $state->tool, abs($chunk->axis($normal)[$arcs[$arc] + $next - $arc - 1] - $from) / $turns];
            }
        }
    }

    private function areAboutOne(Chunk $chunk, int $arc, int $other): bool
    {
        return hypot($chunk->arcFirst()[$other] - $chunk->arcFirst()[$arc], $chunk->arcSecond()[$other] - $chunk->arcSecond()[$arc]) < self::SAME;
    }
}
