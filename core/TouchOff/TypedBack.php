<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** A figure that was typed a second time, without the first in sight, held against the first digit by digit. */
final class TypedBack
{
    /**
     * @param  string  $first  as it should stand on the control: −379.715
     * @return string|null what is other, in words; null where it is the same
     */
    public static function difference(string $first, string $second): ?string
    {
        [$one, $two] = [self::clean($first), self::clean($second)];
        if ($one === $two || (is_numeric($one) && is_numeric($two) && abs((float) $one - (float) $two) < 1e-9)) {
            return null;
        }
        if (! is_numeric($two)) {
            return 'This is not a number.';
        }
        if (abs((float) $one + (float) $two) < 1e-9) {
            return 'The sign is the other way round.';
        }
        [$digits, $typed] = [self::digits($one, $two), self::digits($two, $one)];
        if (strlen($digits) !== strlen($typed)) {
            return (string) str_replace('.', '', $one) === (string) str_replace('.', '', $two)
                ? 'The point is in another place.'
                : (strlen($typed) < strlen($digits) ? 'A figure is missing.' : 'There is a figure too many.');
        }
        $other = array_values(array_filter(range(0, strlen($digits) - 1), static fn (int $n): bool => $digits[$n] !== $typed[$n]));
        if (count($other) === 2 && $digits[$other[0]] === $typed[$other[1]] && $digits[$other[1]] === $typed[$other[0]]) {
            return 'Figures '.($other[0] + 1).' and '.($other[1] + 1).' changed places.';
        }
        if (str_replace('.', '', ltrim($one, '-')) === str_replace('.', '', ltrim($two, '-'))) {
            return 'The point is in another place.';
        }

        return count($other) === 1
            ? 'Figure '.($other[0] + 1)." is {$typed[$other[0]]}, and was {$digits[$other[0]]}."
            : count($other).' figures are other than before.';
    }

    private static function clean(string $text): string
    {
        return ltrim(str_replace(['−', ',', ' '], ['-', '.', ''], trim($text)), '+');
    }

    /** The figures of a number without sign and point, with as many behind the point as the longer of the two has. */
    private static function digits(string $number, string $other): string
    {
        [$whole, $behind] = array_pad(explode('.', ltrim($number, '-')), 2, '');
        $places = max(strlen($behind), strlen(explode('.', $other)[1] ?? ''));

        return $whole.str_pad($behind, $places, '0');
    }
}
