<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An arc that goes the long way round, straight back along the moves it joins: the other direction was meant. */
final class ArcReversed extends MillCheck
{
    /** Degrees off by which it still sets out straight back. */
    private const BACK = 1.0;

    /** Rows of a run up to which it is worth looking: a longer one was not written by hand. */
    private const ROWS = 20_000;

    public function name(): string
    {
        return 'geometry.arc-reversed';
    }

    public function why(): string
    {
        return 'With the wrong direction an arc of the same centre goes round the other side of it. It cuts away what the right one leaves.';
    }

    public function examine(CheckInput $input): iterable
    {
        $found = [];
        foreach ($input->trace->rows() > self::ROWS ? [] : $input->trace->chunks() as $chunk) {
            foreach ($this->reversed($input, $chunk) as [$line, $sweep]) {
                $found[$line] ??= $sweep;
            }
        }
        if ($found !== []) {
            $line = array_key_first($found);
            $isClockwise = $found[$line] < 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $line, 1,
                'The arc sets out straight back along the move before it, and goes {sweep} round; the other way it would join both moves '
                    .'smoothly, over {rest}.',
                ['sweep' => Quantity::angle(abs($found[$line])), 'rest' => Quantity::angle(360.0 - abs($found[$line]))],
                $isClockwise ? 'Is {code arc-counter-clockwise} meant?' : 'Is {code arc-clockwise} meant?', array_slice(array_keys($found), 1),
                $this->turnedAbout($input, $line, $isClockwise),
            );
        }
    }

    /** @return iterable<array{int, float}> place and sweep of each */
    private function reversed(CheckInput $input, Chunk $chunk): iterable
    {
        $arcs = array_flip($chunk->arcRows());
        $kinds = $chunk->kinds();
        $heading = fn (int $row): ?Heading => ($kinds[$row] ?? null) === MotionKind::FEED || ($kinds[$row] ?? null) === MotionKind::ARC
            ? Heading::of($input, $chunk, $row, $arcs[$row] ?? null) : null;
        foreach (array_keys($arcs) as $row) {
            [$before, $arc, $behind] = [$heading($row - 1), $heading($row), $heading($row + 1)];
            if (
                $before !== null && $arc !== null && $behind !== null && abs($arc->sweep) > 180.0 && abs($arc->sweep) < 360.0 - self::BACK
                && $before->turnTo($arc) > 180.0 - self::BACK && $arc->turnTo($behind) > 180.0 - self::BACK
            ) {
                yield [$chunk->lines()[$row], $arc->sweep];
            }
        }
    }

    private function turnedAbout(CheckInput $input, int $line, bool $isClockwise): ?Edit
    {
        [$wrong, $right] = $isClockwise ? [Code::ArcClockwise, Code::ArcCounterClockwise] : [Code::ArcCounterClockwise, Code::ArcClockwise];

        return $input->editWriter->placeOf($line, $wrong) === $line ? $input->editWriter->exchange($line, $wrong, $right) : null;
    }
}
