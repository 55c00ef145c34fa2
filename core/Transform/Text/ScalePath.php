<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Transform\Text\Path\PathLines;
use OakTrace\Core\Transform\Text\Path\PlaneMap;

/** The path of some lines larger or smaller in X and Y; heights stay. */
final class ScalePath implements MillTransform
{
    public function name(): string
    {
        return 'scale-path';
    }

    public function title(): string
    {
        return 'Scale';
    }

    public function fields(): array
    {
        return [Field::number('factor', 'X and Y by a factor of', 1.0), Field::number('x', 'about X', 0.0), Field::number('y', AxisName::Y, 0.0)];
    }

    public function edits(Scope $scope, array $values): array
    {
        if ($values['factor'] <= 0) {
            throw new TransformProblem('Scale by more than zero; to mirror, use the mirror change.');
        }

        return PathLines::edits($scope, PlaneMap::scale((float) $values['factor'], (float) $values['x'], (float) $values['y']));
    }
}
