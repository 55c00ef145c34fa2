<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** Every way to touch off, the usual one of each kind first. */
final class MethodCatalogue
{
    /** @return list<Method> */
    public static function all(): array
    {
        return [
            new Methods\PartTop,
            new Methods\Setter,
            new Methods\Presetter,
            new Methods\EdgeFinder,
            new Methods\TwoTouches(true),
            new Methods\TwoTouches(false),
            new Methods\Surface,
            new Methods\FromControl,
        ];
    }

    /** @return list<Method> */
    public static function of(Subject $subject, Situation $situation): array
    {
        return array_values(array_filter(self::all(), static fn (Method $method): bool => $method->isFor($subject, $situation)));
    }

    public static function named(string $name): ?Method
    {
        foreach (self::all() as $method) {
            if ($method->name() === $name) {
                return $method;
            }
        }

        return null;
    }
}
