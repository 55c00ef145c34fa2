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

    public function outline(array $fields): Outline
    {
        return isset($fields['diameter']) ? (new Hole)->outline($fields) : (new Pocket)->outline($fields);
    }

    public function sizes(array $fields): array
    {
        return isset($fields['diameter']) ? (new Hole)->sizes($fields) : (new Pocket)->sizes($fields);
    }
}
