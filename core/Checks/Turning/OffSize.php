<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Turned\Measured;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A diameter, a bore or a face of a turned part that does not come out as the drawing has it. */
final class OffSize extends LatheCheck
{
    public function name(): string
    {
        return 'turning.off-size';
    }

    public function why(): string
    {
        return 'A size that is off is found at the inspection at the latest. Found here it costs no more than a look.';
    }

    public function gaps(CheckInput $input): iterable
    {
        if (($input->setup->workpiece->target->turned ?? []) !== [] && $input->turned?->isComplete() !== true) {
            yield $this->gap('The stock could not be cut to its end: the sizes of the drawing were not measured.', 'target');
        }
        $target = $input->setup->workpiece->target;
        if ($target !== null && $target->turned === []) {
            yield $this->gap('The drawing sizes are those of a milled part: they were not measured.', 'target');
        }
    }

    public function examine(CheckInput $input): iterable
    {
        foreach (Measured::all($input->turned, $input->setup->workpiece->target) as $measured) {
            if (! $measured->isWithin()) {
                yield $this->off($measured, $measured->surface->place ?? $input->firstBlock());
            }
        }
    }

    private function off(Measured $measured, int $place): Finding
    {
        $size = $measured->size;
        $figure = $size->kind === TurnedKind::Face ? Quantity::length(...) : Quantity::diameter(...);
        $sign = $size->kind === TurnedKind::Face ? 'Z' : '';
        if ($measured->got === null) {
            return new Finding(
                $this->name(), Severity::Caution, $place, 1, '{size}: nothing stands there that could be measured.', ['size' => $size->name],
                'If another setup makes it, remove it from the drawing sizes of this one.', field: 'target',
            );
        }

        return new Finding(
            $this->name(), $measured->isScrap() ? Severity::Stop : Severity::Caution, $place, 1,
            "{size} comes out {$sign}{got}; the drawing has {$sign}{wanted}, from {least} to {most}.",
            [
                'size' => $size->name, 'got' => $figure($measured->got), 'wanted' => $figure($size->wanted), 'least' => $figure($size->least),
                'most' => $figure($size->most),
            ],
            $measured->isScrap() ? 'What is cut away cannot be put back: check the path, the offset, the nose radius and the compensation.'
                : 'Material is left: is a pass missing, or a finish pass still to come?',
            field: 'target',
        );
    }
}
