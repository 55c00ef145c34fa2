<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\MoveLog;

/** Feels for walls along lines over what has been cut, and finds each to a thousandth of a millimetre. Lengths in mm, angles in radians. */
final class EdgeFinder
{
    /** Steps of a line, to begin with. */
    private const STEPS = 2000;

    /** Steps of a line on which a wall is looked for where it should be. */
    private const FEW = 500;

    /** A wall further from where it is expected is another, mm, or three tenths of the way there. */
    private const NEAR = 1.5;

    /** Steps of a short line across a wall. */
    private const FINE = 60;

    /** @var list<Move> */
    private readonly array $moves;

    private readonly float $reach;

    /** @var array<string, Profile> lines that were looked along */
    private array $lines = [];

    /**
     * @param  int  $number  of the body in the log
     * @param  array{float, float, float}|null  $near  X, Y and how far around it is felt; everywhere where not given
     */
    public function __construct(private readonly Body $body, MoveLog $log, int $number, ?array $near = null)
    {
        $field = $body->field;
        [$wide, $deep] = [$field->columns * $field->dx, $field->rows * $field->dy];
        $this->reach = hypot($wide, $deep);
        [$x, $y, $reach] = $near ?? [$field->x + $wide / 2, $field->y + $deep / 2, max($wide, $deep)];
        $this->moves = self::deepest($log->over($number, $x - $reach, $y - $reach, $x + $reach, $y + $reach));
    }

    /**
     * The first wall on the way from a point.
     *
     * @param  bool  $back  against the direction of the angle, in radians
     * @param  float|null  $within  no further away than this; anywhere where not given
     */
    public function wall(float $x, float $y, float $angle, bool $back, ?float $within = null): ?Wall
    {
        [$cos, $sin] = [cos($angle), sin($angle)];
        // First as far as is likely, for the steps to be small; a wall further away is looked for on a longer line.
        foreach ($within === null ? [1 => 1, 3 => 1.5, 8 => 2] : [1 => 1] as $times => $finer) {
            $reach = $within ?? $times * $this->reach / 8;
            $line = $this->line($x, $y, $angle, $reach, (int) ($finer * self::STEPS));
            $wall = $line->wall($reach, $back);
            if ($wall !== null) {
                return $this->found($line, $wall, $reach, $x, $y, $cos, $sin);
            }
        }

        return null;
    }

    /** The wall nearest to where one is expected, of those that rise or fall as it should; null where none is near. */
    public function wallNear(float $x, float $y, float $angle, bool $back, float $expected, bool $falls): ?Wall
    {
        [$cos, $sin] = [cos($angle), sin($angle)];
        $reach = 1.5 * $expected + 1.0;
        $line = $this->line($x, $y, $angle, $reach, self::FEW);
        $wall = $line->wallNear($reach, $back, $expected, $falls);
        if ($wall === null || abs(abs($wall['along'] - $reach) - $expected) > max(self::NEAR, 0.3 * $expected)) {
            return null;
        }

        return $this->found($line, $wall, $reach, $x, $y, $cos, $sin);
    }

    /** @param  array{along: float, rise: float, foot: float}  $wall  on the line, so far from its beginning */
    private function found(Profile $line, array $wall, float $reach, float $x, float $y, float $cos, float $sin): Wall
    {
        $away = $wall['along'] - $reach;
        [$away, $foot] = $this->fine($line, $x, $y, $cos, $sin, $away, $away < 0.0) ?? [$away, $wall['foot']];

        return new Wall($x + $away * $cos, $y + $away * $sin, abs($away), $foot, $wall['foot'] + $wall['rise'] - $foot);
    }

    /**
     * Where exactly a wall stands that is known to a step, and how high its foot is: it is closed in on twice.
     *
     * @param  bool  $back  whether it is looked at against the direction of the line
     * @return array{float, float}|null
     */
    private function fine(Profile $line, float $x, float $y, float $cos, float $sin, float $away, bool $back): ?array
    {
        $foot = 0.0;
        [$step, $moves] = [$line->step, $line->near];
        foreach ([1, 2] as $ignored) {
            [$from, $to] = [$away - 2 * $step, $away + 2 * $step];
            $line = Profile::along($this->body, $moves, [$x + $from * $cos, $y + $from * $sin], [$x + $to * $cos, $y + $to * $sin], self::FINE);
            $wall = $line->wall($back ? INF : 0.0, $back);
            if ($wall === null) {
                return null;
            }
            $foot = $wall['foot'];
            [$away, $step, $moves] = [$from + $wall['along'], $line->step, $line->near];
        }

        return [$away, $foot];
    }

    /**
     * The heights between two places.
     *
     * @param  array{float, float}  $from
     * @param  array{float, float}  $to
     */
    public function profile(array $from, array $to): Profile
    {
        return Profile::along($this->body, $this->moves, $from, $to, self::STEPS);
    }

    public function heightAt(float $x, float $y): float
    {
        return Profile::along($this->body, $this->moves, [$x - 0.005, $y], [$x + 0.005, $y], 1)->heights[0];
    }

    /** A line through a point, as far to both sides. */
    private function line(float $x, float $y, float $angle, float $reach, int $steps): Profile
    {
        [$across, $along] = [$reach * cos($angle), $reach * sin($angle)];

        return $this->lines[implode(' ', [$x, $y, $angle, $reach])] ??= Profile::along(
            $this->body, $this->moves, [$x - $across, $y - $along], [$x + $across, $y + $along], $steps,
        );
    }

    /**
     * Without the strokes down that another in the same place goes deeper than, as when a hole is pecked.
     *
     * @param  list<Move>  $moves
     * @return list<Move>
     */
    private static function deepest(array $moves): array
    {
        $kept = $lowest = [];
        foreach ($moves as $move) {
            if (! $move->isPlunge()) {
                $kept[] = $move;

                continue;
            }
            $place = sprintf('%d %.6F %.6F', $move->tool->number, $move->x1, $move->y1);
            if (min($move->z0, $move->z1) < ($lowest[$place] ?? INF)) {
                $lowest[$place] = min($move->z0, $move->z1);
                $kept[$place] = $move;
            }
        }

        return array_values($kept);
    }
}
