<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\Cutting\CuttingData;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A surface speed at the diameter that is cut that does not go with tool and material. */
final class SurfaceSpeed extends LatheCheck
{
    public function name(): string
    {
        return 'turning.surface-speed';
    }

    public function why(): string
    {
        return 'Too fast an edge burns, too slow it chips or builds up. A wrong S, a speed left from another diameter, or the wrong tool shows here.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->watch->fastest ?? [] as $number => $cut) {
            $material = $input->setup->workpiece->material;
            $range = CuttingData::surfaceSpeed($input->setup->tooling->tools[$number], $material);
            if ($range === null || ($cut->by >= $range[0] && $cut->by <= $range[1])) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} cuts at {surface} at {diameter}: {material} is cut at {least} to {most}.',
                [
                    'tool' => $number, 'surface' => Quantity::surfaceSpeed($cut->by), 'diameter' => Quantity::diameter(2 * $cut->x),
                    'material' => $material ?? 'with this tool it', 'least' => Quantity::surfaceSpeed($range[0]), 'most' => Quantity::surfaceSpeed($range[1]),
                ],
                'Check S and the tool. If it is right, enter the surface speed of the tool in the setup.', field: 'tools',
            );
        }
    }
}
