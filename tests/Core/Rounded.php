<?php

declare(strict_types=1);

namespace Tests\Core;

/** A plate whose corners are rounded, for checks of its outline. */
final class Rounded
{
    /**
     * Round a plate of 96 × 76: its corners are on lines 10, 12, 14 and 16 of a sound program.
     *
     * @param  string  $second  to X48. Y30.
     * @param  string  $third  to X40. Y-38.
     * @param  string  $last  to X-48. Y-30.
     * @param  string  $first  to X-40. Y38.
     * @param  string  $beside  what turns compensation on
     */
    public static function plate(
        string $second, string $third = 'G2 X40. Y-38. R8.', string $last = 'G2 X-48. Y-30. R8.', string $first = 'G2 X-40. Y38. R8.',
        string $beside = '',
    ): string {
        $off = $beside === '' ? '' : 'G40 ';

        return "G0 X-60. Y-60.\nG1 Z-2. F300.\n{$beside}X-48. Y-50.\nY30.\n{$first}\nG1 X40.\n{$second}\nG1 Y-30.\n{$third}\nG1 X-40.\n{$last}\n"
            ."G1 Y-20.\n{$off}G1 X-70.\nG0 Z25.";
    }
}
