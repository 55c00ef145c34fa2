<?php

declare(strict_types=1);

namespace App\Shop;

/**
 * Which offsets of a setup's document are not to be relied on, and why. A work offset is trusted once each of its axes is; in
 * the document stand those that are still to be touched off.
 */
final class OffsetTrust
{
    /** A document whose every offset came from another clamping. */
    public static function copied(object $document, string $from): object
    {
        $list = [];
        foreach (self::names($document) as $offset) {
            $axes = self::axesOf($document, $offset);
            $list[$offset] = ['why' => 'copied', 'from' => mb_strimwidth($from, 0, 200)] + ($axes === [] ? [] : ['axes' => $axes]);
        }

        return self::with((object) array_diff_key(get_object_vars($document), ['proof' => true]), $list);
    }

    /** @param  string|null  $axis  of a work offset */
    public static function begun(object $document, string $offset, ?string $axis, string $at): object
    {
        $now = self::list($document)[$offset] ?? null;
        $axes = $axis === null ? [] : array_values(array_unique([...self::left($document, $offset, $now), $axis]));

        return self::with($document, [$offset => ['why' => 'begun', 'at' => $at] + ($axes === [] ? [] : ['axes' => $axes])] + self::list($document));
    }

    public static function trusted(object $document, string $offset, ?string $axis): object
    {
        $list = self::list($document);
        $now = $list[$offset] ?? null;
        $left = $axis === null ? [] : array_values(array_diff(self::left($document, $offset, $now), [$axis]));
        unset($list[$offset]);

        return self::with($document, $left === [] ? $list : [$offset => ['axes' => $left] + (array) $now] + $list);
    }

    /** Whether one axis of an offset, or a length, is trusted. */
    public static function isTrusted(object $document, string $offset, ?string $axis): bool
    {
        $now = self::list($document)[$offset] ?? null;

        return $now === null || ($axis !== null && ! in_array($axis, self::left($document, $offset, $now), true));
    }

    /** @return list<string> G54, H2, D2: every offset that has a value */
    public static function names(object $document): array
    {
        $tables = is_object($document->offsets ?? null) ? get_object_vars($document->offsets) : [];
        $names = array_keys(is_object($document->workOffsets ?? null) ? get_object_vars($document->workOffsets) : []);
        foreach ($tables as $letter => $table) {
            foreach (array_keys(is_object($table) ? get_object_vars($table) : []) as $number) {
                $names[] = $letter.$number;
            }
        }

        return array_map(strval(...), $names);
    }

    /** @return array<string, mixed> offset => why it is not trusted */
    public static function list(object $document): array
    {
        return is_object($document->notTrusted ?? null) ? get_object_vars($document->notTrusted) : [];
    }

    /** @return list<string> axes that are not trusted, of an offset that has some */
    private static function left(object $document, string $offset, mixed $now): array
    {
        if ($now === null) {
            return [];
        }
        $axes = is_object($now) && is_array($now->axes ?? null) ? $now->axes : self::axesOf($document, $offset);

        return array_values(array_filter($axes, is_string(...)));
    }

    /** @return list<string> */
    private static function axesOf(object $document, string $offset): array
    {
        $places = is_object($document->workOffsets ?? null) ? get_object_vars($document->workOffsets) : [];

        return is_object($places[$offset] ?? null) ? array_map(strval(...), array_keys(get_object_vars($places[$offset]))) : [];
    }

    /** @param  array<string, mixed>  $list */
    private static function with(object $document, array $list): object
    {
        $fields = array_diff_key(get_object_vars($document), ['notTrusted' => true]);

        /** @var object */
        return json_decode((string) json_encode((object) ($fields + ($list === [] ? [] : ['notTrusted' => $list]))), false);
    }
}
