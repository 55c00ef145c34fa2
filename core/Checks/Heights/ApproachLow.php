<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool whose first way down ends at rapid close above what stands there: 25 typed as .25. */
final class ApproachLow extends MillCheck
{
    /** Lower than this share of the clearance a tool a little longer than its offset says would be in the part. */
    private const CLOSE = 0.5;

    public function name(): string
    {
        return 'heights.approach-low';
    }

    public function why(): string
    {
        return 'A tool that stops this close leaves no room for a wrong length or a burr. A lost digit in the height looks just like this.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->unitsDiffer()) {
            return; // state.units says so, and every height is off
        }
        $clearance = $input->setup->margins->clearance ?? 0.0;
        $told = array_flip(array_map(static fn ($move): int => $move->line, $input->heights->plungeRapids));
        foreach ($input->incidents(Incident::ApproachLow) as [$cut]) {
            if (isset($told[$cut->line]) || $input->cutsAtRapid($cut->line)) {
                continue;
            }
            yield new Finding(
                $this->name(), $cut->by < self::CLOSE * $clearance ? Severity::Stop : Severity::Caution, $cut->line, 1,
                'T{tool} comes down at rapid to {by} above what stands there; the clearance is {clearance}.',
                ['tool' => $cut->tool, 'by' => Quantity::length(max(0.0, $cut->by)), 'clearance' => Quantity::length($clearance)],
                'Stop well above the part first, at a height that can be checked by eye. Is the decimal point right?',
            );
        }
    }

    /** @return array<int, true> lines on which a tool first comes down closer than the clearance to what stands there */
    public static function lines(CheckInput $input): array
    {
        $lines = [];
        foreach ($input->stock?->incidents->of(Incident::ApproachLow) ?? [] as $cuts) {
            $lines += array_fill_keys(array_map(static fn (Cut $cut): int => $cut->line, $cuts), true);
        }

        return $lines;
    }
}
