<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Trace\Trace;

/** The lines a change of text is for, and what is in force in them. */
final class Scope
{
    /** Letters whose number means least increments where it has no point. */
    private const ON_SCALE = 'XYZUVWABCIJKRQ';

    /** @var array<int, array{int, bool}>|null line => tool and whether positions are absolute, where the line moves */
    private ?array $states = null;

    /** @param  Trace  $trace  of the program, for what is in force in its lines */
    public function __construct(
        public readonly Program $program, public readonly ControlProfile $control, private readonly Trace $trace, private readonly int $from = 1,
        private readonly ?int $to = null,
    ) {
    }

    public function units(): Units
    {
        return $this->trace->end->modes->units;
    }

    /**
     * Says no to a number without a point where the control counts least increments: as another number it would be read on
     * another scale.
     *
     * @param  array{letter: string, number: string, at: int}  $word
     *
     * @throws TransformProblem
     */
    public function refuseIncrements(int $line, array $word): void
    {
        if (
            $this->control->options->bareNumbers === BareNumbers::LeastIncrements && str_contains(self::ON_SCALE, $word['letter'])
            && ! str_contains($word['number'], '.') && (float) $word['number'] != 0.0
        ) {
            throw new TransformProblem(
                "Line {$line}: {$word['letter']}{$word['number']} has no decimal point, and this control counts least increments. Write the points first.",
            );
        }
    }

    /** Whether a line is one of those the change is for. */
    public function holds(int $line): bool
    {
        return $line >= $this->from && ($this->to === null || $line <= $this->to);
    }

    /** @return iterable<int, string> line number => text as given */
    public function lines(): iterable
    {
        $last = min($this->to ?? PHP_INT_MAX, $this->program->lineCount());
        for ($line = max(1, $this->from); $line <= $last; $line++) {
            yield $line => $this->program->line($line);
        }
    }

    /** @return iterable<int, string> the same, blocks only */
    public function blocks(): iterable
    {
        foreach ($this->lines() as $line => $text) {
            if (LineWords::isBlock($text)) {
                yield $line => $text;
            }
        }
    }

    /** How feeds count where the program first does anything. */
    public function firstFeedMode(): Code
    {
        return ($this->trace->states[0] ?? $this->trace->end)->modes->feedMode;
    }

    /** The tool that is at work in a line; 0 before the first. */
    public function tool(int $line): int
    {
        return $this->stateAt($line)[0];
    }

    public function isAbsolute(int $line): bool
    {
        return $this->stateAt($line)[1];
    }

    /** The first line in which rotary axes alone move at feed, so that F counts degrees there; null where there is none. */
    public function firstTurn(): ?int
    {
        foreach ($this->trace->chunks() as $chunk) {
            $axes = array_map($chunk->axis(...), array_keys($this->trace->axisNames));
            foreach (array_keys($chunk->kinds(), MotionKind::FEED, true) as $row) {
                $moved = array_filter(
                    $this->trace->axisNames,
                    static fn (int $axis): bool => $axes[$axis][$row] !== ($row > 0 ? $axes[$axis][$row - 1] : $chunk->before[$axis]), ARRAY_FILTER_USE_KEY,
                );
                if ($moved !== [] && array_filter($moved, AxisName::isRotary(...)) === $moved) {
                    return $this->trace->sources->mainLine($chunk->lines()[$row]);
                }
            }
        }

        return null;
    }

    /** @return array{int, bool} */
    private function stateAt(int $line): array
    {
        if ($this->states === null) {
            $this->states = [];
            foreach ($this->trace->chunks() as $chunk) {
                foreach ($chunk->lines() as $row => $place) {
                    $state = $this->trace->states[$chunk->states()[$row]];
                    $this->states[$this->trace->sources->mainLine($place)] = [$state->tool, $state->modes->absolute];
                }
            }
            ksort($this->states);
            // A line that moves nothing is under what the last line before it left.
            $standing = [0, true];
            for ($at = 1, $last = $this->program->lineCount(); $at <= $last; $at++) {
                $standing = $this->states[$at] ??= $standing;
            }
        }

        return $this->states[$line] ?? [0, true];
    }
}
