<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff\Methods;

use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;

/** The figure as the control has it already, read off its offset page. */
final class FromControl implements Method
{
    public function name(): string
    {
        return 'from-control';
    }

    public function words(): string
    {
        return 'From the control';
    }

    public function readings(): array
    {
        return [new Reading('value', 'Value on the control', 'length')];
    }

    public function isFor(Subject $subject, Situation $situation): bool
    {
        return true;
    }

    public function work(array $values, Subject $subject, Situation $situation): Worksheet
    {
        return new Worksheet($values['value'], [[$values['value'], 'as the control has it']]);
    }
}
