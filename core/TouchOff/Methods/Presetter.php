<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff\Methods;

use OakTrace\Core\Setup\LengthMethod;
use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;

/** The length of a tool as it was measured off the machine, from the gauge line to the tip. */
final class Presetter implements Method
{
    public function name(): string
    {
        return 'presetter';
    }

    public function words(): string
    {
        return 'Measured off the machine';
    }

    public function readings(): array
    {
        return [new Reading('length', 'Length', 'length')];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return $subject->isLength() && $situation->school() === LengthMethod::GaugeLine;
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        return new Worksheet($values['length'], [[$values['length'], 'length']]);
    }
}
