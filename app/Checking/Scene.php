<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Geometry\PartPoint;
use OakTrace\Core\Geometry\Shift;
use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Setup\Stock;
use OakTrace\Core\Trace\Tip;
use OakTrace\Core\Verification;

/** What stands still in the drawing of a run. Lengths in the unit asked for. */
final class Scene
{
    /**
     * The stock, the zero the drawing is made about, the travel around it, the tools.
     *
     * @return array<string, mixed>
     */
    public static function of(Verification $verification, Units $units): array
    {
        $setup = $verification->setup;
        $unit = $units->millimetres();
        $scaled = static fn (array $values): array => array_map(static fn (float $value): float => round($value / $unit, 6), $values);
        $tip = Tip::inPart($setup);
        $zero = $setup->machine->ordered($setup->workOffsets[$tip->workOffset] ?? []);
        $travel = [];
        foreach ($setup->machine->axisNames as $axis => $name) {
            $limits = $setup->machine->axes[$name];
            if ($limits->min !== null && $limits->max !== null) {
                $travel[$name] = $scaled([$limits->min - $zero[$axis], $limits->max - $zero[$axis]]);
            }
        }
        $tools = [];
        foreach ($setup->tooling->tools as $tool) {
            $tools[$tool->number] = [
                'name' => $tool->name, 'diameter' => $tool->geometry->diameter === null ? null : round($tool->geometry->diameter / $unit, 6),
                'point' => round($tool->pointLength() / $unit, 6),
            ];
        }

        return [
            'units' => $units->value,
            'decimals' => $units->decimals(),
            'axes' => $setup->machine->axisNames,
            'diameters' => array_keys(array_filter($setup->machine->axes, static fn (Axis $axis): bool => $axis->isDiameter)),
            'work' => $tip->workOffset,
            'stock' => $setup->workpiece->stock === null ? null : [
                'min' => $scaled($setup->workpiece->stock->around->low->each()), 'max' => $scaled($setup->workpiece->stock->around->high->each()),
            ],
            'moreStock' => array_map(
                static fn (Stock $stock): array => [
                    'min' => $scaled(self::seenFrom($setup, $tip->workOffset, $stock->workOffset, $stock->around->low)),
                    'max' => $scaled(self::seenFrom($setup, $tip->workOffset, $stock->workOffset, $stock->around->high)),
                ],
                $setup->workpiece->moreStock,
            ),
            'obstacles' => self::obstacles($setup, $tip->workOffset, $scaled),
            'zero' => (object) array_combine($setup->machine->axisNames, $scaled($zero)),
            'mayMove' => (object) self::mayMove($verification, $tip->workOffset, $unit),
            'clearance' => $setup->margins->clearance === null ? null : round($setup->margins->clearance / $unit, 6),
            'travel' => (object) $travel,
            'tools' => (object) $tools,
            'turned' => $setup->machine->isLathe() ? TurnedScene::of($verification, $unit) : null,
        ];
    }

    /**
     * The box around each, and its outline in plan; what stands in machine coordinates only where its height is known.
     *
     * @param  callable(array<array-key, float>): array<array-key, float>  $scaled
     * @return list<array<string, mixed>>
     */
    private static function obstacles(Setup $setup, string $here, callable $scaled): array
    {
        $rows = [];
        $lower = $setup->tooling->gaugeShift();
        foreach ($setup->workholding->obstacles as $obstacle) {
            $isInMachine = $obstacle->workOffset === Obstacle::MACHINE;
            if ($isInMachine && $lower === null) {
                continue;
            }
            $by = new Shift(0.0, 0.0, $isInMachine ? (float) $lower : 0.0);
            $seen = static fn (PartPoint $point): array => self::seenFrom($setup, $here, $obstacle->workOffset, $point->minus($by));
            $rows[] = [
                'name' => $obstacle->name, 'min' => $scaled($seen($obstacle->around->low)), 'max' => $scaled($seen($obstacle->around->high)),
                'outline' => array_map(
                    static fn (array $corner): array => array_slice($scaled($seen(new PartPoint($corner[0], $corner[1], 0.0))), 0, 2), $obstacle->outline(),
                ),
            ];
        }

        return $rows;
    }

    /**
     * How far the zero of the drawing may move on each axis for everything to fit, seen from where it stands.
     *
     * @return array<string, array{float|null, float|null}|null>
     */
    private static function mayMove(Verification $verification, string $work, float $unit): array
    {
        $ranges = [];
        foreach (array_keys($verification->input->reach->work[$work] ?? []) as $axis) {
            $range = $verification->input->reach->fit($work, $axis);
            $zero = $verification->setup->workOffsets[$work][$axis] ?? 0.0;
            $ranges[$axis] = $range === null ? null : array_map(
                static fn (float $end): ?float => is_infinite($end) ? null : round(($end - $zero) / $unit, 6), $range,
            );
        }

        return $ranges;
    }

    /**
     * A point of one work offset in the coordinates of another, mm.
     *
     * @return array{float, float, float}
     */
    private static function seenFrom(Setup $setup, string $here, string $there, PartPoint $point): array
    {
        return $point->plus($setup->zero($there))->minus($setup->zero($here))->each();
    }
}
