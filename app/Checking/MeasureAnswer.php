<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\PackedColumns;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Compared\Comparison;
use OakTrace\Core\Stock\Compared\SizeResult;
use OakTrace\Core\Stock\Measure\Measured;
use OakTrace\Core\Stock\Measure\Measurement;
use OakTrace\Core\Stock\Measure\Profile;
use OakTrace\Core\Stock\Measure\Shape;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;
use OakTrace\Core\Wording\Wording;

/** Sections, sizes and what differs from the drawing, of the stock as it is cut. Lengths in the units asked for. */
final readonly class MeasureAnswer
{
    /** Steps of a section: as fine as can be seen, and a little more. */
    private const STEPS = 4000;

    /** Names of the sizes, in the order they are told. */
    private const SIZES = ['diameter' => 'diameter', 'length' => 'length', 'width' => 'width', 'corner' => 'corner radius', 'angle' => 'angle'];

    public function __construct(private StockRun $stock, private Setup $setup, private Units $units)
    {
    }

    /**
     * Along a line in plan.
     *
     * @param  array{float, float}  $from  mm
     * @param  array{float, float}  $to
     * @return array{
     *     length: float, top: float, bottom: float, cut: list<array{float, float}>, before: list<array{float, float}>,
     *     wanted: list<array{float, float}>|null,
     * } corners: how far along, how high
     */
    public function section(array $from, array $to): array
    {
        [$number, $shift] = $this->bodyAt([($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2]);
        $body = $this->stock->bodies[$number];
        [$from, $to] = [[$from[0] - $shift->x, $from[1] - $shift->y], [$to[0] - $shift->x, $to[1] - $shift->y]];
        $moves = $this->stock->log->over($number, min($from[0], $to[0]), min($from[1], $to[1]), max($from[0], $to[0]), max($from[1], $to[1]));
        $scaled = fn (Profile $profile): array => array_map(
            fn (array $corner): array => [$corner[0] / $this->unit(), $corner[1] / $this->unit()], $profile->corners(),
        );
        $wanted = $this->setup->workpiece->target === null || $number !== 0 ? null : Profile::of(
            $body->field->bottom, $from, $to, self::STEPS, $this->setup->workpiece->target->height(...),
        );

        return [
            'length' => hypot(
                $to[0] - $from[0], $to[1] - $from[1],
            ) / $this->unit(), 'top' => $body->top / $this->unit(), 'bottom' => $body->field->bottom / $this->unit(),
            'cut' => $scaled(Profile::along($body, $moves, $from, $to, self::STEPS)), 'before' => $scaled(Profile::along($body, [], $from, $to, self::STEPS)),
            'wanted' => $wanted === null ? null : $scaled($wanted),
        ];
    }

    /**
     * What there is at one or two points.
     *
     * @param  list<array{float, float}>  $points  mm
     * @return array{features: list<array<string, mixed>|null>, between: list<array{string, string}>} each with its sizes beside what the drawing says
     */
    public function at(array $points): array
    {
        // Two places are measured on the same stock: that of the first.
        [$number, $shift] = $this->bodyAt($points[0] ?? [0.0, 0.0]);
        $measurement = Measurement::of($this->stock->bodies[$number], $this->stock->log, $number);
        $found = array_map(static fn (array $point): ?Measured => $measurement->at($point[0] - $shift->x, $point[1] - $shift->y), $points);
        $between = [];
        if (isset($found[0], $found[1])) {
            [$x, $y] = [$found[1]->middle[0] - $found[0]->middle[0], $found[1]->middle[1] - $found[0]->middle[1]];
            $web = $measurement->between($found[0], $found[1]);
            $between = [
                ['centre to centre', $this->words(hypot($x, $y))], ['along X', $this->words($x)], ['along Y', $this->words($y)],
                ...($web === null ? [] : [['wall to wall', $this->words($web)]]),
            ];
        }

        return [
            'features' => array_map(fn (?Measured $measured): ?array => $measured === null ? null : $this->feature($measured, $number), $found),
            'between' => $between,
        ];
    }

    /**
     * Beside what is wanted, as one body, see PackedColumns: the head has the sizes and the worst of what is left and gouged; the column
     * map how much is left (more than nothing) or gouged (less) in every cell of the first field, not a number where nothing is wanted.
     */
    public function compared(Comparison $comparison): string
    {
        $columns = new PackedColumns;
        $columns->open('map', ColumnType::F32);
        $columns->add('map', array_map(fn (float $over): float => $over / $this->unit(), $comparison->map));
        $worst = [];
        foreach (['left' => $comparison->left, 'gouged' => $comparison->gouged] as $name => $difference) {
            $worst[$name] = $difference === null ? null : [
                'by' => $this->words($difference->by()), 'wall' => $difference->besideWall === null ? null : $this->words($difference->besideWall),
                'x' => $difference->x / $this->unit(), 'y' => $difference->y / $this->unit(),
                'volume' => $this->wording()->figure(Quantity::volume($difference->volume)), 'line' => $difference->line,
            ];
        }

        return $columns->body(
            [
                'sizes' => array_map($this->size(...), $comparison->sizes),
                'tolerance' => ($this->setup->workpiece->target->tolerance ?? 0.0) / $this->unit(),
            ] + $worst,
        );
    }

    /**
     * The stock that lies at a place of the drawing; the first that faces the tool where none does.
     *
     * @param  array{float, float}  $place
     * @return array{int, Shift} its number, and its zero seen from that of the drawing
     */
    private function bodyAt(array $place): array
    {
        $facing = $this->stock->facing();
        foreach ($facing as $number) {
            $shift = $this->stock->bodies[$number]->zero->minus($this->stock->bodies[0]->zero);
            if ($this->stock->bodies[$number]->field->cellAt($place[0] - $shift->x, $place[1] - $shift->y) !== null) {
                return [$number, $shift];
            }
        }
        $first = $facing[0] ?? 0;

        return [$first, $this->stock->bodies[$first]->zero->minus($this->stock->bodies[0]->zero)];
    }

    /** @return array<string, mixed> */
    private function feature(Measured $measured, int $body): array
    {
        $wanted = $body === 0 ? $this->wantedOf($measured) : null;
        $piece = $this->stock->bodies[$body]->stock;
        $rows = [];
        foreach (self::SIZES as $what => $name) {
            if (isset($measured->sizes[$what])) {
                $rows[] = [
                    $name, $what === 'angle' ? number_format($measured->sizes[$what], 2).'°' : $this->words($measured->sizes[$what]),
                    $this->wanted($wanted, $what),
                ];
            }
        }
        if (isset($measured->sizes['least'])) {
            $rows[] = ['out of round', $this->words($measured->sizes['most'] - $measured->sizes['least']), null];
        }
        if ($measured->depth() > 1e-6) {
            $rows[] = [
                $measured->stands ? 'height' : 'depth',
                ($measured->isThrough && ! $measured->stands ? 'through, ' : '').$this->words($measured->depth()),
                $measured->stands ? $this->wanted($wanted, 'height') : null,
            ];
        }
        if ($wanted !== null && ! $measured->stands) {
            // The drawing counts from the face as it is wanted, which may not be cut yet, or cut too low.
            $rows[] = [
                'depth from the drawing\'s face', $this->words(($this->setup->workpiece->target->top ?? 0.0) - $measured->floor),
                $this->wanted($wanted, 'depth'),
            ];
        }
        $rows[] = [$measured->stands ? 'top' : 'floor', 'Z '.$this->words($measured->floor), null];
        $rows[] = [
            'middle',
            'X '.$this->words($measured->middle[0]).', Y '.$this->words($measured->middle[1]).(
                $piece === 0 ? '' : ' in '.($this->setup->workpiece->moreStock[$piece - 1]->workOffset ?? '')
            ),
            null,
        ];

        return ['shape' => self::shapeWords($measured), 'name' => $wanted?->name, 'rows' => $rows];
    }

    private static function shapeWords(Measured $measured): string
    {
        $isSlot = isset($measured->sizes['corner'], $measured->sizes['width']) && $measured->sizes['corner'] > 0.49 * $measured->sizes['width'];

        return match ($measured->shape) {
            Shape::Round => $measured->stands ? 'Round boss' : ($measured->isThrough ? 'Hole through' : 'Hole or round pocket'),
            Shape::FourSides => $measured->stands ? 'Rectangular boss' : ($isSlot ? 'Slot with round ends' : 'Rectangular pocket'),
            Shape::Channel => $measured->stands ? 'Wall' : 'Slot, open at its ends',
            Shape::Other => 'Face or another shape',
        };
    }

    /** The feature of the drawing whose middle is measured here. */
    private function wantedOf(Measured $measured): ?Feature
    {
        foreach ($this->setup->workpiece->target->features ?? [] as $feature) {
            if (
                $feature->stands === $measured->stands && $measured->sizes !== []
                && hypot($feature->outline->x - $measured->middle[0], $feature->outline->y - $measured->middle[1]) < max(0.5, $feature->outline->width / 4)
            ) {
                return $feature;
            }
        }

        return null;
    }

    private function wanted(?Feature $feature, string $what): ?string
    {
        foreach ($feature->dimensions ?? [] as $dimension) {
            if ($dimension->what === $what) {
                return $this->toleranced($dimension);
            }
        }

        return null;
    }

    /** As on a drawing: the size, and its deviations or what it may lie between. */
    private function toleranced(Dimension $dimension): string
    {
        [$lower, $upper] = [$dimension->least - $dimension->wanted, $dimension->most - $dimension->wanted];
        $short = fn (float $deviation): string => abs($deviation) < 1e-9 ? '0' : str_replace(
            '-', '−', sprintf('%+.'.$this->units->decimals().'f', $deviation / $this->unit()),
        );

        return $this->words($dimension->wanted).' '.(abs($lower + $upper) < 1e-9 ? '±'.ltrim($short($upper), '+') : $short($upper).' / '.$short($lower));
    }

    /** @return array<string, mixed> */
    private function size(SizeResult $size): array
    {
        $isPlace = $size->dimension->what === 'place';

        return [
            'feature' => $size->feature->name, 'what' => $isPlace
                ? 'position error'
                : (
                    self::SIZES[$size->dimension->what] ?? $size->dimension->what
                ), 'x' => $size->feature->outline->x / $this->unit(), 'y' => $size->feature->outline->y / $this->unit(),
            'wanted' => $isPlace
                ? 'up to '.$this->words($size->dimension->most)
                : $this->toleranced($size->dimension), 'got' => $size->got === null
                ? null
                : $this->words($size->got),
            'within' => $size->isWithin(), 'line' => $size->line,
        ];
    }

    private function words(float $millimetres): string
    {
        return $this->wording()->figure(Quantity::length($millimetres));
    }

    private function wording(): Wording
    {
        return new Wording($this->units);
    }

    private function unit(): float
    {
        return $this->units->millimetres();
    }
}
