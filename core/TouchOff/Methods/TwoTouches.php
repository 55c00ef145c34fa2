<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff\Methods;

use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;

/** The middle between two touches: two of the four of a bore, or of a boss. */
final class TwoTouches implements Method
{
    /** @param  bool  $isInside  a bore, touched from within; else a boss */
    public function __construct(private readonly bool $isInside)
    {
    }

    public function name(): string
    {
        return $this->isInside ? 'bore' : 'boss';
    }

    public function words(): string
    {
        return $this->isInside ? 'Bore, both sides' : 'Boss, both sides';
    }

    public function readings(): array
    {
        return [
            new Reading('first', 'First touch'), new Reading('second', 'Second touch'), new Reading('ball', 'Ball or finder Ø', 'length', 4.0),
            new Reading('offset', 'Middle from part zero', 'length', 0.0),
        ];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return ! $subject->isLength() && $subject->axis !== $situation->lengthAxis();
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        ['first' => $first, 'second' => $second, 'ball' => $ball, 'offset' => $offset] = $values;
        if ($ball <= 0.0) {
            throw ReadingProblem::at('ball', 'A ball has a diameter of more than 0.');
        }
        $across = abs($second - $first);
        if ($across < 1e-6 || (! $this->isInside && $across <= $ball)) {
            throw ReadingProblem::at('second', $across < 1e-6 ? 'Both touches are the same.' : 'The touches are nearer to each other than the ball is wide.');
        }

        return new Worksheet(
            ($first + $second) / 2 - $offset,
            [[$first / 2, 'half of the first'], [$second / 2, 'half of the second'], ...($offset == 0.0 ? [] : [[-$offset, 'middle from part zero']])],
            besides: ['size across' => $across + ($this->isInside ? $ball : -$ball)],
        );
    }
}
