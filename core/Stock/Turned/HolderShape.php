<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Setup\ToolHolding;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Setup\TurningOffset;

/** What of a turning tool does not cut: its shank or its holder, as convex pieces around the tip that is programmed. */
final class HolderShape
{
    /** How long the last step of a holder is where nobody says, mm. */
    private const BODY = 200.0;

    /** How far an edge or a blade stands out of its shank where nobody says, mm (common practice). */
    private const LONG = 12.0;

    /** @return list<non-empty-list<array{float, float}>> Z and radius from the tip, mm; none where what the tool says does not tell */
    public static function of(Tool $tool, ?TurningOffset $offset): array
    {
        $tip = $offset?->tip() ?? [0, 0];

        return match (true) {
            $tool->kind->bores() => self::steps($tool, self::barAxis($tool, $tip[1])),
            $tool->kind->isRound() => self::round($tool),
            default => self::shank($tool, $tip),
        };
    }

    /** @return list<non-empty-list<array{float, float}>> of a tool on its own axis */
    private static function round(Tool $tool): array
    {
        $pieces = self::steps($tool, 0.0);

        return $tool->holding->driven !== ToolHolding::ACROSS ? $pieces
            : array_map(static fn (array $piece): array => array_map(array_reverse(...), $piece), $pieces);
    }

    /** Radius of the middle of a boring bar from its tip: half the smallest bore it goes into, or half its thickness; null where neither is known. */
    private static function barAxis(Tool $tool, int $tipX): ?float
    {
        $width = $tool->insert->minBore ?? $tool->holding->shankDiameter;

        return $width === null || $tipX === 0 ? null : -$tipX * $width / 2;
    }

    /**
     * A round holder, from where the tool ends.
     *
     * @return list<non-empty-list<array{float, float}>>
     */
    private static function steps(Tool $tool, ?float $axis): array
    {
        $from = $tool->holding->stickout;
        if ($axis === null || $from === null) {
            return [];
        }
        $pieces = [];
        foreach ($tool->holding->holder as $step) {
            [$to, $radius] = [$from + ($step['length'] ?? self::BODY), $step['diameter'] / 2];
            $pieces[] = [[$from, $axis - $radius], [$from, $axis + $radius], [$to, $axis + $radius], [$to, $axis - $radius]];
            $from = $to;
        }

        return $pieces;
    }

    /**
     * A square shank from the turret to where the edge leaves it, flush with the end of the edge on the side the tip points to.
     *
     * @param  array{int, int}  $tip
     * @return list<non-empty-list<array{float, float}>>
     */
    private static function shank(Tool $tool, array $tip): array
    {
        [$width, $out] = [$tool->insert->shankWidth, $tool->holding->projection];
        $approach = $tool->insert->approachAngle === null ? M_PI_2 : deg2rad($tool->insert->approachAngle);
        $isBlade = $tool->kind === ToolKind::Grooving || $tool->kind === ToolKind::Parting;
        $long = ($isBlade ? $tool->holding->stickout : $tool->insert->edgeLength) ?? self::LONG;
        $from = $long * sin($approach);
        if ($width === null || $out === null || $out <= $from || $tip[1] === 0) {
            return [];
        }
        $side = $tip[0] === 0 ? -$width / 2 : -$tip[0] * -$long * cos($approach);
        $other = $side + ($tip[0] === 0 ? $width : -$tip[0] * $width);

        return [[[$side, -$tip[1] * $from], [$other, -$tip[1] * $from], [$other, -$tip[1] * $out], [$side, -$tip[1] * $out]]];
    }
}
