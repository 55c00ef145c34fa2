<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** A round hole or pocket: `at`, `diameter`. Its depth is that of its full diameter. */
final class Hole implements FeatureKind
{
    public function name(): string
    {
        return 'hole';
    }

    public function stands(): bool
    {
        return false;
    }

    public function outline(FeatureSizes $fields): Outline
    {
        [$x, $y] = $fields->place('at');

        return Outline::circle($x, $y, $fields->size('diameter'));
    }

    public function sizes(FeatureSizes $fields): array
    {
        return ['diameter' => $fields->size('diameter')];
    }
}
