<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/** Why a piece of text could not be read. */
enum TextProblem: string
{
    case StrayCharacter = 'stray-character';
    case MissingNumber = 'missing-number';
    case SecondPoint = 'second-point';
    case DecimalComma = 'decimal-comma';
    case LetterForZero = 'letter-for-zero';
    case OpenComment = 'open-comment';
    case LineTooLong = 'line-too-long';
    case NumberTooLarge = 'number-too-large';
    case Expression = 'expression';
}
