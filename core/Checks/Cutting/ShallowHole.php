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
        $words = [];
        foreach ($this->holes($input) as [$tool, $line]) {
            $word = $input->wordAt($line, $input->setup->machine->lengthAxis());
            if ($word !== null) {
                $words[$tool][] = [$word, $line];
            }
        }
        foreach ($words as $tool => $holes) {
            foreach ($holes as [$word, $line]) {
                // In the middle of a cycle one such word may take many holes along.
                $goesOn = $input->setup->machine->control->codesIn($input->trace->sources->text($line)) === [];
                $places = $word->line === $line ? $this->placesLost($word, array_column($holes, 0), $goesOn) : null;
                if ($places !== null) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $word->line, $word->column, 'This hole goes to Z {z}; the others of T{tool} go to {others}.', [
                            'tool' => $tool, 'z' => Quantity::length($word->value() * $input->trace->end->modes->units->millimetres()),
                            'others' => Quantity::length($word->value() * 10 ** $places * $input->trace->end->modes->units->millimetres()),
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
     * @param  non-empty-list<PlacedWord>  $all
     * @param  bool  $goesOn  whether the word changes the depth of a cycle that goes on
     */
    private function placesLost(PlacedWord $word, array $all, bool $goesOn): ?int
    {
        foreach ([1, 2] as $places) {
            $deep = array_filter($all, static fn (PlacedWord $other): bool => abs($other->value() - $word->value() * 10 ** $places) < 1e-9);
            $same = array_filter($all, static fn (PlacedWord $other): bool => abs($other->value() - $word->value()) < 1e-9);
            if (count($deep) > 1 && ($goesOn || count($deep) > count($same)) && $word->value() !== 0.0) {
                return $places;
            }
        }

        return null;
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
