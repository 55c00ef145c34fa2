<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Setup\TurningOffset;

/**
 * What of a tool cuts, as a convex shape, point by point around the tip that is programmed: the nose and the edges that leave it. Edges leave the nose at
 * (-cos κ, sin κ) and (-cos(κ + ε), sin(κ + ε)) for a tip that points towards the chuck and the axis; others are that in a mirror (geometry).
 */
final class CuttingShape
{
    /** How far a drill reaches back, mm: as deep as any hole. */
    private const BODY = 200.0;

    private const ROUND = [ToolKind::Drill, ToolKind::SpotDrill, ToolKind::CenterDrill, ToolKind::Reamer, ToolKind::EndMill];

    /** Pitch of a thread insert where nobody says, mm. */
    private const PITCH = 1.5;

    /** How far a chord of the nose may stand off it, mm. */
    private const FINE = 0.0005;

    /** How long the edge of an insert is where nobody says, mm (common practice). */
    private const LONG = 12.0;

    /**
     * @param  float  $long  how long an edge is where nobody says, mm
     * @return non-empty-list<array{float, float}>|null  Z and radius from the tip, mm; null where what the tool says does not tell
     */
    public static function of(Tool $tool, ?TurningOffset $offset, float $long = self::LONG): ?array
    {
        return match (true) {
            in_array($tool->kind, [ToolKind::Turning, ToolKind::Boring, ToolKind::BoringBar, ToolKind::Shaping], true) => self::insert($tool, $offset, $long),
            $tool->kind === ToolKind::Grooving || $tool->kind === ToolKind::Parting => self::blade($tool, $offset, $long),
            in_array($tool->kind, self::ROUND, true) => self::drill($tool),
            $tool->kind === ToolKind::Threading => self::vee($tool, $offset),
            default => null,
        };
    }

    /** @return non-empty-list<array{float, float}>|null */
    private static function insert(Tool $tool, ?TurningOffset $offset, float $usual): ?array
    {
        [$approach, $included] = [$tool->insert->approachAngle, $tool->insert->includedAngle];
        $tip = $offset?->tip() ?? [0, 0];
        if ($approach === null || $included === null || $tip[0] === 0 || $tip[1] === 0) {
            return null;
        }
        $radius = $tool->geometry->cornerRadius;
        $long = $tool->insert->edgeLength ?? $usual;
        // For a tip that points to minus on both axes; directions of the edges, and square to them the way out of the insert.
        [$first, $second] = [deg2rad(180.0 - $approach), deg2rad(180.0 - $approach - $included)];
        [$outFirst, $outSecond] = [$first + M_PI_2, $second - M_PI_2 + 2 * M_PI];
        $points = [];
        $steps = $radius <= self::FINE ? 1 : max(2, (int) ceil(($outSecond - $outFirst) / (2 * acos(1 - self::FINE / $radius))));
        for ($i = 0; $i <= $steps; $i++) {
            $angle = $outFirst + ($outSecond - $outFirst) * $i / $steps;
            $points[] = [$radius + $radius * cos($angle), $radius + $radius * sin($angle)];
        }
        $points[] = [$points[$steps][0] + $long * cos($second), $points[$steps][1] + $long * sin($second)];
        $points[] = [$points[0][0] + $long * cos($first), $points[0][1] + $long * sin($first)];

        return array_map(static fn (array $point): array => [-$tip[0] * $point[0], -$tip[1] * $point[1]], $points);
    }

    /**
     * Square to the axis, its tip at the corner the offset says.
     *
     * @return non-empty-list<array{float, float}>|null
     */
    private static function blade(Tool $tool, ?TurningOffset $offset, float $usual): ?array
    {
        $width = $tool->insert->width;
        [$z, $x] = $offset?->tip() ?? [0, 0];
        if ($width === null || $x === 0) {
            return null;
        }
        $long = -$x * $usual;
        $from = match ($z) {
            -1 => 0.0,
            1 => -$width,
            default => -$width / 2,
        };

        return [[$from, 0.0], [$from + $width, 0.0], [$from + $width, $long], [$from, $long]];
    }

    /**
     * The point of a thread insert: 60° between its flanks (ISO 68-1), as high as a thread of its pitch and more.
     *
     * @return non-empty-list<array{float, float}>|null
     */
    private static function vee(Tool $tool, ?TurningOffset $offset): ?array
    {
        $x = $offset?->tip()[1] ?? 0;
        $half = $tool->geometry->pitch ?? self::PITCH;

        return $x === 0 ? null : [[0.0, 0.0], [$half, -$x * $half * sqrt(3)], [-$half, -$x * $half * sqrt(3)]];
    }

    /** @return non-empty-list<array{float, float}>|null  of a round tool along the spindle; null where its diameter is not known */
    public static function drill(Tool $tool): ?array
    {
        $radius = $tool->radius();

        return $radius <= 0.0 ? null
            : [[0.0, 0.0], [$tool->pointLength(), $radius], [self::BODY, $radius], [self::BODY, -$radius], [$tool->pointLength(), -$radius]];
    }
}
