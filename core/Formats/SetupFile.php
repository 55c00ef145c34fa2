<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use JsonException;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Kinematics\Spindle;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Grip;
use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\Setup\LoweredSeverity;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Proof;
use OakTrace\Core\Setup\RotaryCenter;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use Opis\JsonSchema\Validator;

/**
 * Reads and writes setup files, oak-setup/1 (schemas/oak-setup-1.json). The schema says what a file may hold; this
 * class turns its numbers into millimetres and back.
 *
 * @phpstan-type Position array<string, float>
 */
final class SetupFile
{
    private const POUND = 4.4482216;

    public const HORSEPOWER = 0.74569987;

    public const FOOT_POUND = 1.3558179;

    private float $unit = 1.0;

    /** No length, speed or load is more than a trifle of it. */
    private const MOST = 1e12;

    private ?Validator $validator = null;

    private object $parsed;

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

        return $this->setup($file);
    }

    /**
     * The setup as it would stand in a file, in its own units.
     *
     * @return array<string, mixed>
     */
    public function write(Setup $setup): array
    {
        $this->unit = $setup->units->millimetres();
        $file = [
            'format' => 'oak-setup/1',
            'units' => $setup->units->value,
            'machine' => $this->writeMachine($setup->machine),
            'start' => (object) $this->writePosition($setup->start),
            'workOffsets' => (object) array_map(fn (array $position): object => (object) $this->writePosition($position), $setup->workOffsets),
            'tools' => array_map($this->writeTool(...), array_values($setup->tools)),
            'offsets' => ['H' => (object) $this->writeOffsets($setup->lengthOffsets), 'D' => (object) $this->writeOffsets($setup->diameterOffsets)],
            'subprograms' => (object) $setup->subprograms,
            'switches' => ['blockSkip' => $setup->blockSkip, 'optionalStop' => $setup->optionalStop],
        ];
        if ($setup->breakThrough !== Setup::USUAL_BREAK_THROUGH) {
            $file['breakThrough'] = $this->writeLength($setup->breakThrough);
        }
        if ($setup->lengthMethod !== null) {
            $file['lengthSchool'] = $setup->lengthMethod->value;
        }
        if ($setup->stock !== null) {
            $file['stock'] = $setup->stock->source;
        }
        foreach ($setup->moreStock as $piece) {
            $file['moreStock'][] = $piece->source;
        }
        if ($setup->grip !== null) {
            $file['grip'] = array_filter([
                'kind' => $setup->grip->kind, 'depth' => $this->writeLength($setup->grip->depth), 'force' => $setup->grip->force === null ? null : round($setup->grip->force / $this->forceUnit(), 6),
            ], static fn (mixed $value): bool => $value !== null);
        }
        if ($setup->thinnest !== Setup::USUAL_THINNEST) {
            $file['thinnest'] = $this->writeLength($setup->thinnest);
        }
        if ($setup->target !== null) {
            $file['target'] = $setup->target->source;
        }
        foreach ($setup->obstacles as $obstacle) {
            $file['obstacles'][] = [
                'name' => $obstacle->name, 'shape' => 'box', 'min' => array_map($this->writeLength(...), $obstacle->min),
                'max' => array_map($this->writeLength(...), $obstacle->max), 'workOffset' => $obstacle->workOffset,
            ] + ($obstacle->turnsWith === null ? [] : ['turnsWith' => $obstacle->turnsWith]);
        }
        if ($setup->clearance !== null) {
            $file['clearance'] = $this->writeLength($setup->clearance);
        }

        if ($setup->nearLimit !== Setup::USUAL_NEAR_LIMIT) {
            $file['nearLimit'] = $this->writeLength($setup->nearLimit);
        }
        if ($setup->material !== null) {
            $file['material'] = $setup->material;
        }
        foreach ($setup->lowered as $check => $lowered) {
            $row = array_filter(['check' => $check, 'reason' => $lowered->reason, 'by' => $lowered->by], static fn (?string $value): bool => $value !== null);
            if ($lowered->onMachine) {
                $file['machine']['lowered'][] = $row;
            } else {
                $file['lowered'][] = $row;
            }
        }
        foreach ($setup->rotaryCenters as $axis => $center) {
            $file['rotaryCenters'][$axis] = ['workOffset' => $center->workOffset, 'at' => (object) $this->writePosition($center->at)]
                + ($center->table === null ? [] : ['table' => $this->writeLength($center->table)]);
        }
        if ($setup->proof !== null) {
            $file['proof'] = array_filter(['on' => $setup->proof->on, 'by' => $setup->proof->by, 'parts' => (object) $setup->proof->parts], static fn (mixed $value): bool => $value !== null);
        }

        return $file;
    }

    /** Whether a number is one: also in fields nobody knows, which are kept. */
    private function refuseHuge(mixed $data, string $field): void
    {
        if (is_float($data) && (! is_finite($data) || abs($data) > self::MOST)) {
            throw new SetupFileError([$field => 'This number is too large to mean anything.']);
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
            /** @var object $schema */
            $schema = json_decode($this->schema, false, 64, JSON_THROW_ON_ERROR);
            $this->parsed = $schema;
        }
        $error = $this->validator->validate($data, $this->parsed)->error();
        if ($error !== null) {
            throw new SetupFileError(SchemaErrors::byField($error));
        }
    }

    /** @param  array<string, mixed>  $file */
    private function setup(array $file): Setup
    {
        $units = Units::from((string) $file['units']);
        $this->unit = $units->millimetres();
        $machine = $this->machine($file['machine']);
        $stocks = new StockFields($this->unit);
        $stock = isset($file['stock']) ? $stocks->read($file['stock'], $machine->control->defaultWorkOffset, 'stock') : null;
        $moreStock = [];
        foreach ($file['moreStock'] ?? [] as $n => $piece) {
            $moreStock[] = $stocks->read($piece, $machine->control->defaultWorkOffset, "moreStock.$n");
            if (! isset($file['workOffsets'][$moreStock[$n]->workOffset])) {
                throw new SetupFileError(["moreStock.$n.workOffset" => "Where is it clamped? {$moreStock[$n]->workOffset} has no value in this setup."]);
            }
        }
        foreach ($stock === null ? ['target' => 'What is wanted', 'moreStock' => 'More stock'] : [] as $field => $what) {
            if (($file[$field] ?? []) !== []) {
                throw new SetupFileError([$field => "$what needs the stock of the setup first."]);
            }
        }
        $workOffsets = array_map($this->position(...), $file['workOffsets'] ?? []);
        $tools = [];
        foreach ($file['tools'] ?? [] as $i => $tool) {
            if (isset($tools[$tool['number']])) {
                throw new SetupFileError(["tools.$i.number" => 'Two tools have the number '.$tool['number'].'.']);
            }
            $tools[$tool['number']] = $this->tool($tool);
        }
        $this->refuseForeignAxes($workOffsets, $machine);

        return new Setup(
            units: $units,
            machine: $machine,
            start: $this->position($file['start'] ?? []) + $machine->home,
            workOffsets: $workOffsets,
            lengthMethod: isset($file['lengthSchool']) ? LengthMethod::from($file['lengthSchool']) : null,
            tools: $tools,
            lengthOffsets: array_map($this->offset(...), $file['offsets']['H'] ?? []),
            diameterOffsets: array_map($this->offset(...), $file['offsets']['D'] ?? []),
            stock: $stock,
            obstacles: $this->obstacles($file['obstacles'] ?? [], $machine, array_map(strval(...), array_keys($file['rotaryCenters'] ?? []))),
            subprograms: $file['subprograms'] ?? [],
            blockSkip: $file['switches']['blockSkip'] ?? [],
            optionalStop: $file['switches']['optionalStop'] ?? false,
            clearance: isset($file['clearance']) ? $file['clearance'] * $this->unit : null,
            breakThrough: isset($file['breakThrough']) ? $file['breakThrough'] * $this->unit : Setup::USUAL_BREAK_THROUGH,
            nearLimit: isset($file['nearLimit']) ? $file['nearLimit'] * $this->unit : Setup::USUAL_NEAR_LIMIT,
            material: $file['material'] ?? null,
            lowered: $this->lowered($file['lowered'] ?? [], false) + $this->lowered($file['machine']['lowered'] ?? [], true),
            rotaryCenters: array_map(fn (array $center): RotaryCenter => new RotaryCenter($center['workOffset'] ?? $machine->control->defaultWorkOffset, $this->position($center['at']), isset($center['table']) ? $center['table'] * $this->unit : null), $file['rotaryCenters'] ?? []),
            proof: isset($file['proof']) ? new Proof($file['proof']['on'], $file['proof']['by'] ?? null, $file['proof']['parts']) : null,
            moreStock: $moreStock,
            grip: isset($file['grip']) ? new Grip($file['grip']['kind'], $file['grip']['depth'] * $this->unit, isset($file['grip']['force']) ? $file['grip']['force'] * $this->forceUnit() : null) : null,
            thinnest: isset($file['thinnest']) ? $file['thinnest'] * $this->unit : Setup::USUAL_THINNEST,
            target: isset($file['target']) && $stock !== null ? (new TargetFields($this->unit))->read($file['target'], $stock) : null,
        );
    }

    /** @param  array<string, mixed>  $file */
    private function machine(array $file): Machine
    {
        $axes = [];
        foreach ($file['axes'] as $name => $axis) {
            $unit = str_contains('ABC', $name[0]) ? 1.0 : $this->unit;
            if (isset($axis['min'], $axis['max']) && $axis['min'] >= $axis['max']) {
                throw new SetupFileError(["machine.axes.$name" => 'The minus limit ('.$axis['min'].') must be less than the plus limit ('.$axis['max'].').']);
            }
            $scaled = static fn (string $key): ?float => isset($axis[$key]) ? $axis[$key] * $unit : null;
            $axes[$name] = new Axis($name, $scaled('min'), $scaled('max'), $scaled('rapid'), $scaled('acceleration'), ($axis['xIs'] ?? '') === 'diameter');
        }
        $spindle = $file['spindle'] ?? [];

        return new Machine(
            name: $file['name'],
            kind: $file['kind'],
            axes: $axes,
            home: $this->position($file['home'] ?? []) + array_fill_keys(array_keys($axes), 0.0),
            secondHome: $this->position($file['secondHome'] ?? []),
            maxFeed: isset($file['maxFeed']) ? $file['maxFeed'] * $this->unit : null,
            spindles: [Machine::MAIN_SPINDLE => new Spindle(
                $spindle['maxRpm'] ?? null, (float) ($spindle['secondsToSpeed'] ?? 0.0),
                isset($spindle['power']) ? $spindle['power'] * $this->powerUnit() : null, isset($spindle['torque']) ? $spindle['torque'] * $this->torqueUnit() : null,
            )],
            toolChangeSeconds: (float) ($file['toolChange']['seconds'] ?? 0.0),
            toolChangeAt: $this->position($file['toolChange']['at'] ?? []),
            control: (new ControlFields($this->unit))->read($file['control'] ?? []),
        );
    }

    /** @param  array<string, mixed>  $file */
    private function tool(array $file): Tool
    {
        $known = ['number', 'name', 'kind', 'diameter', 'maxRpm', 'pointAngle', 'pitch', 'hand', 'coolant', 'flutes', 'stickout', 'maxAxialDepth', 'feedPerTooth', 'surfaceSpeed', 'cornerRadius', 'centerCutting', 'fluteLength', 'maxRadialWidth', 'holder', 'material', 'shankDiameter'];
        $length = fn (string $key): ?float => isset($file[$key]) ? $file[$key] * $this->unit : null;

        return new Tool(
            number: $file['number'],
            name: $file['name'] ?? 'T'.$file['number'],
            kind: ToolKind::from($file['kind'] ?? 'end-mill'),
            diameter: $length('diameter'),
            maxRpm: $file['maxRpm'] ?? null,
            pointAngle: $file['pointAngle'] ?? null,
            pitch: $length('pitch'),
            hand: $file['hand'] ?? null,
            coolant: $file['coolant'] ?? null,
            flutes: $file['flutes'] ?? null,
            stickout: $length('stickout'),
            maxAxialDepth: $length('maxAxialDepth'),
            feedPerTooth: isset($file['feedPerTooth']) ? [$file['feedPerTooth'][0] * $this->unit, $file['feedPerTooth'][1] * $this->unit] : null,
            surfaceSpeed: isset($file['surfaceSpeed']) ? [$file['surfaceSpeed'][0] * $this->surfaceUnit(), $file['surfaceSpeed'][1] * $this->surfaceUnit()] : null,
            cornerRadius: $length('cornerRadius') ?? 0.0,
            centerCutting: $file['centerCutting'] ?? null,
            fluteLength: $length('fluteLength'),
            maxRadialWidth: $length('maxRadialWidth'),
            holder: $this->holder($file['holder'] ?? []),
            shankDiameter: $length('shankDiameter'),
            isCarbide: isset($file['material']) ? $file['material'] === 'carbide' : null,
            more: array_diff_key($file, array_flip($known)),
        );
    }

    /**
     * @param  array<string, mixed>|list<array<string, mixed>>  $file  one step, or the steps from the tool's end on
     * @return list<array{diameter: float, length: float|null}>
     */
    private function holder(array $file): array
    {
        $steps = [];
        foreach (array_is_list($file) ? $file : [$file] as $step) {
            if (isset($step['diameter'])) {
                $steps[] = ['diameter' => $step['diameter'] * $this->unit, 'length' => isset($step['length']) ? $step['length'] * $this->unit : null];
            }
        }

        return $steps;
    }

    /**
     * @param  list<array<string, mixed>>  $file
     * @param  list<string>  $centers  rotary axes with a centre
     * @return list<Obstacle>
     */
    private function obstacles(array $file, Machine $machine, array $centers): array
    {
        $obstacles = [];
        foreach ($file as $i => $obstacle) {
            foreach (['X', 'Y', 'Z'] as $n => $axis) {
                if ($obstacle['min'][$n] >= $obstacle['max'][$n]) {
                    throw new SetupFileError(["obstacles.$i.max.$n" => "The obstacle ends in $axis ({$obstacle['max'][$n]}) before it begins ({$obstacle['min'][$n]})."]);
                }
            }
            $turnsWith = $obstacle['turnsWith'] ?? null;
            if ($turnsWith !== null && ! in_array($turnsWith, $centers, true)) {
                throw new SetupFileError(["obstacles.$i.turnsWith" => "Where does {$turnsWith} turn? Give its rotary centre first."]);
            }
            $obstacles[] = new Obstacle(
                $obstacle['name'] ?? 'obstacle '.($i + 1), $obstacle['workOffset'] ?? $machine->control->defaultWorkOffset,
                $this->vector($obstacle['min']), $this->vector($obstacle['max']), $turnsWith,
            );
        }

        return $obstacles;
    }

    /**
     * @param  list<array{check: string, reason: string, by?: string}>  $rows
     * @return array<string, LoweredSeverity>
     */
    private function lowered(array $rows, bool $onMachine): array
    {
        $lowered = [];
        foreach ($rows as $row) {
            $lowered[$row['check']] = new LoweredSeverity($row['reason'], $row['by'] ?? null, $onMachine);
        }

        return $lowered;
    }

    /** m/min in one surface speed of the file: 1, or 0.3048 where it is in feet. */
    private function surfaceUnit(): float
    {
        return $this->unit === 1.0 ? 1.0 : 0.3048;
    }

    /** N in one force of the file: 1, or that of a pound where lengths are in inches. */
    private function forceUnit(): float
    {
        return $this->unit === 1.0 ? 1.0 : self::POUND;
    }

    /** kW in one power of the file: 1, or that of a horsepower. */
    private function powerUnit(): float
    {
        return $this->unit === 1.0 ? 1.0 : self::HORSEPOWER;
    }

    /** N m in one torque of the file: 1, or that of a foot-pound. */
    private function torqueUnit(): float
    {
        return $this->unit === 1.0 ? 1.0 : self::FOOT_POUND;
    }

    /** @param  float|int|array{geometry: float|int, wear?: float|int}  $offset */
    private function offset(float|int|array $offset): Offset
    {
        return is_array($offset)
            ? new Offset($offset['geometry'] * $this->unit, ($offset['wear'] ?? 0.0) * $this->unit)
            : new Offset($offset * $this->unit);
    }

    /**
     * @param  array<string, float|int>  $position
     * @return Position
     */
    private function position(array $position): array
    {
        foreach ($position as $axis => $value) {
            $position[$axis] = str_contains('ABC', $axis[0]) ? (float) $value : $value * $this->unit;
        }

        /** @var Position $position */
        return $position;
    }

    /**
     * @param  array<int, float|int>  $values
     * @return array{float, float, float}
     */
    private function vector(array $values): array
    {
        return [$values[0] * $this->unit, $values[1] * $this->unit, $values[2] * $this->unit];
    }

    /** @param  array<string, Position>  $workOffsets */
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

    /** @return array<string, mixed> */
    private function writeMachine(Machine $machine): array
    {
        $axes = [];
        foreach ($machine->axes as $name => $axis) {
            $write = fn (?float $value): ?float => $value === null || $axis->isRotary() ? $value : $this->writeLength($value);
            $axes[$name] = (object) array_filter([
                'min' => $write($axis->min), 'max' => $write($axis->max), 'rapid' => $write($axis->rapid),
                'acceleration' => $write($axis->acceleration), 'xIs' => $axis->isDiameter ? 'diameter' : null,
            ], static fn (mixed $value): bool => $value !== null);
        }
        $spindle = $machine->spindle(Machine::MAIN_SPINDLE);

        return array_filter([
            'name' => $machine->name,
            'kind' => $machine->kind,
            'axes' => $axes,
            'home' => (object) $this->writePosition($machine->home),
            'secondHome' => (object) $this->writePosition($machine->secondHome),
            'maxFeed' => $machine->maxFeed === null ? null : $this->writeLength($machine->maxFeed),
            'spindle' => (object) array_filter(['maxRpm' => $spindle->maxRpm, 'secondsToSpeed' => $spindle->secondsToSpeed, 'power' => $spindle->power === null ? null : round($spindle->power / $this->powerUnit(), 9), 'torque' => $spindle->torque === null ? null : round($spindle->torque / $this->torqueUnit(), 9)], static fn (mixed $value): bool => $value !== null),
            'toolChange' => ['seconds' => $machine->toolChangeSeconds, 'at' => (object) $this->writePosition($machine->toolChangeAt)],
            'control' => (new ControlFields($this->unit))->write($machine->control),
        ], static fn (mixed $value): bool => $value !== null);
    }

    /** @return array<string, mixed> */
    private function writeTool(Tool $tool): array
    {
        return array_filter([
            'number' => $tool->number,
            'name' => $tool->name,
            'kind' => $tool->kind->value,
            'diameter' => $tool->diameter === null ? null : $this->writeLength($tool->diameter),
            'maxRpm' => $tool->maxRpm,
            'pointAngle' => $tool->pointAngle,
            'hand' => $tool->hand,
            'coolant' => $tool->coolant,
            'pitch' => $tool->pitch === null ? null : $this->writeLength($tool->pitch),
            'flutes' => $tool->flutes,
            'stickout' => $tool->stickout === null ? null : $this->writeLength($tool->stickout),
            'maxAxialDepth' => $tool->maxAxialDepth === null ? null : $this->writeLength($tool->maxAxialDepth),
            'feedPerTooth' => $tool->feedPerTooth === null ? null : array_map($this->writeLength(...), $tool->feedPerTooth),
            'surfaceSpeed' => $tool->surfaceSpeed === null ? null : array_map(fn (float $speed): float => round($speed / $this->surfaceUnit(), 9), $tool->surfaceSpeed),
            'cornerRadius' => $tool->cornerRadius > 0.0 ? $this->writeLength($tool->cornerRadius) : null,
            'centerCutting' => $tool->centerCutting,
            'fluteLength' => $tool->fluteLength === null ? null : $this->writeLength($tool->fluteLength),
            'shankDiameter' => $tool->shankDiameter === null ? null : $this->writeLength($tool->shankDiameter),
            'maxRadialWidth' => $tool->maxRadialWidth === null ? null : $this->writeLength($tool->maxRadialWidth),
            'holder' => $this->writeHolder($tool->holder),
            'material' => $tool->isCarbide === null ? null : ($tool->isCarbide ? 'carbide' : 'high-speed-steel'),
        ], static fn (mixed $value): bool => $value !== null) + $tool->more;
    }

    /**
     * @param  list<array{diameter: float, length: float|null}>  $holder
     * @return array<string, float>|list<array<string, float>>|null
     */
    private function writeHolder(array $holder): ?array
    {
        $steps = array_map(fn (array $step): array => array_map($this->writeLength(...), array_filter($step, static fn (?float $length): bool => $length !== null)), $holder);

        return match (count($steps)) {
            0 => null,
            1 => $steps[0],
            default => $steps,
        };
    }

    /**
     * @param  array<int, Offset>  $offsets
     * @return array<int, array<string, float|int>>
     */
    private function writeOffsets(array $offsets): array
    {
        return array_map(fn (Offset $offset): array => ['geometry' => $this->writeLength($offset->geometry), 'wear' => $this->writeLength($offset->wear)], $offsets);
    }

    /**
     * @param  Position  $position
     * @return array<string, float|int>
     */
    private function writePosition(array $position): array
    {
        foreach ($position as $axis => $value) {
            $position[$axis] = str_contains('ABC', $axis[0]) ? $value : $this->writeLength($value);
        }

        return $position;
    }

    private function writeLength(float $millimetres): float
    {
        return round($millimetres / $this->unit, 9) + 0.0;
    }
}
