<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Chuck;
use OakTrace\Core\Setup\SecondSpindle;
use OakTrace\Core\Setup\Steady;
use OakTrace\Core\Setup\Tailstock;
use OakTrace\Core\Setup\Workholding;
use OakTrace\Core\Setup\Zone;

/** What holds a part on a lathe and stands around it, in a setup file. */
final readonly class LatheHoldingFields
{
    public function __construct(private Units $units)
    {
    }

    public function chuck(FileEntry $file): ?Chuck
    {
        return $file->has('chuck') ? self::ofChuck()->read($file->entry('chuck')->source(), $this->units) : null;
    }

    public function tailstock(FileEntry $file): ?Tailstock
    {
        return $file->has('tailstock') ? self::ofTailstock()->read($file->entry('tailstock')->source(), $this->units) : null;
    }

    public function second(FileEntry $file): ?SecondSpindle
    {
        return $file->has('secondSpindle') ? self::ofSecond()->read($file->entry('secondSpindle')->source(), $this->units) : null;
    }

    public function steady(FileEntry $file): ?Steady
    {
        return $file->has('steady') ? self::ofSteady()->read($file->entry('steady')->source(), $this->units) : null;
    }

    /**
     * @return list<Zone>
     *
     * @throws SetupFileError where the points of a zone do not go along Z
     */
    public function zones(FileEntry $file): array
    {
        $zones = [];
        foreach ($file->entries('zones') as $i => $entry) {
            $zone = self::ofZone()->read($entry->source(), $this->units);
            foreach ($zone->profile as $n => [$z, $diameter]) {
                if ($diameter < 0.0 || $z < ($zone->profile[$n - 1][0] ?? -INF)) {
                    throw new SetupFileError([
                        "zones.$i.profile" => "Give the points of “{$zone->name}” along Z from minus to plus, each with its diameter: number "
                            .($n + 1).' is not.',
                    ]);
                }
            }
            $zones[] = $zone;
        }

        return $zones;
    }

    /** @return array<string, mixed> */
    public function write(Workholding $held): array
    {
        return array_filter([
            'chuck' => $held->chuck === null ? null : ['kind' => $held->chuck->kind] + self::ofChuck()->write($held->chuck, $this->units),
            'tailstock' => $held->tailstock === null ? null : (object) self::ofTailstock()->write($held->tailstock, $this->units),
            'steady' => $held->steady === null ? null : self::ofSteady()->write($held->steady, $this->units),
            'secondSpindle' => $held->second === null ? null : (object) self::ofSecond()->write($held->second, $this->units),
            'zones' => array_map(fn (Zone $zone): array => self::ofZone()->write($zone, $this->units), $held->zones),
        ], static fn (array|object|null $value): bool => $value !== null && $value !== []);
    }

    /** @return FieldGroup<Chuck> */
    private static function ofChuck(): FieldGroup
    {
        return new FieldGroup(
            Chuck::class, array_fill_keys(['kind', 'maxRpm', 'jaws', 'jawMass'], FieldUnit::Plain)
                + array_fill_keys([
                    'jawFaceZ', 'jawOuter', 'jawInner', 'faceZ', 'bodyDiameter', 'jawCentreRadius', 'bodyLength', 'gripLength',
                ], FieldUnit::Length)
                + ['gripForce' => FieldUnit::Force],
        );
    }

    /** @return FieldGroup<Tailstock> */
    private static function ofTailstock(): FieldGroup
    {
        return new FieldGroup(
            Tailstock::class, array_fill_keys(['pointAngle', 'retracted'], FieldUnit::Plain)
                + array_fill_keys(['mouth', 'faceZ', 'quillDiameter', 'quillReach', 'bodyDiameter'], FieldUnit::Length),
        );
    }

    /** @return FieldGroup<SecondSpindle> */
    private static function ofSecond(): FieldGroup
    {
        return new FieldGroup(
            SecondSpindle::class, array_fill_keys(['closeSeconds', 'forward'], FieldUnit::Plain)
                + array_fill_keys(['jawFaceZ', 'jawOuter', 'faceZ', 'bodyDiameter', 'gripDiameter'], FieldUnit::Length),
        );
    }

    /** @return FieldGroup<Steady> */
    private static function ofSteady(): FieldGroup
    {
        return new FieldGroup(Steady::class, array_fill_keys(['z', 'width', 'diameter'], FieldUnit::Length));
    }

    /** @return FieldGroup<Zone> */
    private static function ofZone(): FieldGroup
    {
        return new FieldGroup(Zone::class, [
            'name' => FieldUnit::Plain, 'profile' => FieldUnit::Length, 'frame' => FieldUnit::Plain, 'side' => FieldUnit::Plain,
        ]);
    }
}
