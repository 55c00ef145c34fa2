<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Quantities\Units;

/**
 * What a text seems to need: units, a control that knows its codes, work offsets, tools with what its comments say of them.
 * A guess, each with the line it is made from; nothing is set by it.
 */
final class SetupGuess
{
    /** Comments this many lines before a tool change may be about the tool. */
    private const BEFORE = 2;

    /** A long text says all of this early on, or often. */
    private const LINES = 20_000;

    /**
     * @return array{units: array{value: string, line: int}|null, profiles: list<array{name: string, unknown: int}>, workOffsets: array<string, int>,
     *               tools: list<array<string, string|float|int>>}
     */
    public static function of(Program $program, ControlProfile $control): array
    {
        $lines = min($program->lineCount(), self::LINES);
        $units = null;
        $workOffsets = [];
        $tools = [];
        $unknown = array_fill_keys(Profiles::names(), 0);
        // Behind the station of a turret stands the number of its offset.
        $behind = 10 ** ($control->options->turning->toolWord->offsetDigits() ?? 0);
        for ($line = 1; $line <= $lines; $line++) {
            $text = $program->line($line);
            foreach (LineWords::plain($text) as ['letter' => $letter, 'number' => $number]) {
                $tenths = (int) round((float) $number * 10);
                if ($letter === 'G') {
                    $units ??= match ($control->gCodes[$tenths] ?? null) {
                        Code::UnitsInch => ['value' => Units::Inch->value, 'line' => $line],
                        Code::UnitsMillimetre => ['value' => Units::Millimetre->value, 'line' => $line],
                        default => null,
                    };
                    if (isset($control->workOffsets[$tenths])) {
                        $workOffsets[$control->workOffsets[$tenths]] ??= $line;
                    }
                }
                if ($letter === 'G' || $letter === 'M') {
                    foreach ($unknown as $name => $count) {
                        $unknown[$name] = $count + (self::knows(Profiles::named($name), $letter, $tenths) ? 0 : 1);
                    }
                }
                $tool = $letter === 'T' ? intdiv((int) $number, $behind) : 0;
                if ($tool > 0 && $tool <= 9999) {
                    $tools[$tool] = ($tools[$tool] ?? []) + self::said($program, $line) + ['line' => $line];
                }
            }
        }
        asort($unknown);
        $setUnits = $units === null ? $control->defaultUnits : Units::from($units['value']);

        return [
            'units' => $units, 'workOffsets' => $workOffsets,
            'profiles' => array_map(static fn (string $name, int $count): array => ['name' => $name, 'unknown' => $count], array_keys($unknown), $unknown),
            'tools' => array_map(
                static fn (int $number, array $tool): array => ['number' => $number, 'line' => $tool['line']]
                    + (isset($tool['comment']) ? ToolComment::tool((string) $tool['comment'], $setUnits) + ['name' => (string) $tool['comment']] : []),
                array_keys($tools), $tools,
            ),
        ];
    }

    /** How many words of a text a control does not know. */
    public static function unknownCodes(Program $program, ControlProfile $control): int
    {
        $unknown = 0;
        for ($line = 1, $last = min($program->lineCount(), self::LINES); $line <= $last; $line++) {
            foreach (LineWords::plain($program->line($line)) as ['letter' => $letter, 'number' => $number]) {
                if (($letter === 'G' || $letter === 'M') && ! self::knows($control, $letter, (int) round((float) $number * 10))) {
                    $unknown++;
                }
            }
        }

        return $unknown;
    }

    /** @return array{comment?: string} what stands in brackets beside a tool change, or just before it */
    private static function said(Program $program, int $line): array
    {
        for ($at = $line; $at >= max(1, $line - self::BEFORE); $at--) {
            $text = $program->line($at);
            if ($at !== $line && LineWords::plain($text) !== []) {
                return [];
            }
            if (preg_match('/\(([^)]+)\)|;\s*(.+)/', $text, $comment) === 1) {
                $words = trim((string) preg_replace('/^T0*\d+\s*[-:=]?\s*/i', '', trim($comment[1] !== '' ? $comment[1] : ($comment[2] ?? ''))));

                return $words === '' ? [] : ['comment' => mb_strimwidth($words, 0, 80)];
            }
        }

        return [];
    }

    private static function knows(?ControlProfile $profile, string $letter, int $tenths): bool
    {
        $codes = $letter === 'G' ? $profile?->gCodes : $profile?->mCodes;

        return isset($codes[$tenths]);
    }
}
