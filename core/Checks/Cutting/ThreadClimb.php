<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread mill that does not climb its pitch in a turn, or that climbs the wrong way. */
final class ThreadClimb extends MillCheck
{
    /** Turns about one centre from which it mills the thread and does not lead in or out. */
    private const TURN = 0.95;

    /** Share of the pitch by which a climb may be off: figures are written with few decimals. */
    private const OFF = 0.02;

    /** A climb less than this is none, mm. */
    private const LEVEL = 1e-6;

    /** Arcs whose centres lie nearer than this go about one, mm. */
    private const SAME = 0.01;

    public function name(): string
    {
        return 'cutting.thread-climb';
    }

    public function why(): string
    {
        return 'The climb of each turn is the pitch of the thread, and its sense the hand. At any other climb the gauge will not go on.';
    }

    public function examine(CheckInput $input): iterable
    {
        $mills = array_filter(
            $input->setup->tooling->tools, static fn (Tool $tool): bool => $tool->kind === ToolKind::ThreadMill && $tool->geometry->pitch !== null,
        );
        $off = $level = $climbing = $left = [];
        foreach ($mills === [] ? [] : $input->trace->chunks() as $chunk) {
            foreach ($this->threads($input, $chunk) as [$line, $tool, $climb, $isLeft]) {
                $pitch = $mills[$tool]->geometry->pitch ?? null;
                if ($pitch === null) {
                    continue;
                }
                if ($climb < self::LEVEL) {
                    $level[$tool][$line] = true;
                } elseif (abs($climb - $pitch) > self::OFF * $pitch) {
                    $off[$tool][$line] ??= $climb;
                } else {
                    $climbing[$tool] = true;
                    if ($isLeft) {
                        $left[$tool][$line] = true;
                    }
                }
            }
        }
        foreach ($left === [] || $this->isLeftMeant($input) ? [] : $left as $tool => $lines) {
            yield new Finding(
                $this->name(), Severity::Caution, array_key_first($lines), 1, 'T{tool} mills a left-hand thread.', ['tool' => $tool],
                'For a right-hand thread go up counter-clockwise, or down clockwise. If left-hand is meant, say so in a comment.',
                array_keys($lines),
            );
        }
        foreach ($off as $tool => $climbs) {
            yield $this->finding(
                $input, $tool, Severity::Stop, 'T{tool} climbs {climb} a turn; its pitch is {pitch}.', array_keys($climbs),
                ['climb' => Quantity::length(reset($climbs))],
            );
        }
        // A thread mill with a chamfer goes round level with that; it has climbed its pitch elsewhere then.
        foreach (array_diff_key($level, $off, $climbing) as $tool => $lines) {
            yield $this->finding($input, $tool, Severity::Caution, 'T{tool} circles without climbing; its pitch is {pitch}.', array_keys($lines));
        }
    }

    /**
     * @param  non-empty-list<int>  $lines
     * @param  array<string, Quantity>  $figures
     */
    private function finding(CheckInput $input, int $tool, Severity $severity, string $text, array $lines, array $figures = []): Finding
    {
        return new Finding(
            $this->name(), $severity, $lines[0], 1, $text, $figures + [
                'tool' => $tool, 'pitch' => Quantity::length($input->setup->tooling->tools[$tool]->geometry->pitch ?? 0.0),
            ],
            'Climb one pitch a turn, half of it in half a turn; or correct the pitch in the setup.', $lines,
            field: $input->toolField($tool, 'pitch'),
        );
    }

    /** Whether the program or a tool's name speaks of a left-hand thread. */
    private function isLeftMeant(CheckInput $input): bool
    {
        $names = array_map(static fn (Tool $tool): string => $tool->name, $input->setup->tooling->tools);

        return preg_match('/\bL\.?H\b|left.?hand/i', $input->trace->sources->main->text."\n".implode("\n", $names)) === 1;
    }

    /**
     * @return iterable<array{int, int, float, bool}> place where a tool sets out on arcs about one centre that make a turn, the tool, its climb a turn,
     *                                                mm, and whether the thread is left-hand
     */
    private function threads(CheckInput $input, Chunk $chunk): iterable
    {
        $index = $input->setup->machine->axisIndex;
        $arcs = $chunk->arcRows();
        for ($arc = 0, $last = count($arcs); $arc < $last; $arc = $next) {
            $state = $input->trace->states[$chunk->states()[$arcs[$arc]]];
            $turns = abs($chunk->arcSweep()[$arc]) / 360.0;
            $goesOn = fn (int $next): bool => $next < $last && $arcs[$next] === $arcs[$next - 1] + 1 && $this->areAboutOne($chunk, $arc, $next);
            for ($next = $arc + 1; $turns < self::TURN && $goesOn($next); $next++) {
                $turns += abs($chunk->arcSweep()[$next]) / 360.0;
            }
            $normal = $index[$state->modes->plane->normal()] ?? null;
            if ($turns >= self::TURN && $normal !== null) {
                $from = $chunk->axis($normal)[$arcs[$arc] - 1] ?? $chunk->before[$normal];
                $climb = ($chunk->axis($normal)[$arcs[$arc] + $next - $arc - 1] - $from) / $turns;
                // Seen from above, counter-clockwise and up is a right-hand helix; so is clockwise and down.
                $isLeft = $state->modes->plane->normal() === AxisName::Z && $climb * $chunk->arcSweep()[$arc] < 0.0;
                yield [$chunk->lines()[$arcs[$arc]], $state->tool, abs($climb), $isLeft];
            }
        }
    }

    private function areAboutOne(Chunk $chunk, int $arc, int $other): bool
    {
        return hypot($chunk->arcFirst()[$other] - $chunk->arcFirst()[$arc], $chunk->arcSecond()[$other] - $chunk->arcSecond()[$arc]) < self::SAME;
    }
}
