<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A cut that is deeper than the tool may take. */
final class Depth extends LatheCheck
{
    /** What cutting in steps makes of a figure, mm. */
    private const CLOSE = 0.05;

    /** How much of its edge an insert takes at most (common practice: a half to two thirds). */
    private const EDGE = 0.67;

    /** As deep as hardly any insert goes, where nobody says how long its edge is, mm (common practice). */
    private const USUAL = 8.0;

    public function name(): string
    {
        return 'turning.depth';
    }

    public function why(): string
    {
        return 'A cut that is too deep breaks the insert, or pulls the part out of the jaws. Most often a pass is missing, or a diameter is wrong.';
    }

    public function gaps(CheckInput $input): iterable
    {
        $open = array_filter(array_keys($input->turned->cutting ?? []), static function (int $number) use ($input): bool {
            $tool = $input->setup->tooling->tools[$number];

            return $tool->kind->turns() && $tool->limits->maxAxialDepth === null;
        });

        return $this->gapOf($input, $open, 'No max depth of cut given for {tools}.', 'maxAxialDepth');
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->turned->deepest ?? [] as $number => $cut) {
            $tool = $input->setup->tooling->tools[$number];
            $most = $tool->limits->maxAxialDepth;
            if ($most !== null && $tool->kind->turns() && $cut->by > $most + self::CLOSE) {
                yield new Finding(
                    $this->name(), Severity::Stop, $cut->place, 1, 'T{tool} cuts {by} deep; it may take {most}.',
                    ['tool' => $number, 'by' => Quantity::length($cut->by), 'most' => Quantity::length($most)],
                    'Take it in more passes. Is the diameter right?',
                );
            } elseif ($most === null && $tool->insert->edgeLength !== null && $cut->by > self::EDGE * $tool->insert->edgeLength + self::CLOSE) {
                yield new Finding(
                    $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} cuts {by} deep with an edge of {edge}.',
                    ['tool' => $number, 'by' => Quantity::length($cut->by), 'edge' => Quantity::length($tool->insert->edgeLength)],
                    'An insert takes two thirds of its edge at most. Take it in more passes.',
                );
            } elseif ($most === null && $tool->insert->edgeLength === null && $tool->kind->turns() && $cut->by > self::USUAL) {
                yield new Finding(
                    $this->name(), Severity::Caution, $cut->place, 1, 'T{tool} takes {by} in one pass; {most} is much for an insert (common practice).',
                    ['tool' => $number, 'by' => Quantity::length($cut->by), 'most' => Quantity::length(self::USUAL)],
                    'Is the diameter right? If so, enter the edge length of the insert, or what it may take.',
                    field: $input->toolField($number, 'maxAxialDepth'),
                );
            }
        }
        foreach ($input->turned->watch->passes->jumps ?? [] as $number => [$cut, $usual]) {
            $most = $input->setup->tooling->tools[$number]->limits->maxAxialDepth;
            if ($most === null || $cut->by <= $most + self::CLOSE) {
                yield new Finding(
                    $this->name(), Severity::Caution, $cut->place, 1, 'This pass of T{tool} takes {by}; those before it take {usual}.',
                    ['tool' => $number, 'by' => Quantity::length($cut->by), 'usual' => Quantity::length($usual)],
                    'Is a pass missing, or its diameter wrong?',
                );
            }
        }
    }
}
