<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Units;

/** Turns the figures of a setup document into those of the other unit. What they mean stays as it is. */
final class SetupUnits
{
    /** Numbers that are no lengths, by the name of their field or of the group they stand in. */
    private const PLAIN = ['number', 'flutes', 'pointAngle', 'angle', 'maxRpm', 'blockSkip', 'tip', 'approachAngle', 'includedAngle', 'jaws', 'jawMass', 'ra',
        'closeSeconds', 'starts'];

    private const OTHERS = ['surfaceSpeed' => FieldUnit::SurfaceSpeed, 'force' => FieldUnit::Force, 'gripForce' => FieldUnit::Force];

    /** Groups of a setup that hold figures; a field nobody knows is left as it is. */
    private const GROUPS = [
        'start', 'workOffsets', 'tools', 'offsets', 'stock', 'moreStock', 'obstacles', 'clearance', 'breakThrough', 'nearLimit', 'thinnest', 'rotaryCenters',
        'target', 'grip', 'chuck', 'tailstock', 'steady', 'zones', 'secondSpindle',
    ];

    /** Places after the point that a figure keeps: finer than a micrometre, and free of the noise of turning it over. */
    private const PLACES = ['mm' => 5, 'inch' => 6];

    /**
     * @param  object  $document  as it stands in the file, objects as objects
     *
     * @throws SetupFileError where a solid of it cannot be read
     */
    public static function turned(object $document, Units $to): object
    {
        $from = Units::tryFrom((string) ($document->units ?? '')) ?? Units::Millimetre;
        $turned = get_object_vars($document);
        foreach ($from === $to ? [] : array_intersect_key($turned, array_flip(self::GROUPS)) as $group => $value) {
            $turned[$group] = self::value($value, $group, $from, $to);
        }

        return (object) (['units' => $to->value] + $turned);
    }

    private static function value(mixed $value, string $name, Units $from, Units $to): mixed
    {
        if (is_int($value) || is_float($value)) {
            // An axis that turns is in degrees in both.
            $isPlain = in_array($name, self::PLAIN, true) || in_array($name[0] ?? '', AxisName::ROTARY, true);
            $unit = $isPlain ? FieldUnit::Plain : self::OTHERS[$name] ?? FieldUnit::Length;

            return $isPlain ? $value : round($value * $unit->factor($from) / $unit->factor($to), self::PLACES[$to->value]);
        }
        if (is_array($value)) {
            return array_map(static fn (mixed $one): mixed => self::value($one, $name, $from, $to), $value);
        }
        if ($name === 'stl' && is_string($value)) {
            $mesh = StockFields::solid($value, $name)->scaled($from->millimetres() / $to->millimetres());

            return base64_encode(StlFile::ofMesh($mesh, 'in '.$to->value));
        }
        if (! is_object($value)) {
            return $value;
        }
        $turned = [];
        foreach (get_object_vars($value) as $key => $one) {
            $turned[$key] = self::value($one, (string) $key, $from, $to);
        }

        return (object) $turned;
    }
}
