<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock\Turned;

use OakTrace\Core\Stock\Turned\Gauges\CornerGauge;
use OakTrace\Core\Stock\Turned\Gauges\DiameterGauge;
use OakTrace\Core\Stock\Turned\Gauges\FaceGauge;
use OakTrace\Core\Stock\Turned\Gauges\Gauge;
use OakTrace\Core\Stock\Turned\Gauges\LengthGauge;
use OakTrace\Core\Stock\Turned\Gauges\ProfileGauge;
use OakTrace\Core\Stock\Turned\Gauges\Reading;
use OakTrace\Core\Stock\Turned\Gauges\WidthGauge;
use OakTrace\Core\Target\Target;
use OakTrace\Core\Target\TurnedKind;
use OakTrace\Core\Target\TurnedSize;

/** What a size of a turned part has come out as at the end of a run, mm. */
final readonly class Measured
{
    /**
     * @param  Reading|null  $reading  null where nothing stands there
     * @param  Surface|null  $surface  what cut it last
     */
    public function __construct(public TurnedSize $size, public ?Reading $reading, public ?Surface $surface)
    {
    }

    /** @return list<self> the sizes a setup wants, apart from those of threads; none where its stock was not cut to the end */
    public static function all(?TurnedStock $stock, ?Target $target): array
    {
        if ($stock === null || $target === null || ! $stock->isComplete()) {
            return [];
        }
        $measured = [];
        foreach ($target->turned as $n => $size) {
            $gauge = self::gauge($size->kind);
            if ($gauge !== null) {
                $measured[] = new self($size, $gauge->read($size, $stock, $target->edges), $stock->watch->surfaces[$n] ?? null);
            }
        }

        return $measured;
    }

    public function got(): ?float
    {
        return $this->reading?->got;
    }

    public function isWithin(): bool
    {
        $reading = $this->reading;

        return $reading !== null && $reading->got >= $this->size->least - $reading->sure && $reading->got <= $this->size->most + $reading->sure;
    }

    /** Whether too much has been taken off, which cannot be put back. */
    public function isScrap(): bool
    {
        $got = $this->got();

        return $got !== null && ! $this->isWithin() && match ($this->size->grows) {
            1 => $got > $this->size->most,
            -1 => $got < $this->size->least,
            default => true,
        };
    }

    private static function gauge(TurnedKind $kind): ?Gauge
    {
        return match ($kind) {
            TurnedKind::Diameter, TurnedKind::Bore => new DiameterGauge,
            TurnedKind::Face => new FaceGauge,
            TurnedKind::Length => new LengthGauge,
            TurnedKind::Width => new WidthGauge,
            TurnedKind::Chamfer, TurnedKind::Round => new CornerGauge,
            TurnedKind::Profile => new ProfileGauge,
            TurnedKind::ThreadRoot, TurnedKind::ThreadPitch, TurnedKind::ThreadEnd => null,
        };
    }
}
