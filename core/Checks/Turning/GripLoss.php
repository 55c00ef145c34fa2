<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A speed at which too little of the grip is left. */
final class GripLoss extends LatheCheck
{
    /** Share of the grip at rest that is to be left (common practice after VDI 3106, from memory). */
    private const LEFT = 1 / 3;

    public function name(): string
    {
        return 'turning.grip-loss';
    }

    public function why(): string
    {
        return 'Turning, the jaws are thrown outwards and press less. Where a third of the grip is left, a heavy cut pulls the part out.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $chuck = $input->setup->workholding->chuck;
        if ($chuck?->kind === 'jaws' && ($chuck->gripForce === null || $chuck->jawMass === null || $chuck->jawCentreRadius === null)) {
            yield $this->gap('No grip force and jaws given: what speed takes of the grip was not checked.', 'chuck.gripForce');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $chuck = $input->setup->workholding->chuck;
        if ($chuck?->kind !== 'jaws' || $chuck->gripForce === null || $chuck->jawMass === null || $chuck->jawCentreRadius === null) {
            return;
        }
        $fastest = $input->lathe->fastest($input->trace->states, $input->setup->machine);
        if ($fastest === null) {
            return;
        }
        [$rpm, $place] = $fastest;
        $lost = self::lost($chuck->jaws ?? 3, $chuck->jawMass, $chuck->jawCentreRadius, $rpm);
        if ($chuck->gripForce - $lost < self::LEFT * $chuck->gripForce) {
            yield new Finding(
                $this->name(), Severity::Caution, $place, 1, 'At {rpm} the jaws lose {lost} of their {grip}.',
                ['rpm' => Quantity::rpm($rpm), 'lost' => Quantity::force($lost), 'grip' => Quantity::force($chuck->gripForce)],
                'Limit the spindle, or grip harder if the part allows.', field: 'chuck.gripForce',
            );
        }
    }

    /**
     * What jaws that turn no longer press with, N: m r ω² of each (VDI 3106, from memory).
     *
     * @param  float  $mass  of a jaw, kg
     * @param  float  $radius  of its centre of mass, mm
     */
    public static function lost(int $jaws, float $mass, float $radius, float $rpm): float
    {
        return $jaws * $mass * $radius / 1000 * (2 * M_PI * $rpm / 60) ** 2;
    }
}
