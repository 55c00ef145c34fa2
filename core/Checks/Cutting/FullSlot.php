<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A slot of the tool's full width: it may chatter, and where it is deep the chips pack. */
final class FullSlot extends MillCheck
{
    /** Diameters deep from which chips pack in a slot (common practice). */
    private const PACKS = 1.5;

    /** Less deep than this share of its diameter a tool takes its whole width quietly (common practice). */
    private const SHALLOW = 0.25;

    /** Rows of the run to look at for the cuts beside it. */
    private const BESIDE = 12;

    /** Diameters a tool sticks out from which it is long (common practice). */
    private const LONG = 4.0;

    public function name(): string
    {
        return 'cutting.full-slot';
    }

    public function why(): string
    {
        return 'Cutting at full width the tool rubs on both walls and the chips have nowhere to go. Noise and short tool life are the first signs.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::Slot, lowest: true) as [$cut, $also]) {
            $tool = $input->setup->tooling->tools[$cut->tool];
            $top = $this->topAt($input, $cut);
            $deep = $top - $cut->z > self::PACKS * ($tool->geometry->diameter ?? INF);
            $long = ($tool->holding->stickout ?? 0.0) > self::LONG * ($tool->geometry->diameter ?? INF);
            if (! $deep && ! $long && $cut->by < self::SHALLOW * ($tool->geometry->diameter ?? INF)) {
                continue; // nobody hears it
            }
            if ($cut->by > (CuttingData::usualSlotDepth($tool, $input->setup->workpiece->material) ?? INF) + 1e-6) {
                continue; // cutting.too-deep says so
            }
            yield new Finding(
                $this->name(), Severity::Note, $cut->line, 1,
                'T{tool} cuts at full width, {by} deep'.($long ? ', with {stickout} of stick-out' : '').'; it may chatter.'.$this->beside($input, $cut).(
                    $deep ? ' The slot is {slot} deep by then, and chips pack in it.' : ''
                ),
                [
                    'tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'stickout' => Quantity::length($tool->holding->stickout ?? 0.0),
                    'slot' => Quantity::length($top - $cut->z),
                ],
                $deep
                    ? 'Stop to clear the chips, or blow them out; two thirds of the width cuts quieter.'
                    : 'Two thirds of the width cuts quieter; so does a slower or shallower cut.', $also,
            );
        }
    }

    /** How high the blank stood where the cut ends, or anywhere, where that is beside it. */
    private function topAt(CheckInput $input, Cut $cut): float
    {
        foreach ($input->stock->bodies ?? [] as $body) {
            $height = $body->stock === $cut->stock && $body->turn === null ? $body->before($cut->x, $cut->y) : -INF;
            if ($height > -INF) {
                return $height;
            }
        }

        return ($input->setup->stocks()[$cut->stock] ?? null)?->top() ?? 0.0;
    }

    /** How much of the tool's width the cuts just before and just after it take, where they are no slots. */
    private function beside(CheckInput $input, Cut $cut): string
    {
        $diameter = $input->setup->tooling->tools[$cut->tool]->geometry->diameter ?? 0.0;
        $widths = $input->stock?->engagement->column('width') ?? [];
        $words = [];
        foreach (['before' => -1, 'after' => 1] as $where => $step) {
            for ($row = $cut->row + $step, $seen = 0; isset($widths[$row]) && $seen < self::BESIDE; $row += $step, $seen++) {
                if ($widths[$row] > 0.0 && $widths[$row] < 0.95 * $diameter) {
                    $words[] = $where.' it '.($words === [] ? 'takes ' : '').round(100 * $widths[$row] / $diameter).' %'.($words === [] ? ' of the width' : '');

                    break;
                }
            }
        }

        return $words === [] ? '' : ' The cut '.implode(', the one ', $words).'.';
    }
}
