<?php

declare(strict_types=1);

namespace OakTrace\Core\Proving;

use OakTrace\Core\Kinematics\Spindle;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Offset;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Tool;

/**
 * What decides the motion of a program in its setup, each part by itself, so that a change can be named. Comments, blanks
 * and the case of letters decide nothing; neither does a tool's name.
 */
final class Fingerprint
{
    /** @return array<string, string> the program, G54, H1, D1, T1, the machine, O2000 and so on => its fingerprint */
    public static function of(Program $program, Setup $setup): array
    {
        $machine = $setup->machine;
        $control = get_object_vars($machine->control);
        unset($control['title'], $control['ownCodes'], $control['ownWords']);
        $parts = [
            'the program' => self::text($program->text),
            'the machine' => [$machine->axes, $machine->home, $machine->secondHome, $machine->maxFeed, array_map(static fn (Spindle $spindle): array => [$spindle->maxRpm, $spindle->secondsToSpeed], $machine->spindles), $machine->toolChangeAt],
            'its control' => $control,
            'where the axes start' => $setup->start,
            'the switches' => [$setup->blockSkip, $setup->optionalStop],
        ];
        foreach ($setup->workOffsets as $name => $position) {
            $parts[$name] = array_map(self::micro(...), $position);
        }
        foreach (['H' => $setup->lengthOffsets, 'D' => $setup->diameterOffsets] as $letter => $offsets) {
            $parts += array_combine(
                array_map(static fn (int $number): string => $letter.$number, array_keys($offsets)),
                array_map(static fn (Offset $offset): string => self::micro($offset->total()), $offsets),
            );
        }
        foreach ($setup->tools as $tool) {
            $parts['T'.$tool->number] = self::tool($tool);
        }
        foreach ($setup->subprograms as $name => $text) {
            $parts[$name] = self::text($text);
        }

        return array_map(static fn (mixed $part): string => substr(hash('sha256', serialize($part)), 0, 16), $parts);
    }

    private static function text(string $text): string
    {
        return strtoupper((string) preg_replace('/\([^)\n]*\)?|;.*|[ \t\r]+/', '', $text));
    }

    /** @return list<string|null> */
    private static function tool(Tool $tool): array
    {
        return [$tool->kind->value, $tool->diameter === null ? null : self::micro($tool->diameter)];
    }

    /** A length as whole hundred-thousandths of a millimetre, so that rounding in a file is no change. */
    private static function micro(float $millimetres): string
    {
        return number_format($millimetres, 5, '.', '');
    }
}
