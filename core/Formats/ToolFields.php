<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\CuttingLimits;
use OakTrace\Core\Setup\Insert;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolGeometry;
use OakTrace\Core\Setup\ToolHolding;
use OakTrace\Core\Setup\ToolKind;

/** One tool of a setup file. */
final readonly class ToolFields
{
    private const MATERIALS = ['carbide' => true, 'high-speed-steel' => false];

    /** @var FieldGroup<ToolGeometry> */
    private FieldGroup $geometry;

    /** @var FieldGroup<ToolHolding> */
    private FieldGroup $holding;

    /** @var FieldGroup<CuttingLimits> */
    private FieldGroup $limits;

    /** @var FieldGroup<Insert> */
    private FieldGroup $insert;

    public function __construct(private Units $units)
    {
        $this->insert = new FieldGroup(Insert::class, [
            'approachAngle' => FieldUnit::Plain,
            'includedAngle' => FieldUnit::Plain,
            'edgeLength' => FieldUnit::Length,
            'width' => FieldUnit::Length,
            'minBore' => FieldUnit::Length,
            'shankWidth' => FieldUnit::Length,
            'face' => FieldUnit::Plain,
        ]);
        $this->geometry = new FieldGroup(ToolGeometry::class, [
            'diameter' => FieldUnit::Length,
            'cornerRadius' => FieldUnit::Length,
            'pointAngle' => FieldUnit::Plain,
            'pitch' => FieldUnit::Length,
            'hand' => FieldUnit::Plain,
            'flutes' => FieldUnit::Plain,
            'fluteLength' => FieldUnit::Length,
            'centerCutting' => FieldUnit::Plain,
        ]);
        $this->holding = new FieldGroup(ToolHolding::class, [
            'length' => FieldUnit::Length,
            'stickout' => FieldUnit::Length,
            'shankDiameter' => FieldUnit::Length,
            'holder' => FieldUnit::Length,
            'projection' => FieldUnit::Length,
            'driven' => FieldUnit::Plain,
        ]);
        $this->limits = new FieldGroup(CuttingLimits::class, [
            'maxRpm' => FieldUnit::Plain,
            'maxAxialDepth' => FieldUnit::Length,
            'maxRadialWidth' => FieldUnit::Length,
            'feedPerTooth' => FieldUnit::Length,
            'surfaceSpeed' => FieldUnit::SurfaceSpeed,
            'coolant' => FieldUnit::Plain,
        ]);
    }

    public function read(FileEntry $file): Tool
    {
        $known = ['number', 'name', 'kind', 'material', ...$this->geometry->names(), ...$this->holding->names(), ...$this->limits->names(),
            ...$this->insert->names()];
        $source = $file->source();

        return new Tool(
            number: $file->int('number'),
            name: $file->string('name', 'T'.$file->int('number')),
            kind: ToolKind::from($file->string('kind', 'end-mill')),
            geometry: $this->geometry->read($source, $this->units),
            holding: $this->holding->read(['holder' => self::steps($file)] + $source, $this->units),
            limits: $this->limits->read($source, $this->units),
            isCarbide: self::MATERIALS[$file->string('material', '')] ?? null,
            more: array_diff_key($source, array_flip($known)),
            insert: $this->insert->read($source, $this->units),
        );
    }

    /** @return array<string, mixed> */
    public function write(Tool $tool): array
    {
        $file = ['number' => $tool->number, 'name' => $tool->name, 'kind' => $tool->kind->value]
            + $this->geometry->write($tool->geometry, $this->units) + $this->holding->write($tool->holding, $this->units)
            + $this->limits->write($tool->limits, $this->units) + $this->insert->write($tool->insert, $this->units);
        if ($tool->isCarbide !== null) {
            $file['material'] = array_search($tool->isCarbide, self::MATERIALS, true);
        }
        if (isset($file['holder']) && is_array($file['holder'])) {
            $steps = array_map(
                static fn (mixed $step): array => array_filter((array) $step, static fn (mixed $length): bool => $length !== null), $file['holder'],
            );
            $file['holder'] = count($steps) === 1 ? reset($steps) : $steps;
        }

        return $file + $tool->more;
    }

    /**
     * One step, or the steps from the tool's end on.
     *
     * @return list<array{diameter: float, length: float|null}>
     */
    private static function steps(FileEntry $tool): array
    {
        $holder = $tool->entry('holder');
        $steps = [];
        foreach (array_is_list($holder->values) ? $tool->entries('holder') : [$holder] as $step) {
            if ($step->has('diameter')) {
                $steps[] = ['diameter' => $step->float('diameter'), 'length' => $step->maybeFloat('length')];
            }
        }

        return $steps;
    }
}
