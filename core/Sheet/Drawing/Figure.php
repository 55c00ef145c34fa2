<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Drawing;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Sheet\Blank;
use OakTrace\Core\Sheet\Chain;
use OakTrace\Core\Sheet\Segment;

/**
 * The small drawing of an operation, made from the answers there are. Each line belongs to the question it comes from. Lengths in
 * millimetres, in the coordinates of the part.
 */
final class Figure
{
    /** @var list<array{field: string, role: Role, chain: Chain, isClosed: bool}> */
    private array $lines = [];

    /** @var list<array{field: string, x: float, y: float, text: string}> */
    private array $labels = [];

    /** @var list<float>|null top, and the height of each pass */
    private ?array $heights = null;

    public function __construct(private readonly Blank $blank)
    {
        if ($blank->box !== null) {
            $this->box('', $blank->box->low->x, $blank->box->low->y, $blank->box->high->x, $blank->box->high->y, Role::Raw);
        }
    }

    public function box(string $field, float $left, float $low, float $right, float $high, Role $role = Role::Edge): self
    {
        return $this->chain($field, new Chain($left, $low, [
            new Segment($right, $low), new Segment($right, $high), new Segment($left, $high), new Segment($left, $low),
        ]), $role);
    }

    /** A closed outline; nothing where it is null. */
    public function chain(string $field, ?Chain $chain, Role $role = Role::Edge): self
    {
        if ($chain !== null) {
            $this->lines[] = ['field' => $field, 'role' => $role, 'chain' => $chain, 'isClosed' => true];
        }

        return $this;
    }

    public function circle(string $field, float $x, float $y, float $radius, Role $role = Role::Edge): self
    {
        return $radius <= 0.0 ? $this : $this->chain($field, new Chain($x + $radius, $y, [new Segment($x + $radius, $y, [$x, $y])]), $role);
    }

    /**
     * A line with its size written in the middle of it, or nothing where that stands elsewhere.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function size(string $field, array $from, array $to, string $text = ''): self
    {
        $this->lines[] = ['field' => $field, 'role' => Role::Size, 'chain' => new Chain($from[0], $from[1], [new Segment(...$to)]), 'isClosed' => false];

        return $text === '' ? $this : $this->label($field, ($from[0] + $to[0]) / 2, ($from[1] + $to[1]) / 2, $text);
    }

    public function label(string $field, float $x, float $y, string $text): self
    {
        $this->labels[] = ['field' => $field, 'x' => $x, 'y' => $y, 'text' => $text];

        return $this;
    }

    /** How deep it goes below its top, and in which passes. */
    public function reach(float $top, float ...$depths): self
    {
        $this->heights = [$top, ...array_map(static fn (float $depth): float => $top - $depth, array_values($depths))];

        return $this;
    }

    /** @return array<string, mixed> lines as paths of SVG with Y upwards; null lengths where there is nothing to draw */
    public function toArray(Units $units): array
    {
        $unit = $units->millimetres();
        $at = static fn (float $length): float => round($length / $unit, 5);

        return [
            'lines' => array_map(static fn (array $line): array => [
                'field' => $line['field'], 'role' => $line['role']->value, 'd' => self::path($line['chain'], $at).($line['isClosed'] ? 'Z' : ''),
            ], $this->lines),
            'labels' => array_map(
                static fn (array $label): array => [...$label, 'x' => $at($label['x']), 'y' => $at($label['y'])], $this->labels,
            ),
            'bounds' => array_map($at, $this->bounds()),
            'heights' => $this->heights === null ? null : array_map($at, $this->heights),
            'raw' => $this->blank->box === null ? null : [$at($this->blank->box->low->z), $at($this->blank->box->high->z)],
        ];
    }

    /** @return array{float, float, float, float} least X and Y, greatest X and Y */
    private function bounds(): array
    {
        [$xs, $ys] = [[], []];
        foreach ($this->lines as ['chain' => $chain]) {
            [$x, $y] = [$chain->x, $chain->y];
            foreach ([new Segment($x, $y), ...$chain->segments] as $segment) {
                // An arc is taken with the whole of its circle: the drawing has room for that.
                $radius = $segment->center === null ? 0.0 : hypot($segment->x - $segment->center[0], $segment->y - $segment->center[1]);
                [$mx, $my] = $segment->center ?? [$segment->x, $segment->y];
                array_push($xs, $mx - $radius, $mx + $radius);
                array_push($ys, $my - $radius, $my + $radius);
            }
        }

        return $xs === [] ? [0.0, 0.0, 0.0, 0.0] : [min($xs), min($ys), max($xs), max($ys)];
    }

    /** @param  callable(float): float  $at */
    private static function path(Chain $chain, callable $at): string
    {
        [$x, $y] = [$chain->x, $chain->y];
        $path = "M{$at($x)} {$at($y)}";
        foreach ($chain->segments as $segment) {
            $path .= $segment->center === null ? "L{$at($segment->x)} {$at($segment->y)}" : self::arc($x, $y, $segment, $segment->center, $at);
            [$x, $y] = [$segment->x, $segment->y];
        }

        return $path;
    }

    /**
     * @param  array{float, float}  $center
     * @param  callable(float): float  $at
     */
    private static function arc(float $x, float $y, Segment $segment, array $center, callable $at): string
    {
        $radius = hypot($x - $center[0], $y - $center[1]);
        $sense = $segment->isClockwise ? 0 : 1;
        $arc = static fn (float $toX, float $toY, int $isLarge): string => "A{$at($radius)} {$at($radius)} 0 {$isLarge} {$sense} {$at($toX)} {$at($toY)}";
        if (hypot($segment->x - $x, $segment->y - $y) < 1e-6) {
            // Round once: two halves.
            return $arc(2 * $center[0] - $x, 2 * $center[1] - $y, 0).$arc($segment->x, $segment->y, 0);
        }

        return $arc($segment->x, $segment->y, $segment->sweep($x, $y) > M_PI ? 1 : 0);
    }
}
