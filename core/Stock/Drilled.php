<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

use OakTrace\Core\Solids\HeightField;

/** What strokes straight down take by closed form, where their tool is small beside the cells of the field. Lengths in mm. */
final class Drilled
{
    /** Up to so many cells of its radius a tool is small beside them. */
    private const SMALL = 8.0;

    /** @var array<string, array{float|null, float}> tool and place of a hole => height of the face around it, and how deep its tip has been */
    private array $holes = [];

    /**
     * What a stroke is about to take, mm³; null where the cells tell: its tool is large beside them, or it goes into anything but a level face or
     * the hole that it has begun there.
     */
    public function of(Move $move, HeightField $field, Contact $contact): ?float
    {
        $cutter = $move->cutter;
        [$x, $y, $tip] = [$move->x1, $move->y1, $move->z1];
        if (! $move->isPlunge() || $tip >= $move->z0 || $cutter->radius > self::SMALL * $field->cell()) {
            return null;
        }
        $place = sprintf('%d %.4F %.4F', $move->tool->number, $x, $y);
        [$face, $deepest] = $this->holes[$place] ?? [self::faceAround($field, $x, $y, $cutter->radius), INF];
        if ($face === null || ($deepest < INF && abs($contact->highest($x, $y, $cutter->radius + 2 * $field->cell()) - $face) > 1e-6)) {
            unset($this->holes[$place]);

            return null;
        }
        $this->holes[$place] = [$face, min($deepest, $tip)];
        $under = static fn (float $tip): float => $cutter->volumeUnder($face - $tip) - $cutter->volumeUnder(max(0.0, $field->bottom - $tip));

        return max(0.0, $under(min($deepest, $tip)) - ($deepest < INF ? $under($deepest) : 0.0));
    }

    /** How high a level face is around a place; null where it is none. */
    private static function faceAround(HeightField $field, float $x, float $y, float $radius): ?float
    {
        $reach = $radius + $field->cell();
        $face = null;
        foreach ($field->cellsAround($x, $y, $reach) as $cell) {
            $height = $field->heights[$cell];
            if ($height <= $field->bottom || ($face !== null && abs($height - $face) > 1e-6)) {
                return null;
            }
            $face = $height;
        }
        $isWithin = $field->cellAt($x - $reach, $y - $reach) !== null && $field->cellAt($x + $reach, $y + $reach) !== null;

        return $isWithin ? $face : null;
    }
}
