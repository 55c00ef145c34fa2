<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A drill that pecks by so little that a point is lost in Q. */
final class SmallPeck extends MachineCheck
{
    /** Diameters a peck below which nobody means it (common practice); a finer drill is fed with more care than figures tell. */
    private const LEAST = 0.075;

    private const FINE = 2.0;

    /** Strokes for one hole from which it is worth telling. */
    private const MANY = 4;

    public function name(): string
    {
        return 'cutting.small-peck';
    }

    public function why(): string
    {
        return 'Each peck goes back through the whole hole. With far too small ones the drill rubs and the hole takes many times as long.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($this->holes($input) as $number => ['line' => $line, 'pecks' => $pecks]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            $diameter = $tool?->geometry->diameter;
            $peck = $pecks[1] ?? INF;
            if ($tool?->kind !== ToolKind::Drill || $diameter === null || $diameter < self::FINE || $peck > self::LEAST * $diameter) {
                continue;
            }
            $word = $input->wordAt($line, 'Q');
            yield new Finding(
                $this->name(), Severity::Note, $word->line ?? $line, $word->column ?? 1,
                'T{tool} of {diameter} pecks {peck} at a time: {count} strokes for one hole.', [
                    'tool' => $number, 'diameter' => Quantity::diameter($diameter), 'peck' => Quantity::length($peck), 'count' => count($pecks),
                ], 'Is the decimal point of the peck right? Half a diameter to three is usual.', edit: $this->moved($word),
            );
        }
    }

    private function moved(?PlacedWord $word): ?Edit
    {
        return $word === null || ! $word->hasPoint() ? null : $word->replacedBy($word->movedPoint(-1));
    }

    /** @return array<int, array{line: int, pecks: non-empty-list<float>}> tool => its hole of most strokes: place, and how much deeper each goes, mm */
    private function holes(CheckInput $input): array
    {
        $found = $pecks = [];
        [$line, $at, $deep] = [0, '', INF];
        foreach (Strokes::down($input) as $stroke) {
            if ($stroke['line'] !== $line || $stroke['place'] !== $at || $stroke['z'] >= $deep) {
                [$line, $at, $deep, $pecks] = [$stroke['line'], $stroke['place'], $stroke['z'], []];
            }
            $pecks[] = $deep - $stroke['z'];
            $deep = $stroke['z'];
            if (count($pecks) >= max(self::MANY, count($found[$stroke['tool']]['pecks'] ?? []) + 1)) {
                $found[$stroke['tool']] = ['line' => $line, 'pecks' => $pecks];
            }
        }

        return $found;
    }
}
