<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\BareNumbers;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\CornerWords;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Control\Plane;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;

/** Words without a decimal point: in whole units, or in steps of the least increment where the profile says so. */
final readonly class BareWords
{
    /** Letters of words that may be written in least increments. */
    private const LETTERS = 'XYZUVWABCIJKRQ';

    /** Letters that are block numbers, counts, angles or least increments in a turning cycle, and are read by the cycle. */
    private const OF_TURNING_CYCLES = 'PQDRA';

    /** Least increment of an angle, degrees, of a time, seconds, and of a scale; in inches too (common practice, from memory). */
    public const THOUSANDTH = 0.001;

    public function __construct(private Context $context)
    {
    }

    /**
     * Puts the words of the block in whole units.
     *
     * @param  bool  $report  whether a word that can be read in two ways is noted
     * @param  array<string, Code>  $gs
     */
    public function read(bool $report, array $gs): void
    {
        $block = $this->context->block;
        $scales = ($gs[ModalGroup::Scaling->value] ?? null) === Code::ScaleOn;
        $coordinates = self::LETTERS.($scales ? 'P' : '');
        $counts = $this->counts($gs);
        $letters = array_filter(
            str_split($block->withoutPoint),
            static fn (string $letter): bool => str_contains($coordinates, $letter) && ! str_contains($counts, $letter),
        );
        if ($letters === []) {
            return;
        }
        $readAs = $this->context->machine->control->options->bareNumbers;
        if ($report) {
            $letter = reset($letters);
            $value = $block->words[$letter];
            $this->context->notice('bare-number', $letter, [
                'word' => $letter.Quantity::written($value), 'inUnits' => $this->figure($letter, $value, $gs),
                'inIncrements' => $this->figure($letter, $value * $this->step($letter, $gs), $gs), 'readAs' => $readAs->value,
            ]);
        }
        if ($readAs === BareNumbers::LeastIncrements) {
            foreach ($letters as $each) {
                $block->words[$each] *= $this->step($each, $gs);
            }
        }
    }

    /**
     * Letters that are counts in this block, or have a way of their own to be read. In a cycle K is a count of holes or nothing at
     * all, but where pecks shrink by it.
     *
     * @param  array<string, Code>  $gs
     */
    private function counts(array $gs): string
    {
        $modal = $this->context->modal;
        $control = $this->context->machine->control;
        $isLathe = $this->context->machine->isLathe();
        $cycle = $gs[ModalGroup::Cycle->value] ?? (isset($gs[ModalGroup::Motion->value]) ? null : $modal->cycle);
        $counts = $cycle === null || $cycle === Code::CycleOff ? '' : $control->letters->cycleRepeats.($control->options->shrinkingPecks ? '' : 'K')
            .($isLathe ? $control->letters->peck : '');
        $motion = $gs[ModalGroup::Motion->value] ?? $modal->motion;
        if ($isLathe && ($motion->isThread() || $motion === Code::ThreadPass)) {
            $counts .= 'Q';
        }
        if (isset($gs[Code::SetOffsets->value])) {
            $counts .= 'Q'; // where the tip of a tool points
        }

        return $counts.(TurningCatalogue::repeated($gs) === null ? '' : self::OF_TURNING_CYCLES);
    }

    /**
     * What one step of a word is worth, in whole units.
     *
     * @param  array<string, Code>  $gs
     */
    private function step(string $letter, array $gs): float
    {
        return $this->isScale($letter, $gs) || $this->isTime($letter, $gs) || $this->isAngle($letter, $gs)
            ? self::THOUSANDTH : $this->context->modal->modes->units->leastIncrement() / $this->context->unit;
    }

    /** @param  array<string, Code>  $gs */
    private function figure(string $letter, float $value, array $gs): Quantity|string
    {
        return match (true) {
            $this->isScale($letter, $gs) => Quantity::written($value),
            $this->isTime($letter, $gs) => Quantity::written($value).' s',
            $this->isAngle($letter, $gs) => Quantity::angle($value),
            default => Quantity::length($value * $this->context->unit),
        };
    }

    /** @param  array<string, Code>  $gs */
    private function isScale(string $letter, array $gs): bool
    {
        return ($gs[ModalGroup::Scaling->value] ?? null) === Code::ScaleOn && str_contains('PIJK', $letter);
    }

    /** @param  array<string, Code>  $gs */
    private function isTime(string $letter, array $gs): bool
    {
        return isset($gs[Code::Dwell->value]) && str_contains('XU', $letter);
    }

    /** @param  array<string, Code>  $gs */
    private function isAngle(string $letter, array $gs): bool
    {
        if (($gs[ModalGroup::Rotation->value] ?? null) === Code::RotateOn && $letter === 'R') {
            return true;
        }
        $polar = $gs[ModalGroup::Polar->value] ?? null;
        $plane = isset($gs[ModalGroup::Plane->value]) ? Plane::of($gs[ModalGroup::Plane->value]) : $this->context->modal->modes->plane;
        if (($polar === null ? $this->context->modal->modes->polar : $polar === Code::PolarOn) && $letter === $plane->second()) {
            return true;
        }
        $machine = $this->context->machine;
        $isCorner = $letter === AxisName::C && ! isset($machine->axes[$letter]) && $machine->control->options->turning->cornerWords === CornerWords::Plain;

        return in_array($letter, AxisName::ROTARY, true) && ! $isCorner;
    }
}
