<?php

declare(strict_types=1);

namespace OakTrace\Core\Wording;

enum Severity: string
{
    case Stop = 'stop';
    case Caution = 'caution';
    case Note = 'note';

    /** As a person says it; the verdict it leads to is a stop. */
    public function word(): string
    {
        return $this === self::Stop ? 'error' : $this->value;
    }

    /** What it costs: the smaller, the more. */
    public function rank(): int
    {
        return match ($this) {
            self::Stop => 0,
            self::Caution => 1,
            self::Note => 2,
        };
    }
}
