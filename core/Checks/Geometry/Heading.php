<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Geometry;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Mark;

/** Which way a level move sets out and arrives, degrees, and how far an arc goes round, less than 0 clockwise. */
final readonly class Heading
{
    /** Moves shorter than this have no direction to speak of, mm. */
    private const SHORT = 0.2;

    private function __construct(public float $out, public float $in, public bool $isArc = false, public float $sweep = 0.0)
    {
    }

    /** That of a row; null where it is not level, too short, or the path of the tool beside a programmed one. */
    public static function of(CheckInput $input, Chunk $chunk, int $row, ?int $arc): ?self
    {
        $axes = $input->setup->machine->linearColumns();
        $state = $input->trace->states[$chunk->states()[$row]];
        if (
            ($chunk->marks()[$row] & Mark::COMPENSATED) !== 0 || $state->modes->plane->normal() !== AxisName::Z || $axes === null
            || ($chunk->lengths()[$row] ?? 0.0) < self::SHORT
        ) {
            return null;
        }
        [$from, $to] = [$chunk->pointBefore($row, $axes), $chunk->pointBefore($row + 1, $axes)];
        if (abs($to->z - $from->z) > 1e-6) {
            return null;
        }
        if ($arc === null) {
            $way = rad2deg(atan2($to->y - $from->y, $to->x - $from->x));

            return new self($way, $way);
        }
        [$x, $y, $sweep] = [$chunk->arcFirst()[$arc], $chunk->arcSecond()[$arc], $chunk->arcSweep()[$arc]];
        $square = $sweep < 0 ? -90.0 : 90.0;

        return new self(rad2deg(atan2($from->y - $y, $from->x - $x)) + $square, rad2deg(atan2($to->y - $y, $to->x - $x)) + $square, true, $sweep);
    }

    /** Degrees by which the move behind it turns off, 0 to 180. */
    public function turnTo(self $next): float
    {
        return abs(fmod($next->out - $this->in + 540.0, 360.0) - 180.0);
    }
}
