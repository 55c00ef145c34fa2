<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use InvalidArgumentException;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Solids\HeightMap;
use OakTrace\Core\Solids\Mesh;

/** The stock of a setup file, in millimetres. */
final readonly class StockFields
{
    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit)
    {
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  string  $field  where it stands in the setup, dotted
     *
     * @throws SetupFileError
     */
    public function read(array $file, string $workOffset, string $field): Stock
    {
        $work = $file['workOffset'] ?? $workOffset;

        return match ($file['shape']) {
            'cylinder' => $this->cylinder($file, $work, $field),
            'heights' => Stock::of($work, $this->heights($file, $field), $file),
            'solid' => Stock::of($work, self::solid($file['stl'], "$field.stl")->scaled($this->unit), $file),
            default => $this->box($file, $work, $field),
        };
    }

    /**
     * The triangles of an STL file as it stands in a setup: in base64.
     *
     * @throws SetupFileError
     */
    public static function solid(string $base64, string $field): Mesh
    {
        $bytes = base64_decode($base64, true);
        try {
            return StlReader::mesh($bytes === false ? '' : $bytes);
        } catch (InvalidArgumentException $problem) {
            throw new SetupFileError([$field => $problem->getMessage()]);
        }
    }

    /** @param  array<string, mixed>  $file */
    private function cylinder(array $file, string $work, string $field): Stock
    {
        $bore = $file['bore'] ?? 0.0;
        if ($bore >= $file['diameter']) {
            throw new SetupFileError(["$field.bore" => "The bore ($bore) is no smaller than the diameter ({$file['diameter']}): nothing is left of it."]);
        }

        return Stock::cylinder(
            $work, $file['diameter'] * $this->unit, $file['length'] * $this->unit, ($file['face'] ?? 0.0) * $this->unit, $file,
            array_flip(AxisName::LINEAR)[$file['axis'] ?? AxisName::Z], $bore * $this->unit, ($file['towards'] ?? 'minus') === 'plus',
        );
    }

    /** @param  array<string, mixed>  $file */
    private function box(array $file, string $work, string $field): Stock
    {
        foreach (AxisName::LINEAR as $i => $axis) {
            if ($file['min'][$i] >= $file['max'][$i]) {
                throw new SetupFileError(["$field.max.$i" => "The stock ends in $axis ({$file['max'][$i]}) before it begins ({$file['min'][$i]})."]);
            }
        }
        $scaled = fn (array $place): array => [$place[0] * $this->unit, $place[1] * $this->unit, $place[2] * $this->unit];

        return Stock::box($work, $scaled($file['min']), $scaled($file['max']), $file);
    }

    /** @param  array<string, mixed>  $file */
    private function heights(array $file, string $field): HeightMap
    {
        $wide = count($file['heights'][0]);
        $any = false;
        foreach ($file['heights'] as $row => $heights) {
            if (count($heights) !== $wide) {
                throw new SetupFileError(["$field.heights.$row" => 'Row '.($row + 1).' has '.count($heights)." heights, the first has {$wide}."]);
            }
            foreach ($heights as $column => $height) {
                $any = $any || ($height !== null && $height > $file['bottom']);
                if ($height !== null && $height < $file['bottom']) {
                    throw new SetupFileError(["$field.heights.$row.$column" => "A height ({$height}) is below the bottom ({$file['bottom']})."]);
                }
            }
        }
        if (! $any) {
            throw new SetupFileError(["$field.heights" => 'No height is above the bottom: there is no stock.']);
        }
        /** @var list<list<float|null>> $scaled */
        $scaled = array_map(
            fn (array $row): array => array_map(fn (float|int|null $height): ?float => $height === null ? null : $height * $this->unit, $row),
            $file['heights'],
        );

        return new HeightMap($file['at'][0] * $this->unit, $file['at'][1] * $this->unit, $file['square'] * $this->unit, $file['bottom'] * $this->unit, $scaled);
    }
}
