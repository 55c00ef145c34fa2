<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\Move;
use OakTrace\Core\Stock\MoveLog;
use OakTrace\Core\Stock\Target\Outline;

/**
 * Measures what stands or gapes at a place as one would on the part: feels for the walls all round, sees what shape they make, and
 * then measures it across its middle. The walls are those of the moves themselves, not of the cells. Lengths in mm.
 */
final class Measurement
{
    /** Lines through the place on which walls are felt for, and how many steps each has. */
    private const LINES = 36;

    private const STEPS = 2000;

    /** Steps of a line on which a wall is looked for where it should be. */
    private const FEW = 500;

    /** A wall further from where it is expected is another, mm, or three tenths of the way there. */
    private const NEAR = 1.5;

    /** Steps of a short line across a wall. */
    private const FINE = 60;

    /** Lines across a round feature to measure it by. */
    private const ACROSS = 8;

    private const FEW_ACROSS = 4;

    /** What walls may be off a shape, mm. */
    private const OFF = 0.03;

    /** @var list<Move> */
    private readonly array $moves;

    private readonly float $reach;

    /** @var array<string, Profile> lines that were looked along */
    private array $lines = [];

    private function __construct(private readonly Body $body, private readonly MoveLog $log, private readonly int $number, ?Outline $near = null)
    {
        $field = $body->field;
        [$wide, $deep] = [$field->columns * $field->dx, $field->rows * $field->dy];
        $this->reach = hypot($wide, $deep);
        [$x, $y, $reach] = $near === null ? [$field->x + $wide / 2, $field->y + $deep / 2, max($wide, $deep)] : [$near->x, $near->y, 1.5 * $near->reach() + 1.0];
        $this->moves = self::deepest($log->over($number, $x - $reach, $y - $reach, $x + $reach, $y + $reach));
    }

    /** @param  int  $number  of the body in the log */
    public static function of(Body $body, MoveLog $log, int $number): self
    {
        return new self($body, $log, $number);
    }

    /** What there is at a point; null beside the stock. */
    public function at(float $x, float $y): ?Measured
    {
        if ($this->body->field->cellAt($x, $y) === null) {
            return null;
        }
        $walls = $this->walls($x, $y);
        $floor = $this->heightAt($x, $y);
        $rises = count(array_filter($walls, static fn (?array $wall): bool => $wall !== null && $wall['rise'] > 0.0));
        $falls = count(array_filter($walls, static fn (?array $wall): bool => $wall !== null && $wall['rise'] < 0.0));
        $stands = $falls > $rises;
        $same = array_filter($walls, static fn (?array $wall): bool => $wall !== null && ($wall['rise'] < 0.0) === $stands);
        if (count($same) === 2 * self::LINES) {
            $points = array_map(static fn (array $wall): array => [$wall['x'], $wall['y']], array_values($same));
            $found = $this->round($points, $stands) ?? $this->fourSides($points, $stands);
            if ($found !== null) {
                return $found;
            }
        }

        return $this->channel($x, $y, $walls) ?? new Measured(Shape::Other, $stands, [$x, $y], $floor, $floor, $floor <= $this->body->field->bottom, []);
    }

    /**
     * What there is where a feature of a known shape should be: looked for where its walls should stand, so that what lies in it or opens
     * into it does no harm. Sizes between walls that are not there are left out; null where hardly any is.
     */
    public function expected(Outline $outline, bool $stands): ?Measured
    {
        return (new self($this->body, $this->log, $this->number, $outline))->found($outline, $stands);
    }

    private function found(Outline $outline, bool $stands): ?Measured
    {
        $turn = deg2rad($outline->angle);
        $walls = [];
        for ($n = 0, $turns = $outline->isCircle() ? self::FEW_ACROSS : 2; $n < $turns; $n++) {
            $half = ($n === 1 && ! $outline->isCircle() ? $outline->width : $outline->length) / 2;
            foreach ([true, false] as $back) {
                $walls[] = $this->wallNear($outline->x, $outline->y, $turn + M_PI * $n / $turns, $back, $half, $stands);
            }
        }
        $there = array_values(array_filter($walls));
        if (count($there) < ($outline->isCircle() ? self::FEW_ACROSS : 2)) {
            return null;
        }
        $feet = array_column($there, 'foot');
        $rims = array_map(static fn (array $wall): float => $wall['foot'] + $wall['rise'], $there);
        if ($outline->isCircle()) {
            $points = array_map(static fn (array $wall): array => [$wall['x'], $wall['y']], $there);
            [$x, $y, $radius] = self::circle($points);
            $off = max(array_map(static fn (array $point): float => abs(hypot($point[0] - $x, $point[1] - $y) - $radius), $points));

            return $off > self::OFF ? null : $this->measured(Shape::Round, $stands, [$x, $y], $feet, $rims, ['diameter' => 2 * $radius]);
        }
        [$sizes, $middle] = [['angle' => $outline->angle], [$outline->x, $outline->y]];
        foreach (['length' => [$walls[0], $walls[1]], 'width' => [$walls[2] ?? null, $walls[3] ?? null]] as $what => [$one, $two]) {
            if ($one !== null && $two !== null) {
                $sizes[$what] = $one['away'] + $two['away'];
                $middle = [$middle[0] + ($one['x'] + $two['x']) / 2 - $outline->x, $middle[1] + ($one['y'] + $two['y']) / 2 - $outline->y];
            }
        }
        if (isset($sizes['length'], $sizes['width'])) {
            $sizes['corner'] = $this->corner($middle[0], $middle[1], $sizes['length'], $sizes['width'], $outline->angle, $outline->corner, $stands);
        }

        return count($sizes) === 1 ? null : $this->measured(Shape::FourSides, $stands, $middle, $feet, $rims, $sizes);
    }

    /**
     * How much stands between two features: on the line between their middles, from the wall of the one to that of the other.
     */
    public function between(Measured $one, Measured $two): ?float
    {
        if (hypot($two->middle[0] - $one->middle[0], $two->middle[1] - $one->middle[1]) < 1e-6) {
            return null;
        }
        $line = Profile::along($this->body, $this->moves, $one->middle, $two->middle, self::STEPS);
        $first = $line->wall(0.0, false);
        $last = $line->wall(self::STEPS * $line->step, true);

        return $first === null || $last === null || $last['along'] <= $first['along'] ? null : $last['along'] - $first['along'];
    }

    /**
     * The walls first met all round.
     *
     * @return list<array{x: float, y: float, rise: float, foot: float, away: float}|null> null where the way goes off the stock
     */
    private function walls(float $x, float $y): array
    {
        $walls = [];
        foreach ([false, true] as $back) {
            for ($n = 0; $n < self::LINES; $n++) {
                $walls[] = $this->wall($x, $y, M_PI * $n / self::LINES, $back, true);
            }
        }

        return $walls;
    }

    /**
     * @param  bool  $isFine  looks at the wall again with far smaller steps
     * @param  float|null  $within  no further away than this; anywhere where not given
     * @return array{x: float, y: float, rise: float, foot: float, away: float}|null
     */
    private function wall(float $x, float $y, float $angle, bool $back, bool $isFine = false, ?float $within = null): ?array
    {
        [$cos, $sin] = [cos($angle), sin($angle)];
        // First as far as is likely, for the steps to be small; a wall further away is looked for on a longer line.
        foreach ($within === null ? [1 => 1, 3 => 1.5, 8 => 2] : [1 => 1] as $times => $finer) {
            $reach = $within ?? $times * $this->reach / 8;
            $key = implode(' ', [$x, $y, $angle, $reach]);
            $line = $this->lines[$key] ??= Profile::along($this->body, $this->moves, [$x - $reach * $cos, $y - $reach * $sin], [$x + $reach * $cos, $y + $reach * $sin], (int) ($finer * self::STEPS));
            $wall = $line->wall($reach, $back);
            if ($wall !== null) {
                $away = ($isFine ? $this->fine($line, $x, $y, $cos, $sin, $wall['along'] - $reach) : null) ?? $wall['along'] - $reach;

                return ['x' => $x + $away * $cos, 'y' => $y + $away * $sin, 'away' => abs($away)] + $wall;
            }
        }

        return null;
    }

    /** @return array{x: float, y: float, rise: float, foot: float, away: float}|null the wall on a line nearest to where one is expected, and near it */
    private function wallNear(float $x, float $y, float $angle, bool $back, float $expected, bool $falls): ?array
    {
        [$cos, $sin] = [cos($angle), sin($angle)];
        $reach = 1.5 * $expected + 1.0;
        $key = implode(' ', [$x, $y, $angle, $reach]);
        $line = $this->lines[$key] ??= Profile::along($this->body, $this->moves, [$x - $reach * $cos, $y - $reach * $sin], [$x + $reach * $cos, $y + $reach * $sin], self::FEW);
        $wall = $line->wallNear($reach, $back, $expected, $falls);
        if ($wall === null || abs(abs($wall['along'] - $reach) - $expected) > max(self::NEAR, 0.3 * $expected)) {
            return null;
        }
        $away = $this->fine($line, $x, $y, $cos, $sin, $wall['along'] - $reach) ?? $wall['along'] - $reach;

        return ['x' => $x + $away * $cos, 'y' => $y + $away * $sin, 'away' => abs($away)] + $wall;
    }

    /** Where exactly a wall stands that is known to a step: it is closed in on twice. */
    private function fine(Profile $line, float $x, float $y, float $cos, float $sin, float $away): ?float
    {
        [$step, $moves] = [$line->step, $line->near];
        foreach ([1, 2] as $ignored) {
            [$from, $to] = [$away - 2 * $step, $away + 2 * $step];
            $line = Profile::along($this->body, $moves, [$x + $from * $cos, $y + $from * $sin], [$x + $to * $cos, $y + $to * $sin], self::FINE);
            $wall = $line->wall(0.0, false);
            if ($wall === null) {
                return null;
            }
            [$away, $step, $moves] = [$from + $wall['along'], $line->step, $line->near];
        }

        return $away;
    }

    /**
     * A circle through walls all round (least squares), measured again across its middle.
     *
     * @param  list<array{float, float}>  $points
     */
    private function round(array $points, bool $stands): ?Measured
    {
        [$x, $y, $radius] = self::circle($points);
        foreach ($points as [$atX, $atY]) {
            if (abs(hypot($atX - $x, $atY - $y) - $radius) > self::OFF) {
                return null;
            }
        }
        $diameters = $feet = $rims = [];
        for ($n = 0; $n < self::ACROSS; $n++) {
            [$one, $two] = [$this->wall($x, $y, M_PI * $n / self::ACROSS, true, true), $this->wall($x, $y, M_PI * $n / self::ACROSS, false, true)];
            if ($one === null || $two === null) {
                return null;
            }
            $diameters[] = $one['away'] + $two['away'];
            array_push($feet, $one['foot'], $two['foot']);
            array_push($rims, $one['foot'] + $one['rise'], $two['foot'] + $two['rise']);
        }

        return $this->measured(Shape::Round, $stands, [$x, $y], $feet, $rims, ['diameter' => array_sum($diameters) / count($diameters), 'least' => min($diameters), 'most' => max($diameters)]);
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function fourSides(array $points, bool $stands): ?Measured
    {
        [$angle, $x, $y] = self::boxed($points);
        $turn = deg2rad($angle);
        $all = array_values(array_filter([$this->wall($x, $y, $turn, true, true), $this->wall($x, $y, $turn, false, true), $this->wall($x, $y, $turn + M_PI_2, true, true), $this->wall($x, $y, $turn + M_PI_2, false, true)]));
        if (count($all) < 4) {
            return null;
        }
        $length = $all[0]['away'] + $all[1]['away'];
        $width = $all[2]['away'] + $all[3]['away'];
        // The middle of both pairs of walls: each is off by half of what it was off along the other's way.
        $x = ($all[0]['x'] + $all[1]['x'] + $all[2]['x'] + $all[3]['x']) / 2 - $x;
        $y = ($all[0]['y'] + $all[1]['y'] + $all[2]['y'] + $all[3]['y']) / 2 - $y;
        if ($width > $length) {
            [$length, $width, $angle] = [$width, $length, $angle + ($angle >= 90.0 ? -90.0 : 90.0)];
        }
        $corner = $this->corner($x, $y, $length, $width, $angle);
        $outline = Outline::rectangle($x, $y, $length, $width, $corner, $angle);
        foreach ($points as [$atX, $atY]) {
            if (abs($outline->distance($atX, $atY)) > self::OFF) {
                return null;
            }
        }

        return $this->measured(Shape::FourSides, $stands, [$x, $y], array_column($all, 'foot'), array_map(static fn (array $wall): float => $wall['foot'] + $wall['rise'], $all), ['length' => $length, 'width' => $width, 'corner' => $corner, 'angle' => $angle]);
    }

    /**
     * Radius of the corners, by how far the walls stand off a sharp corner on its bisector: r (√2 − 1).
     *
     * @param  float|null  $expected  as drawn, where it is looked for
     */
    private function corner(float $x, float $y, float $length, float $width, float $angle, ?float $expected = null, bool $stands = false): float
    {
        $gaps = [];
        foreach ([[1, 1], [1, -1], [-1, 1], [-1, -1]] as [$a, $b]) {
            [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
            // Half the width in from a sharp corner on its bisector, and from there out towards it.
            $along = $a * ($length - $width) / 2;
            $bisector = deg2rad($angle) + atan2($b, $a);
            [$fromX, $fromY] = [$x + $along * $cos, $y + $along * $sin];
            $wall = $expected === null
                ? $this->wall($fromX, $fromY, $bisector, false, true, $width)
                : $this->wallNear($fromX, $fromY, $bisector, false, $width / 2 * M_SQRT2 - $expected * (M_SQRT2 - 1), $stands);
            $gaps[] = $wall === null ? 0.0 : max(0.0, $width / 2 * M_SQRT2 - $wall['away']);
        }

        return array_sum($gaps) / 4 / (M_SQRT2 - 1);
    }

    /** @param  list<array{x: float, y: float, rise: float, foot: float, away: float}|null>  $walls */
    private function channel(float $x, float $y, array $walls): ?Measured
    {
        $narrowest = null;
        for ($n = 0; $n < self::LINES; $n++) {
            [$one, $two] = [$walls[$n], $walls[$n + self::LINES]];
            if ($one !== null && $two !== null && ($one['rise'] > 0.0) === ($two['rise'] > 0.0) && $one['away'] + $two['away'] < ($narrowest['width'] ?? INF)) {
                $narrowest = ['width' => $one['away'] + $two['away'], 'one' => $one, 'two' => $two, 'angle' => 180.0 * $n / self::LINES];
            }
        }
        if ($narrowest === null) {
            return null;
        }
        // The way straight across is where it is narrowest; between the lines it is closed in on.
        $across = deg2rad($narrowest['angle']);
        [$one, $two] = [$this->wall($x, $y, $across, true, true) ?? $narrowest['one'], $this->wall($x, $y, $across, false, true) ?? $narrowest['two']];
        $narrowest = ['width' => $one['away'] + $two['away'], 'one' => $one, 'two' => $two];
        for ($step = M_PI / self::LINES / 2; $step > 1e-5; $step /= 2) {
            foreach ([-1, 1] as $side) {
                [$one, $two] = [$this->wall($x, $y, $across + $side * $step, true, true), $this->wall($x, $y, $across + $side * $step, false, true)];
                if ($one !== null && $two !== null && $one['away'] + $two['away'] < $narrowest['width'] - 1e-6) {
                    $narrowest = ['width' => $one['away'] + $two['away'], 'one' => $one, 'two' => $two];
                    $across += $side * $step;

                    break;
                }
            }
        }
        ['one' => $one, 'two' => $two] = $narrowest;
        if (! $this->isStraight($x, $y, $across, true, $one['away']) || ! $this->isStraight($x, $y, $across, false, $two['away'])) {
            return null;
        }
        $angle = fmod(rad2deg($across) + 360, 180);

        return $this->measured(
            Shape::Channel, $one['rise'] < 0.0, [($one['x'] + $two['x']) / 2, ($one['y'] + $two['y']) / 2], [$one['foot'], $two['foot']], [$one['foot'] + $one['rise'], $two['foot'] + $two['rise']],
            ['width' => $narrowest['width'], 'angle' => $angle + ($angle >= 90.0 ? -90.0 : 90.0)],
        );
    }

    /** Whether a wall that is met straight on goes on straight to both sides. */
    private function isStraight(float $x, float $y, float $angle, bool $back, float $away): bool
    {
        foreach ([-1, 1] as $side) {
            $wall = $this->wall($x, $y, $angle + $side * M_PI / self::LINES, $back, true);
            if ($wall === null || abs($wall['away'] - $away / cos(M_PI / self::LINES)) > self::OFF) {
                return false;
            }
        }

        return true;
    }

    /**
     * @param  array{float, float}  $middle
     * @param  list<float>  $feet
     * @param  list<float>  $rims
     * @param  array<string, float>  $sizes
     */
    private function measured(Shape $shape, bool $stands, array $middle, array $feet, array $rims, array $sizes): Measured
    {
        sort($feet);
        sort($rims);
        [$floor, $rim] = [$feet[intdiv(count($feet), 2)], $rims[intdiv(count($rims), 2)]];

        return new Measured($shape, $stands, $middle, $floor, $rim, $floor <= $this->body->field->bottom + 1e-9, $sizes);
    }

    private function heightAt(float $x, float $y): float
    {
        return Profile::along($this->body, $this->moves, [$x - 0.005, $y], [$x + 0.005, $y], 1)->heights[0];
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
            $place = sprintf('%d %.6f %.6f', $move->tool->number, $move->x1, $move->y1);
            if (min($move->z0, $move->z1) < ($lowest[$place] ?? INF)) {
                $lowest[$place] = min($move->z0, $move->z1);
                $kept[$place] = $move;
            }
        }

        return array_values($kept);
    }

    /**
     * The circle nearest to some points: least squares of x² + y² + a x + b y + c.
     *
     * @param  list<array{float, float}>  $points
     * @return array{float, float, float} middle and radius
     */
    private static function circle(array $points): array
    {
        $count = count($points);
        [$x, $y] = [array_sum(array_column($points, 0)) / $count, array_sum(array_column($points, 1)) / $count];
        $uu = $vv = $uv = $uuu = $vvv = $uvv = $vuu = 0.0;
        foreach ($points as [$atX, $atY]) {
            [$u, $v] = [$atX - $x, $atY - $y];
            $uu += $u * $u;
            $vv += $v * $v;
            $uv += $u * $v;
            $uuu += $u ** 3;
            $vvv += $v ** 3;
            $uvv += $u * $v * $v;
            $vuu += $v * $u * $u;
        }
        $determinant = $uu * $vv - $uv * $uv;
        if (abs($determinant) < 1e-12) {
            return [$x, $y, 0.0];
        }
        $a = (($uuu + $uvv) * $vv - ($vvv + $vuu) * $uv) / (2 * $determinant);
        $b = (($vvv + $vuu) * $uu - ($uuu + $uvv) * $uv) / (2 * $determinant);

        return [$x + $a, $y + $b, sqrt($a * $a + $b * $b + ($uu + $vv) / $count)];
    }

    /**
     * The narrowest box around some points: its angle, in degrees from X, and its middle.
     *
     * @param  non-empty-list<array{float, float}>  $points
     * @return array{float, float, float}
     */
    private static function boxed(array $points): array
    {
        $box = static function (float $angle) use ($points): array {
            [$cos, $sin] = [cos(deg2rad($angle)), sin(deg2rad($angle))];
            $along = array_map(static fn (array $point): float => $point[0] * $cos + $point[1] * $sin, $points);
            $aside = array_map(static fn (array $point): float => $point[1] * $cos - $point[0] * $sin, $points);
            [$a, $b] = [(min($along) + max($along)) / 2, (min($aside) + max($aside)) / 2];

            return [(max($along) - min($along)) * (max($aside) - min($aside)), $a * $cos - $b * $sin, $a * $sin + $b * $cos];
        };
        $best = 0.0;
        foreach ([1.0, 0.1, 0.01] as $step) {
            $middle = $best;
            for ($n = $step === 1.0 ? 0 : -10, $last = $step === 1.0 ? 89 : 10; $n <= $last; $n++) {
                $best = $box($middle + $n * $step)[0] < $box($best)[0] - 1e-9 ? $middle + $n * $step : $best;
            }
        }

        return [$best, $box($best)[1], $box($best)[2]];
    }
}
