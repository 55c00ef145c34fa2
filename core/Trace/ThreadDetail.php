<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;
use Stringable;

/** What is to be known of a pass of a thread beside its row. */
final readonly class ThreadDetail implements Stringable
{
    /**
     * @param  float  $angle  degrees the spindle has turned on when it begins
     * @param  float  $lead  mm a turn where it begins, where it changes
     * @param  float  $change  of the lead with each turn, mm; 0 of a usual thread
     */
    public function __construct(public float $angle = 0.0, public float $lead = 0.0, public float $change = 0.0)
    {
    }

    /**
     * What a turn covers in the mean: after n turns the lead is L + n K, and L n + K n² / 2 are covered (geometry).
     *
     * @param  float  $lead  mm a turn where it begins
     * @param  float  $way  mm
     * @return float|null  null where the lead has come to nothing before the end
     */
    public function meanLead(float $lead, float $way): ?float
    {
        if ($this->change === 0.0 || $way <= 0.0) {
            return $lead;
        }
        $last = $lead * $lead + 2 * $this->change * $way;
        $turns = $last < 0.0 ? 0.0 : (sqrt($last) - $lead) / $this->change;

        return $turns > 0.0 ? $way / $turns : null;
    }

    /** As it stands in a trace. */
    public static function of(float|string|null $detail): self
    {
        return is_string($detail) ? new self(...array_map(floatval(...), explode(' ', $detail))) : new self($detail ?? 0.0);
    }

    /** What makes such a pass. */
    public function code(): Code
    {
        return $this->change === 0.0 ? Code::Thread : ($this->change > 0.0 ? Code::ThreadRising : Code::ThreadFalling);
    }

    /** Null where there is nothing to be told. */
    public function written(): float|string|null
    {
        return $this->change !== 0.0 ? (string) $this : ($this->angle === 0.0 ? null : $this->angle);
    }

    public function __toString(): string
    {
        // Not by json_encode, whose digits hang on a setting of PHP.
        return sprintf('%.12F %.12F %.12F', $this->angle, $this->lead, $this->change);
    }
}
