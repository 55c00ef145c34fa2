<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use LogicException;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\Notice;

/**
 * Straight moves of a lathe whose block says their angle: with one end coordinate the other follows; an angle alone waits for the
 * next block, whose end and angle give the point where the two lines meet.
 */
final class AngledMoves
{
    /** End and angle of one block agree within this, mm. */
    private const AGREES = 0.01;

    private readonly int $zAxis;

    private readonly int $xAxis;

    /** @var list<string> */
    private readonly array $letters;

    /** @var array{line: AngledLine, place: int, letter: string, corner: array{bool, float, string, int}|null}|null the first of two blocks */
    private ?array $first = null;

    public function __construct(private readonly Context $context, private readonly TurningPlaces $places)
    {
        $machine = $context->machine;
        $this->zAxis = $machine->axisIndex[AxisName::Z] ?? -1;
        $this->xAxis = $machine->axisIndex[AxisName::X] ?? -1;
        $this->letters = $this->zAxis < 0 || $this->xAxis < 0 ? []
            : $machine->control->options->turning->angleWords->letters(isset($machine->axes[AxisName::A]));
    }

    /** Whether an angle waits for its second block. */
    public function waits(): bool
    {
        return $this->first !== null;
    }

    /**
     * The letter of the angle some words say; null where they say none.
     *
     * @param  array<string, float>  $words
     */
    public function letterIn(array $words): ?string
    {
        foreach ($this->letters as $letter) {
            if (isset($words[$letter])) {
                return $letter;
            }
        }

        return null;
    }

    /** Says so where no second block came for an angle that waits. */
    public function drop(): void
    {
        if ($this->first !== null) {
            $this->notice('angle-without-next', $this->first['place'], $this->first['letter']);
            $this->first = null;
        }
    }

    /**
     * Where a feed move with an angle leads, the move before it made where its angle waited; null where it waits for the next block.
     *
     * @param  array<string, float>  $words
     * @param  array{bool, float, string, int}|null  $corner  the corner its block breaks, as breakNext() has it
     * @return list<float>|null
     */
    public function target(string $letter, array $words, ?array $corner): ?array
    {
        if ($this->context->modal->modes->plane !== Plane::ZX) {
            $this->context->notice('angle-plane', $letter, ['letter' => $letter]);

            return $this->places->target($words);
        }
        [$hasZ, $hasX] = [$this->places->ways->names($words, $this->zAxis), $this->places->ways->names($words, $this->xAxis)];
        if ($this->first !== null && $hasZ && $hasX) {
            return $this->second($letter, $words);
        }
        $this->drop();
        $at = $this->context->recorder->at;
        $line = new AngledLine($at[$this->zAxis], $at[$this->xAxis], $words[$letter]);
        if (! $hasZ && ! $hasX) {
            $this->first = ['line' => $line, 'place' => $this->context->block->line, 'letter' => $letter, 'corner' => $corner];

            return null;
        }
        $target = $this->places->target($words) ?? $at;
        if ($hasZ && $hasX) {
            $this->noticeContradiction($line->missesBy($target[$this->zAxis], $target[$this->xAxis]), $letter);

            return $target;
        }
        $other = $hasZ ? $line->secondAt($target[$this->zAxis]) : $line->firstAt($target[$this->xAxis]);
        if ($other === null) {
            $this->context->notice('angle-no-crossing', $letter, ['letter' => $letter]);

            return $target;
        }

        return $this->moved($target, $hasZ ? $this->xAxis : $this->zAxis, $other);
    }

    /**
     * Moves to where the two lines meet, by the first block.
     *
     * @param  array<string, float>  $words
     * @return list<float> where the second leads
     */
    private function second(string $letter, array $words): array
    {
        ['line' => $line, 'place' => $place, 'corner' => $corner] = $this->first ?? throw new LogicException('No angle waits.');
        $this->first = null;
        $recorder = $this->context->recorder;
        $end = $this->places->target($words) ?? $recorder->at;
        $meets = $line->meets(new AngledLine($end[$this->zAxis], $end[$this->xAxis], $words[$letter]));
        if ($meets === null) {
            $this->context->notice('angle-no-crossing', $letter, ['letter' => $letter]);

            return $end;
        }
        if ($corner !== null) {
            $recorder->breakNext(...$corner);
        }
        $recorder->line = $place;
        $recorder->feed($this->moved($this->moved($recorder->at, $this->zAxis, $meets[0]), $this->xAxis, $meets[1]));
        $recorder->line = $this->context->block->line;

        return $end;
    }

    private function noticeContradiction(float $by, string $letter): void
    {
        if ($by > self::AGREES) {
            $this->context->notice('angle-contradicts', $letter, ['letter' => $letter, 'by' => Quantity::length($by)]);
        }
    }

    private function notice(string $kind, int $place, string $letter): void
    {
        $this->context->trace->notice(new Notice($kind, $place, 1, ['letter' => $letter]));
    }

    /**
     * @param  list<float>  $target
     * @return list<float>
     */
    private function moved(array $target, int $axis, float $to): array
    {
        $target[$axis] = $to;
        $this->context->recorder->axisMarks |= Mark::touched($axis);

        /** @var list<float> */
        return $target;
    }
}
