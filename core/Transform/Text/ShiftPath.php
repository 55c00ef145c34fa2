<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Transform\Text\Path\PathLines;
use OakTrace\Core\Transform\Text\Path\PlaneMap;

/** The path of some lines a way further in X, Y and Z. */
final class ShiftPath implements TextTransform
{
    public function name(): string
    {
        return 'shift-path';
    }

    public function title(): string
    {
        return 'Shift';
    }

    public function fields(): array
    {
        return [Field::number('x', 'X by', 0.0), Field::number('y', 'Y by', 0.0), Field::number('z', 'Z by', 0.0)];
    }

    public function edits(Scope $scope, array $values): array
    {
        return PathLines::edits($scope, PlaneMap::shift((float) $values['x'], (float) $values['y'], (float) $values['z']));
    }
}
