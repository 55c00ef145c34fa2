<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Cutting;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A ridge that a face mill leaves standing between two passes which lie further apart than it is wide. */
final class RidgeLeft extends MillCheck
{
    /** Up to this share of the diameter it is a ridge, and no rib that is meant. */
    private const NARROW = 1 / 3;

    /** What is less is no ridge, mm. */
    private const LEAST = 0.02;

    /** Places looked at along a ridge. */
    private const LOOKS = 9;

    public function name(): string
    {
        return 'cutting.ridge-left';
    }

    public function why(): string
    {
        return 'Between two passes that do not overlap the old face stays. The part does not lie flat on it, and the next tool meets it.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->stock->bodies ?? [] as $number => $body) {
            foreach ($this->passes($input->stock?->log->all($number) ?? []) as $passes) {
                usort($passes, static fn (array $one, array $other): int => $one['aside'] <=> $other['aside']);
                foreach (array_slice($passes, 1) as $n => $pass) {
                    $finding = $this->between($body, $passes[$n], $pass);
                    if ($finding !== null) {
                        yield $finding;
                        break;
                    }
                }
            }
        }
    }

    /**
     * The level passes of each face mill at one height and in one direction.
     *
     * @param  list<Move>  $moves
     * @return array<string, list<array{move: Move, aside: float, from: float, to: float, way: array{float, float}}>>  aside: how far from the zero,
     *                                                                                                        from and to: along the direction, mm
     */
    private function passes(array $moves): array
    {
        $passes = [];
        foreach ($moves as $move) {
            $way = hypot($move->x1 - $move->x0, $move->y1 - $move->y0);
            if (
                $move->tool->kind !== ToolKind::FaceMill || $move->kind !== MotionKind::FEED || $move->z1 !== $move->z0
                || $way < $move->cutter->radius
            ) {
                continue;
            }
            [$x, $y] = [($move->x1 - $move->x0) / $way, ($move->y1 - $move->y0) / $way];
            [$x, $y] = $x < -1e-9 || (abs($x) < 1e-9 && $y < 0.0) ? [-$x, -$y] : [$x, $y];
            $ends = [$move->x0 * $x + $move->y0 * $y, $move->x1 * $x + $move->y1 * $y];
            $passes[sprintf('%d %.3F %.4F %.4F', $move->tool->number, $move->z1, $x, $y)][] = [
                'move' => $move, 'aside' => $move->y0 * $x - $move->x0 * $y, 'from' => min($ends), 'to' => max($ends), 'way' => [$x, $y],
            ];
        }

        return $passes;
    }

    /**
     * @param  array{move: Move, aside: float, from: float, to: float, way: array{float, float}}  $one
     * @param  array{move: Move, aside: float, from: float, to: float, way: array{float, float}}  $other  further aside
     */
    private function between(Body $body, array $one, array $other): ?Finding
    {
        $diameter = 2 * $one['move']->cutter->radius;
        $apart = $other['aside'] - $one['aside'];
        $wide = $apart - $diameter;
        if ($wide < self::LEAST || $wide > self::NARROW * $diameter) {
            return null;
        }
        [$from, $to] = [max($one['from'], $other['from']), min($one['to'], $other['to'])];
        $aside = ($one['aside'] + $other['aside']) / 2;
        $high = [];
        for ($n = 0; $n < self::LOOKS; $n++) {
            $along = $from + ($to - $from) * ($n + 0.5) / self::LOOKS;
            $height = $body->field->at($along * $one['way'][0] - $aside * $one['way'][1], $along * $one['way'][1] + $aside * $one['way'][0]);
            if ($height > $one['move']->z1 + self::LEAST) {
                $high[] = $height - $one['move']->z1;
            }
        }
        if ($from >= $to || $high === []) {
            return null;
        }
        $later = $one['move']->row > $other['move']->row ? $one['move'] : $other['move'];

        return new Finding(
            $this->name(), Severity::Caution, $later->line, 1,
            'T{tool} leaves a ridge {wide} wide and {high} high: its passes lie {apart} apart, and it is {diameter}.', [
                'tool' => $later->tool->number, 'wide' => Quantity::length($wide), 'high' => Quantity::length(max($high)),
                'apart' => Quantity::length($apart), 'diameter' => Quantity::diameter($diameter),
            ], 'Bring the passes nearer to each other than the diameter.', [$later === $one['move'] ? $other['move']->line : $one['move']->line],
        );
    }
}
