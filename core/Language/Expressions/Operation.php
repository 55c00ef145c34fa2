<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

/** One step of an expression on its stack. */
enum Operation
{
    case Number;
    case Vacant;
    case Parameter;
    case Named;
    case IsVacant;
    case IsSet;
    case Negate;
    case Sin;
    case Cos;
    case Tan;
    case Asin;
    case Acos;
    case Atan;
    case Sqrt;
    case Abs;
    case Round;
    case Fix;
    case Fup;
    case Ln;
    case Exp;
    case Power;
    case Times;
    case Over;
    case Mod;
    case Plus;
    case Minus;
    case Equal;
    case NotEqual;
    case Greater;
    case GreaterOrEqual;
    case Less;
    case LessOrEqual;
    case And;
    case Or;
    case Xor;

    /** Functions of one value by their name in a program; angles in degrees. */
    public const FUNCTIONS = [
        'SIN' => self::Sin, 'COS' => self::Cos, 'TAN' => self::Tan, 'ASIN' => self::Asin, 'ACOS' => self::Acos, 'SQRT' => self::Sqrt,
        'ABS' => self::Abs, 'ROUND' => self::Round, 'FIX' => self::Fix, 'FUP' => self::Fup, 'LN' => self::Ln, 'EXP' => self::Exp,
    ];

    /** Functions of two values with a comma between them; POW is written ** too, ATAN[y,x] is ATAN[y]/[x] (common practice). */
    public const PAIRS = ['ATAN' => self::Atan, 'POW' => self::Power];

    /** Operators of two values from the one that binds loosest to the one that binds tightest. */
    public const LEVELS = [
        ['AND' => self::And, 'OR' => self::Or, 'XOR' => self::Xor],
        ['EQ' => self::Equal, 'NE' => self::NotEqual, 'GT' => self::Greater, 'GE' => self::GreaterOrEqual, 'LT' => self::Less, 'LE' => self::LessOrEqual],
        ['+' => self::Plus, '-' => self::Minus],
        ['*' => self::Times, '/' => self::Over, 'MOD' => self::Mod],
        ['**' => self::Power],
    ];
}
