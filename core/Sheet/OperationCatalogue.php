<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Sheet\Operations\ChamferEdge;
use OakTrace\Core\Sheet\Operations\DabGrid;
use OakTrace\Core\Sheet\Operations\Face;
use OakTrace\Core\Sheet\Operations\Frame;
use OakTrace\Core\Sheet\Operations\Holes;
use OakTrace\Core\Sheet\Operations\Measure;
use OakTrace\Core\Sheet\Operations\Note;
use OakTrace\Core\Sheet\Operations\Outline;
use OakTrace\Core\Sheet\Operations\Pocket;
use OakTrace\Core\Sheet\Operations\Polygon;
use OakTrace\Core\Sheet\Operations\ReliefHoles;
use OakTrace\Core\Sheet\Operations\RoundPocket;
use OakTrace\Core\Sheet\Operations\Slot;
use OakTrace\Core\Sheet\Operations\Stop;

/** Every kind of operation, in the order they are offered. */
final class OperationCatalogue
{
    /** @return list<Operation> */
    public static function all(): array
    {
        return [
            new Face, new Holes, new RoundPocket, new Pocket, new Frame, new Polygon, new Slot, new ReliefHoles, new ChamferEdge, new DabGrid, new Outline,
            new Measure,
            new Stop, new Note,
        ];
    }

    public static function named(string $kind): ?Operation
    {
        foreach (self::all() as $operation) {
            if ($operation->kind() === $kind) {
                return $operation;
            }
        }

        return null;
    }
}
