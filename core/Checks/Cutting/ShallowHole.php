<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
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
        $axes = $input->setup->machine->linearColumns();
        if ($axes === null || $input->trace->rows() > self::ROWS) {
            return [];
        }
        $holes = [];
        foreach ($input->trace->chunks() as $chunk) {
            foreach ($this->strokes($input, $chunk, $axes) as [$key, $tool, $line, $z]) {
                if ($z < ($holes[$key][2] ?? INF)) {
                    $holes[$key] = [$tool, $line, $z];
                }
            }
        }

        return array_map(static fn (array $hole): array => [$hole[0], $hole[1]], array_values($holes));
    }

    /**
     * @param  array{int, int, int}  $axes
     * @return iterable<array{string, int, int, float}> where and with which tool, the tool, place and end of each stroke of a cycle
     */
    private function strokes(CheckInput $input, Chunk $chunk, array $axes): iterable
    {
        [$xs, $ys, $zs] = array_map($chunk->axis(...), $axes);
        [$kinds, $marks] = [$chunk->kinds(), $chunk->marks()];
        foreach ($chunk->lines() as $row => $line) {
            if ($kinds[$row] === MotionKind::FEED && ($marks[$row] & Mark::CYCLE) !== 0 && $zs[$row] < ($zs[$row - 1] ?? $chunk->before[$axes[2]])) {
                $tool = $input->trace->states[$chunk->states()[$row]]->tool;
                yield [sprintf('%d %.3F %.3F', $tool, $xs[$row], $ys[$row]), $tool, $line, $zs[$row]];
            }
        }
    }
}
