<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Formulas\Cantilever;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A slender tool that its cut bends: the wall it leaves is off by as much, and it may break. */
final class Deflection extends MillCheck
{
    /** What a tool may bend, mm (common practice for roughing). */
    private const MOST = 0.25;

    public function name(): string
    {
        return 'cutting.deflection';
    }

    public function why(): string
    {
        return 'A bent tool leaves a tapered wall, off by as much as it bends. Further on it snaps.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->stock->loads->peakDeflection ?? [] as $load) {
            $tool = $input->setup->tooling->tools[$load->tool];
            if ($load->deflection <= self::MOST && $load->stress <= Cantilever::STRENGTH || $input->entryErrors()->explainsDepth($load->line)) {
                continue;
            }
            $isSteppedDown = $tool->geometry->fluteLength !== null && $tool->geometry->fluteLength < ($tool->holding->stickout ?? 0.0);
            yield new Finding(
                $this->name(), Severity::Caution, $load->line, 1,
                match (true) {
                    $load->stress > Cantilever::STRENGTH => 'T{tool} would break: the load is about {times} times what it can take.',
                    $tool->isCarbide === null => 'T{tool} deflects about {least} in carbide, {by} in high-speed steel.',
                    default => 'T{tool} deflects about {by}.',
                },
                [
                    'tool' => $load->tool, 'by' => Quantity::length($load->deflection),
                    'least' => Quantity::length($load->deflection * Cantilever::HIGH_SPEED_STEEL / Cantilever::CARBIDE),
                    'times' => number_format($load->stress / Cantilever::STRENGTH, 1),
                    'flutes' => Quantity::length($tool->geometry->fluteLength ?? 0.0), 'shank' => Quantity::length(
                        $tool->holding->shankDiameter ?? $tool->geometry->diameter ?? 0.0,
                    ),
                    'force' => Quantity::force($load->force), 'stickout' => Quantity::length($tool->holding->stickout ?? 0.0),
                    'bar' => Quantity::length(Cantilever::FLUTED * ($tool->geometry->diameter ?? 0.0)), 'share' => Quantity::written(Cantilever::FLUTED),
                    'diameter' => Quantity::length($tool->geometry->diameter ?? 0.0),
                ],
                'Use less stick-out, a lighter cut, or a thicker or stiffer tool. Estimated from {force} at the tip, {stickout} of stick-out, '
                    .'as a bar of {bar} ({share} of {diameter})'.($isSteppedDown ? ' over {flutes} and of {shank} above' : '')
                    .(
                        $tool->isCarbide === null ? '; tool material not specified' : ' of '.($tool->isCarbide ? 'carbide' : 'high-speed steel')
                    ).': F L³ / (3 E I).',
                field: $input->toolField($load->tool, 'stickout'),
            );
        }
    }
}
