<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Deed;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool whose first way down ends at rapid close above what stands there: 25 typed as .25. */
final class ApproachLow implements Check
{
    /** Lower than this share of the clearance a tool a little longer than its offset says would be in the part. */
    private const CLOSE = 0.5;

    public function name(): string
    {
        return 'heights.approach-low';
    }

    public function examine(Evidence $evidence): iterable
    {
        if ($evidence->unitsDiffer()) {
            return; // state.units says so, and every height is off
        }
        $clearance = $evidence->setup->clearance ?? 0.0;
        $told = array_flip(array_map(static fn ($move): int => $move->line, $evidence->heights->plungeRapids));
        foreach ($evidence->did(Deed::ApproachLow) as [$cut]) {
            if (isset($told[$cut->line]) || $evidence->cutsAtRapid($cut->line)) {
                continue;
            }
            yield new Finding(
                $this->name(), $cut->by < self::CLOSE * $clearance ? Severity::Stop : Severity::Caution, $cut->line, 1,
                'T{tool} comes down at rapid to {by} above what stands there; the clearance is {clearance}.',
                ['tool' => $cut->tool, 'by' => Quantity::length(max(0.0, $cut->by)), 'clearance' => Quantity::length($clearance)],
                'Stop well above the part first, at a height that can be checked by eye. Is the point of the figure where it belongs?',
            );
        }
    }

    /** @return array<int, true> lines on which a tool first comes down closer than the clearance to what stands there */
    public static function lines(Evidence $evidence): array
    {
        $lines = [];
        foreach ($evidence->stock?->deeds->of(Deed::ApproachLow) ?? [] as $cuts) {
            $lines += array_fill_keys(array_map(static fn (Cut $cut): int => $cut->line, $cuts), true);
        }

        return $lines;
    }
}
