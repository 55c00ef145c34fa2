<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Formulas\MachiningPower;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Load\Load;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cut that needs more power or torque than the spindle has. Estimated, never promised. */
final class Power extends MillCheck
{
    public function name(): string
    {
        return 'cutting.power';
    }

    public function why(): string
    {
        return 'When the motor cannot give what the cut needs, the spindle slows or stalls. The feed does not wait for it.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $material = $input->setup->workpiece->material;
        if ($material === null) {
            yield $this->gap('No material given: speeds, chips and power are not checked.', 'material');
        } elseif (MachiningPower::unitPower($material) === null) {
            yield $this->gap("No unit power is known for “{$material}”: cutting power is not checked.", 'material');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        $spindle = $input->setup->machine->spindle(Machine::MAIN_SPINDLE);
        foreach ($input->stock->loads->strongest ?? [] as $load) {
            $motor = $load->power / MachiningPower::USUAL_EFFICIENCY;
            $isWeak = $motor > ($spindle->power ?? INF);
            if (! $isWeak && $load->torque <= ($spindle->torque ?? INF) || $input->entryErrors()->explainsDepth($load->line)) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $load->line, 1,
                $isWeak
                    ? 'T{tool} needs about {motor} of motor power; the machine has {has}.'
                    : 'T{tool} needs about {torque} of spindle torque; the machine has {most}.',
                self::figures($input, $load) + [
                    'motor' => Quantity::power($motor), 'has' => Quantity::power($spindle->power ?? 0.0),
                    'most' => Quantity::torque($spindle->torque ?? 0.0),
                ],
                'Take a lighter cut: less deep, less wide, or slower. Estimated: '.self::arithmetic()
                    .'. The unit power is a handbook value; your material and tool may need more.',
            );
        }
    }

    private static function arithmetic(): string
    {
        return '{rate} × unit power {unit} ({material}) × {factor} for {tooth} a tooth × {wear} for a used tool = {power} at the cut, / '
            .'{efficiency} for the drive';
    }

    /** @return array<string, Quantity|string|int> */
    private static function figures(CheckInput $input, Load $load): array
    {
        return [
            'tool' => $load->tool, 'torque' => Quantity::torque($load->torque), 'rate' => Quantity::removalRate($load->rate),
            'unit' => Quantity::unitPower((float) $input->stock?->loads->unitPower),
            'material' => (string) $input->setup->workpiece->material, 'factor' => number_format($load->feedFactor, 2),
            'tooth' => Quantity::length($load->feedPerTooth), 'wear' => number_format($load->wear, 2),
            'power' => Quantity::power($load->power), 'efficiency' => number_format(MachiningPower::USUAL_EFFICIENCY, 2),
        ];
    }
}
