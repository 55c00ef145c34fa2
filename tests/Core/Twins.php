<?php

declare(strict_types=1);

namespace Tests\Core;

/** The same part at several work offsets: a program for one piece made into one for two or three, and its setup with it. */
final class Twins
{
    /** Where the pieces stand beside the first, mm. */
    private const BESIDE = ['G55' => [160.0, 10.0, -0.4], 'G56' => [-160.0, 0.0, 0.3]];

    /** Whether a program can be repeated as it stands: one offset in millimetres, nothing called, jumped to or written into offsets. */
    public static function canBe(string $text): bool
    {
        return preg_match('/M9[89]|G65|GOTO|WHILE|#|G10|G5[35-9]|G92|G20|G28 [XY]|G0 Z-2/', $text) !== 1 && substr_count($text, 'G54') > 0;
    }

    /** @param  list<string>  $offsets  beside G54 */
    public static function byPart(string $text, array $offsets): string
    {
        $body = self::body($text);

        return $body.implode('', array_map(static fn (string $offset): string => str_replace('G54', $offset, $body), $offsets))."M30\n";
    }

    /** @param  list<string>  $offsets  beside G54 */
    public static function byTool(string $text, array $offsets): string
    {
        $twin = '';
        foreach (preg_split('/^(?=[^(\n]*T\d+\s*M0?6)/m', self::body($text)) as $section) {
            $again = (string) preg_replace('/T\d+\s*M0?6[^\n]*/', '', $section, 1);
            $twin .= $section.(
                str_contains($section, 'G54') ? implode('', array_map(static fn (string $offset): string => str_replace('G54', $offset, $again), $offsets)) : ''
            );
        }

        return $twin."M30\n";
    }

    /**
     * @param  array<string, mixed>  $changes
     * @param  list<string>  $offsets
     * @return array<string, mixed>
     */
    public static function setup(array $changes, array $offsets): array
    {
        $file = Bench::file($changes);
        foreach ($offsets as $offset) {
            foreach (['X', 'Y', 'Z'] as $i => $axis) {
                $changes['workOffsets'][$offset][$axis] = $file['workOffsets']['G54'][$axis] + self::BESIDE[$offset][$i];
            }
            $changes['moreStock'][] = ['workOffset' => $offset] + $file['stock'];
        }

        return $changes;
    }

    private static function body(string $text): string
    {
        return (string) preg_replace('/^\s*(%|O\d+.*|N?\d*\s*M30.*)\s*$\n?/mi', '', $text);
    }
}
