<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Nose radius compensation with an offset that does not say what nose, or says another than the tool's. */
final class NoseData extends LatheCheck
{
    /** Radii that differ by less are one, mm. */
    private const SAME = 0.005;

    public function name(): string
    {
        return 'turning.nose-data';
    }

    public function why(): string
    {
        return 'The control steps aside by the radius of the offset, towards the side its tip says. With another insert every cone and corner is off.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('no-nose') as [$notice, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $notice->line, $notice->column,
                'Compensation is on and offset {number} has no nose radius: the tool runs on the programmed line.', $notice->figures,
                'Enter R and the tip of offset {number}, or take the compensation out.', $also,
            );
        }
        $told = [];
        foreach ($input->trace->states as $number => $state) {
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            $offset = $input->setup->turningOffset($state->tool, $state->length->number);
            if ($state->cutter->side === 0 || $tool === null || $offset === null || isset($told[$state->length->number])) {
                continue;
            }
            if ($offset->tip() === [0, 0] && $tool->insert->includedAngle !== null) {
                $told[$state->length->number] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $input->lathe->firstFeed[$number] ?? $input->firstBlock(), 1,
                    'Compensation is on and offset {number} says tip {tip}, the middle of the nose; T{tool} has a point that is touched off.',
                    ['number' => $state->length->number, 'tip' => $offset->quadrant, 'tool' => $state->tool],
                    'Enter the tip of offset {number}: 3 for an outside tool that cuts towards the chuck, 2 for a bore.',
                    field: "offsets.T.{$state->length->number}",
                );

                continue;
            }
            $nose = $tool->geometry->cornerRadius;
            if ($nose > 0.0 && $offset->nose->total() > 0.0 && abs($nose - $offset->nose->total()) > self::SAME) {
                $told[$state->length->number] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $input->lathe->firstFeed[$number] ?? $input->firstBlock(), 1,
                    'Offset {number} compensates a nose of R{offset}; the insert of T{tool} has R{nose}.',
                    ['number' => $state->length->number, 'tool' => $state->tool, 'offset' => Quantity::length($offset->nose->total()),
                        'nose' => Quantity::length($nose)],
                    'Enter the radius of the insert that is in the tool.',
                );
            }
        }
    }
}
