<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Transform\Text\Path\PathLines;
use OakTrace\Core\Transform\Text\Path\PlaneMap;

/** The mirror image of the path of some lines; arcs turn the other way, and compensation changes sides. */
final class MirrorPath implements MillTransform
{
    public function name(): string
    {
        return 'mirror-path';
    }

    public function title(): string
    {
        return 'Mirror';
    }

    public function fields(): array
    {
        return [Field::choice('axis', 'the values of', [AxisName::X => AxisName::X, AxisName::Y => AxisName::Y]), Field::number('at', 'about', 0.0)];
    }

    public function edits(Scope $scope, array $values): array
    {
        return PathLines::edits($scope, PlaneMap::mirror((string) $values['axis'], (float) $values['at']));
    }
}
