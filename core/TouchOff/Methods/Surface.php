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

/**
 * Z of a work offset, by a tool or the master brought down on the part. From the gauge line the length of that tool comes off;
 * by a master tool it stays in.
 */
final class Surface implements Method
{
    public function name(): string
    {
        return 'surface';
    }

    public function words(): string
    {
        return 'Tool down on the part';
    }

    public function readings(): array
    {
        return [
            new Reading('at', 'Reading'), new Reading('length', 'Length of that tool', 'length', 0.0),
            new Reading('block', 'Gauge block under it', 'length', 0.0), new Reading('height', 'Face above part zero', 'length', 0.0),
        ];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return $subject->axis === $situation->lengthAxis() && $situation->school() !== LengthMethod::TouchOff;
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        ['at' => $at, 'length' => $length, 'block' => $block, 'height' => $height] = $values;
        if ($block < 0.0) {
            throw ReadingProblem::at('block', 'A gauge block is not thinner than nothing.');
        }
        $isGauge = $situation->school() === LengthMethod::GaugeLine;
        if ($isGauge && $length <= 0.0) {
            throw ReadingProblem::at('length', 'Enter the length of the tool, from the gauge line to its tip.');
        }
        $terms = [[$at, 'reading'], [-$block, 'gauge block'], [-$height, 'face above part zero']];

        return new Worksheet(
            $at - ($isGauge ? $length : 0.0) - $block - $height,
            [...array_slice($terms, 0, 1), ...($isGauge ? [[-$length, 'length of the tool']] : []), ...self::given(array_slice($terms, 1))],
            $block == 0.0 ? [] : ['without the block' => $at - ($isGauge ? $length : 0.0) - $height],
        );
    }

    /**
     * @param  list<array{float, string}>  $terms
     * @return list<array{float, string}>
     */
    private static function given(array $terms): array
    {
        return array_values(array_filter($terms, static fn (array $term): bool => $term[0] != 0.0));
    }
}
