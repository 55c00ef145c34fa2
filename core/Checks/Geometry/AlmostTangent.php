<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A line and an arc, or two arcs, that meet nearly but not quite without a corner: a figure was rounded, or is a little wrong. */
final class AlmostTangent extends MachineCheck
{
    /** Degrees: less is rounding, more is a corner. */
    private const LEAST = 0.2;

    private const MOST = 3.0;

    public function name(): string
    {
        return 'geometry.almost-tangent';
    }

    public function why(): string
    {
        return 'A corner this slight is a rounding or a typing error. It shows as a mark in the wall.';
    }

    public function examine(CheckInput $input): iterable
    {
        $found = [];
        foreach ($input->outline()->pairs() as [$before, $move]) {
            $turn = $before->turnTo($move);
            if (($before->isArc() || $move->isArc()) && $turn >= self::LEAST && $turn <= self::MOST) {
                $found[$move->line] ??= $turn;
            }
        }
        if ($found !== []) {
            $line = array_key_first($found);
            yield new Finding(
                $this->name(), Severity::Note, $line, 1, 'It meets the move before it {angle} off tangent.', ['angle' => Quantity::angle($found[$line])],
                'If the drawing has no corner there, one of the two has a wrong value.', array_keys($found),
            );
        }
    }
}
