<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Formulas\MaterialName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Trace\State;

/**
 * What speeds and feeds a shop would call odd. The ranges run from the slowest high-speed steel to the quickest coated
 * carbide in use (common practice, from memory), so that only what no tool of the kind does falls outside. What the setup
 * says of the tool itself comes first.
 */
final class CuttingData
{
    /** Part of the material's name => least and greatest surface speed of a milling cutter, m/min; one that turns runs half as fast again. */
    private const SPEEDS = [
        '/alumin/i' => [15, 1200], '/brass|bronze|copper/i' => [10, 500], '/plast|acetal|nylon|poly/i' => [15, 1000],
        '/stainless(?: steel)?|titan|nickel/i' => [6, 180], '/cast iron|iron/i' => [10, 300], '/tool steel|hardened(?: steel)?/i' => [5, 250],
        '/steel/i' => [10, 350],
    ];

    /** Feed per tooth as a share of the diameter: least and greatest. */
    private const FEED_SHARES = [
        'end-mill' => [0.0005, 0.03], 'ball-mill' => [0.0005, 0.04], 'bull-mill' => [0.0005, 0.04], 'drill' => [0.003, 0.03],
        'spot-drill' => [0.001, 0.05], 'chamfer-mill' => [0.0003, 0.05], 'reamer' => [0.0005, 0.05], 'thread-mill' => [0.0001, 0.03],
    ];

    /** The same of a face mill, mm: its inserts are about as large whatever its diameter. */
    private const FACE_FEED = [0.01, 2.0];

    /** Diameters deep that a mill goes with its whole width at most where nobody says what it may take: in soft stock, and else. */
    private const SLOT_DEPTHS = [2.0, 1.5];

    /** How deep the tool usually goes in one pass with its whole width (common practice), mm; null where the setup says it, or nothing is usual. */
    public static function usualSlotDepth(Tool $tool, ?string $material): ?float
    {
        if (
            $tool->limits->maxAxialDepth !== null || $tool->geometry->diameter === null
            || ! in_array($tool->kind, [ToolKind::EndMill, ToolKind::BallMill, ToolKind::BullMill], true)
        ) {
            return null;
        }

        $isSoft = MaterialName::among(
            ['/alumin\w*|brass|bronze|copper|plast\w*|acetal|nylon|poly\w*|wood|wax/i' => true, '/steel|iron|titan\w*|nickel|stainless/i' => false],
            $material,
        ) ?? false;

        return self::SLOT_DEPTHS[$isSoft ? 0 : 1] * $tool->geometry->diameter;
    }

    /** @return array{float, float}|null m/min */
    public static function surfaceSpeed(Tool $tool, ?string $material): ?array
    {
        if ($tool->limits->surfaceSpeed !== null || $material === null) {
            return $tool->limits->surfaceSpeed;
        }
        [$least, $most] = MaterialName::among(self::SPEEDS, $material) ?? [null, null];

        return $least === null || $most === null ? null : match ($tool->kind) {
            ToolKind::EndMill, ToolKind::BallMill, ToolKind::BullMill, ToolKind::FaceMill => [$least, $most],
            ToolKind::Turning, ToolKind::Boring, ToolKind::BoringBar => [$least, 1.5 * $most],
            ToolKind::Grooving, ToolKind::Parting => [$least / 2, $most],
            ToolKind::Drill => [$least / 2, $most / 2],
            default => null,
        };
    }

    /** The surface speed a tool is run at, m/min: the way of its edge in a turn, times the turns. */
    public static function surfaceSpeedAt(Tool $tool, float $rpm): float
    {
        return M_PI * ($tool->geometry->diameter ?? 0.0) * $rpm / 1000;
    }

    /** Whether the spindle speed is wrong in itself, so that what follows from it is no finding of its own. */
    public static function speedIsOdd(Tool $tool, State $state, Setup $setup): bool
    {
        $range = $tool->geometry->diameter === null ? null : self::surfaceSpeed($tool, $setup->workpiece->material);
        $speed = self::surfaceSpeedAt($tool, $state->spindle->rpm);

        return self::isOverLimit($tool, $state, $setup) || ($range !== null && ($speed < $range[0] || $speed > $range[1]));
    }

    /** Whether the speed is more than spindle or tool may turn: state.speed-over says so. */
    public static function isOverLimit(Tool $tool, State $state, Setup $setup): bool
    {
        return $state->spindle->rpm > min($setup->machine->spindle($state->spindle->name)->maxRpm ?? INF, $tool->limits->maxRpm ?? INF);
    }

    /** @return array{float, float}|null mm */
    public static function feedPerTooth(Tool $tool): ?array
    {
        return $tool->limits->feedPerTooth ?? self::usualFeedPerTooth($tool);
    }

    /** @return array{float, float}|null what any tool of its kind and size takes, mm */
    public static function usualFeedPerTooth(Tool $tool): ?array
    {
        $shares = self::FEED_SHARES[$tool->kind->value] ?? null;
        $diameter = $tool->geometry->diameter;

        return match (true) {
            $tool->kind === ToolKind::FaceMill => self::FACE_FEED,
            $shares === null, $diameter === null => null,
            default => [$shares[0] * $diameter, $shares[1] * $diameter],
        };
    }
}
