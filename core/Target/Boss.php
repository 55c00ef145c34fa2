<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** Round or with four sides, standing: `at` its middle, `diameter`, or `length` and `width` with `corner` and `angle`. */
final class Boss implements FeatureKind
{
    public function name(): string
    {
        return 'boss';
    }

    public function stands(): bool
    {
        return true;
    }

    public function outline(FeatureSizes $fields): Outline
    {
        return $fields->has('diameter') ? (new Hole)->outline($fields) : (new Pocket)->outline($fields);
    }

    public function sizes(FeatureSizes $fields): array
    {
        return $fields->has('diameter') ? (new Hole)->sizes($fields) : (new Pocket)->sizes($fields);
    }
}
