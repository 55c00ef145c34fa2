<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Compared;

use OakTrace\Core\Target\Dimension;
use OakTrace\Core\Target\Feature;

/** What one dimension of a feature comes out as, mm. */
final readonly class SizeResult
{
    /** What a measurement may be off, mm: see Measurement. */
    private const SURE = 0.0005;

    /**
     * @param  float|null  $got  null where it could not be measured: it is not there, or of another shape
     * @param  int|null  $line  place of the last move that cut there; null where none did
     */
    public function __construct(public Feature $feature, public Dimension $dimension, public ?float $got, public ?int $line)
    {
    }

    /** Within its tolerance, as far as a measurement can tell. */
    public function isWithin(): bool
    {
        return $this->got !== null && $this->got >= $this->dimension->least - self::SURE && $this->got <= $this->dimension->most + self::SURE;
    }

    /** Whether too much has been taken off, which cannot be put back. */
    public function isScrap(): bool
    {
        if ($this->got === null) {
            return false;
        }
        $isOver = $this->got > $this->dimension->most;
        $grows = match ($this->dimension->what) {
            'place', 'depth' => true,
            'height' => $isOver ? false : null,
            // A corner sharper than wanted has been cut into the wall of a pocket; one rounder has been cut off a boss.
            'corner' => $this->feature->stands,
            default => ! $this->feature->stands,
        };

        return ! $this->isWithin() && ($grows === null || $grows === $isOver);
    }
}
