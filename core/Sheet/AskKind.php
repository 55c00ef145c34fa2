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
    /** Of a circle or a width: {diameter | radius | width, tolerance, aim}, or a plain figure for the diameter or width. */
    case Size = 'size';
    case Text = 'text';
    case Group = 'group';
}
