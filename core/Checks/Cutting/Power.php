<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Load\Load;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Reckoner\MachiningPower;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cut that asks more power or torque of the spindle than it has. Reckoned, never promised. */
final class Power implements Check
{
    public function name(): string
    {
        return 'cutting.power';
    }

    public function examine(Evidence $evidence): iterable
    {
        $spindle = $evidence->setup->machine->spindle(Machine::MAIN_SPINDLE);
        foreach ($evidence->stock->loads->strongest ?? [] as $load) {
            $motor = $load->power / MachiningPower::USUAL_EFFICIENCY;
            $isWeak = $motor > ($spindle->power ?? INF);
            if (! $isWeak && $load->torque <= ($spindle->torque ?? INF) || $evidence->slips()->explainsDepth($load->line)) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $load->line, 1,
                $isWeak ? 'T{tool} asks about {motor} of the motor, which has {has}.' : 'T{tool} asks about {torque} of the spindle, which has {most}.',
                self::figures($evidence, $load) + ['motor' => Quantity::power($motor), 'has' => Quantity::power($spindle->power ?? 0.0), 'most' => Quantity::torque($spindle->torque ?? 0.0)],
                'Take less at a time: less deep, less wide, or slower. Reckoned: '.self::arithmetic().'. The unit power is a handbook value; your material and tool may ask more.',
            );
        }
    }

    private static function arithmetic(): string
    {
        return '{rate} × unit power {unit} ({material}) × {factor} for {tooth} a tooth × {wear} for a used tool = {power} at the cut, / {efficiency} for the drive';
    }

    /** @return array<string, Quantity|string|int> */
    private static function figures(Evidence $evidence, Load $load): array
    {
        return [
            'tool' => $load->tool, 'torque' => Quantity::torque($load->torque), 'rate' => Quantity::removalRate($load->rate), 'unit' => Quantity::unitPower((float) $evidence->stock?->loads->unitPower),
            'material' => (string) $evidence->setup->material, 'factor' => number_format($load->feedFactor, 2), 'tooth' => Quantity::length($load->feedPerTooth), 'wear' => number_format($load->wear, 2),
            'power' => Quantity::power($load->power), 'efficiency' => number_format(MachiningPower::USUAL_EFFICIENCY, 2),
        ];
    }
}
