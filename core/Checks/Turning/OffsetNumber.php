<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An offset of a lathe's tool that is another tool's, or whose wear is no wear. */
final class OffsetNumber extends LatheCheck
{
    /** No insert wears by more, mm (common practice). */
    private const MOST_WEAR = 0.5;

    /** An X so near to zero, mm on the radius, is that of an offset nobody has measured, where all others are so far from it. */
    private const NONE = 0.5;

    private const FAR = 10.0;

    public function name(): string
    {
        return 'turning.offset';
    }

    public function why(): string
    {
        return 'With the offset of another tool, or a figure typed into the wrong column, everything is off by the difference. It shows in the first cut.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->firstFeed as $number => $place) {
            $state = $input->trace->states[$number];
            $offset = $state->length->number;
            if ($offset === 0 || isset($told[$state->tool.'/'.$offset])) {
                continue;
            }
            $told[$state->tool.'/'.$offset] = true;
            if ($offset !== $state->tool && isset($input->setup->tooling->tools[$offset])) {
                yield new Finding(
                    $this->name(), Severity::Caution, $place, 1, 'T{tool} cuts with offset {number}, which is the number of another tool.',
                    ['tool' => $state->tool, 'number' => $offset], 'Is the offset meant that way?', field: "offsets.T.{$offset}",
                );
            }
            if (self::isNotMeasured($input->setup, $offset)) {
                yield new Finding(
                    $this->name(), Severity::Caution, $place, 1, 'X of offset {number} is {x}, and those of the other tools are far from zero.',
                    ['number' => $offset, 'x' => $input->setup->machine->shown(AxisName::X, self::x($input->setup, $offset) ?? 0.0)],
                    'Has it been touched off?', field: "offsets.T.{$offset}.X",
                );
            }
            foreach ($input->setup->turningOffset($state->tool, $offset)->axes ?? [] as $axis => $value) {
                if (abs($value->wear) > self::MOST_WEAR * ($input->setup->machine->axes[$axis]->isDiameter ? 0.5 : 1.0) + 1e-9) {
                    yield new Finding(
                        $this->name(), Severity::Caution, $place, 1, 'The {axis} wear of offset {number} is {wear}: that is no wear.',
                        ['axis' => $axis, 'number' => $offset, 'wear' => $input->setup->machine->shown($axis, $value->wear)],
                        'Does it belong to the geometry, or is the point in the wrong place?', field: "offsets.T.{$offset}.{$axis}",
                    );
                }
            }
        }
    }

    private static function isNotMeasured(Setup $setup, int $offset): bool
    {
        $x = self::x($setup, $offset);
        $others = array_filter(
            array_map(static fn (int $other): ?float => self::x($setup, $other), array_diff(array_keys($setup->tooling->tools), [$offset])), is_float(...),
        );

        return $x !== null && abs($x) < self::NONE && count($others) >= 2 && min(array_map(abs(...), $others)) > self::FAR && $setup->machine->posts === null;
    }

    /** mm on the radius; null where it is not set. */
    private static function x(Setup $setup, int $offset): ?float
    {
        return ($setup->turningOffset($offset, $offset)?->axes[AxisName::X] ?? null)?->total();
    }
}
