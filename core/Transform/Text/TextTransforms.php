<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Kinematics\Machine;

/** Every change of text there is. A new one is a class and a line here. */
final class TextTransforms
{
    private const TRANSFORMS = [
        ChangeWords::class,
        Renumber::class,
        Layout::class,
        ConvertUnits::class,
        ShiftPath::class,
        TurnPath::class,
        MirrorPath::class,
        ScalePath::class,
        SafeStart::class,
        CommentOut::class,
        SkipMarks::class,
    ];

    /** @return list<TextTransform> */
    public static function all(): array
    {
        return array_map(static fn (string $class): TextTransform => new $class, self::TRANSFORMS);
    }

    /** @return list<TextTransform> those that mean anything on a machine */
    public static function for(Machine $machine): array
    {
        $isMill = ! $machine->isLathe();

        return array_values(array_filter(self::all(), static fn (TextTransform $transform): bool => $isMill || ! $transform instanceof MillTransform));
    }

    public static function named(string $name): ?TextTransform
    {
        foreach (self::all() as $transform) {
            if ($transform->name() === $name) {
                return $transform;
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $given  values as they came, by the name of the field
     * @return array<string, string|float|null>
     *
     * @throws TransformProblem
     */
    public static function values(TextTransform $transform, array $given): array
    {
        $values = [];
        foreach ($transform->fields() as $field) {
            $values[$field->name] = $field->read($given);
        }

        return $values;
    }
}
