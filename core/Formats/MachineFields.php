<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Kinematics\Spindle;
use OakTrace\Core\Quantities\Units;

/** The machine of a setup file. */
final readonly class MachineFields
{
    /** In the order of Axis. */
    private const AXIS = ['min', 'max', 'rapid', 'acceleration'];

    private AxisValues $axisValues;

    private ControlFields $control;

    /** @var FieldGroup<Spindle> */
    private FieldGroup $spindle;

    public function __construct(private Units $units)
    {
        $this->axisValues = new AxisValues($units);
        $this->control = new ControlFields($units->millimetres());
        $this->spindle = new FieldGroup(Spindle::class, [
            'maxRpm' => FieldUnit::Plain,
            'secondsToSpeed' => FieldUnit::Plain,
            'power' => FieldUnit::Power,
            'torque' => FieldUnit::Torque,
        ]);
    }

    /** @throws SetupFileError naming the field that is wrong */
    public function read(FileEntry $file): Machine
    {
        $axes = [];
        foreach ($file->entries('axes') as $name => $axis) {
            $axes[$name] = $this->axis((string) $name, $axis);
        }
        $toolChange = $file->entry('toolChange');

        return new Machine(
            name: $file->string('name'),
            kind: $file->string('kind'),
            axes: $axes,
            home: $this->axisValues->read($file->floats('home')) + array_fill_keys(array_keys($axes), 0.0),
            secondHome: $this->axisValues->read($file->floats('secondHome')),
            maxFeed: $file->has('maxFeed') ? $file->float('maxFeed') * $this->units->millimetres() : null,
            spindles: [Machine::MAIN_SPINDLE => $this->spindle->read($file->entry('spindle')->source(), $this->units)],
            toolChangeSeconds: $toolChange->float('seconds', 0.0),
            toolChangeAt: $this->axisValues->read($toolChange->floats('at')),
            control: $this->control->read($file->entry('control')->source()),
        );
    }

    /** @return array<string, mixed> */
    public function write(Machine $machine): array
    {
        return array_filter([
            'name' => $machine->name,
            'kind' => $machine->kind,
            'axes' => array_map($this->writeAxis(...), $machine->axes),
            'home' => $this->axisValues->write($machine->home),
            'secondHome' => $this->axisValues->write($machine->secondHome),
            'maxFeed' => $machine->maxFeed === null ? null : round($machine->maxFeed / $this->units->millimetres(), 9) + 0.0,
            'spindle' => (object) $this->spindle->write($machine->spindle(Machine::MAIN_SPINDLE), $this->units),
            'toolChange' => ['seconds' => $machine->toolChangeSeconds, 'at' => $this->axisValues->write($machine->toolChangeAt)],
            'control' => $this->control->write($machine->control),
        ], static fn (mixed $value): bool => $value !== null);
    }

    private function axis(string $name, FileEntry $file): Axis
    {
        [$min, $max] = [$file->maybeFloat('min'), $file->maybeFloat('max')];
        if ($min !== null && $max !== null && $min >= $max) {
            throw new SetupFileError(["machine.axes.$name" => "The minus limit ($min) must be less than the plus limit ($max)."]);
        }
        $factor = $this->axisValues->factor($name);
        $values = array_map(static fn (string $key): ?float => $file->has($key) ? $file->float($key) * $factor : null, self::AXIS);

        return new Axis($name, ...$values, isDiameter: $file->string('xIs', '') === 'diameter', isByHand: $file->bool('byHand'));
    }

    private function writeAxis(Axis $axis): object
    {
        $file = [];
        foreach (self::AXIS as $key) {
            if ($axis->$key !== null) {
                $file[$key] = round($axis->$key / $this->axisValues->factor($axis->name), 9) + 0.0;
            }
        }

        return (object) ($file + ($axis->isDiameter ? ['xIs' => 'diameter'] : []) + ($axis->isByHand ? ['byHand' => true] : []));
    }
}
