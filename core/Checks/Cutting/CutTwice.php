<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\AirHole;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A hole, or a pocket step by step, that a tool makes where it has made one as deep before: said twice, or a work offset that was not changed. */
final class CutTwice extends MillCheck
{
    public function name(): string
    {
        return 'cutting.cut-twice';
    }

    public function why(): string
    {
        return 'The same cut twice usually stands for two different ones. One part, or one hole, is left undone.';
    }

    public function examine(CheckInput $input): iterable
    {
        $groups = [];
        foreach ($input->stock?->idle->again() ?? [] as $hole) {
            $groups[$hole->tool.' '.$hole->work][] = $hole;
        }
        foreach ($groups as $holes) {
            $zero = $input->setup->workOffsets[$holes[0]->work] ?? [];
            yield new Finding(
                $this->name(), Severity::Caution, $holes[0]->line, 1,
                count($holes) === 1
                    ? 'T{tool} makes the same hole twice, at X {x} Y {y} in {work}.'
                    : 'T{tool} makes {count} holes in {work} twice, the first at X {x} Y {y}.',
                [
                    'tool' => $holes[0]->tool, 'work' => $holes[0]->work, 'count' => count($holes),
                    'x' => Quantity::length($holes[0]->x - ($zero[AxisName::X] ?? 0.0)),
                    'y' => Quantity::length($holes[0]->y - ($zero[AxisName::Y] ?? 0.0)),
                ],
                'Is another work offset missing, or a position repeated?', array_map(static fn (AirHole $hole): int => $hole->line, $holes),
            );
        }
        foreach (RepeatedPaths::of($input) as $tool => $paths) {
            yield new Finding(
                $this->name(), Severity::Caution, $paths[0][0], 1, count($paths) > 1
                    ? 'T{tool} repeats the path of line {before} at every level.'
                    : 'T{tool} repeats the path of line {before}: nothing is left to cut.',
                [
                    'tool' => $tool, 'before' => $input->trace->sources->words($paths[0][1]),
                ], 'Is another work offset missing, or a block repeated?',
                array_column($paths, 0),
            );
        }
    }
}
