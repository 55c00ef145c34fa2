<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Cut;
use OakTrace\Core\Stock\Incident;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tap that ends in its hole before it has cut a whole thread. */
final class TapShallow extends MillCheck
{
    public function name(): string
    {
        return 'cutting.tap-shallow';
    }

    public function why(): string
    {
        return 'The first threads of a tap are its lead, and cut no whole thread. A screw does not go in, and a second tapping rarely meets the first.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->stock?->incidents->of(Incident::TapShallow) ?? [] as $number => $cuts) {
            $deepest = $this->deepest($input, $number);
            $cuts = array_values(array_filter(
                $cuts, fn (Cut $cut): bool => ($deepest[$cut->row] ?? true) && ! $input->entryErrors()->explainsDepth($cut->line),
            ));
            if ($cuts !== []) {
                $pitch = $input->setup->tooling->tools[$number]->geometry->pitch ?? 0.0;
                $word = $input->wordAt($cuts[0]->line, $input->setup->machine->lengthAxis());
                yield new Finding(
                    $this->name(), Severity::Caution, $word->line ?? $cuts[0]->line, $word->column ?? 1,
                    'T{tool} taps {depth} deep, {turns} turns: its lead alone is about three.', [
                        'tool' => $number, 'depth' => Quantity::length($cuts[0]->by), 'turns' => sprintf('%.1F', $cuts[0]->by / $pitch),
                    ], 'Is Z right, and its decimal point?', array_map(static fn (Cut $cut): int => $cut->line, $cuts),
                );
            }
        }
    }

    /** @return array<int, bool> row of each stroke of a tap => whether it goes no deeper at that place later: one that pecks does */
    private function deepest(CheckInput $input, int $tool): array
    {
        $last = $isDeepest = [];
        foreach (Strokes::down($input) as ['tool' => $number, 'row' => $row, 'place' => $place, 'z' => $z]) {
            [$before, $deep] = $last[$place] ?? [-1, INF];
            if ($number === $tool && $z < $deep) {
                $isDeepest[$before] = false;
                $isDeepest[$row] = true;
                $last[$place] = [$row, $z];
            }
        }

        return $isDeepest;
    }
}
