<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;

/** Writes another number in the place of one, in its hand: a point where there was one, no more decimals than are wanted. */
final class WordNumber
{
    /** @param  array{letter: string, number: string, at: int}  $word */
    public static function edit(int $line, array $word, float $value, int $decimals): ?Edit
    {
        $text = self::written($word['number'], $value, $decimals);

        return (float) $text === (float) $word['number'] ? null : new Edit(
            $line, $word['at'] + 1, strlen($word['number']), $text, 'Put '.$word['letter'].$text,
        );
    }

    public static function written(string $like, float $value, int $decimals): string
    {
        $text = number_format($value, $decimals, '.', '');
        if (str_contains($text, '.')) {
            $text = rtrim($text, '0');
        }
        if (! str_contains($like, '.')) {
            $text = rtrim($text, '.');
        } elseif (! str_contains($text, '.')) {
            $text .= '.';
        }
        if ((float) $text === 0.0) {
            $text = ltrim($text, '-');
        }
        // Zeros before the point as they were left out before.
        if (preg_match('/^[-+]?\./', $like) === 1) {
            $text = (string) preg_replace('/^(-?)0\.(?=\d)/', '$1.', $text);
        }

        return $text;
    }
}
