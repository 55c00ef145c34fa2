<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** What kind of answer a question takes. */
enum AskKind: string
{
    case Length = 'length';
    case Angle = 'angle';
    /** Of something, from 0 to less than 1. */
    case Share = 'share';
    case Seconds = 'seconds';
    case Count = 'count';
    case Flag = 'flag';
    case Choice = 'choice';
    case Point = 'point';
    case Points = 'points';
    /** Whole numbers. */
    case Numbers = 'numbers';
    /** Of a circle or a width: {diameter | radius | width, tolerance, aim}, or a plain figure for the diameter or width. */
    case Size = 'size';
    case Text = 'text';
    /** The id of an operation before. */
    case Operation = 'operation';
    case Operations = 'operations';
    case Group = 'group';

    /** As it stands in a list of fields. */
    public function words(): string
    {
        return match ($this) {
            self::Angle => 'degrees',
            self::Share => '0 to 1',
            self::Count => 'whole number',
            self::Flag => 'true or false',
            self::Point => '[X, Y]',
            self::Points => '[[X, Y], …]',
            self::Numbers => 'whole numbers',
            self::Operation => 'id of an operation before',
            self::Operations => 'ids of operations before',
            default => $this->value,
        };
    }
}
