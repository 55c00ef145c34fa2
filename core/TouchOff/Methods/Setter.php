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
 * The length of a tool on a setter. The setter's own zero is read with the master tool (H is by how much a tool is longer), or
 * is the machine Z of its face (H is the true length).
 */
final class Setter implements Method
{
    public function name(): string
    {
        return 'setter';
    }

    public function words(): string
    {
        return 'Tool down on the setter';
    }

    public function readings(): array
    {
        return [new Reading('at', 'Reading of the tool'), new Reading('zero', 'Reading of the master, or Z of the face')];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return $subject->isLength() && $situation->school() !== LengthMethod::TouchOff;
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        ['at' => $at, 'zero' => $zero] = $values;
        if ($situation->school() === LengthMethod::GaugeLine && $at <= $zero) {
            throw ReadingProblem::at('at', 'With this reading the tool would have no length: the setter’s face is above it.');
        }

        return new Worksheet($at - $zero, [[$at, 'reading of the tool'], [-$zero, 'zero of the setter']], ['signs exchanged' => $zero - $at]);
    }
}
