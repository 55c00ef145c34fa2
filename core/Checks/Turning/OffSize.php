<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\WantedSizes;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Turned\Measured;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A diameter, a bore or a face of a turned part that does not come out as the drawing has it. */
final class OffSize extends LatheCheck
{
    private const TOO_MUCH = 'What is cut away cannot be put back: check the path, the offset, the nose radius and the compensation.';

    private const LEFT = 'Material is left: is a pass missing, or a finish pass still to come?';

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
        foreach (WantedSizes::of($input) as $measured) {
            if (! $measured->isWithin()) {
                $at = $measured->reading?->at;
                $cut = $measured->surface->place ?? ($at === null ? null : WantedSizes::cutAt($input, $at));
                yield $this->off($measured, $cut ?? $input->firstBlock());
            }
        }
    }

    private function off(Measured $measured, int $place): Finding
    {
        $size = $measured->size;
        $figure = $size->kind->isDiameter() ? Quantity::diameter(...) : Quantity::length(...);
        $sign = $size->kind->sign();
        $got = $measured->got();
        if ($got === null) {
            return new Finding(
                $this->name(), Severity::Caution, $place, 1,
                $size->kind->isOfThread() ? '{size}: no thread is cut there.' : '{size}: nothing stands there that could be measured.',
                ['size' => $size->name], 'If another setup makes it, remove it from the drawing sizes of this one.', field: 'target',
            );
        }
        if ($size->kind === TurnedKind::Profile) {
            return $this->besideProfile($measured, $got, $place);
        }

        return new Finding(
            $this->name(), $measured->isScrap() ? Severity::Stop : Severity::Caution, $place, 1,
            "{size} comes out {$sign}{got}; the drawing has {$sign}{wanted}, from {least} to {most}.",
            [
                'size' => $size->name, 'got' => $figure($got), 'wanted' => $figure($size->wanted), 'least' => $figure($size->least),
                'most' => $figure($size->most),
            ],
            $measured->isScrap() ? self::TOO_MUCH : self::LEFT, field: 'target',
        );
    }

    private function besideProfile(Measured $measured, float $got, int $place): Finding
    {
        [$z, $radius] = $measured->reading->at ?? [0.0, 0.0];

        return new Finding(
            $this->name(), $measured->isScrap() ? Severity::Stop : Severity::Caution, $place, 1,
            $got > 0.0 ? '{size}: {by} is left at Z{z}, {x}; {may} may be.' : '{size} is cut {by} too deep at Z{z}, {x}; {may} may be.',
            [
                'size' => $measured->size->name, 'by' => Quantity::length(abs($got)), 'z' => Quantity::length($z), 'x' => Quantity::diameter(2 * $radius),
                'may' => Quantity::length($got > 0.0 ? $measured->size->most : -$measured->size->least),
            ],
            $measured->isScrap() ? self::TOO_MUCH : self::LEFT, field: 'target',
        );
    }
}
