<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Target\FeatureKinds;
use OakTrace\Core\Target\FloorShape;
use OakTrace\Core\Target\Outline;
use OakTrace\Core\Target\Target;

/** What a setup file says is wanted, in millimetres. */
final readonly class TargetFields
{
    /** Fields of features that are lengths, or lists of them. */
    private const LENGTHS = [
        'at', 'from', 'to', 'diameter', 'length', 'width', 'corner', 'depth', 'height', 'tolerance', 'depthTolerance', 'placeTolerance', 'chamfer',
    ];

    /** What a depth through the part may lack: the rounding of a figure. */
    private const THROUGH = 0.001;

    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit)
    {
    }

    /**
     * @param  array<string, mixed>  $file
     * @param  Stock  $stock  it is to be made of
     *
     * @throws SetupFileError
     */
    public function read(array $file, Stock $stock): Target
    {
        $edges = isset($file['edges']) ? $file['edges'] * $this->unit : Target::USUAL_EDGES;
        $tolerance = isset($file['tolerance']) ? $file['tolerance'] * $this->unit : Target::USUAL_TOLERANCE;
        if (isset($file['stl'])) {
            return Target::solid(StockFields::solid($file['stl'], 'target.stl')->scaled($this->unit), $tolerance, $file, $edges);
        }
        $top = ($file['top'] ?? 0.0) * $this->unit;
        $features = [];
        foreach ($file['features'] ?? [] as $n => $fields) {
            $features[] = $this->feature($fields, $n, $top, $tolerance, $stock);
        }

        return Target::plate(
            $top, $tolerance, $features, $file, isset($file['outline']) ? $this->outline($file['outline']) : null, $file['whole'] ?? false, $edges,
        );
    }

    /** @param  array<string, mixed>  $file */
    private function outline(array $file): Outline
    {
        $length = fn (string $name): float => ($file[$name] ?? 0.0) * $this->unit;
        [$x, $y] = [$file['at'][0] * $this->unit, $file['at'][1] * $this->unit];

        return isset($file['diameter']) ? Outline::circle($x, $y, $length('diameter')) : Outline::rectangle(
            $x, $y, $length('length'), $length('width'), $length('corner'), $file['angle'] ?? 0.0,
        );
    }

    /** @param  array<string, mixed>  $file */
    private function feature(array $file, int $number, float $top, float $tolerance, Stock $stock): Feature
    {
        $kind = FeatureKinds::all()[$file['kind']];
        $fields = $file;
        foreach (self::LENGTHS as $name) {
            $fields[$name] = match (true) {
                ! isset($file[$name]) => null,
                is_array($file[$name]) => array_map(fn (float|int $value): float => $value * $this->unit, $file[$name]),
                default => $file[$name] * $this->unit,
            };
        }
        $fields = array_filter($fields, static fn (mixed $value): bool => $value !== null);
        $dimensions = [];
        foreach ($kind->sizes($fields) as $what => $size) {
            $dimensions[] = self::dimension($what, $size, $fields['tolerance'] ?? $tolerance);
        }
        $isThrough = $file['through'] ?? false;
        $floor = $stock->bottom();
        if ($kind->stands()) {
            $floor = $top + $fields['height'];
            $dimensions[] = self::dimension('height', $fields['height'], $fields['depthTolerance'] ?? $tolerance);
        } elseif ($isThrough) {
            $dimensions[] = new Dimension('depth', $top - $floor, $top - $floor - self::THROUGH, $top - $floor + self::THROUGH);
        } elseif (isset($fields['depth'])) {
            $floor = $top - $fields['depth'];
            $dimensions[] = self::dimension('depth', $fields['depth'], $fields['depthTolerance'] ?? $tolerance);
        } else {
            throw new SetupFileError(["target.features.$number.depth" => 'How deep is it? Give a depth, or say that it goes through.']);
        }
        $dimensions[] = new Dimension('place', 0.0, 0.0, $fields['placeTolerance'] ?? $tolerance);
        $outline = $kind->outline($fields);
        if ($outline->x < $stock->min[0] || $outline->x > $stock->max[0] || $outline->y < $stock->min[1] || $outline->y > $stock->max[1]) {
            throw new SetupFileError(["target.features.$number.at" => 'The middle of this feature lies beside the stock.']);
        }

        return new Feature(
            $file['name'] ?? $kind->name().' '.($number + 1), $kind->name(), $outline, $floor, $isThrough, $kind->stands(), $dimensions,
            FloorShape::from($file['floor'] ?? ($kind->name() === 'hole' ? 'cone' : 'flat')), $fields['chamfer'] ?? 0.0,
        );
    }

    /** @param  float|non-empty-array<int, float>  $tolerance  either way, or the lower and the upper deviation */
    private static function dimension(string $what, float $size, float|array $tolerance): Dimension
    {
        [$lower, $upper] = is_array($tolerance) ? [min($tolerance), max($tolerance)] : [-$tolerance, $tolerance];

        return new Dimension($what, $size, $size + $lower, $size + $upper);
    }
}
