<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use OakTrace\Core\Quantities\Quantity;

/** How a mill gets down into material: where there is a hole, beside the part, down a helix, to and fro, or straight down. Lengths in millimetres. */
final readonly class Entry
{
    /** A hole is entered where it is so much wider than what does not cut at the middle of the tool (common practice: half of its diameter). */
    private const DEAD = 0.5;

    private const ROOM = 0.2;

    /** Radius of a helix, as a share of the tool's diameter: the middle is cut away. */
    public const HELIX = 0.45;

    /** A helix of less, as a share of the diameter, is nearly straight down. */
    private const LEAST_HELIX = 0.1;

    private function __construct(private string $way, private float $angle, private float $helix)
    {
    }

    /** @return list<Ask> */
    public static function asks(): array
    {
        return [
            Ask::choice('entry', 'Entry', ['auto', 'air', 'plunge', 'ramp', 'helix', 'hole'])->cutting(isKept: false),
            Ask::angle('angle', 'Angle of the way down')->cutting()->rare(),
        ];
    }

    /**
     * @param  float  $hole  diameter of a hole that is there; 0 for none
     * @param  bool  $isInAir  whether it begins beside the raw part
     * @param  float  $room  from wall to wall
     * @param  float  $free  how far the tool's middle may go aside where it comes down, before it meets what is left on a wall
     * @param  float  $straight  longest straight way in it
     */
    public static function of(Answers $answers, Job $job, float $hole, bool $isInAir, float $room, float $free, float $straight): self
    {
        $tool = $job->tool->tool;
        $diameter = $job->tool->diameter();
        $way = $answers->choice('entry', ['auto', 'air', 'plunge', 'ramp', 'helix', 'hole']);
        $angle = $answers->has('angle') ? $answers->angle('angle') : ($tool->cutsAtCenter() ? 5.0 : 3.0);
        if ($angle <= 0.0 || $angle >= 90.0) {
            $answers->wrong('angle', 'This has to be between 0 and 90°.');
        }
        $isHole = $hole >= self::DEAD * $diameter + self::ROOM;
        if ($job->isByHand && in_array($way, ['ramp', 'helix'], true)) {
            $answers->wrong('entry', 'Z is moved by hand: it cannot go down a slope.');
        }
        if ($way === 'auto') {
            $way = self::fitting($answers, $job, $isHole ? $hole : 0.0, $isInAir, $room, $free, $straight);
        } elseif ($way === 'hole' && ! $isHole) {
            $answers->wrong('entry', 'There is no hole wide enough here.');
        } elseif ($way === 'plunge' && ! $tool->cutsAtCenter()) {
            $answers->wrong('entry', "T{$tool->number} does not cut at its centre.");
        }

        return new self($way, max(0.1, min(89.0, $angle)), min(self::HELIX * $diameter, max(0.0, $free)));
    }

    /** The way down where nobody says one; none where nothing does. */
    private static function fitting(Answers $answers, Job $job, float $hole, bool $isInAir, float $room, float $free, float $straight): string
    {
        $tool = $job->tool->tool;
        $diameter = $job->tool->diameter();
        $way = match (true) {
            $hole > 0.0 => 'hole',
            $isInAir => 'air',
            $job->isByHand => $tool->cutsAtCenter() ? 'plunge' : '',
            $room >= 1.5 * $diameter && $free >= self::LEAST_HELIX * $diameter => 'helix',
            $straight > 0.0 => 'ramp',
            $tool->cutsAtCenter() => 'plunge',
            default => '',
        };
        $reasons = [
            'hole' => 'a hole of {hole} is there', 'air' => 'it begins beside the part',
            'helix' => $room === INF ? 'it comes down beside the outline' : '{room} from wall to wall leaves room for it',
            'ramp' => 'there is no room for a helix', 'plunge' => 'T{tool} cuts at its centre',
        ];
        if ($way === '') {
            $answers->wrong('entry', "T{$tool->number} does not cut at its centre, and there is no hole and no room.");
        } else {
            $job->decide(new Choice('entry', "{$way}: {$reasons[$way]}", [
                'hole' => Quantity::length($hole), 'room' => Quantity::length($room === INF ? 0.0 : $room), 'tool' => $tool->number,
            ]));
        }

        return $way;
    }

    /** Whether it comes down on a circle of a radius and has gone round it counter-clockwise at the bottom. */
    public function hasRounded(float $radius): bool
    {
        return $this->way === 'helix' && abs($this->helix - $radius) < 1e-6;
    }

    /**
     * Down to a height from where the tool stands, at a place.
     *
     * @param  array{float, float}  $at
     * @param  array{float, float}|null  $to  end of the straight way a ramp takes
     */
    public function down(Path $path, array $at, float $from, float $z, Job $job, ?array $to = null): void
    {
        $feed = $job->tool->downFeed();
        if ($this->way === 'helix' && $this->helix > 1e-6) {
            $path->feed($job->tool->feed ?? $feed, $at[0] + $this->helix, $at[1]);
            $path->feed($feed, z: $from);
            [$turns] = self::turns($this->helix, $from - $z, $this->angle);
            $path->helix($at, $z, $turns, $job->tool->feed ?? $feed);
            // Once round at the bottom, which is a slope until then.
            $path->arc(false, $at[0] + $this->helix, $at[1], $at, $job->tool->feed ?? $feed);
            $path->feed($job->tool->feed ?? $feed, ...$at);

            return;
        }
        if (($this->way === 'ramp' || $this->way === 'helix') && $to !== null && hypot($to[0] - $at[0], $to[1] - $at[1]) > 1e-6) {
            $path->feed($feed, ...[...$at, $from]);
            $legs = self::legs(hypot($to[0] - $at[0], $to[1] - $at[1]), $from - $z, $this->angle);
            for ($leg = 1; $leg <= $legs; $leg++) {
                $path->feed($job->tool->feed ?? $feed, ...[...($leg % 2 === 1 ? $to : $at), $from + ($z - $from) * $leg / $legs]);
            }

            return;
        }
        if ($this->way === 'air' || $this->way === 'hole') {
            $job->relyOn($at[0], $at[1], $this->way === 'air' ? 0.0 : self::DEAD * $job->tool->diameter() + self::ROOM);
        }
        // A hole may be narrower than the tool, and the raw part stand higher than what is cut: only beside it is air.
        $this->way === 'air' ? $path->rapid(z: max($z, $from)) : $path->feed($feed, z: $from);
        $path->feed($this->way === 'plunge' ? $feed : ($job->tool->feed ?? $feed), z: $z);
    }

    /** @return array{int, float} turns of a helix and the pitch that comes of it: not steeper than asked */
    public static function turns(float $radius, float $depth, float $angle): array
    {
        $pitch = 2 * M_PI * $radius * tan(deg2rad($angle));
        $turns = max(1, (int) ceil($depth / $pitch - 1e-9));

        return [$turns, $depth / $turns];
    }

    /** Legs of a ramp: an even number, so that it ends where it began. */
    public static function legs(float $length, float $depth, float $angle): int
    {
        $legs = max(1, (int) ceil($depth / tan(deg2rad($angle)) / $length - 1e-9));

        return $legs + $legs % 2;
    }
}
