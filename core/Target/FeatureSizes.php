<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** What a drawing gives of a feature, by the names of its file: lengths in mm, angles in degrees, places as X and Y. */
final readonly class FeatureSizes
{
    /**
     * @param  array<string, float>  $sizes
     * @param  array<string, array{float, float}>  $places
     */
    public function __construct(private array $sizes, private array $places)
    {
    }

    public function size(string $name, float $default = NAN): float
    {
        return $this->sizes[$name] ?? $default;
    }

    public function has(string $name): bool
    {
        return isset($this->sizes[$name]);
    }

    /** @return array{float, float} */
    public function place(string $name): array
    {
        return $this->places[$name] ?? [NAN, NAN];
    }
}
