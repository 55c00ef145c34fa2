<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Setup\ToolKind;

/** The fields of a tool as a form has them: what each is called, what it is measured in, and which kinds of tool it matters for. */
final class ToolSheet
{
    private const MILLS = ['end-mill', 'ball-mill', 'bull-mill', 'face-mill', 'chamfer-mill', 'thread-mill', 'engraver'];

    private const HOLES = ['drill', 'spot-drill', 'center-drill', 'reamer', 'tap', 'boring-bar'];

    private const INSERTS = ['turning', 'boring', 'shaping'];

    private const LATHE = ['turning', 'grooving', 'parting', 'threading', 'boring', 'shaping'];

    /** Field => words, what it is, and the kinds it matters for; all of them where none is named. */
    private const FIELDS = [
        'diameter' => ['Diameter', 'length', null],
        'cornerRadius' => ['Corner radius', 'length', ['end-mill', 'bull-mill', 'face-mill', ...self::LATHE]],
        'approachAngle' => ['Approach angle', 'angle', self::INSERTS],
        'includedAngle' => ['Included angle', 'angle', self::INSERTS],
        'edgeLength' => ['Edge length', 'length', self::INSERTS],
        'width' => ['Width', 'length', ['grooving', 'parting']],
        'minBore' => ['Smallest bore', 'length', ['boring', 'boring-bar']],
        'face' => ['Insert face', 'choice', self::LATHE],
        'pointAngle' => ['Point angle', 'angle', ['drill', 'spot-drill', 'center-drill', 'chamfer-mill', 'engraver']],
        'flutes' => ['Flutes', 'count', [...self::MILLS, ...self::HOLES]],
        'centerCutting' => ['Centre cutting', 'yes', ['end-mill', 'ball-mill', 'bull-mill', 'face-mill', 'chamfer-mill']],
        'fluteLength' => ['Flute length', 'length', [...self::MILLS, ...self::HOLES]],
        'shankDiameter' => ['Shank Ø', 'length', [...self::MILLS, ...self::HOLES, 'boring']],
        'shankWidth' => ['Shank width', 'length', ['turning', 'grooving', 'parting', 'threading', 'shaping']],
        'stickout' => ['Stick-out', 'length', null],
        'projection' => ['Projection from turret', 'length', [...self::LATHE, 'drill', 'spot-drill', 'center-drill', 'reamer', 'tap', 'boring-bar']],
        'driven' => ['Driven holder', 'choice', [...self::HOLES, 'end-mill', 'ball-mill', 'bull-mill', 'chamfer-mill', 'engraver', 'thread-mill']],
        'length' => ['Gauge length', 'length', null],
        'pitch' => ['Pitch', 'length', ['tap', 'thread-mill', 'threading']],
        'hand' => ['Hand', 'choice', ['tap', 'thread-mill', ...self::LATHE]],
        'material' => ['Tool material', 'choice', null],
        'coolant' => ['Coolant', 'choice', null],
        'maxRpm' => ['Max RPM', 'rpm', null],
        'surfaceSpeed' => ['Surface speed, from to', 'surface-speed', null],
        'feedPerTooth' => ['Chip load, from to', 'length-range', [...self::MILLS, 'drill', 'reamer']],
        'maxAxialDepth' => ['Max depth of cut', 'length', ['end-mill', 'ball-mill', 'bull-mill', 'face-mill', 'chamfer-mill', 'drill', ...self::LATHE]],
        'maxRadialWidth' => ['Max width of cut', 'length', ['end-mill', 'ball-mill', 'bull-mill', 'face-mill', 'chamfer-mill']],
    ];

    private const CHOICES = [
        'face' => ['up' => 'up', 'down' => 'down'],
        'driven' => ['along' => 'along the spindle', 'across' => 'across it'],
        'hand' => ['right' => 'right', 'left' => 'left'],
        'material' => ['carbide' => 'carbide', 'high-speed-steel' => 'HSS'],
        'coolant' => ['off' => 'off', 'mist' => 'mist', 'flood' => 'flood'],
    ];

    /** A usual end mill takes so much of its diameter in depth and in width (common practice). */
    private const DEPTH = 1.5;

    private const WIDTH = 1.0;

    /** @return list<array{field: string, words: string, is: string, kinds: list<string>|null, choices: array<string, string>|null}> */
    public static function fields(): array
    {
        $fields = [];
        foreach (self::FIELDS as $field => [$words, $is, $kinds]) {
            $fields[] = ['field' => $field, 'words' => $words, 'is' => $is, 'kinds' => $kinds, 'choices' => self::CHOICES[$field] ?? null];
        }

        return $fields;
    }

    /**
     * What a tool of a kind usually is where nothing is said (common practice): a value, or a share of its diameter.
     *
     * @return array<string, array{value: float|string|null, ofDiameter: float|null}> by field
     */
    public static function usual(ToolKind $kind): array
    {
        $value = static fn (float|string $value): array => ['value' => $value, 'ofDiameter' => null];
        $share = static fn (float $share): array => ['value' => null, 'ofDiameter' => $share];
        $usual = ['centerCutting' => $value($kind->cutsAtCenter() ? 'yes' : 'no')];
        if (in_array($kind->value, self::FIELDS['pointAngle'][2], true)) {
            $usual['pointAngle'] = $value($kind->usualPointAngle());
        }
        if (in_array($kind, [ToolKind::EndMill, ToolKind::BallMill, ToolKind::BullMill], true)) {
            $usual += ['maxAxialDepth' => $share(self::DEPTH), 'maxRadialWidth' => $share(self::WIDTH)];
        }

        return $usual + ['hand' => $value('right')];
    }

    /** @return array<string, array<string, array{value: float|string|null, ofDiameter: float|null}>> kind => its usual values */
    public static function usuals(): array
    {
        $usuals = [];
        foreach (ToolKind::cases() as $kind) {
            $usuals[$kind->value] = self::usual($kind);
        }

        return $usuals;
    }
}
