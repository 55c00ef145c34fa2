<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\ThinLeft as Thin;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A floor or a wall left thinner than a set value: it bends away from the tool, or comes off. */
final class ThinLeft extends MillCheck
{
    public function name(): string
    {
        return 'cutting.thin-left';
    }

    public function why(): string
    {
        return 'A thin wall or floor gives way under the tool and springs back. Its size is wrong, and it may tear out.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->stock;
        $least = $input->setup->margins->thinnest;
        if ($stock === null || ! $stock->isComplete() || $least <= 0.0) {
            return;
        }
        foreach ($stock->bodies as $number => $body) {
            foreach ([Thin::floor($body, $least), Thin::wall($body, $least, $stock->log, $number)] as $thin) {
                $move = $thin === null ? null : $stock->log->broughtTo(
                    $number, $thin->x, $thin->y, $thin->z,
                ) ?? $stock->log->nearest($number, $thin->x, $thin->y);
                if ($thin === null || $move === null || $input->entryErrors()->explainsDepth($move->line)) {
                    continue;
                }
                $short = $thin->isWall || ! $move->tool->kind->hasPoint() ? 0.0 : $this->pointOnly($thin, $move);
                yield new Finding(
                    $this->name(), Severity::Caution, $move->line, 1,
                    (
                        $short > 0.0
                            ? 'Only the point of T{tool} goes through at X {x} Y {y}'
                            : 'T{tool} leaves a '.($thin->isWall ? 'wall' : 'floor').' {thickness} thick at X {x} Y {y}'
                                .($thin->isWall ? ', standing to Z {z}' : '')
                    )
                        .($body->stock === 0 ? '' : ', in {work}').(
                            $short > 0.0 ? ': its full diameter ends {short} before.' : '; the limit is {least}.'
                        ),
                    [
                        'work' => $input->setup->workpiece->moreStock[$body->stock - 1]->workOffset ?? '', 'tool' => $move->tool->number,
                        'thickness' => Quantity::length($thin->thickness),
                        'x' => Quantity::length($short > 0.0 ? $move->x1 : $thin->x), 'y' => Quantity::length($short > 0.0 ? $move->y1 : $thin->y),
                        'z' => Quantity::length($thin->z), 'least' => Quantity::length($least), 'short' => Quantity::length($short),
                    ],
                    $short > 0.0
                        ? 'Go {short} deeper, where there is room below, or not as deep as the floor.'
                        : 'Is it intended? It bends away from the tool or comes off. The limit is set in the setup.', field: 'thinnest',
                );
            }
        }
    }

    /** How far above the floor a point that goes through it ends with its full diameter, mm; 0 or less where it does not go through, or does whole. */
    private function pointOnly(Thin $thin, Move $move): float
    {
        [$floor, $tip] = [$thin->z - $thin->thickness, min($move->z0, $move->z1)];

        return $tip < $floor ? $tip + $move->tool->pointLength() - $floor : 0.0;
    }
}
