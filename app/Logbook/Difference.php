<?php

declare(strict_types=1);

namespace App\Logbook;

use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\SetupUnits;
use OakTrace\Core\Quantities\Units;

/** What two documents differ in, field by field, in the words of the setup page. */
final class Difference
{
    /** Longest value that is kept whole; a solid of a stock is megabytes. */
    private const LONGEST = 120;

    /** Fields as a machinist says them: the first that fits. */
    private const WORDS = [
        '/^workOffsets\.(G5\d(?:\.1P\d+)?)\.([^.]+)$/' => '$1 $2',
        '/^offsets\.([HD])\.(\d+)\.geometry$/' => '$1$2',
        '/^offsets\.([HD])\.(\d+)\.wear$/' => '$1$2 wear',
        '/^notTrusted\.(G5\d(?:\.1P\d+)?|[^.]+)\.(\w+)(\.\w+)?$/' => '$1 not trusted, $2$3',
        '/^extraOffsets\.([^.]+)\.(.+)$/' => '$1 $2',
    ];

    /** @return list<array{string, string|null, string|null}> field, what it was and what it is; null where it was or is not there */
    public static function between(object $was, object $is): array
    {
        [$before, $after] = [self::flat($was), self::flat($is)];
        $found = [];
        foreach ($before + $after as $field => $value) {
            if (($before[$field] ?? null) !== ($after[$field] ?? null)) {
                $found[] = [self::words($field), $before[$field] ?? null, $after[$field] ?? null];
            }
        }

        return $found;
    }

    /**
     * The same of setups. Figures that were converted to other units and say what they said are no difference.
     *
     * @return list<array{string, string|null, string|null}>
     */
    public static function ofSetups(object $was, object $is): array
    {
        $units = static fn (object $document): string => (string) (get_object_vars($document)['units'] ?? '');
        $to = Units::tryFrom($units($is));
        if ($to === null || $units($was) === $units($is)) {
            return self::between($was, $is);
        }
        try {
            return [['units', $units($was), $units($is)], ...self::between(SetupUnits::turned($was, $to), $is)];
        } catch (SetupFileError) {
            return self::between($was, $is); // a solid that cannot be read cannot be converted either
        }
    }

    /** @return array<string, string> path of a field => its value as text */
    private static function flat(object $document): array
    {
        $flat = [];
        $walk = static function (mixed $value, string $path) use (&$walk, &$flat): void {
            if (is_object($value) || is_array($value)) {
                $isList = is_array($value) && array_is_list($value);
                foreach ((array) $value as $name => $each) {
                    // Tools and the like are known by their number or name, wherever in the list they stand.
                    $own = $isList && is_object($each) ? ($each->number ?? $each->name ?? $each->check ?? $name) : $name;
                    $walk($each, ($path === '' ? '' : $path.'.').(is_scalar($own) ? $own : $name));
                }

                return;
            }
            if ($value === null) {
                return; // what is not said is not there
            }
            // A whole number is one however it came.
            $isWhole = is_float($value) && $value === floor($value) && abs($value) < 1e12;
            $text = is_string($value) ? $value : (string) json_encode($isWhole ? (int) $value : $value);
            $flat[$path] = strlen($text) > self::LONGEST ? mb_strcut($text, 0, self::LONGEST).'… ('.hash('xxh32', $text).')' : $text;
        };
        $walk($document, '');

        return $flat;
    }

    private static function words(string $field): string
    {
        foreach (self::WORDS as $pattern => $words) {
            if (preg_match($pattern, $field) === 1) {
                return (string) preg_replace($pattern, $words, $field);
            }
        }
        if (preg_match('/^tools\.(\d+)\.(.+)$/', $field, $tool) === 1) {
            return 'T'.$tool[1].' '.self::spaced($tool[2]);
        }

        return self::spaced($field);
    }

    /** someField.another => some field, another */
    private static function spaced(string $field): string
    {
        return implode(
            ', ',
            array_map(
                static fn (string $part): string => preg_match('/^[a-z]/', $part) === 1
                    ? strtolower((string) preg_replace('/(?<=[a-z])(?=[A-Z])|_/', ' ', $part))
                    : $part,
                explode('.', $field),
            ),
        );
    }
}
