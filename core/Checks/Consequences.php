<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * Findings that follow from another one are not listed beside it: they would send the reader to lines that are right, and go
 * with it. How many there are stands with their cause, which is a stop, so that none of them is taken for looked at and clear.
 */
final class Consequences
{
    /** A cause that is a stop => beginnings of the names of the checks whose findings follow from it. */
    private const FOLLOW = [
        // Every length is 25.4 times too long or too short.
        'state.units' => [
            'heights.', 'travel.overrun', 'travel.does-not-fit', 'travel.near-limit', 'cutting.', 'geometry.', 'compensation.', 'state.feed-over',
            'offsets.diameter-mismatch', 'offsets.wrong-one',
        ],
        // Where compensation has nothing to go by the tool is beside its path, and what it leaves is another shape.
        'compensation.no-diameter' => [
            'compensation.', 'cutting.full-slot', 'cutting.too-wide', 'cutting.off-size', 'cutting.off-target', 'cutting.thin-left',
            'cutting.cut-twice',
        ],
    ];

    /**
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    public static function fold(array $findings): array
    {
        foreach (self::FOLLOW as $cause => $names) {
            $at = null;
            foreach ($findings as $i => $finding) {
                $at ??= $finding->check === $cause && $finding->severity === Severity::Stop ? $i : null;
            }
            if ($at === null) {
                continue;
            }
            $kept = array_filter($findings, static fn (Finding $finding): bool => $finding->check === $cause || ! self::isOneOf($finding, $names));
            $folded = count($findings) - count($kept);
            if ($folded > 0) {
                $kept[$at] = $findings[$at]->with($folded);
                $findings = array_values($kept);
            }
        }

        return $findings;
    }

    /** @param  list<string>  $names */
    private static function isOneOf(Finding $finding, array $names): bool
    {
        foreach ($names as $name) {
            if (str_starts_with($finding->check, $name)) {
                return true;
            }
        }

        return false;
    }
}
