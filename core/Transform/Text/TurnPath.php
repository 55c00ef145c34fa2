<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Transform\Text\Path\PathLines;
use OakTrace\Core\Transform\Text\Path\PlaneMap;

/** The path of some lines turned about a point of the X Y plane. */
final class TurnPath implements MillTransform
{
    public function name(): string
    {
        return 'turn-path';
    }

    public function title(): string
    {
        return 'Turn';
    }

    public function fields(): array
    {
        return [Field::number('degrees', 'degrees, counter-clockwise', 90.0), Field::number('x', 'about X', 0.0), Field::number('y', AxisName::Y, 0.0)];
    }

    public function edits(Scope $scope, array $values): array
    {
        return PathLines::edits($scope, PlaneMap::turn((float) $values['degrees'], (float) $values['x'], (float) $values['y']));
    }
}
