<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Turned\TurnedCut;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A shank or a holder that comes into the part, the chuck or what else stands around it. */
final class Holder extends LatheCheck
{
    public function name(): string
    {
        return 'turning.holder';
    }

    public function why(): string
    {
        return 'A tool that goes deeper than it stands out hits with its holder. The part is pushed out of the chuck, or the tool is torn out of the turret.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $open = array_keys($input->turned->holders->unknown ?? []);
        if ($open !== []) {
            $tool = $input->setup->tooling->tools[$open[0]];
            $field = $tool->kind->bores() || $tool->kind->isRound() ? ($tool->holding->stickout === null ? 'stickout' : 'holder')
                : ($tool->insert->shankWidth === null ? 'shankWidth' : 'projection');
            yield from $this->gapOf($input, $open, 'No holder given for {tools}: what it runs into was not checked.', $field);
        }
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->holders->met ?? [] as $key => $cut) {
            $what = explode(' ', $key, 2)[1];
            // Whether the blade of a part-off is long enough is asked there, and what cuts runs into the same is told of it.
            $isBlade = $what === 'the part' && $input->setup->tooling->tools[$cut->tool]->kind === ToolKind::Parting;
            if ($isBlade || $this->isToldOfEdge($input, $cut, $what)) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Stop, $cut->place, 1, 'The holder of T{tool} comes {by} into {what}, at Z{z}.',
                ['tool' => $cut->tool, 'by' => Quantity::length($cut->by), 'what' => $what, 'z' => Quantity::length($cut->z)],
                'Let the tool stand out further, or go less deep.',
            );
        }
    }

    private function isToldOfEdge(CheckInput $input, TurnedCut $cut, string $what): bool
    {
        $met = $what === 'the part' ? array_filter($input->turned->rapids ?? [], static fn (TurnedCut $rapid): bool => $rapid->place === $cut->place)
            : $input->turned->around->collisions[$what] ?? [];

        return in_array($cut->tool, array_column($met, 'tool'), true);
    }
}
