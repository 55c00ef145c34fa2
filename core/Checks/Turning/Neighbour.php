<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool beside the one that cuts, in the next station of the turret, that comes into the chuck or the part. */
final class Neighbour extends LatheCheck
{
    public function name(): string
    {
        return 'turning.neighbour';
    }

    public function why(): string
    {
        return 'Nobody watches the tool in the next station. The smaller the diameter that is cut, the nearer it comes to the jaws.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $turret = $input->setup->machine->turret;
        $open = array_filter($input->setup->tooling->tools, static fn ($tool): bool => $tool->holding->projection === null);
        if ($turret->stations === null || $turret->radius === null) {
            yield $this->gap('No stations or radius of the turret given: the tools beside the one that cuts were not checked.');
        } elseif ($open !== []) {
            $first = (int) array_key_first($open);
            yield $this->gap(
                'No projection from the turret given for T'.implode(', T', array_keys($open)).': nothing was checked beside the tool that cuts.',
                $input->toolField($first, 'projection'),
            );
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
                'Leave that station empty, or put a tool there that stands out less.',
            );
        }
    }
}
