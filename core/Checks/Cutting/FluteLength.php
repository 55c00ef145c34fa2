<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Cutter;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Deeper beside material than the flute is long, so that the shank rubs. */
final class FluteLength extends MillCheck
{
    public function name(): string
    {
        return 'cutting.flute-length';
    }

    public function why(): string
    {
        return 'Above its flutes a tool has no edges and no room for chips. The shank rubs, heats and pushes the tool off.';
    }

    public function gaps(CheckInput $input): iterable
    {
        return $this->gapOfTools(
            $input, 'fluteLength', 'flute length', static fn (Tool $tool): bool => $tool->geometry->fluteLength === null && $tool->kind->isStraight(),
        );
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::ShankRubs) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1,
                'The shank of T{tool} rubs: the wall beside it is {by} higher than its flute length of {flute}.',
                [
                    'tool' => $cut->tool, 'by' => Quantity::length($cut->by),
                    'flute' => Quantity::length($input->setup->tooling->tools[$cut->tool]->geometry->fluteLength ?? 0.0),
                ],
                'Use a longer flute, widen the cut above, or cut less deep.', $also,
                field: $input->toolField($cut->tool, 'fluteLength'),
            );
        }
        foreach ($input->incidents(Incident::ConeBuried, deepest: true) as [$cut, $also]) {
            if ($input->entryErrors()->explainsDepth($cut->line)) {
                continue;
            }
            $cone = Cutter::of($input->setup->tooling->tools[$cut->tool])?->coneHeight() ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $cut->line, 1,
                'The wall beside T{tool} is {by} higher than its cone of {cone}: above that nothing cuts.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'cone' => Quantity::length($cone)],
                'Check the depth. Is the decimal point right?', $also, field: $input->toolField($cut->tool, 'pointAngle'),
            );
        }
    }
}
