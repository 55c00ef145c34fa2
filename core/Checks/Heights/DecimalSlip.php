<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\EntryError;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A depth or coordinate out of all proportion to the stock, with the value it may have meant. */
final class DecimalSlip extends MillCheck
{
    /** The texts its lines are of. */
    private SourceMap $sources;

    public function name(): string
    {
        return 'heights.decimal-slip';
    }

    public function why(): string
    {
        return 'A lost or moved decimal point makes ten or a hundred times the depth. At this line the tool goes through the part into whatever '
            .'lies below.';
    }

    public function examine(CheckInput $input): iterable
    {
        $this->sources = $input->trace->sources;
        foreach ($input->entryErrors()->entryErrors as $entryError) {
            $stock = $input->stockAt($entryError->move);
            if ($stock === null) {
                continue;
            }
            [$text, $figures] = match (true) {
                $entryError->word->letter === AxisName::Z && $entryError->isSign && $entryError->move->z > $stock->top() => $this->above($stock, $entryError),
                $entryError->word->letter === AxisName::Z => $this->depth($stock, $entryError),
                default => $this->beside($stock, $entryError),
            };
            yield new Finding(
                $this->name(), Severity::Stop, $entryError->word->line, $entryError->word->column, $text,
                $figures + ['letter' => $entryError->word->letter, 'meant' => $entryError->meant],
                'Was {letter}{meant} meant?', $entryError->alsoAt, $entryError->word->replacedBy($entryError->meant),
            );
        }
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function depth(Stock $stock, EntryError $entryError): array
    {
        $figures = [
            'z' => Quantity::length($entryError->move->z),
            'by' => Quantity::length($stock->bottom() - $entryError->move->z),
            'thickness' => Quantity::length($stock->thickness()),
        ];
        $text = $entryError->move->z < $stock->bottom()
            ? 'Z {z} is {by} below the stock, which is {thickness} thick.'
            : 'Z {z} is out of step with the passes before it.';

        return $entryError->like === null
            ? [$text, $figures]
            : [
                $text.' The cut on line {like} went to {likeZ}.',
                $figures + ['like' => $this->lineOf($entryError->like), 'likeZ' => Quantity::length($entryError->like->z)],
            ];
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function above(Stock $stock, EntryError $entryError): array
    {
        return ['The cut at Z {z} runs {by} above the stock and cuts nothing.'.(
            $entryError->like === null ? '' : ' The cut on line {like} went to {likeZ}.'
        ), [
            'z' => Quantity::length($entryError->move->z), 'by' => Quantity::length($entryError->move->z - $stock->top()),
            'like' => $entryError->like === null ? '' : $this->lineOf($entryError->like), 'likeZ' => Quantity::length($entryError->like->z ?? 0.0),
        ]];
    }

    /** @return array{string, array<string, Quantity|string|int>} */
    private function beside(Stock $stock, EntryError $entryError): array
    {
        $axis = $entryError->word->letter === AxisName::X ? 0 : 1;
        $at = $axis === 0 ? $entryError->move->x : $entryError->move->y;

        return ['{letter} {at} is {by} outside the stock, which is {size} wide.', [
            'at' => Quantity::length($at),
            'by' => Quantity::length(max($stock->around->low->on($axis) - $at, $at - $stock->around->high->on($axis))),
            'size' => Quantity::length($stock->around->high->on($axis) - $stock->around->low->on($axis)),
        ]];
    }

    /** The line of a move, and of which text where it is not the program's own. */
    private function lineOf(LowMove $move): int|string
    {
        return $this->sources->program($move->line) === null ? $move->line : $this->sources->words($move->line);
    }
}
