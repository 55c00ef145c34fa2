<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A hole a tenth or a hundredth as deep as the others of its tool, by the same figures. */
final class ShallowHole extends MillCheck
{
    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    public function name(): string
    {
        return 'cutting.shallow-hole';
    }

    public function why(): string
    {
        return 'One lost digit leaves a hole that is hardly there. The tap or the reamer that comes next meets its bottom.';
    }

    public function examine(CheckInput $input): iterable
    {
        $words = $counts = [];
        foreach ($this->holes($input) as [$tool, $line]) {
            $own = PlacedWord::find($input->trace->sources->text($line), $line, $input->setup->machine->lengthAxis());
            $word = $own ?? $words[$tool][count($words[$tool] ?? []) - 1] ?? null; // as deep as the hole before it
            if ($word !== null) {
                $words[$tool][] = $word;
                $counts[$tool][self::figure($word->value())] = ($counts[$tool][self::figure($word->value())] ?? 0) + 1;
            }
        }
        foreach ($words as $tool => $depths) {
            foreach ($depths as $n => $word) {
                $places = $word !== ($depths[$n - 1] ?? null) ? $this->placesLost($input, $word, $counts[$tool]) : null;
                if ($places !== null) {
                    $unit = $input->trace->end->modes->units->millimetres();
                    yield new Finding(
                        $this->name(), Severity::Caution, $word->line, $word->column, 'This hole goes to Z {z}; the others of T{tool} go to {others}.', [
                            'tool' => $tool, 'z' => Quantity::length($word->value() * $unit),
                            'others' => Quantity::length($word->value() * 10 ** $places * $unit),
                        ], 'Is the decimal point of Z right?', edit: $word->replacedBy($word->movedPoint(-$places)),
                    );

                    return;
                }
            }
        }
    }

    /**
     * By how many places the point of a depth has slipped to the left; null where the others do not say so.
     *
     * @param  array<string, int>  $counts  how many holes of the tool go to each depth
     */
    private function placesLost(CheckInput $input, PlacedWord $word, array $counts): ?int
    {
        // In the middle of a cycle one such word may take many holes along.
        $goesOn = $input->setup->machine->control->codesIn($input->trace->sources->text($word->line)) === [];
        foreach ($word->value() === 0.0 ? [] : [1, 2] as $places) {
            $deep = $counts[self::figure($word->value() * 10 ** $places)] ?? 0;
            if ($deep > 1 && ($goesOn || $deep > $counts[self::figure($word->value())])) {
                return $places;
            }
        }

        return null;
    }

    private static function figure(float $value): string
    {
        return sprintf('%.6F', $value);
    }

    /** @return list<array{int, int}> tool, and place of the block that makes each hole its deepest, in the order of the program */
    private function holes(CheckInput $input): array
    {
        $holes = [];
        foreach ($input->trace->rows() > self::ROWS ? [] : Strokes::down($input) as $stroke) {
            $hole = $stroke['tool'].' '.$stroke['place'];
            if ($stroke['z'] < ($holes[$hole][2] ?? INF)) {
                $holes[$hole] = [$stroke['tool'], $stroke['line'], $stroke['z']];
            }
        }

        return array_map(static fn (array $hole): array => [$hole[0], $hole[1]], array_values($holes));
    }
}
