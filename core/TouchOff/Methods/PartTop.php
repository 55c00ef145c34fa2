<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff\Methods;

use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;

/** The length of a tool, brought down from home on the part: H is negative. */
final class PartTop implements Method
{
    public function name(): string
    {
        return 'part-top';
    }

    public function words(): string
    {
        return 'Tool down on the part';
    }

    public function readings(): array
    {
        return [
            new Reading('at', 'Reading'), new Reading('block', 'Gauge block under it', 'length', 0.0),
            new Reading('height', 'Face above part zero', 'length', 0.0),
        ];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return $subject->isLength() && $situation->school() === LengthMethod::TouchOff;
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        ['at' => $at, 'block' => $block, 'height' => $height] = $values;
        if ($block < 0.0) {
            throw ReadingProblem::at('block', 'A gauge block is not thinner than nothing.');
        }
        $workZ = $situation->workZ();
        $terms = [[$at, 'reading'], [-$block, 'gauge block'], [-$height, 'face above part zero'], [-$workZ, 'Z of '.$situation->mainOffset()]];

        return new Worksheet(
            $at - $block - $height - $workZ,
            [$terms[0], ...array_values(array_filter(array_slice($terms, 1), static fn (array $term): bool => $term[0] != 0.0))],
            $block == 0.0 ? [] : ['without the block' => $at - $height - $workZ],
        );
    }
}
