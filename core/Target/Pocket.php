<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A pocket with four sides: `at` its middle, `length`, `width`, `corner`, `angle` of its length from X. */
final class Pocket implements FeatureKind
{
    public function name(): string
    {
        return 'pocket';
    }

    public function stands(): bool
    {
        return false;
    }

    public function outline(FeatureSizes $fields): Outline
    {
        [$x, $y] = $fields->place('at');

        return Outline::rectangle($x, $y, $fields->size('length'), $fields->size('width'), $fields->size('corner', 0.0), $fields->size('angle', 0.0));
    }

    public function sizes(FeatureSizes $fields): array
    {
        return ['length' => $fields->size('length'), 'width' => $fields->size('width')] + ($fields->has('corner') ? ['corner' => $fields->size('corner')] : []);
    }
}
