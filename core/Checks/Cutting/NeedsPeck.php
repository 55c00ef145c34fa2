<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A hole drilled deeper in one stroke than chips come out of. */
final class NeedsPeck extends MillCheck
{
    /** Diameters a drill may go in one stroke (common practice). */
    private const DIAMETERS = 3;

    public function name(): string
    {
        return 'cutting.needs-peck';
    }

    public function why(): string
    {
        return 'Deeper than a few diameters the chips pack in the flutes. The drill heats, wanders, and breaks in the hole.';
    }

    public function examine(CheckInput $input): iterable
    {
        if ($input->setup->machine->isLengthByHand()) {
            return; // whoever pulls the quill feels the drill, and lifts it
        }
        foreach ($input->heights->strokes as $number => [$move, $depth]) {
            $tool = $input->setup->tooling->tools[$number] ?? null;
            if (
                $tool === null || $tool->kind !== ToolKind::Drill || $tool->geometry->diameter === null
                || $depth <= self::DIAMETERS * $tool->geometry->diameter + 1e-6 || $input->entryErrors()->explainsDepth($move->line)
            ) {
                continue;
            }
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1, 'T{tool} drills {depth} deep in one stroke, {times} diameters: the chips pack.',
                ['tool' => $number, 'depth' => Quantity::length($depth), 'times' => sprintf('%.1F', $depth / $tool->geometry->diameter)],
                'Peck with the chip-breaking or the deep-hole cycle, at most three diameters a peck.',
                edit: $this->peck($input, $move->line, $tool->geometry->diameter),
            );
        }
    }

    /** The deep-hole cycle in the place of the plain one, a diameter at a time. */
    private function peck(CheckInput $input, int $line, float $diameter): ?Edit
    {
        $place = $input->editWriter->placeOf($line, Code::Drill);
        $word = 'Q'.$input->written($diameter);

        return $place === null
            ? null
            : $input->editWriter->exchange($place, Code::Drill, Code::PeckDrill)?->labelled('Peck with '.$word)->and($input->editWriter->tail($place, $word));
    }
}
