<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Kinematics\Posts;
use OakTrace\Core\Kinematics\Spindle;
use OakTrace\Core\Kinematics\ThreadLag;
use OakTrace\Core\Kinematics\Turret;
use OakTrace\Core\Quantities\Units;

/** The machine of a setup file. */
final readonly class MachineFields
{
    /** In the order of Axis: places, and what the slide does. */
    private const AXIS = ['min', 'max', ...self::SLIDE];

    private const SLIDE = ['rapid', 'acceleration'];

    private ControlFields $control;

    /** @var FieldGroup<Turret> */
    private FieldGroup $turret;

    /** @var FieldGroup<Posts> */
    private FieldGroup $posts;

    /** @var FieldGroup<ThreadLag> */
    private FieldGroup $lag;

    /** @var FieldGroup<Spindle> */
    private FieldGroup $spindle;

    public function __construct(private Units $units)
    {
        $this->control = new ControlFields($units->millimetres());
        $this->turret = new FieldGroup(Turret::class, [
            'side' => FieldUnit::Plain,
            'stations' => FieldUnit::Plain,
            'radius' => FieldUnit::Length,
            'clearance' => FieldUnit::Length,
            'indexSeconds' => FieldUnit::Plain,
        ]);
        $this->posts = new FieldGroup(Posts::class, ['side' => FieldUnit::Plain]);
        $this->lag = new FieldGroup(ThreadLag::class, array_fill_keys(['threadLagSeconds', 'threadLeadError'], FieldUnit::Plain));
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
        $turns = $file->string('kind') !== Machine::MILL;
        foreach ($file->entries('axes') as $name => $axis) {
            $axes[$name] = $this->axis((string) $name, $axis, $turns && $name === AxisName::X);
        }
        $toolChange = $file->entry('toolChange');
        $values = AxisValues::of($this->units, $axes);
        $turret = $this->turret->read($file->entry('turret')->source(), $this->units);
        if ($file->has('posts') && $file->has('turret')) {
            throw new SetupFileError(['machine.posts' => 'Tools stand in a turret or side by side in posts, not in both.']);
        }
        $others = array_map(fn (FileEntry $entry): Spindle => $this->spindle->read($entry->source(), $this->units), $file->entries('spindles'));

        return new Machine(
            name: $file->string('name'),
            kind: $file->string('kind'),
            axes: $axes,
            home: $values->read($file->floats('home')) + array_fill_keys(array_keys($axes), 0.0),
            secondHome: $values->read($file->floats('secondHome')),
            maxFeed: $file->has('maxFeed') ? $file->float('maxFeed') * $this->units->millimetres() : null,
            spindles: ($file->has('spindle') ? [Machine::MAIN_SPINDLE => $this->spindle->read($file->entry('spindle')->source(), $this->units)] : [])
                + $others + [Machine::MAIN_SPINDLE => new Spindle],
            toolChangeSeconds: $toolChange->float('seconds', $turret->indexSeconds ?? 0.0),
            toolChangeAt: $values->read($toolChange->floats('at')),
            control: $this->control->read($file->entry('control')->source()),
            turret: $turret,
            threadLag: $this->lag->read($file->source(), $this->units),
            posts: $file->has('posts') ? $this->posts->read($file->entry('posts')->source(), $this->units) : null,
        );
    }

    /** @return array<string, mixed> */
    public function write(Machine $machine): array
    {
        $values = AxisValues::of($this->units, $machine->axes);

        return array_filter([
            'name' => $machine->name,
            'kind' => $machine->kind,
            'axes' => array_map(fn (Axis $axis): object => $this->writeAxis($axis, $machine->kind !== Machine::MILL), $machine->axes),
            'home' => $values->write($machine->home),
            'secondHome' => $values->write($machine->secondHome),
            'maxFeed' => $machine->maxFeed === null ? null : round($machine->maxFeed / $this->units->millimetres(), 9) + 0.0,
            'spindle' => (object) $this->spindle->write($machine->spindle(Machine::MAIN_SPINDLE), $this->units),
            'toolChange' => ['seconds' => $machine->toolChangeSeconds, 'at' => $values->write($machine->toolChangeAt)],
            'control' => $this->control->write($machine->control),
            'spindles' => array_map(
                fn (Spindle $spindle): object => (object) $this->spindle->write($spindle, $this->units),
                array_diff_key($machine->spindles, [Machine::MAIN_SPINDLE => 0]),
            ) ?: null,
            'turret' => $this->turret->write($machine->turret, $this->units) ?: null,
            ...$this->lag->write($machine->threadLag, $this->units),
            'posts' => $machine->posts === null ? null : (object) $this->posts->write($machine->posts, $this->units),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @param  bool  $across whether it goes across what turns, and counts diameters where nothing else is said */
    private function axis(string $name, FileEntry $file, bool $across): Axis
    {
        [$min, $max] = [$file->maybeFloat('min'), $file->maybeFloat('max')];
        if ($min !== null && $max !== null && $min >= $max) {
            throw SetupFileError::at("machine.axes.$name", 'The minus limit (%s) must be less than the plus limit (%s).', $min, $max);
        }
        $isDiameter = $file->string('xIs', $across ? 'diameter' : '') === 'diameter';
        $values = array_map(fn (string $key): ?float => $file->has($key) ? $file->float($key) * $this->factor($name, $isDiameter, $key) : null, self::AXIS);

        return new Axis($name, ...$values, isDiameter: $isDiameter, isByHand: $file->bool('byHand'));
    }

    /** Rates and accelerations are those of the slide, also where its places are diameters. */
    private function factor(string $axis, bool $isDiameter, string $key): float
    {
        return (new AxisValues($this->units, $isDiameter && ! in_array($key, self::SLIDE, true) ? [$axis] : []))->factor($axis);
    }

    private function writeAxis(Axis $axis, bool $turns): object
    {
        $file = [];
        foreach (self::AXIS as $key) {
            if ($axis->$key !== null) {
                $file[$key] = round($axis->$key / $this->factor($axis->name, $axis->isDiameter, $key), 9) + 0.0;
            }
        }

        if ($axis->isDiameter || ($turns && $axis->name === AxisName::X)) {
            $file['xIs'] = $axis->isDiameter ? 'diameter' : 'radius';
        }

        return (object) ($file + ($axis->isByHand ? ['byHand' => true] : []));
    }
}
