<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use JsonException;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Grip;
use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\Setup\LoweredSeverity;
use OakTrace\Core\Setup\Margins;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\OnMachine;
use OakTrace\Core\Setup\ProgramFileStyle;
use OakTrace\Core\Setup\ProgramInputs;
use OakTrace\Core\Setup\Proof;
use OakTrace\Core\Setup\RotaryCenter;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Setup\Tooling;
use OakTrace\Core\Setup\UntrustedOffset;
use OakTrace\Core\Setup\Workholding;
use OakTrace\Core\Setup\Workpiece;
use Opis\JsonSchema\Validator;

/**
 * Reads and writes setup files, oak-setup/1 (schemas/oak-setup-1.json). The schema says what a file may hold; this
 * class turns its numbers into millimetres and back.
 */
final class SetupFile
{
    /** No length, speed or load is more than a trifle of it. */
    private const MOST = 1e12;

    private ?Validator $validator = null;

    private ?object $parsed = null;

    /** @param  string  $schema text of schemas/oak-setup-1.json */
    public function __construct(private readonly string $schema)
    {
    }

    /** @throws SetupFileError naming every field that is wrong */
    public function read(string $json): Setup
    {
        try {
            $data = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new SetupFileError(['' => 'The setup is not valid JSON: '.$e->getMessage().'.']);
        }
        $this->refuseHuge($data, '');
        $this->validate($data);

        return $this->readKnown($json);
    }

    /**
     * Fields nobody knows, which are kept and do nothing.
     *
     * @param  string  $json  a file that has been read
     * @return list<string> a sentence for each
     */
    public function unread(string $json): array
    {
        return UnreadFields::of(json_decode($json, false), $this->parsed());
    }

    /** Changes when what a file may hold changes. */
    public function version(): string
    {
        return hash('xxh128', $this->schema);
    }

    /**
     * Reads a file that has been read before, without asking the schema about it again.
     *
     * @throws SetupFileError
     */
    public function readKnown(string $json): Setup
    {
        /** @var array<string, mixed> $file */
        $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);
        // A whole number is one however it is written.
        array_walk_recursive($file, static function (mixed &$value): void {
            $value = is_float($value) && $value === floor($value) && abs($value) < self::MOST ? (int) $value : $value;
        });

        return $this->setup(new FileEntry($file));
    }

    /**
     * The setup as it would stand in a file, in its own units.
     *
     * @return array<string, mixed>
     */
    public function write(Setup $setup): array
    {
        $units = $setup->units;
        $unit = $units->millimetres();
        $axisValues = AxisValues::of($units, $setup->machine->axes);
        $tooling = $setup->tooling;
        $obstacles = new ObstacleFields($unit, []);
        $turning = new TurningOffsetFields($axisValues, $units);
        $file = [
            'format' => 'oak-setup/1',
            'units' => $units->value,
            'machine' => [],
            'start' => $axisValues->write($setup->start),
            'workOffsets' => (object) array_map($axisValues->write(...), $setup->workOffsets),
            'tools' => array_map((new ToolFields($units))->write(...), array_values($tooling->tools)),
            'offsets' => [
                'H' => (object) $this->writeOffsets($tooling->lengthOffsets, $unit),
                'D' => (object) $this->writeOffsets($tooling->diameterOffsets, $unit),
            ] + ($tooling->turningOffsets === [] ? [] : ['T' => (object) array_map($turning->write(...), $tooling->turningOffsets)]),
            'subprograms' => (object) $setup->inputs->subprograms,
            'switches' => ['blockSkip' => $setup->inputs->blockSkip, 'optionalStop' => $setup->inputs->optionalStop],
        ] + self::margins()->write($setup->margins, $units) + array_filter([
            'lengthSchool' => $tooling->lengthMethod?->value,
            'stock' => $setup->workpiece->stock?->source,
            'moreStock' => array_map(static fn (Stock $piece): array => $piece->source, $setup->workpiece->moreStock),
            'material' => $setup->workpiece->material,
            'target' => $setup->workpiece->target?->source,
            ...(new LatheHoldingFields($units))->write($setup->workholding),
            'grip' => $setup->workholding->grip === null ? null : self::grip()->write($setup->workholding->grip, $units),
            'obstacles' => $obstacles->write($setup->workholding->obstacles, false),
            'places' => $setup->places,
        ], static fn (mixed $value): bool => $value !== null && $value !== []);
        $rows = ['setup' => [], 'machine' => []];
        foreach ($setup->lowered as $check => $lowered) {
            $row = array_filter(['check' => $check, 'reason' => $lowered->reason, 'by' => $lowered->by], static fn (?string $value): bool => $value !== null);
            $rows[$lowered->onMachine ? 'machine' : 'setup'][] = $row;
        }
        $file += $rows['setup'] === [] ? [] : ['lowered' => $rows['setup']];
        $written = static fn (RotaryCenter $center): array => ($center->workOffset === Obstacle::MACHINE ? [] : ['workOffset' => $center->workOffset])
            + ['at' => $axisValues->write($center->at)] + ($center->table === null ? [] : ['table' => self::written($center->table, $unit)]);
        $own = array_filter($setup->rotaryCenters, static fn (RotaryCenter $center): bool => $center->workOffset !== Obstacle::MACHINE);
        $file += $own === [] ? [] : ['rotaryCenters' => array_map($written, $own)];
        $file['machine'] = (new MachineFields($units))->write($setup->machine) + array_filter([
            'lowered' => $rows['machine'], 'obstacles' => $obstacles->write($setup->workholding->obstacles, true),
            'rotaryCenters' => array_map($written, $setup->onMachine->rotaryCenters),
            'places' => array_map($axisValues->write(...), $setup->onMachine->places),
            'programFiles' => $setup->onMachine->programFiles === null ? [] : get_object_vars($setup->onMachine->programFiles),
        ], static fn (array $value): bool => $value !== []);
        $notTrusted = [];
        foreach ($setup->notTrusted as $offset => $untrusted) {
            $notTrusted[$offset] = ['why' => $untrusted->isCopied ? 'copied' : 'begun']
                + array_filter(['at' => $untrusted->at, 'from' => $untrusted->from], static fn (?string $value): bool => $value !== null);
        }
        $file += $notTrusted === [] ? [] : ['notTrusted' => $notTrusted];
        if ($setup->proof !== null) {
            $file['proof'] = array_filter(
                ['on' => $setup->proof->on, 'by' => $setup->proof->by, 'parts' => (object) $setup->proof->parts],
                static fn (mixed $value): bool => $value !== null,
            );
        }

        return $file;
    }

    /** Whether a number is one: also in fields nobody knows, which are kept. */
    private function refuseHuge(mixed $data, string $field): void
    {
        if (is_float($data) && (! is_finite($data) || abs($data) > self::MOST)) {
            throw new SetupFileError([$field => 'This number is too large.']);
        }
        foreach (is_object($data) ? get_object_vars($data) : (is_array($data) ? $data : []) as $name => $value) {
            $this->refuseHuge($value, ltrim("{$field}.{$name}", '.'));
        }
    }

    private function validate(mixed $data): void
    {
        if ($this->validator === null) {
            // Kept, since the validator remembers the schema it has taken apart.
            $this->validator = new Validator;
            $this->validator->setMaxErrors(20);
        }
        $error = $this->validator->validate($data, $this->parsed())->error();
        if ($error !== null) {
            throw new SetupFileError(SchemaErrors::byField($error));
        }
    }

    private function parsed(): object
    {
        if ($this->parsed === null) {
            /** @var object $schema */
            $schema = json_decode($this->schema, false, 64, JSON_THROW_ON_ERROR);
            $this->parsed = $schema;
        }

        return $this->parsed;
    }

    private function setup(FileEntry $file): Setup
    {
        $units = Units::from($file->string('units'));
        $machine = (new MachineFields($units))->read($file->entry('machine'));
        $axisValues = AxisValues::of($units, $machine->axes);
        $workOffsets = [];
        foreach (array_keys($file->entry('workOffsets')->values) as $name) {
            $workOffsets[(string) $name] = $axisValues->read($file->entry('workOffsets')->floats((string) $name));
        }
        $this->refuseForeignAxes($workOffsets, $machine);
        $usual = $machine->control->defaultWorkOffset;
        $tooling = $this->tooling($file, $axisValues, $units);
        $onMachine = $this->onMachine($file->entry('machine'), $axisValues, $units);
        $centers = $this->centers($file, $usual, $axisValues, $units) + self::seenFromWork($onMachine->rotaryCenters, $tooling->gaugeShift());
        $obstacles = new ObstacleFields($units->millimetres(), array_keys($centers));
        $switches = $file->entry('switches');
        $lathe = new LatheHoldingFields($units);

        return new Setup(
            units: $units,
            machine: $machine,
            start: $axisValues->read($file->floats('start')) + $machine->home,
            workOffsets: $workOffsets,
            rotaryCenters: $centers,
            tooling: $tooling,
            workpiece: $this->workpiece($file, $usual, $units->millimetres()),
            workholding: new Workholding(
                $file->has('grip') ? self::grip()->read($file->entry('grip')->source(), $units) : null,
                [
                    ...$obstacles->read($file->entries('obstacles'), 'obstacles', $usual),
                    ...$obstacles->read($file->entry('machine')->entries('obstacles'), 'machine.obstacles', Obstacle::MACHINE, isOfMachine: true),
                ],
                $lathe->chuck($file), $lathe->tailstock($file), $lathe->steady($file), $lathe->zones($file), $lathe->second($file),
            ),
            inputs: new ProgramInputs(
                $file->strings('subprograms'),
                array_values(array_map(static fn (float $number): int => (int) $number, $switches->floats('blockSkip'))), $switches->bool('optionalStop'),
            ),
            margins: self::margins()->read($file->source(), $units),
            lowered: $this->lowered($file, false) + $this->lowered($file->entry('machine'), true),
            proof: $file->has('proof')
                ? new Proof($file->entry('proof')->string('on'), $file->entry('proof')->maybeString('by'), $file->entry('proof')->strings('parts')) : null,
            places: $file->strings('places'),
            onMachine: $onMachine,
            notTrusted: array_map(
                static fn (FileEntry $row): UntrustedOffset => new UntrustedOffset(
                    $row->string('why') === 'copied', $row->maybeString('at'), $row->maybeString('from'),
                ),
                $file->entries('notTrusted'),
            ),
        );
    }

    private function onMachine(FileEntry $machine, AxisValues $axisValues, Units $units): OnMachine
    {
        $places = $machine->entry('places');
        $read = [];
        foreach (array_keys($places->values) as $name) {
            $read[(string) $name] = $axisValues->read($places->floats((string) $name));
        }

        $files = $machine->entry('programFiles');

        return new OnMachine(
            $read, $this->centers($machine, Obstacle::MACHINE, $axisValues, $units), $machine->has('programFiles')
                ? new ProgramFileStyle($files->string('lineEnds', 'lf'), $files->bool('percent'), $files->string('ending', 'nc')) : null,
        );
    }

    /** @return array<string, RotaryCenter> */
    private function centers(FileEntry $file, string $usual, AxisValues $axisValues, Units $units): array
    {
        $centers = [];
        foreach ($file->entries('rotaryCenters') as $axis => $center) {
            $table = $center->has('table') ? $center->float('table') * $units->millimetres() : null;
            $centers[(string) $axis] = new RotaryCenter($center->string('workOffset', $usual), $axisValues->read($center->floats('at')), $table);
        }

        return $centers;
    }

    /**
     * Centres of the machine with their heights as the offsets have them; none of which the height matters where no tool tells what that is.
     *
     * @param  array<string, RotaryCenter>  $centers
     * @return array<string, RotaryCenter>
     */
    private static function seenFromWork(array $centers, ?float $gaugeShift): array
    {
        $seen = [];
        foreach ($centers as $axis => $center) {
            $height = $center->at[AxisName::Z] ?? null;
            if ($height === null) {
                $seen[$axis] = $center;
            } elseif ($gaugeShift !== null) {
                $seen[$axis] = new RotaryCenter(
                    $center->workOffset, [AxisName::Z => $height - $gaugeShift] + $center->at, $center->table === null ? null : $center->table - $gaugeShift,
                );
            }
        }

        return $seen;
    }

    /** @return FieldGroup<Margins> */
    private static function margins(): FieldGroup
    {
        return new FieldGroup(Margins::class, array_fill_keys(['clearance', 'breakThrough', 'nearLimit', 'thinnest'], FieldUnit::Length));
    }

    /** @return FieldGroup<Grip> */
    private static function grip(): FieldGroup
    {
        return new FieldGroup(Grip::class, ['kind' => FieldUnit::Plain, 'depth' => FieldUnit::Length, 'force' => FieldUnit::Force]);
    }

    private function tooling(FileEntry $file, AxisValues $axisValues, Units $units): Tooling
    {
        $fields = new ToolFields($units);
        $tools = [];
        foreach ($file->entries('tools') as $i => $tool) {
            $number = $tool->int('number');
            if (isset($tools[$number])) {
                throw new SetupFileError(["tools.$i.number" => "Two tools have the number $number."]);
            }
            $tools[$number] = $fields->read($tool);
        }
        $offsets = $file->entry('offsets');

        return new Tooling(
            $tools, $this->offsets($offsets->entry('H'), $units), $this->offsets($offsets->entry('D'), $units),
            $file->has('lengthSchool') ? LengthMethod::from($file->string('lengthSchool')) : null,
            array_map((new TurningOffsetFields($axisValues, $units))->read(...), $offsets->entries('T')),
        );
    }

    /** @return array<int, Offset> */
    private function offsets(FileEntry $file, Units $units): array
    {
        $offsets = [];
        foreach ($file->values as $number => $value) {
            [$geometry, $wear] = is_array($value)
                ? [
                    $file->entry((string) $number)->float('geometry'), $file->entry((string) $number)->float('wear', 0.0),
                ] : [$file->float((string) $number), 0.0];
            $offsets[(int) $number] = new Offset($geometry * $units->millimetres(), $wear * $units->millimetres());
        }

        return $offsets;
    }

    private function workpiece(FileEntry $file, string $usual, float $unit): Workpiece
    {
        $stocks = new StockFields($unit);
        $stock = $file->has('stock') ? $stocks->read($file->entry('stock'), $usual, 'stock') : null;
        $moreStock = [];
        foreach ($file->entries('moreStock') as $n => $piece) {
            $moreStock[] = $read = $stocks->read($piece, $usual, "moreStock.$n");
            if (! $file->entry('workOffsets')->has($read->workOffset)) {
                throw new SetupFileError(["moreStock.$n.workOffset" => "Where is it clamped? {$read->workOffset} has no value in this setup."]);
            }
        }
        foreach ($stock === null ? ['target' => 'Drawing sizes', 'moreStock' => 'More stock'] : [] as $field => $what) {
            if ($file->entry($field)->values !== []) {
                throw new SetupFileError([$field => "$what needs the stock of the setup first."]);
            }
        }
        $target = $file->has('target') && $stock !== null ? (new TargetFields($unit))->read($file->entry('target'), $stock) : null;

        return new Workpiece($stock, $moreStock, $file->maybeString('material'), $target);
    }

    /** @return array<string, LoweredSeverity> */
    private function lowered(FileEntry $file, bool $onMachine): array
    {
        $lowered = [];
        foreach ($file->entries('lowered') as $row) {
            $lowered[$row->string('check')] = new LoweredSeverity($row->string('reason'), $row->maybeString('by'), $onMachine);
        }

        return $lowered;
    }

    /** @param  array<string, array<string, float>>  $workOffsets */
    private function refuseForeignAxes(array $workOffsets, Machine $machine): void
    {
        foreach ($workOffsets as $name => $position) {
            foreach (array_keys($position) as $axis) {
                if (! isset($machine->axes[$axis])) {
                    throw new SetupFileError(["workOffsets.$name.$axis" => "{$machine->name} has no $axis axis."]);
                }
            }
        }
    }

    /**
     * @param  array<int, Offset>  $offsets
     * @return array<int, array<string, float|int>>
     */
    private function writeOffsets(array $offsets, float $unit): array
    {
        return array_map(
            static fn (Offset $offset): array => ['geometry' => self::written($offset->geometry, $unit), 'wear' => self::written($offset->wear, $unit)],
            $offsets,
        );
    }

    private static function written(float $millimetres, float $unit): float
    {
        return round($millimetres / $unit, 9) + 0.0;
    }
}
