<?php

declare(strict_types=1);

namespace OakTrace\Core\Target;

/** The catalogue of features. */
final class FeatureKinds
{
    /** @var list<class-string<FeatureKind>> */
    private const KINDS = [Hole::class, Pocket::class, Slot::class, Boss::class];

    /** @return array<string, FeatureKind> by name */
    public static function all(): array
    {
        $kinds = [];
        foreach (self::KINDS as $class) {
            $kind = new $class;
            $kinds[$kind->name()] = $kind;
        }

        return $kinds;
    }
}
