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

    public function outline(array $fields): Outline
    {
        return Outline::circle($fields['at'][0], $fields['at'][1], $fields['diameter']);
    }

    public function sizes(array $fields): array
    {
        return ['diameter' => $fields['diameter']];
    }
}
