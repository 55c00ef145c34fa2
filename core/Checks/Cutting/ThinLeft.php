<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;
use OakTrace\Core\Stock\ThinLeft as Thin;
use OakTrace\Core\Trace\Quantity;

/** A floor or a wall left thinner than a set value: it bends away from the tool, or comes off. */
final class ThinLeft implements Check
{
    public function name(): string
    {
        return 'cutting.thin-left';
    }

    public function examine(Evidence $evidence): iterable
    {
        $stock = $evidence->stock;
        $least = $evidence->setup->thinnest;
        if ($stock === null || ! $stock->isComplete() || $least <= 0.0) {
            return;
        }
        foreach ($stock->bodies as $number => $body) {
            foreach ([Thin::floor($body, $least), Thin::wall($body, $least)] as $thin) {
                $move = $thin === null ? null : $stock->log->broughtTo($number, $thin->x, $thin->y, $thin->z) ?? $stock->log->nearest($number, $thin->x, $thin->y);
                if ($thin === null || $move === null || $evidence->slips()->explainsDepth($move->line)) {
                    continue;
                }
                yield new Finding(
                    $this->name(), Severity::Caution, $move->line, 1,
                    'T{tool} leaves a '.($thin->isWall ? 'wall' : 'floor').' {thickness} thick at X {x} Y {y}'.($thin->isWall ? ', standing to Z {z}' : '').($body->stock === 0 ? '' : ', in {work}').'; thinner than {least} is to be looked at.',
                    ['work' => $evidence->setup->moreStock[$body->stock - 1]->workOffset ?? '', 'tool' => $move->tool->number, 'thickness' => Quantity::length($thin->thickness), 'x' => Quantity::length($thin->x), 'y' => Quantity::length($thin->y), 'z' => Quantity::length($thin->z), 'least' => Quantity::length($least)],
                    'Is it meant? It bends away from the tool or comes off. The setup says how thin is too thin.', field: 'thinnest',
                );
            }
        }
    }
}
