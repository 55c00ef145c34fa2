<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** What the shop has decided about cautions: on a machine or in a setup some are notes, each for a reason. A stop stays one. */
final class Policy
{
    /**
     * @param  list<Finding>  $findings
     * @return list<Finding> by what they cost, then by line
     */
    public static function apply(array $findings, Setup $setup): array
    {
        $findings = array_map(static function (Finding $finding) use ($setup): Finding {
            $lowered = $setup->lowered[$finding->check] ?? null;

            return $lowered === null || $finding->severity !== Severity::Caution ? $finding : $finding->lowered($lowered);
        }, $findings);
        usort($findings, static fn (Finding $a, Finding $b): int => [$a->severity->rank(), $a->line] <=> [$b->severity->rank(), $b->line]);

        return $findings;
    }
}
