<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\Heights\MovesByTool;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** What holds the tool comes to where material stands, or something in the way. */
final class HolderContact extends MillCheck
{
    public function name(): string
    {
        return 'cutting.holder-contact';
    }

    public function why(): string
    {
        return 'A holder does not cut. It stops dead in the material and may bend the spindle.';
    }

    public function gaps(CheckInput $input): iterable
    {
        return $this->gapOfTools(
            $input, 'holder', 'holder', static fn (Tool $tool): bool => $tool->holding->holder === [] || $tool->holding->stickout === null,
        );
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->incidents(Incident::HolderHits) as [$cut, $also]) {
            yield new Finding(
                $this->name(), Severity::Stop, $cut->line, 1,
                'The holder of T{tool} hits the stock: at Z {z} it is {by} into the material.',
                [
                    'tool' => $cut->tool, 'z' => Quantity::length($cut->z), 'by' => Quantity::length($cut->by),
                    'stickout' => Quantity::length($input->setup->tooling->tools[$cut->tool]->holding->stickout ?? 0.0),
                ],
                'Use more stick-out than {stickout}, a slimmer holder, or cut less deep.', $also,
                field: $input->toolField($cut->tool, 'stickout'),
            );
        }
        foreach ($input->setup->workholding->obstacles as $obstacle) {
            foreach (MovesByTool::of($input->obstacles->holderHits[$obstacle->name] ?? []) as [$move, $also]) {
                yield new Finding(
                    $this->name(), Severity::Stop, $move->line, 1,
                    'The holder of T{tool} hits {obstacle}: its lower end comes to Z {z}, {by} below the top of it.',
                    [
                        'tool' => $move->tool, 'obstacle' => $obstacle->name, 'z' => Quantity::length($move->z),
                        'by' => Quantity::length($obstacle->around->high->z - $move->z),
                        'stickout' => Quantity::length($input->setup->tooling->tools[$move->tool]->holding->stickout ?? 0.0),
                    ],
                    'Use more stick-out than {stickout}, a slimmer holder, or move the fixture.', $also,
                    field: $input->toolField($move->tool, 'stickout'),
                );
            }
        }
    }
}
