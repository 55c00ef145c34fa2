<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A drill or a reamer fed across in the part, or a parting blade that turns along it. */
final class Sideways extends LatheCheck
{
    public function name(): string
    {
        return 'turning.sideways';
    }

    public function why(): string
    {
        return 'Such a tool has no edge on its side. It bends, runs off its way and breaks, and mostly another tool was meant.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->watch->sideways ?? [] as $number => $cut) {
            $kind = $input->setup->tooling->tools[$number]->kind;
            $figures = [
                'tool' => $number, 'kind' => $kind->words(), 'by' => Quantity::length($cut->by),
            ];
            yield $kind === ToolKind::Parting
                ? new Finding(
                    $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} is a parting blade, and turns along, {by} deep.', $figures,
                    'Plunge beside the last plunge, or turn with an insert made for it.',
                )
                : new Finding(
                    $this->name(), Severity::Stop, $cut->place, 1, 'T{tool} is a {kind}, and is fed across in the part.', $figures,
                    'Bring it out of the hole first. Is the right tool called?',
                );
        }
    }
}
