<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\Program;

/** A text that is there to be called by others: it has a program number, and gives back to its caller instead of ending. */
final class SubprogramText
{
    /** @return string|null what it is called as, O2000; null where it is a program that runs by itself */
    public static function name(Program $program, ControlProfile $control): ?string
    {
        $number = $program->programNumbers()[0][0] ?? null;
        if ($number === null) {
            return null;
        }
        $gives = false;
        for ($line = 1, $last = $program->lineCount(); $line <= $last; $line++) {
            $text = $program->line($line);
            foreach (str_contains(strtoupper($text), 'M') ? LineWords::plain($text) : [] as ['letter' => $letter, 'number' => $code]) {
                $function = $letter === 'M' ? $control->mCodes[(int) round((float) $code * 10)] ?? null : null;
                if ($function === Code::ProgramEnd) {
                    return null;
                }
                $gives = $gives || $function === Code::SubprogramEnd;
            }
        }

        return $gives ? "O{$number}" : null;
    }
}
