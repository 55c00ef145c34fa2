<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A slot with round ends: `from` and `to` the middles of its ends, `width`. */
final class Slot implements FeatureKind
{
    public function name(): string
    {
        return 'slot';
    }

    public function stands(): bool
    {
        return false;
    }

    public function outline(FeatureSizes $fields): Outline
    {
        [[$x0, $y0], [$x1, $y1]] = [$fields->place('from'), $fields->place('to')];

        return Outline::rectangle(
            ($x0 + $x1) / 2, ($y0 + $y1) / 2, hypot($x1 - $x0, $y1 - $y0) + $fields->size('width'), $fields->size('width'), $fields->size('width') / 2,
            rad2deg(atan2($y1 - $y0, $x1 - $x0)),
        );
    }

    public function sizes(FeatureSizes $fields): array
    {
        return ['length' => $this->outline($fields)->length, 'width' => $fields->size('width')];
    }
}
