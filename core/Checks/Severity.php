<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

enum Severity: string
{
    case Stop = 'stop';
    case Caution = 'caution';
    case Note = 'note';
}
