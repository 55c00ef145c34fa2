<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** A closed chain of lines and arcs, laid counter-clockwise; turned round where the tool is to go the other way. */
final readonly class Chain
{
    /** Arcs in steps of a degree: a chord is off by less than 0.004 % of the radius. */
    private const STEP = M_PI / 180;

    /** @param  non-empty-list<Segment>  $segments */
    public function __construct(public float $x, public float $y, public array $segments)
    {
    }

    /** With its last line drawn out to a place. */
    public function endingAt(float $x, float $y): self
    {
        return new self($this->x, $this->y, [...array_slice($this->segments, 0, -1), new Segment($x, $y)]);
    }

    public function reversed(): self
    {
        $segments = [];
        for ($n = count($this->segments) - 1; $n >= 0; $n--) {
            $segment = $this->segments[$n];
            [$x, $y] = $n === 0 ? [$this->x, $this->y] : [$this->segments[$n - 1]->x, $this->segments[$n - 1]->y];
            $segments[] = new Segment($x, $y, $segment->center, ! $segment->isClockwise);
        }

        /** @var non-empty-list<Segment> $segments */
        return new self($this->x, $this->y, $segments);
    }

    /**
     * Places along it in order: the ends of its lines, arcs in short steps.
     *
     * @return non-empty-list<array{float, float}>
     */
    public function places(): array
    {
        $places = [[$this->x, $this->y]];
        [$x, $y] = [$this->x, $this->y];
        foreach ($this->segments as $segment) {
            if ($segment->center !== null) {
                [$cx, $cy] = $segment->center;
                $start = atan2($y - $cy, $x - $cx);
                $sense = $segment->isClockwise ? -1 : 1;
                $sweep = $segment->sweep($x, $y);
                $steps = (int) ceil($sweep / self::STEP);
                for ($n = 1; $n < $steps; $n++) {
                    $angle = $start + $sense * $sweep * $n / $steps;
                    $places[] = [$cx + hypot($x - $cx, $y - $cy) * cos($angle), $cy + hypot($x - $cx, $y - $cy) * sin($angle)];
                }
            }
            $places[] = [$x, $y] = [$segment->x, $segment->y];
        }

        return $places;
    }

    /**
     * How far places are inside of it at the least; negative where one is outside. Of arcs it knows chords.
     *
     * @param  non-empty-list<array{float, float}>  $places
     */
    public function inside(array $places): float
    {
        $corners = $this->places();
        $least = INF;
        foreach ($places as [$x, $y]) {
            $isInside = false;
            $nearest = INF;
            [$fromX, $fromY] = $corners[count($corners) - 1];
            foreach ($corners as [$toX, $toY]) {
                [$dx, $dy] = [$toX - $fromX, $toY - $fromY];
                $square = $dx * $dx + $dy * $dy;
                $share = $square > 0.0 ? max(0.0, min(1.0, (($x - $fromX) * $dx + ($y - $fromY) * $dy) / $square)) : 0.0;
                $nearest = min($nearest, ($x - $fromX - $share * $dx) ** 2 + ($y - $fromY - $share * $dy) ** 2);
                if ($fromY > $y !== $toY > $y && $x < $fromX + ($y - $fromY) * $dx / $dy) {
                    $isInside = ! $isInside;
                }
                [$fromX, $fromY] = [$toX, $toY];
            }
            $least = min($least, $isInside ? sqrt($nearest) : -sqrt($nearest));
        }

        return $least;
    }
}
