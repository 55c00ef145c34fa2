<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Checks\WantedSizes;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Stock\Turned\CuttingShape;
use OakTrace\Core\Stock\Turned\HolderShape;
use OakTrace\Core\Stock\Turned\Measured;
use OakTrace\Core\Stock\Turned\OffCenter;
use OakTrace\Core\Stock\Turned\RadiusProfile;
use OakTrace\Core\Stock\Turned\Solid;
use OakTrace\Core\Target\ProfileShape;
use OakTrace\Core\Trace\State;
use OakTrace\Core\Verification;

/**
 * What the drawing of a lathe shows beside the moves: the stock as it is cut, the chuck and what else stands around it, the shape of
 * each tool. Z and radii in the units asked for.
 */
final class TurnedScene
{
    /** How far the drawn stock may stand off the cut one, mm. */
    private const FINE = 0.02;

    /** An edge nobody gives the length of is drawn so long, mm. */
    private const EDGE = 9.0;

    /** Places along a thread at which it is asked what stands there. */
    private const LOOKS = 400;

    /** How much of jaws and body is drawn, mm. */
    private const DEEP = 30.0;

    /**
     * @param  float  $unit  mm
     * @return array{
     *     stands: list<array{0: float, 1: float, 2: list<float>}>, chuck: list<list<float>>,
     *     solids: list<array{name: string, outline: list<list<float>>}>, shapes: object, holders: object,
     *     threads: list<array{float, float, float, float, int|null}>, isFront: bool,
     *     sizes: list<array{name: string, sign: string, got: float|null, wanted: float, severity: string, line: int|null}>,
     *     wanted: list<list<array<int, float>>>
     * }
     */
    public static function of(Verification $verification, float $unit): array
    {
        $scaled = static fn (float $value): float => round($value / $unit, 4) + 0.0;
        $setup = $verification->setup;
        $turned = $verification->input->turned;
        $stands = $turned === null ? [] : self::stands([$turned->profile, ...$turned->partedOff], $unit);
        $chuck = $setup->workholding->chuck;
        $inner = $chuck === null ? 0.0 : ($chuck->jawInner ?? 2 * ($setup->workpiece->stock->around->high->x ?? 0.0)) / 2;
        $parts = [];
        if ($chuck?->jawFaceZ !== null && $chuck->jawOuter !== null) {
            $parts[] = [$chuck->faceZ ?? $chuck->jawFaceZ - self::DEEP, $chuck->jawFaceZ, $inner, $chuck->jawOuter / 2];
        }
        if ($chuck?->faceZ !== null && $chuck->bodyDiameter !== null) {
            $parts[] = [$chuck->faceZ - self::DEEP, $chuck->faceZ, $inner, $chuck->bodyDiameter / 2];
        }
        $parts = [...$parts, ...self::second($verification)];
        $shapes = $holders = [];
        $drawn = static fn (array $shape): array => array_map(static fn (array $point): array => array_map($scaled, $point), $shape);
        foreach ($setup->tooling->tools as $number => $tool) {
            $offset = $setup->tooling->turningOffsets[$number] ?? null;
            $shape = $tool->holding->driven !== null ? OffCenter::shape($tool) : CuttingShape::of($tool, $offset, self::EDGE);
            if ($shape !== null) {
                $shapes[$number] = $drawn($shape);
            }
            $holders[$number] = array_map($drawn, HolderShape::of($tool, $offset));
        }

        return [
            'stands' => $stands, 'chuck' => array_map(static fn (array $part): array => array_map($scaled, $part), $parts),
            'solids' => array_map(static fn (Solid $solid): array => [
                'name' => $solid->name, 'outline' => array_map(static fn (array $point): array => array_map($scaled, $point), $solid->profile),
            ], Solid::around($setup)),
            'shapes' => (object) $shapes, 'holders' => (object) array_filter($holders), 'threads' => self::threads($verification, $scaled),
            'isFront' => $setup->machine->toolSide() === 'front', 'sizes' => self::sizes($verification, $scaled),
            'wanted' => self::wanted($verification, $scaled),
        ];
    }

    /** @return list<array{float, float, float, float}> the chuck of a second spindle that comes to the part: from and to along Z, inner and outer radius */
    private static function second(Verification $verification): array
    {
        $second = $verification->setup->workholding->second;
        $isBrought = static fn (State $state): bool => $state->modes->second?->isForward === true;
        if ($second === null || (! $second->forward && array_filter($verification->trace->states, $isBrought) === [])) {
            return [];
        }
        $inner = ($second->gripDiameter ?? 2 * ($verification->setup->workpiece->stock->around->high->x ?? 0.0)) / 2;
        $jaws = $second->jawFaceZ === null || $second->jawOuter === null ? []
            : [[$second->jawFaceZ, max($second->jawFaceZ, $second->faceZ ?? $second->jawFaceZ + self::DEEP), $inner, $second->jawOuter / 2]];
        $body = $second->faceZ === null || $second->bodyDiameter === null ? []
            : [[$second->faceZ, $second->faceZ + self::DEEP, $inner, $second->bodyDiameter / 2]];

        return [...$jaws, ...$body];
    }

    /**
     * Threads at their deepest, as far as they lie in what stands.
     *
     * @param  callable(float): float  $scaled
     * @return list<array{float, float, float, float, int|null}> Z and radius of the root at the beginning and at the end, and the line that cuts it
     */
    private static function threads(Verification $verification, callable $scaled): array
    {
        $input = $verification->input;
        if ($input->turned === null) {
            return [];
        }
        $parts = [$input->turned->profile, ...$input->turned->partedOff];
        $threads = [];
        foreach ($input->lathe->eachThread($verification->trace->states) as $thread) {
            $passes = array_map(static fn (int $n): array => $input->lathe->threads[$n], $thread->passes);
            $state = $verification->trace->states[$passes[0]['state']];
            $isBore = $verification->setup->turningOffset($state->tool, $state->length->number)?->tip()[1] > 0;
            $deepest = ($isBore ? max(...) : min(...))(array_column($passes, 'toX'));
            $last = $passes[(int) array_search($deepest, array_column($passes, 'toX'), true)];
            $zero = $state->shift((int) $verification->trace->axis(AxisName::Z));
            $inside = [];
            for ($i = 0; $i <= self::LOOKS; $i++) {
                $share = $i / self::LOOKS;
                $place = [
                    $last['fromZ'] + ($last['toZ'] - $last['fromZ']) * $share - $zero, $last['fromX'] + ($last['toX'] - $last['fromX']) * $share,
                ];
                if (self::standsAt($parts, $place)) {
                    $inside[] = array_map($scaled, $place);
                }
            }
            if ($inside !== []) {
                $threads[] = [...$inside[0], ...$inside[count($inside) - 1], $verification->trace->sources->mainLine($last['place'])];
            }
        }

        return $threads;
    }

    /**
     * Whether a place lies in what stands, or what has come off.
     *
     * @param  list<RadiusProfile>  $parts
     * @param  array{float, float}  $place  Z and radius
     */
    private static function standsAt(array $parts, array $place): bool
    {
        foreach ($parts as $part) {
            $radii = $part->at($place[0]);
            if ($radii !== [] && $place[1] > $radii[0] && $place[1] < $radii[count($radii) - 1]) {
                return true;
            }
        }

        return false;
    }

    /**
     * What stands, and what has come off where it was: from and to along Z, inner and outer radii.
     *
     * @param  list<RadiusProfile>  $parts
     * @return list<array{0: float, 1: float, 2: list<float>}>
     */
    public static function stands(array $parts, float $unit): array
    {
        $scaled = static fn (float $value): float => round($value / $unit, 4) + 0.0;

        return array_merge(...array_map(static fn (RadiusProfile $part): array => array_map(
            static fn (array $stretch): array => [$scaled($stretch[0]), $scaled($stretch[1]), array_map($scaled, $stretch[2])],
            $part->stretches(self::FINE),
        ), $parts));
    }

    /**
     * The shapes the drawing wants.
     *
     * @param  callable(float): float  $scaled
     * @return list<list<array<int, float>>> Z and radius of each point
     */
    private static function wanted(Verification $verification, callable $scaled): array
    {
        $wanted = [];
        foreach ($verification->setup->workpiece->target->turned ?? [] as $size) {
            if ($size->shape instanceof ProfileShape) {
                $wanted[] = array_map(static fn (array $point): array => array_map($scaled, $point), $size->shape->points);
            }
        }

        return $wanted;
    }

    /**
     * The sizes the drawing wants, as they have come out; none where the stock could not be cut to its end.
     *
     * @param  callable(float): float  $scaled
     * @return list<array{name: string, sign: string, got: float|null, wanted: float, severity: string, line: int|null}>
     */
    private static function sizes(Verification $verification, callable $scaled): array
    {
        return array_map(static fn (Measured $measured): array => [
            'name' => $measured->size->name, 'sign' => $measured->size->kind->isDiameter() ? 'Ø' : $measured->size->kind->sign(),
            'got' => $measured->got() === null ? null : $scaled($measured->got()),
            'wanted' => $scaled($measured->size->wanted),
            'severity' => $measured->isWithin() ? 'clear' : ($measured->isScrap() ? 'stop' : 'caution'),
            'line' => $measured->surface === null ? null : $verification->trace->sources->mainLine($measured->surface->place),
        ], WantedSizes::of($verification->input));
    }
}
