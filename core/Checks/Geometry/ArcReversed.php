<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\OutlineMove;
use OakTrace\Core\Control\ArcSense;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * An arc that would join its moves smoothly in the other direction: one that goes the long way round, straight back along them, or
 * one that bulges to the other side than its like.
 */
final class ArcReversed extends MachineCheck
{
    /** Degrees off by which it still sets out straight back. */
    private const BACK = 1.0;

    public function name(): string
    {
        return 'geometry.arc-reversed';
    }

    public function why(): string
    {
        return 'With the wrong direction an arc goes round the other side. It cuts away what the right one leaves.';
    }

    public function examine(CheckInput $input): iterable
    {
        $found = [];
        foreach ($input->outline()->arcs() as [$before, $arc, $behind]) {
            if ($this->goesBack($before, $arc, $behind)) {
                $found[$arc->line] ??= $arc->sweep ?? 0.0;
            }
        }
        if ($found !== []) {
            $line = array_key_first($found);
            yield $this->finding(
                $input, $line, $found[$line] < 0.0,
                'The arc sets out straight back along the move before it, and goes {sweep} round; the other way it would join both moves '
                    .'smoothly, over {rest}.',
                ['sweep' => Quantity::angle(abs($found[$line])), 'rest' => Quantity::angle(360.0 - abs($found[$line]))],
                array_keys($found),
            );
        }
        $bulge = SmoothArcs::in($input)->bulgingTheOtherWay();
        if ($bulge !== null) {
            [$arc, $like] = $bulge;
            yield $this->finding(
                $input, $arc->line, $arc->sweep < 0.0,
                'The arc leaves a corner at both ends; the other way it would join both lines smoothly'
                    .($like === null ? '.' : ', like the one on line {like}.'),
                $like === null ? [] : ['like' => $input->trace->sources->words($like)],
            );
        }
    }

    private function goesBack(OutlineMove $before, OutlineMove $arc, OutlineMove $behind): bool
    {
        $sweep = abs($arc->sweep ?? 0.0);

        return $sweep > 180.0 && $sweep < 360.0 - self::BACK && $before->turnTo($arc) > 180.0 - self::BACK && $arc->turnTo($behind) > 180.0 - self::BACK;
    }

    /**
     * @param  array<string, Quantity|string>  $figures
     * @param  list<int>  $also
     */
    private function finding(CheckInput $input, int $line, bool $isClockwise, string $text, array $figures, array $also = []): Finding
    {
        return new Finding(
            $this->name(), Severity::Caution, $line, 1, $text, $figures,
            $isClockwise !== $this->isMirrored($input) ? 'Is {code arc-counter-clockwise} meant?' : 'Is {code arc-clockwise} meant?', $also,
            $this->turnedAbout($input, $line, $isClockwise !== $this->isMirrored($input)),
        );
    }

    /** Whether the control reads its arcs as an operator sees them who stands in front of the tools. */
    private function isMirrored(CheckInput $input): bool
    {
        return $input->setup->machine->control->options->turning->arcSense === ArcSense::SeenOnFront;
    }

    private function turnedAbout(CheckInput $input, int $line, bool $isClockwise): ?Edit
    {
        [$wrong, $right] = $isClockwise ? [Code::ArcClockwise, Code::ArcCounterClockwise] : [Code::ArcCounterClockwise, Code::ArcClockwise];

        return $input->editWriter->placeOf($line, $wrong) === $line ? $input->editWriter->exchange($line, $wrong, $right) : null;
    }
}
