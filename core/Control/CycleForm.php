<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** Whether a repetitive turning cycle is said in two blocks of the same code, or in one. */
enum CycleForm: string
{
    case TwoLine = 'two-line';
    case OneLine = 'one-line';
}
