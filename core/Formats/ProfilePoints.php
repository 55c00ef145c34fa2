<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Geometry\Arc;

/** A turned shape in a file: Z and diameter of each point, and the radius of an arc that leads there from the one before. */
final readonly class ProfilePoints
{
    /** How far a chord of an arc may stand off, mm. */
    private const CHORD = 0.001;

    private const MOST_CHORDS = 400;

    /** @param  float  $unit  mm in one length of the file */
    public function __construct(private float $unit)
    {
    }

    /**
     * Its points, arcs in chords.
     *
     * @return list<array{float, float}> Z and diameter of each point as the file has them
     *
     * @throws SetupFileError where an arc is too small to reach its end
     */
    public function read(FileEntry $file, string $name, string $field): array
    {
        $points = [];
        foreach (array_values($file->entries($name)) as $n => $point) {
            $to = [$point->float('0'), $point->float('1')];
            $radius = $point->float('2', 0.0);
            $before = end($points);
            array_push($points, ...($before === false || $radius === 0.0 ? [] : $this->arc($before, $to, $radius, "$field.$name.$n")), ...[$to]);
        }

        return $points;
    }

    /**
     * The places of an arc between two points.
     *
     * @param  array{float, float}  $from  Z and diameter
     * @param  array{float, float}  $to
     * @param  float  $radius  plus where it bulges away from the axis
     * @return list<array{float, float}>
     *
     * @throws SetupFileError
     */
    private function arc(array $from, array $to, float $radius, string $field): array
    {
        [$z, $x] = [($to[0] - $from[0]) / 2, ($to[1] - $from[1]) / 4];
        $half = hypot($z, $x);
        if ($half === 0.0 || $half > abs($radius) + 1e-6) {
            throw SetupFileError::at($field, 'An arc of R%s does not reach from Z%s Ø%s to Z%s Ø%s.', $radius, ...$from, ...$to);
        }
        // The middle lies on the side the arc does not bulge to, square to the way between its ends.
        $away = sqrt(max(0.0, $radius * $radius - $half * $half)) / $half * ($radius > 0.0 ? 1 : -1) * ($z < 0.0 ? -1 : 1);
        [$middleZ, $middleX] = [$from[0] + $z + $x * $away, $from[1] / 2 + $x - $z * $away];
        $angle = 2 * asin(min(1.0, $half / abs($radius))) * ($radius > 0.0 ? -1 : 1) * ($z < 0.0 ? -1 : 1);
        $start = atan2($from[1] / 2 - $middleX, $from[0] - $middleZ);
        $chords = Arc::chords(abs($radius), $angle, self::CHORD / $this->unit, self::MOST_CHORDS);
        $places = [];
        for ($n = 1; $n < $chords; $n++) {
            $at = $start + $angle * $n / $chords;
            $places[] = [$middleZ + abs($radius) * cos($at), 2 * ($middleX + abs($radius) * sin($at))];
        }

        return $places;
    }
}
