<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

use OakTrace\Core\Solids\HeightField;
use OakTrace\Core\Solids\Mesh;
use OakTrace\Core\Solids\MeshHeights;

/** What a setup is to make of its stock: a plate with features, a solid, or the sizes of a turned part. In the coordinates of the stock's work offset, mm. */
final readonly class Target
{
    /** What a size, a depth or a face may be off where nobody says. */
    public const USUAL_TOLERANCE = 0.1;

    /** How far an edge may be broken where nobody says: workshop drawings ask for 0.2 to 0.5 (common practice). */
    public const USUAL_EDGES = 0.5;

    /**
     * @param  list<Feature>  $features  in the order they are cut into the plate, or stand on it
     * @param  bool  $isWhole  whether all of the drawing is given, so that beside its features the plate is to stand to its top
     * @param  Outline|null  $outline  of the plate: nothing is wanted outside of it; the whole stock where not given
     * @param  array<string, mixed>  $source  as the setup file gives it
     * @param  float  $edges  how far an edge may be broken that has no chamfer of its own
     * @param  list<TurnedSize>  $turned  of a part that is turned
     */
    private function __construct(
        public float $top, public float $tolerance, public array $features, public ?Outline $outline, public ?Mesh $solid, public array $source,
        public bool $isWhole, public float $edges, public array $turned = [],
    ) {
    }

    /**
     * @param  list<TurnedSize>  $sizes
     * @param  array<string, mixed>  $source
     */
    public static function turned(array $sizes, float $tolerance, array $source, float $edges = self::USUAL_EDGES): self
    {
        return new self(0.0, $tolerance, [], null, null, $source, false, $edges, $sizes);
    }

    /**
     * @param  float  $top  of the plate when it is done
     * @param  list<Feature>  $features
     * @param  array<string, mixed>  $source
     */
    public static function plate(
        float $top, float $tolerance, array $features, array $source, ?Outline $outline = null, bool $isWhole = true, float $edges = self::USUAL_EDGES,
    ): self {
        return new self($top, $tolerance, $features, $outline, null, $source, $isWhole, $edges);
    }

    /** @param  array<string, mixed>  $source */
    public static function solid(Mesh $solid, float $tolerance, array $source, float $edges = self::USUAL_EDGES): self
    {
        return new self($solid->box()->high->z, $tolerance, [], null, $solid, $source, true, $edges);
    }

    /**
     * How high the part is to stand in every cell of a field.
     *
     * @return list<float|null> null where nothing is wanted of it
     */
    public function heights(HeightField $field): array
    {
        if ($this->solid !== null) {
            return array_map(static fn (float $height): ?float => $height === -INF ? null : max($field->bottom, $height), $this->solid->over($field));
        }
        $heights = array_fill(0, count($field->heights), $this->isWhole ? max($field->bottom, $this->top) : null);
        foreach ($this->features as $feature) {
            $outline = $feature->outline;
            $reach = $outline->reach();
            $level = $feature->isThrough ? $field->bottom : max($field->bottom, $feature->floor);
            $from = max(0, (int) floor(($outline->x - $reach - $field->x) / $field->dx));
            $to = min($field->columns - 1, (int) ceil(($outline->x + $reach - $field->x) / $field->dx));
            $back = min($field->rows - 1, (int) ceil(($outline->y + $reach - $field->y) / $field->dy));
            for ($row = max(0, (int) floor(($outline->y - $reach - $field->y) / $field->dy)); $row <= $back; $row++) {
                for ($column = $from; $column <= $to; $column++) {
                    if ($outline->distance(...$field->place($row * $field->columns + $column)) < 0.0) {
                        $heights[$row * $field->columns + $column] = $level;
                    }
                }
            }
        }

        if ($this->outline !== null) {
            // Most cells lie well within it, or beyond all of it; only the others are asked for their distance.
            $outline = $this->outline;
            [$within, $beyond] = [(min($outline->length, $outline->width) / 2) ** 2, $outline->reach() ** 2];
            for ($row = 0, $cell = 0; $row < $field->rows; $row++) {
                for ($column = 0; $column < $field->columns; $column++, $cell++) {
                    $x = $field->x + ($column + $field->across[$row]) * $field->dx;
                    $y = $field->y + ($row + $field->along[$column]) * $field->dy;
                    $square = ($y - $outline->y) * ($y - $outline->y) + ($x - $outline->x) * ($x - $outline->x);
                    if ($square > $beyond || ($square > $within && $outline->distance($x, $y) > 0.0)) {
                        $heights[$cell] = null;
                    }
                }
            }
        }

        /** @var list<float|null> $heights */
        return $heights;
    }

    /**
     * What a cell that is not as wanted may be instead, since a wall may stand so far from where it is drawn.
     *
     * @param  list<float|null>  $wanted
     * @param  array<int, mixed>  $cells  those that are asked about
     * @return array<int, array{float, float}> cells near a wall => the lowest and the highest
     */
    public function atWalls(HeightField $field, array $wanted, array $cells): array
    {
        $walls = [];
        if ($this->solid !== null) {
            $heights = new MeshHeights($this->solid);
            foreach (array_keys($cells) as $cell) {
                $own = $wanted[$cell];
                if ($own !== null) {
                    $walls[$cell] = $this->atSolidWalls($heights, ...$field->place($cell), own: $own);
                }
            }

            return $walls;
        }
        $reach = max($this->tolerance, 1e-3);
        foreach ($this->features as $feature) {
            $outline = $feature->outline;
            foreach ($field->cellsAround($outline->x, $outline->y, $outline->reach() + $reach) as $cell) {
                if (! isset($cells[$cell]) || isset($walls[$cell]) || $wanted[$cell] === null || abs($outline->distance(...$field->place($cell))) > $reach) {
                    continue;
                }
                [$x, $y] = $field->place($cell);
                [$low, $high] = [$wanted[$cell], $wanted[$cell]];
                foreach ([[-1, -1], [-1, 1], [1, -1], [1, 1], [-1, 0], [1, 0], [0, -1], [0, 1]] as [$right, $back]) {
                    $height = $this->plateAt($x + $right * $reach, $y + $back * $reach);
                    [$low, $high] = [min($low, $height), max($high, $height)];
                }
                $walls[$cell] = [$low, $high];
            }
        }
        foreach ($this->outline === null ? [] : array_keys($cells) as $cell) {
            if ($wanted[$cell] !== null && $this->outline?->distance(...$field->place($cell)) > -$reach) {
                $walls[$cell] = [-INF, INF]; // beside what is wanted there may be anything
            }
        }

        return $walls;
    }

    /**
     * The lowest and the highest a place may be where walls of the solid may stand beside where they are drawn, and its edges be broken.
     *
     * @return array{float, float}
     */
    private function atSolidWalls(MeshHeights $heights, float $x, float $y, float $own): array
    {
        [$low, $high] = [$own, $own];
        foreach ([[-1, -1], [-1, 1], [1, -1], [1, 1]] as [$right, $back]) {
            $height = $heights->at($x + $right * $this->tolerance, $y + $back * $this->tolerance);
            [$low, $high] = [min($low, $height), max($high, $height)];
            if ($this->edges > 0.0) {
                // Where it falls away there is an edge, which may be broken.
                $low = min($low, max($heights->at($x + $right * $this->edges, $y + $back * $this->edges), $own - $this->edges));
            }
        }

        return [$low, $high];
    }

    /** How high the plate is to stand at a point; less than anything where it is to be through. Null where a solid is wanted, or nothing. */
    public function height(float $x, float $y): ?float
    {
        return $this->solid !== null || ($this->outline?->distance($x, $y) ?? 0.0) > 0.0 ? null : $this->plateAt($x, $y);
    }

    private function plateAt(float $x, float $y): float
    {
        $height = $this->top;
        foreach ($this->features as $feature) {
            if ($feature->outline->distance($x, $y) < 0.0) {
                $height = $feature->isThrough ? -INF : $feature->floor;
            }
        }

        return $height;
    }
}
