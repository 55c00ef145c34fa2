<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Steady;
use OakTrace\Core\Setup\Tailstock;
use OakTrace\Core\Setup\Zone;

/** Something round about the spindle that a tool may run into, in pieces that are convex. Z in the work offset of the stock, mm. */
final readonly class Solid
{
    /** How much of the tailstock's body is looked at, mm. */
    private const BODY = 200.0;

    /** @var list<Hull> from one side of the axis to the other */
    private array $pieces;

    /** @param  list<array{float, float}>  $profile  Z and radius, along Z */
    private function __construct(public string $name, public array $profile)
    {
        $pieces = [];
        for ($i = 1, $n = count($profile); $i < $n; $i++) {
            [[$z0, $r0], [$z1, $r1]] = [$profile[$i - 1], $profile[$i]];
            if ($z1 - $z0 > 1e-9) {
                $pieces[] = new Hull([[$z0, -$r0], [$z0, $r0], [$z1, -$r1], [$z1, $r1]]);
            }
        }
        $this->pieces = $pieces;
    }

    /** @return list<self> what stands around the part, apart from the chuck */
    public static function around(Setup $setup): array
    {
        $held = $setup->workholding;
        $center = $held->hasCenter() ? self::tailstock($setup) : null;
        $solids = array_map(static fn (Zone $zone): self => self::zone($zone, $setup), $held->zones);

        return [...($center === null ? [] : [$center]), ...($held->steady === null ? [] : [self::steady($held->steady)]), ...$solids];
    }

    /** The tailstock as it stands when it is in; null where it is not given. */
    public static function tailstock(Setup $setup): ?self
    {
        $tailstock = $setup->workholding->tailstock;

        return $tailstock === null ? null : self::center($tailstock, $setup->workpiece->stock->around->high->z ?? 0.0);
    }

    /** The chuck of the second spindle where it has come to the part; null where its size is not stated. */
    public static function second(Setup $setup): ?self
    {
        $second = $setup->workholding->second;
        $jaws = $second?->jawFaceZ === null || $second->jawOuter === null ? []
            : [[$second->jawFaceZ, $second->jawOuter / 2], [max($second->jawFaceZ, $second->faceZ ?? $second->jawFaceZ + self::BODY), $second->jawOuter / 2]];
        $body = $second?->faceZ === null || $second->bodyDiameter === null ? []
            : [[$second->faceZ, $second->bodyDiameter / 2], [$second->faceZ + self::BODY, $second->bodyDiameter / 2]];

        return $jaws === [] && $body === [] ? null : new self('the second spindle', [...$jaws, ...$body]);
    }

    /** Whether something that lies between two Z, from a radius on outwards, may come into it. */
    public function isNear(float $least, float $most, float $low): bool
    {
        return $least < $this->profile[count($this->profile) - 1][0] && $most > $this->profile[0][0] && $low < max(array_column($this->profile, 1));
    }

    /** Where along Z the piece of it begins that a shape comes into furthest. */
    public function begins(Hull $hull): float
    {
        $deepest = $this->pieces[0];
        foreach ($this->pieces as $piece) {
            $deepest = $piece->overlap($hull) > $deepest->overlap($hull) ? $piece : $deepest;
        }

        return $deepest->least;
    }

    /** How far a shape comes into it, mm along the shortest way out. */
    public function into(Hull $hull): float
    {
        $deepest = 0.0;
        foreach ($this->pieces as $piece) {
            $deepest = max($deepest, $piece->overlap($hull));
        }

        return $deepest;
    }

    /** The point as a cone from the mouth of its hole, the quill, the body; null where its size is not stated. */
    private static function center(Tailstock $tailstock, float $face): ?self
    {
        if ($tailstock->mouth === null || $tailstock->quillDiameter === null) {
            return null;
        }
        $z = $tailstock->faceZ ?? $face;
        [$mouth, $quill] = [$tailstock->mouth / 2, max($tailstock->mouth, $tailstock->quillDiameter) / 2];
        $cone = $z + ($quill - $mouth) / tan(deg2rad($tailstock->pointAngle / 2));
        $body = $tailstock->quillReach === null ? $cone + self::BODY : max($cone, $z + $tailstock->quillReach);
        $behind = $tailstock->bodyDiameter === null || $tailstock->quillReach === null ? []
            : [[$body, $tailstock->bodyDiameter / 2], [$body + self::BODY, $tailstock->bodyDiameter / 2]];

        return new self('the tailstock', [[$z, $mouth], [$cone, $quill], [$body, $quill], ...$behind]);
    }

    private static function steady(Steady $steady): self
    {
        return new self(
            'the steady', [[$steady->z - $steady->width / 2, $steady->diameter / 2], [$steady->z + $steady->width / 2, $steady->diameter / 2]],
        );
    }

    private static function zone(Zone $zone, Setup $setup): self
    {
        $by = $zone->frame === 'work' ? 0.0 : $setup->workOffsets[$setup->workpiece->stock->workOffset ?? ''][AxisName::Z] ?? 0.0;

        return new self(
            'the zone “'.$zone->name.'”', array_map(static fn (array $point): array => [$point[0] - $by, $point[1] / 2], $zone->profile),
        );
    }
}
