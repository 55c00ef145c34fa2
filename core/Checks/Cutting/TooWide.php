<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Wider than the tool may cut; a thread mill that cuts more than a thread. */
final class TooWide extends MillCheck
{
    public function name(): string
    {
        return 'cutting.too-wide';
    }

    public function why(): string
    {
        return 'Width makes load just as depth does. Beyond its limit the tool chatters, pulls, or breaks.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $cell = $input->stock->cell ?? 0.0;
        // A width is told within two cells.
        $coarse = array_filter($input->usedTools(), static fn (Tool $tool): bool => $tool->limits->maxRadialWidth !== null
            && $tool->limits->maxRadialWidth < ($tool->geometry->diameter ?? 0.0)
            && $tool->limits->maxRadialWidth + 2 * $cell >= ($tool->geometry->diameter ?? 0.0));

        return [
            ...$this->gapOfTools($input, 'diameter', 'diameter', static fn (Tool $tool): bool => $tool->geometry->diameter === null),
            ...$this->gapOf(
                $input, array_map(static fn (Tool $tool): int => $tool->number, $coarse),
                'The cells of the stock are too coarse for the width limit of {tools}: it was not checked.', 'maxRadialWidth',
            ),
        ];
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::Wide, deepest: true) as [$cut, $also]) {
            $most = $input->setup->tooling->tools[$cut->tool]->limits->maxRadialWidth;
            if ($most === null) {
                yield new Finding(
                    $this->name(), Severity::Caution, $cut->line, 1,
                    'T{tool} cuts {by} wide: a thread mill takes the depth of its thread, in a hole that is there.',
                    ['tool' => $cut->tool, 'by' => Quantity::length($cut->by)],
                    'Check the way in, the compensation, and the hole. A hole made before belongs into the stock of the setup.', $also,
                );

                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                'T{tool} cuts {by} wide; its limit is {most}.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'most' => Quantity::length($most)],
                'Reduce the step-over, or correct the limit of the tool in the setup.', $also,
                field: $input->toolField($cut->tool, 'maxRadialWidth'),
            );
        }
    }
}
