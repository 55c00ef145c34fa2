<?php

declare(strict_types=1);

namespace App\Shop;

/** Which offsets of a setup's document are not to be relied on, and why. */
final class OffsetTrust
{
    /** A document whose every offset came from another clamping. */
    public static function copied(object $document, string $from): object
    {
        $why = (object) ['why' => 'copied', 'from' => mb_strimwidth($from, 0, 200)];
        $offsets = self::names($document);
        $fields = array_diff_key(get_object_vars($document), ['notTrusted' => true, 'proof' => true]);

        return self::cloned((object) ($fields + ($offsets === [] ? [] : ['notTrusted' => array_fill_keys($offsets, $why)])));
    }

    public static function begun(object $document, string $offset, string $at): object
    {
        return self::with($document, [$offset => (object) ['why' => 'begun', 'at' => $at]] + self::list($document));
    }

    public static function trusted(object $document, string ...$offsets): object
    {
        return self::with($document, array_diff_key(self::list($document), array_flip($offsets)));
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

    /** @param  array<string, mixed>  $list */
    private static function with(object $document, array $list): object
    {
        $fields = array_diff_key(get_object_vars($document), ['notTrusted' => true]);

        return self::cloned((object) ($fields + ($list === [] ? [] : ['notTrusted' => $list])));
    }

    private static function cloned(object $document): object
    {
        /** @var object */
        return json_decode((string) json_encode($document), false);
    }
}
