<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

/** Rapids that end nearer to the raw stock than the clearance: a bar that is a little thicker or stands out a little more is hit. */
final class NearRapids
{
    /** Of one kind no more are kept. */
    private const MOST = 200;

    /** Less than this the clearance is kept, mm. */
    private const SPARE = 0.005;

    /** @var list<TurnedCut> how near */
    public array $found = [];

    /** @param  float  $clearance  mm; 0 where none is wanted */
    public function __construct(private readonly RadiusProfile $raw, private readonly float $clearance)
    {
    }

    /** @param  non-empty-list<array{float, float}>  $shape */
    public function look(Stroke $stroke, array $shape, RadiusProfile $stands): void
    {
        if ($this->clearance <= 0.0 || count($this->found) >= self::MOST) {
            return;
        }
        [$from, $to] = [self::at($shape, $stroke->from), self::at($shape, $stroke->to)];
        [$across, $along] = [$stands->gapAcross($to, $this->raw), $stands->gapAlong($to, $this->raw)];
        // In X a start is programmed, and the clearance counted, on the diameter.
        $gap = min(2 * $across, $along);
        $before = min(2 * $stands->gapAcross($from, $this->raw), $stands->gapAlong($from, $this->raw));
        if ($gap < $this->clearance - self::SPARE && $gap < $before - self::SPARE) {
            $this->found[] = $stroke->cut($stroke->to[0], $stroke->to[1], min($across, $along));
        }
    }

    /**
     * @param  non-empty-list<array{float, float}>  $shape
     * @param  array{float, float}  $tip
     */
    private static function at(array $shape, array $tip): Hull
    {
        return new Hull(array_map(static fn (array $point): array => [$tip[0] + $point[0], $tip[1] + $point[1]], $shape));
    }
}
