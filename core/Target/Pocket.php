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

    public function outline(array $fields): Outline
    {
        return Outline::rectangle($fields['at'][0], $fields['at'][1], $fields['length'], $fields['width'], $fields['corner'] ?? 0.0, $fields['angle'] ?? 0.0);
    }

    public function sizes(array $fields): array
    {
        return ['length' => $fields['length'], 'width' => $fields['width']] + (isset($fields['corner']) ? ['corner' => $fields['corner']] : []);
    }
}
