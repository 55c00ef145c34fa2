<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Measure;

use OakTrace\Core\Stock\Body;
use OakTrace\Core\Stock\MoveLog;
use OakTrace\Core\Target\Outline;

/**
 * Measures what stands or gapes at a place as one would on the part: feels for the walls all round, sees what shape they make, and
 * then measures it across its middle. The walls are those of the moves themselves, not of the cells. Lengths in mm.
 */
final class Measurement
{
    /** Lines through the place on which walls are felt for. */
    private const LINES = 36;

    /** Lines across a round feature to measure it by. */
    private const ACROSS = 8;

    /** The same where it is known what it should be. */
    private const FEW_ACROSS = 4;

    /** What walls may be off a shape, mm. */
    private const OFF = 0.03;

    /** Within so much a floor is level, mm. */
    private const LEVEL = 0.005;

    private readonly EdgeFinder $edgeFinder;

    private function __construct(private readonly Body $body, private readonly MoveLog $log, private readonly int $number, ?Outline $near = null)
    {
        $this->edgeFinder = new EdgeFinder($body, $log, $number, $near === null ? null : [$near->x, $near->y, 1.5 * $near->reach() + 1.0]);
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
        $floor = $this->edgeFinder->heightAt($x, $y);
        $rises = count(array_filter($walls, static fn (?Wall $wall): bool => $wall !== null && ! $wall->falls()));
        $falls = count(array_filter($walls, static fn (?Wall $wall): bool => $wall !== null && $wall->falls()));
        $stands = $falls > $rises;
        $same = array_filter($walls, static fn (?Wall $wall): bool => $wall !== null && $wall->falls() === $stands);
        if (count($same) === 2 * self::LINES) {
            $points = array_map(static fn (Wall $wall): array => [$wall->x, $wall->y], array_values($same));
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
                $walls[] = $this->edgeFinder->wallNear($outline->x, $outline->y, $turn + M_PI * $n / $turns, $back, $half, $stands);
            }
        }
        $there = array_values(array_filter($walls));
        if (count($there) < ($outline->isCircle() ? self::FEW_ACROSS : 2)) {
            return null;
        }
        $feet = array_column($there, 'foot');
        $rims = array_map(static fn (Wall $wall): float => $wall->rim(), $there);
        if ($outline->isCircle()) {
            $points = array_map(static fn (Wall $wall): array => [$wall->x, $wall->y], $there);
            [$x, $y, $radius] = Fit::circle($points);
            $off = max(array_map(static fn (array $point): float => abs(hypot($point[0] - $x, $point[1] - $y) - $radius), $points));

            if ($off > self::OFF) {
                return null;
            }
            $floors = $this->floors($stands, [$x, $y], $radius / 2, $radius / 2, 0.0) ?? $feet;

            return $this->measured(Shape::Round, $stands, [$x, $y], $floors, $rims, ['diameter' => 2 * $radius]);
        }
        [$sizes, $middle] = [['angle' => $outline->angle], [$outline->x, $outline->y]];
        foreach (['length' => [$walls[0], $walls[1]], 'width' => [$walls[2] ?? null, $walls[3] ?? null]] as $what => [$one, $two]) {
            if ($one !== null && $two !== null) {
                $sizes[$what] = $one->away + $two->away;
                $middle = [$middle[0] + ($one->x + $two->x) / 2 - $outline->x, $middle[1] + ($one->y + $two->y) / 2 - $outline->y];
            }
        }
        if (isset($sizes['length'], $sizes['width'])) {
            $sizes['corner'] = $this->corner($middle[0], $middle[1], $sizes['length'], $sizes['width'], $outline->angle, $outline->corner, $stands);
        }

        if (count($sizes) === 1) {
            return null;
        }
        $floors = $this->floors($stands, $middle, $outline->length / 4, $outline->width / 4, $turn) ?? $feet;

        return $this->measured(Shape::FourSides, $stands, $middle, $floors, $rims, $sizes);
    }

    /**
     * How high the floor of a feature is, in its middle and half way to its walls; null where it is not level there, as that of a drill, and
     * its depth is where its wall begins. Beside a wall a cutter may leave a rounding.
     *
     * @param  array{float, float}  $middle
     * @return list<float>|null
     */
    private function floors(bool $stands, array $middle, float $along, float $aside, float $turn): ?array
    {
        if ($stands) {
            return null;
        }
        $floors = [];
        foreach ([[0, 0], [1, 0], [-1, 0], [0, 1], [0, -1]] as [$a, $b]) {
            [$x, $y] = [$a * $along, $b * $aside];
            $floors[] = $this->edgeFinder->heightAt($middle[0] + $x * cos($turn) - $y * sin($turn), $middle[1] + $x * sin($turn) + $y * cos($turn));
        }

        return max($floors) - min($floors) > self::LEVEL ? null : $floors;
    }

    /**
     * How much stands between two features: on the line between their middles, from the wall of the one to that of the other.
     */
    public function between(Measured $one, Measured $two): ?float
    {
        if (hypot($two->middle[0] - $one->middle[0], $two->middle[1] - $one->middle[1]) < 1e-6) {
            return null;
        }
        $line = $this->edgeFinder->profile($one->middle, $two->middle);
        $first = $line->wall(0.0, false);
        $last = $line->wall(INF, true);

        return $first === null || $last === null || $last['along'] <= $first['along'] ? null : $last['along'] - $first['along'];
    }

    /**
     * The walls first met all round.
     *
     * @return list<Wall|null> null where the way goes off the stock
     */
    private function walls(float $x, float $y): array
    {
        $walls = [];
        foreach ([false, true] as $back) {
            for ($n = 0; $n < self::LINES; $n++) {
                $walls[] = $this->edgeFinder->wall($x, $y, M_PI * $n / self::LINES, $back);
            }
        }

        return $walls;
    }

    /**
     * A circle through walls all round (least squares), measured again across its middle.
     *
     * @param  list<array{float, float}>  $points
     */
    private function round(array $points, bool $stands): ?Measured
    {
        [$x, $y, $radius] = Fit::circle($points);
        foreach ($points as [$atX, $atY]) {
            if (abs(hypot($atX - $x, $atY - $y) - $radius) > self::OFF) {
                return null;
            }
        }
        $diameters = $feet = $rims = [];
        for ($n = 0; $n < self::ACROSS; $n++) {
            [$one, $two] = [$this->edgeFinder->wall($x, $y, M_PI * $n / self::ACROSS, true), $this->edgeFinder->wall($x, $y, M_PI * $n / self::ACROSS, false)];
            if ($one === null || $two === null) {
                return null;
            }
            $diameters[] = $one->away + $two->away;
            array_push($feet, $one->foot, $two->foot);
            array_push($rims, $one->rim(), $two->rim());
        }

        return $this->measured(
            Shape::Round, $stands, [$x, $y], $feet, $rims,
            ['diameter' => array_sum($diameters) / count($diameters), 'least' => min($diameters), 'most' => max($diameters)],
        );
    }

    /** @param  non-empty-list<array{float, float}>  $points */
    private function fourSides(array $points, bool $stands): ?Measured
    {
        [$angle, $x, $y] = Fit::narrowestBox($points);
        $turn = deg2rad($angle);
        $all = array_values(
            array_filter(
                [
                    $this->edgeFinder->wall($x, $y, $turn, true), $this->edgeFinder->wall($x, $y, $turn, false),
                    $this->edgeFinder->wall($x, $y, $turn + M_PI_2, true), $this->edgeFinder->wall($x, $y, $turn + M_PI_2, false),
                ],
            ),
        );
        if (count($all) < 4) {
            return null;
        }
        $length = $all[0]->away + $all[1]->away;
        $width = $all[2]->away + $all[3]->away;
        // The middle of both pairs of walls: each is off by half of what it was off along the other's way.
        $x = ($all[0]->x + $all[1]->x + $all[2]->x + $all[3]->x) / 2 - $x;
        $y = ($all[0]->y + $all[1]->y + $all[2]->y + $all[3]->y) / 2 - $y;
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

        return $this->measured(
            Shape::FourSides, $stands, [$x, $y], array_column($all, 'foot'), array_map(static fn (Wall $wall): float => $wall->rim(), $all),
            ['length' => $length, 'width' => $width, 'corner' => $corner, 'angle' => $angle],
        );
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
                ? $this->edgeFinder->wall($fromX, $fromY, $bisector, false, $width)
                : $this->edgeFinder->wallNear($fromX, $fromY, $bisector, false, $width / 2 * M_SQRT2 - $expected * (M_SQRT2 - 1), $stands);
            $gaps[] = $wall === null ? 0.0 : max(0.0, $width / 2 * M_SQRT2 - $wall->away);
        }

        return array_sum($gaps) / 4 / (M_SQRT2 - 1);
    }

    /** @param  list<Wall|null>  $walls */
    private function channel(float $x, float $y, array $walls): ?Measured
    {
        $narrowest = null;
        for ($n = 0; $n < self::LINES; $n++) {
            [$one, $two] = [$walls[$n], $walls[$n + self::LINES]];
            if ($one !== null && $two !== null && $one->falls() === $two->falls() && $one->away + $two->away < ($narrowest['width'] ?? INF)) {
                $narrowest = ['width' => $one->away + $two->away, 'one' => $one, 'two' => $two, 'angle' => 180.0 * $n / self::LINES];
            }
        }
        if ($narrowest === null) {
            return null;
        }
        // The way straight across is where it is narrowest; between the lines it is closed in on.
        $across = deg2rad($narrowest['angle']);
        [$one, $two] = [
            $this->edgeFinder->wall($x, $y, $across, true) ?? $narrowest['one'], $this->edgeFinder->wall($x, $y, $across, false) ?? $narrowest['two'],
        ];
        $narrowest = ['width' => $one->away + $two->away, 'one' => $one, 'two' => $two];
        for ($step = M_PI / self::LINES / 2; $step > 1e-5; $step /= 2) {
            foreach ([-1, 1] as $side) {
                [$one, $two] = [
                    $this->edgeFinder->wall($x, $y, $across + $side * $step, true), $this->edgeFinder->wall($x, $y, $across + $side * $step, false),
                ];
                if ($one !== null && $two !== null && $one->away + $two->away < $narrowest['width'] - 1e-6) {
                    $narrowest = ['width' => $one->away + $two->away, 'one' => $one, 'two' => $two];
                    $across += $side * $step;

                    break;
                }
            }
        }
        ['one' => $one, 'two' => $two] = $narrowest;
        if (! $this->isStraight($x, $y, $across, true, $one->away) || ! $this->isStraight($x, $y, $across, false, $two->away)) {
            return null;
        }
        $angle = fmod(rad2deg($across) + 360, 180);

        return $this->measured(
            Shape::Channel, $one->falls(), [($one->x + $two->x) / 2, ($one->y + $two->y) / 2], [$one->foot, $two->foot], [$one->rim(), $two->rim()],
            ['width' => $narrowest['width'], 'angle' => $angle + ($angle >= 90.0 ? -90.0 : 90.0)],
        );
    }

    /** Whether a wall that is met straight on goes on straight to both sides. */
    private function isStraight(float $x, float $y, float $angle, bool $back, float $away): bool
    {
        foreach ([-1, 1] as $side) {
            $wall = $this->edgeFinder->wall($x, $y, $angle + $side * M_PI / self::LINES, $back);
            if ($wall === null || abs($wall->away - $away / cos(M_PI / self::LINES)) > self::OFF) {
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
}
