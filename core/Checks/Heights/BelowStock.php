<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Heights;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LowMove;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Below the bottom of the stock by more than the allowed break-through: cutting, at rapid through a hole, or at rapid beside it. */
final class BelowStock extends MillCheck
{
    public function name(): string
    {
        return 'heights.below-stock';
    }

    public function why(): string
    {
        return 'Below the part are parallels, jaws and the table. All of them are harder on a tool than the part.';
    }

    public function examine(CheckInput $input): iterable
    {
        $entryErrors = $input->entryErrors();
        $moves = array_filter($input->heights->below, static fn (LowMove $move): bool => ! $entryErrors->explainsDepth($move->line));
        yield from $this->findings($input, array_values($moves), 'cuts at');
        // Where something stands in the way of a rapid it is told of that.
        $rapids = array_filter($input->rapidsInTheOpen(), fn (LowMove $move): bool => $this->isBelow($input, $move));
        yield from $this->findings($input, array_values($rapids), 'rapids to');
        $told = array_map(static fn (LowMove $move): int => $move->tool, [...$moves, ...$rapids]);
        $beside = array_filter(
            $input->heights->rapidsBeside,
            static fn (LowMove $move): bool => ! in_array($move->tool, $told, true) && ! $entryErrors->explainsDepth($move->line),
        );
        yield from $this->beside($input, array_values($beside));
    }

    /**
     * What stands there the setup may not say.
     *
     * @param  list<LowMove>  $moves
     * @return iterable<Finding>
     */
    private function beside(CheckInput $input, array $moves): iterable
    {
        foreach (MovesByTool::of($moves) as [$move, $also]) {
            $bottom = $input->stockAt($move)?->bottom() ?? 0.0;
            yield new Finding(
                $this->name(), Severity::Caution, $move->line, 1,
                'T{tool} rapids to Z {z} beside the part, {by} below the bottom of the stock{piece} ({bottom}).',
                [
                    'tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($bottom - $move->z),
                    'bottom' => Quantity::length($bottom), 'piece' => $input->pieceWords($move->piece),
                ],
                'Check the sign and the height. What stands there: vice, parallels, table?', $also,
            );
        }
    }

    private function isBelow(CheckInput $input, LowMove $move): bool
    {
        $stock = $input->stockAt($move);

        return $stock !== null && $move->z < $stock->bottom() - $input->setup->margins->breakThrough - self::pointOf($input, $move) - 1e-6;
    }

    private static function pointOf(CheckInput $input, LowMove $move): float
    {
        return ($input->setup->tooling->tools[$move->tool] ?? null)?->leadLength() ?? 0.0;
    }

    /**
     * @param  list<LowMove>  $moves
     * @return iterable<Finding>
     */
    private function findings(CheckInput $input, array $moves, string $does): iterable
    {
        foreach (MovesByTool::of($moves) as [$move, $also]) {
            $bottom = $input->stockAt($move)?->bottom() ?? 0.0;
            $point = self::pointOf($input, $move);
            yield new Finding(
                $this->name(), Severity::Stop, $move->line, 1,
                'T{tool} '.$does.' Z {z}, {by} below the bottom of the stock{piece} ({bottom}). Allowed break-through: {allowed}'.(
                    $point > 0.0 ? ', and {point} for its '.(
                        ($input->setup->tooling->tools[$move->tool] ?? null)?->kind->hasPoint() === true ? 'point' : 'lead'
                    ).'.' : '.'
                ),
                [
                    'tool' => $move->tool, 'z' => Quantity::length($move->z), 'by' => Quantity::length($bottom - $move->z),
                    'bottom' => Quantity::length($bottom), 'allowed' => Quantity::length($input->setup->margins->breakThrough),
                    'point' => Quantity::length($point), 'piece' => $input->pieceWords($move->piece),
                ],
                'Check the depth, the stock and Z zero. What lies under the part: parallels, jaws, table?', $also,
            );
        }
    }
}
