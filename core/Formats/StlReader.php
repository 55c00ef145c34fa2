<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use InvalidArgumentException;
use OakTrace\Core\Solids\Mesh;

/** Reads the triangles of an STL file, binary or written out. */
final class StlReader
{
    /** More triangles than this are no drawing of a blank or a part somebody mills by hand-written code. */
    public const MOST = 100_000;

    private const HEAD = 84;

    private const TRIANGLE = 50;

    /** @throws InvalidArgumentException saying what is wrong with the file */
    public static function mesh(string $bytes): Mesh
    {
        $count = strlen($bytes) >= self::HEAD ? ((array) unpack('V', $bytes, 80))[1] : -1;
        // A binary file may begin with the word that tells a written one, but its length says what it is.
        if (strlen($bytes) !== self::HEAD + self::TRIANGLE * $count) {
            if (! str_starts_with(ltrim($bytes), 'solid')) {
                throw new InvalidArgumentException(
                    $count < 0
                        ? 'This is not an STL file: it is too short.'
                        : "This STL file is incomplete: it should have {$count} triangles, and its length says otherwise.",
                );
            }

            return self::checked(self::written($bytes));
        }
        if ($count > self::MOST) {
            throw new InvalidArgumentException("The file has {$count} triangles; up to ".self::MOST.' are read. Save it with fewer triangles.');
        }
        $corners = [];
        for ($n = 0, $at = self::HEAD; $n < $count; $n++, $at += self::TRIANGLE) {
            array_push($corners, ...array_values((array) unpack('g9', $bytes, $at + 12)));
        }

        return self::checked($corners);
    }

    /** @return list<float> */
    private static function written(string $text): array
    {
        if (preg_match_all('/\bvertex\s+([-+.\deE]+)\s+([-+.\deE]+)\s+([-+.\deE]+)/', $text, $found) % 3 !== 0) {
            throw new InvalidArgumentException('A triangle of the STL file does not have three corners.');
        }
        if (count($found[0]) > 3 * self::MOST) {
            throw new InvalidArgumentException('The file has more than '.self::MOST.' triangles. Save it with fewer.');
        }
        $corners = [];
        foreach ($found[1] as $n => $x) {
            array_push($corners, (float) $x, (float) $found[2][$n], (float) $found[3][$n]);
        }

        return $corners;
    }

    /** @param  array<mixed>  $corners */
    private static function checked(array $corners): Mesh
    {
        if ($corners === []) {
            throw new InvalidArgumentException('The STL file has no triangles.');
        }
        foreach ($corners as $value) {
            if (! is_float($value) || ! is_finite($value) || abs($value) > 1e6) {
                throw new InvalidArgumentException('The STL file has a corner that is not a point.');
            }
        }
        /** @var list<float> $corners */
        $mesh = new Mesh($corners);
        $box = $mesh->box();
        if (min($box->size(0), $box->size(1), $box->size(2)) <= 0.0) {
            throw new InvalidArgumentException('The STL file is flat: it is not a solid.');
        }

        return $mesh;
    }
}
