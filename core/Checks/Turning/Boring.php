<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A boring bar whose back rubs in its bore, or that stands out far for its thickness. */
final class Boring extends LatheCheck
{
    /** Diameters a bar of steel may stand out, and one of carbide (common practice). */
    private const STEEL = 4.0;

    private const CARBIDE = 7.0;

    public function name(): string
    {
        return 'turning.boring';
    }

    public function why(): string
    {
        return 'A bar that rubs with its back is bent and cuts large, or breaks. One that stands out far chatters and cuts a taper.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $open = array_filter(
            array_keys($input->turned->cutting ?? []), static fn (int $number): bool => $input->setup->tooling->tools[$number]->kind->bores()
                && $input->setup->tooling->tools[$number]->insert->minBore === null,
        );

        return $this->gapOf($input, $open, 'No smallest bore given for {tools}: whether its back rubs was not checked.', 'minBore');
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->watch->rubs ?? [] as $number => $cut) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->place, 1, 'The back of T{tool} comes {by} into the wall of the bore, at Z{z}.',
                ['tool' => $number, 'by' => Quantity::length($cut->by), 'z' => Quantity::length($cut->z)],
                'Go less far towards the axis, or take a thinner bar.',
            );
        }
        foreach (array_keys($input->turned->cutting ?? []) as $number) {
            $tool = $input->setup->tooling->tools[$number];
            [$out, $thick] = [$tool->holding->stickout, $tool->holding->shankDiameter];
            if (! $tool->kind->bores() || $out === null || $thick === null || $out <= self::STEEL * $thick) {
                continue;
            }
            yield new Finding(
                $this->name(), $out > self::CARBIDE * $thick ? Severity::Stop : Severity::Caution, $input->firstBlock(), 1,
                'T{tool} stands {out} out of its holder: {times} times its thickness.',
                ['tool' => $number, 'out' => Quantity::length($out), 'times' => number_format($out / $thick, 1, '.', '')],
                'A bar of steel stands out 4 times its thickness at most, one of carbide 7 times.', field: $input->toolField($number, 'stickout'),
            );
        }
    }
}
