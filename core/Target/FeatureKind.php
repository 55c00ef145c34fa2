<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** One kind of feature: what its fields are, and what shape and sizes they make. A new kind is a class and a line in FeatureKinds. */
interface FeatureKind
{
    /** As it is written in a file. */
    public function name(): string;

    /** Whether it stands on the part instead of being cut into it. */
    public function stands(): bool;

    public function outline(FeatureSizes $fields): Outline;

    /** @return array<string, float> what of Dimension => size in plan */
    public function sizes(FeatureSizes $fields): array;
}
