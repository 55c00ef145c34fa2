<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An arc that cannot be read. */
final class ArcImpossible extends MachineCheck
{
    public function name(): string
    {
        return 'geometry.arc-impossible';
    }

    public function why(): string
    {
        return 'The control cannot make this arc and stops with an alarm. Some controls guess another one and cut it.';
    }

    private const TEXTS = [
        'radius-too-small' => ['R {radius} cannot span the {chord} between start and end; it takes at least {least}.', 'Check R and the end point.'],
        'radius-without-end' => [
            'An arc given by R ends where it starts: its centre could be anywhere.', 'Give the centre with I and J, or the end point that is missing.',
        ],
        'unequal-scale' => [
            'Scaling differs between the axes of the arc, which would no longer be one.', 'Scale both axes alike, or write the shape as lines.',
        ],
        'no-centre' => ['The arc has neither a centre nor a radius.', 'Give I and J, or R.'],
    ];

    public function examine(CheckInput $input): iterable
    {
        foreach (self::TEXTS as $problem => [$text, $remedy]) {
            foreach ($input->onceALine($problem) as $notice) {
                if (
                    $input->entryErrors()->explainsAxis(AxisName::X, $notice->line - 1)
                    || $input->entryErrors()->explainsAxis(AxisName::Y, $notice->line - 1)
                ) {
                    continue; // the arc starts where a slip has sent the tool
                }
                yield new Finding(
                    $this->name(), Severity::Stop, $notice->line, $notice->column, $text.' It is drawn as a straight line.', $notice->figures, $remedy,
                    edit: $problem === 'radius-too-small' ? $this->largerRadius($input, $notice) : null,
                );
            }
        }
    }

    /** The radius with its point moved to the right, where that would span the chord without a whole turn of the world. */
    private function largerRadius(CheckInput $input, Notice $notice): ?Edit
    {
        $word = $input->wordAt($notice->line, 'R');
        $least = $notice->figures['least'] ?? null;
        $radius = $word === null ? 0.0 : abs($word->value()) * 10 * $input->trace->end->modes->units->millimetres();

        return $word !== null && $word->line === $notice->line && $least instanceof Quantity && $radius >= $least->value
            ? $word->replacedBy($word->movedPoint(-1))
            : null;
    }
}
