<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Target\FeatureKinds;
use OakTrace\Core\Target\FeatureSizes;
use OakTrace\Core\Target\FloorShape;
use OakTrace\Core\Target\Outline;
use OakTrace\Core\Target\Target;

/** What a setup file says is wanted, in millimetres. */
final readonly class TargetFields
{
    /** Sizes of features that are lengths. */
    private const LENGTHS = ['diameter', 'length', 'width', 'corner', 'depth', 'height', 'placeTolerance', 'chamfer'];

    private const PLACES = ['at', 'from', 'to'];

    /** What a depth through the part may lack: the rounding of a figure. */
    private const THROUGH = 0.001;

    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit)
    {
    }

    /**
     * @param  Stock  $stock  it is to be made of
     *
     * @throws SetupFileError
     */
    public function read(FileEntry $file, Stock $stock): Target
    {
        $edges = $file->has('edges') ? $file->float('edges') * $this->unit : Target::USUAL_EDGES;
        $tolerance = $file->has('tolerance') ? $file->float('tolerance') * $this->unit : Target::USUAL_TOLERANCE;
        if ($file->has('stl')) {
            return Target::solid(StockFields::solid($file->string('stl'), 'target.stl')->scaled($this->unit), $tolerance, $file->source(), $edges);
        }
        if ($file->has('turned')) {
            $sizes = new TurnedSizeFields($this->unit, $tolerance, $stock);
            $entries = array_values($file->entries('turned'));

            return Target::turned(array_merge(...array_map($sizes->read(...), $entries, array_keys($entries))), $tolerance, $file->source(), $edges);
        }
        $top = $file->float('top', 0.0) * $this->unit;
        $features = [];
        foreach (array_values($file->entries('features')) as $n => $fields) {
            $features[] = $this->feature($fields, $n, $top, $tolerance, $stock);
        }
        $outline = $file->has('outline') ? $this->outline($file->entry('outline')) : null;

        return Target::plate($top, $tolerance, $features, $file->source(), $outline, $file->bool('whole'), $edges);
    }

    private function outline(FileEntry $file): Outline
    {
        $length = fn (string $name): float => $file->float($name, 0.0) * $this->unit;
        [$x, $y] = $this->place($file, 'at');

        return $file->has('diameter') ? Outline::circle($x, $y, $length('diameter')) : Outline::rectangle(
            $x, $y, $length('length'), $length('width'), $length('corner'), $file->float('angle', 0.0),
        );
    }

    private function feature(FileEntry $file, int $number, float $top, float $tolerance, Stock $stock): Feature
    {
        $kind = FeatureKinds::all()[$file->string('kind')];
        $fields = $this->sizes($file);
        $deviation = $this->deviation($file, 'tolerance') ?? $tolerance;
        $ofDepth = $this->deviation($file, 'depthTolerance') ?? $tolerance;
        $dimensions = [];
        foreach ($kind->sizes($fields) as $what => $size) {
            $dimensions[] = self::dimension($what, $size, $deviation);
        }
        $isThrough = $file->bool('through');
        $floor = $stock->bottom();
        if ($kind->stands()) {
            $floor = $top + $fields->size('height');
            $dimensions[] = self::dimension('height', $fields->size('height'), $ofDepth);
        } elseif ($isThrough) {
            $dimensions[] = new Dimension('depth', $top - $floor, $top - $floor - self::THROUGH, $top - $floor + self::THROUGH);
        } elseif ($fields->has('depth')) {
            $floor = $top - $fields->size('depth');
            $dimensions[] = self::dimension('depth', $fields->size('depth'), $ofDepth);
        } else {
            throw new SetupFileError(["target.features.$number.depth" => 'How deep is it? Give a depth, or say that it goes through.']);
        }
        $dimensions[] = new Dimension('place', 0.0, 0.0, $fields->size('placeTolerance', $tolerance));
        $outline = $kind->outline($fields);
        [$low, $high] = [$stock->around->low, $stock->around->high];
        if ($outline->x < $low->x || $outline->x > $high->x || $outline->y < $low->y || $outline->y > $high->y) {
            throw new SetupFileError(["target.features.$number.at" => 'The middle of this feature lies outside the stock.']);
        }

        return new Feature(
            $file->string('name', $kind->name().' '.($number + 1)), $kind->name(), $outline, $floor, $isThrough, $kind->stands(), $dimensions,
            FloorShape::from($file->string('floor', $kind->name() === 'hole' ? 'cone' : 'flat')), $fields->size('chamfer', 0.0),
        );
    }

    private function sizes(FileEntry $file): FeatureSizes
    {
        $sizes = $file->has('angle') ? ['angle' => $file->float('angle')] : [];
        foreach (self::LENGTHS as $name) {
            if ($file->has($name)) {
                $sizes[$name] = $file->float($name) * $this->unit;
            }
        }
        $places = array_filter(self::PLACES, $file->has(...));

        return new FeatureSizes($sizes, array_combine($places, array_map(fn (string $name): array => $this->place($file, $name), $places)));
    }

    /** @return array{float, float} */
    private function place(FileEntry $file, string $name): array
    {
        $place = $file->entry($name);

        return [$place->float('0') * $this->unit, $place->float('1') * $this->unit];
    }

    /** @return float|non-empty-array<array-key, float>|null either way, or the lower and the upper deviation */
    private function deviation(FileEntry $file, string $name): float|array|null
    {
        if (! is_array($file->values[$name] ?? null)) {
            return $file->has($name) ? $file->float($name) * $this->unit : null;
        }

        return array_map(fn (float $value): float => $value * $this->unit, $file->floats($name)) ?: null;
    }

    /** @param  float|non-empty-array<array-key, float>  $tolerance  either way, or the lower and the upper deviation */
    private static function dimension(string $what, float $size, float|array $tolerance): Dimension
    {
        [$lower, $upper] = is_array($tolerance) ? [min($tolerance), max($tolerance)] : [-$tolerance, $tolerance];

        return new Dimension($what, $size, $size + $lower, $size + $upper);
    }
}
