<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\Gap;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool beside the one that cuts, in the next station of the turret or on the same slide, that comes into the chuck or the part. */
final class Neighbour extends LatheCheck
{
    public function name(): string
    {
        return 'turning.neighbour';
    }

    public function why(): string
    {
        return 'Nobody watches the tool beside the one that cuts. The smaller the diameter that is cut, the nearer it comes to the jaws.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if ($input->setup->machine->posts !== null) {
            yield from $this->gapsOfPosts($input);

            return;
        }
        $turret = $input->setup->machine->turret;
        $open = array_filter($input->setup->tooling->tools, static fn ($tool): bool => $tool->holding->projection === null);
        if ($turret->stations === null || $turret->radius === null) {
            yield $this->gap('No stations or radius of the turret given: the tools beside the one that cuts were not checked.');
        } else {
            yield from $this->gapOf(
                $input, array_keys($open), 'No projection from the turret given for {tools}: nothing was checked beside the tool that cuts.', 'projection',
            );
        }
    }

    /** @return iterable<Gap> */
    private function gapsOfPosts(CheckInput $input): iterable
    {
        $setup = $input->setup;
        $open = array_filter(array_keys($setup->tooling->tools), static fn (int $tool): bool => $setup->turningOffset($tool, $tool) === null);
        if ($open !== []) {
            yield $this->gap('No offset set for T'.implode(', T', $open).': where that stands beside the tool that cuts was not checked.');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->neighbours->met ?? [] as [$cut, $other, $what]) {
            yield new Finding(
                $this->name(), Severity::Caution, $cut->place, 1,
                'While T{tool} works, T{other} beside it passes {away} from the axis at Z{z}: {by} into {what}.',
                [
                    'tool' => $cut->tool, 'other' => $other, 'away' => Quantity::length($cut->x), 'z' => Quantity::length($cut->z),
                    'by' => Quantity::length($cut->by), 'what' => $what,
                ],
                $input->setup->machine->posts === null ? 'Leave that station empty, or put a tool there that stands out less.'
                    : 'Put the tools further apart, or turn less far in.',
            );
        }
    }
}
