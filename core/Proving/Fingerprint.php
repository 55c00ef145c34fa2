<?php

declare(strict_types=1);

namespace OakTrace\Core\Proving;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\TurningOptions;
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
    /** Characters of a fingerprint itself. */
    private const LENGTH = 16;

    /** @return array<string, string> the program, G54, H1, D1, offset 1, T1, the machine, O2000 and so on => its fingerprint */
    public static function of(Program $program, Setup $setup): array
    {
        $machine = $setup->machine;
        $control = get_object_vars($machine->control);
        unset($control['title'], $control['ownCodes'], $control['ownWords']);
        // What tells lathes apart decides nothing on a mill, and more of it may come: of a lathe what is other than usual counts.
        $control['options'] = array_diff_key(get_object_vars($machine->control->options), ['turning' => 0])
            + ($machine->isLathe() ? ['turning' => self::unusual($machine->control->options->turning)] : []);
        $control = self::codesOf($machine->control, $program->text) + $control;
        $parts = [
            'the program' => self::text($program->text),
            'the machine' => [
                $machine->axes, $machine->home, $machine->secondHome, $machine->maxFeed,
                array_map(static fn (Spindle $spindle): array => [$spindle->maxRpm, $spindle->secondsToSpeed], $machine->spindles),
                $machine->toolChangeAt,
            ],
            'its control' => $control,
            'start positions of the axes' => $setup->start,
            'the switches' => [$setup->inputs->blockSkip, $setup->inputs->optionalStop],
        ];
        foreach ($setup->workOffsets as $name => $position) {
            $parts[$name] = array_map(self::micro(...), $position);
        }
        foreach (['H' => $setup->tooling->lengthOffsets, 'D' => $setup->tooling->diameterOffsets] as $letter => $offsets) {
            $parts += array_combine(
                array_map(static fn (int $number): string => $letter.$number, array_keys($offsets)),
                array_map(static fn (Offset $offset): string => self::micro($offset->total()), $offsets),
            );
        }
        foreach ($setup->tooling->turningOffsets as $number => $offset) {
            $parts["offset $number"] = [
                array_map(static fn (Offset $axis): string => self::micro($axis->total()), $offset->axes), self::micro($offset->nose->total()),
                $offset->quadrant,
            ];
        }
        foreach ($setup->tooling->tools as $tool) {
            $parts['T'.$tool->number] = self::tool($tool);
        }
        foreach ($setup->inputs->subprograms as $name => $text) {
            $parts[$name] = [self::text($text), self::codesOf($machine->control, $text)];
        }

        $prints = [];
        foreach ($parts as $name => $part) {
            // Of an offset the value stands behind its fingerprint, so that a change can be told with both.
            $prints[$name] = substr(hash('sha256', serialize($part)), 0, self::LENGTH).(
                preg_match('/^[HD]\d+$/', $name) === 1 && is_string($part) ? ' '.$part : ''
            );
        }

        return $prints;
    }

    /** Whether two fingerprints are of the same, also where one was taken before values stood behind them. */
    public static function areAlike(string $one, string $other): bool
    {
        return substr($one, 0, self::LENGTH) === substr($other, 0, self::LENGTH);
    }

    /** The value behind a fingerprint, mm; null where none is kept. */
    public static function valueOf(string $print): ?float
    {
        return strlen($print) > self::LENGTH ? (float) substr($print, self::LENGTH + 1) : null;
    }

    /**
     * What the codes do that stand in a text: another code of the control decides nothing about it.
     *
     * @return array{gCodes: array<int, Code|null>, mCodes: array<int, Code|null>, workOffsets: array<int, string>}
     */
    private static function codesOf(ControlProfile $control, string $text): array
    {
        $text = self::text($text);
        if (preg_match('/[GM][#\[]/', $text) === 1) {
            // A number that is reckoned may be any.
            return ['gCodes' => $control->gCodes, 'mCodes' => $control->mCodes, 'workOffsets' => $control->workOffsets];
        }
        preg_match_all('/(?<![A-Z#<])[GM]\d+(?:\.\d)?/', $text, $codes);
        $used = ['G' => [], 'M' => []];
        foreach (array_unique($codes[0]) as $code) {
            $tenths = (int) round((float) substr($code, 1) * 10);
            $used[$code[0]][$tenths] = ($code[0] === 'G' ? $control->gCodes : $control->mCodes)[$tenths] ?? null;
        }
        ksort($used['G']);
        ksort($used['M']);

        return ['gCodes' => $used['G'], 'mCodes' => $used['M'], 'workOffsets' => array_intersect_key($control->workOffsets, $used['G'])];
    }

    /** @return array<string, mixed> switches that are not as they are where nobody says */
    private static function unusual(TurningOptions $options): array
    {
        $usual = get_object_vars(new TurningOptions);

        return array_filter(get_object_vars($options), static fn (mixed $value, string $name): bool => $value !== $usual[$name], ARRAY_FILTER_USE_BOTH);
    }

    private static function text(string $text): string
    {
        return strtoupper((string) preg_replace('/\([^)\n]*\)?|;.*|[ \t\r]+/', '', $text));
    }

    /** @return list<string|null> */
    private static function tool(Tool $tool): array
    {
        return [$tool->kind->value, $tool->geometry->diameter === null ? null : self::micro($tool->geometry->diameter)];
    }

    /** A length as whole hundred-thousandths of a millimetre, so that rounding in a file is no change. */
    private static function micro(float $millimetres): string
    {
        return number_format($millimetres, 5, '.', '');
    }
}
