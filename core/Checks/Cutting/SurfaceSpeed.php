<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A spindle speed that no tool of the kind runs at in the material. */
final class SurfaceSpeed extends MillCheck
{
    public function name(): string
    {
        return 'cutting.surface-speed';
    }

    public function why(): string
    {
        return 'Edges live on the right speed: too fast they burn, too slow they chip or build up. A wrong S or the wrong tool shows here.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $range = $tool?->geometry->diameter === null ? null : CuttingData::surfaceSpeed($tool, $input->setup->workpiece->material);
            if (
                $tool === null || $range === null || $state->spindle->turn === 0 || $state->spindle->rpm <= 0.0 || isset($seen[$state->tool])
                || CuttingData::isOverLimit($tool, $state, $input->setup)
            ) {
                continue;
            }
            $speed = CuttingData::surfaceSpeedAt($tool, $state->spindle->rpm);
            if ($speed >= $range[0] && $speed <= $range[1]) {
                continue;
            }
            $seen[$state->tool] = true;
            $word = $input->wordAt($line, 'S');
            yield new Finding(
                $this->name(), Severity::Caution, $word->line ?? $line, $word->column ?? 1,
                'T{tool} cuts at {surface} with {speed} on {diameter}: {material} is cut at {least} to {most}.',
                [
                    'tool' => $state->tool, 'surface' => Quantity::surfaceSpeed($speed), 'speed' => Quantity::rpm($state->spindle->rpm),
                    'diameter' => Quantity::length((float) $tool->geometry->diameter),
                    'material' => $input->setup->workpiece->material ?? 'with this tool it', 'least' => Quantity::surfaceSpeed($range[0]),
                    'most' => Quantity::surfaceSpeed($range[1]),
                ],
                'Check S and the tool. If it is right, enter the surface speed of the tool in the setup.', field: 'tools',
            );
        }
    }
}
