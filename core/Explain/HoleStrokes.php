<?php

declare(strict_types=1);

namespace OakTrace\Core\Explain;

use JsonSerializable;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Cycles\Holes\HoleMotion;
use OakTrace\Core\Interpreter\Moment;
use OakTrace\Core\Setup\Setup;

/**
 * The strokes of a canned cycle at one hole, made from its own values, as they can be drawn: levels as the program writes
 * them, in its units.
 */
final class HoleStrokes implements HoleMotion, JsonSerializable
{
    /** @var list<array{string, float}> kind (rapid, feed, dwell, stop, turn, aside, hand) and the level it goes to, or its seconds */
    public array $strokes = [];

    public int $pecks = 0;

    /** About: distances by rapid rate and feed, without the axes getting up to speed. */
    public float $seconds = 0.0;

    private float $at;

    /** @param  array{initial: float, r: float, bottom: float, back: float}  $levels  as the program writes them */
    private function __construct(
        public readonly array $levels, private readonly float $zero, private readonly float $unit, private readonly float $rapidRate,
        private readonly float $feed,
    ) {
        $this->at = $levels['r'];
    }

    /** Of the hole a line made; null where it made none. */
    public static function of(Setup $setup, Moment $moment): ?self
    {
        $hole = $moment->hole;
        $after = $moment->after;
        $cycle = $after->state->cycle;
        $axis = $setup->machine->axisIndex[$setup->machine->holeAxis($after->state->modes->plane, $cycle)] ?? null;
        if ($hole === null || $cycle === null || $axis === null) {
            return null;
        }
        $zero = $after->axes[$axis] - $after->position->on($axis);
        $unit = $after->state->modes->units->millimetres();
        $written = static fn (float $level): float => round(($level - $zero) / $unit, 6);
        $strokes = new self(
            ['initial' => $written($hole->initial), 'r' => $written($hole->r), 'bottom' => $written($hole->bottom), 'back' => $written($hole->back)],
            $zero, $unit, $setup->machine->axes[$setup->machine->axisNames[$axis]]->rapid ?? 0.0, $after->feed,
        );
        $made = CycleCatalogue::hole($cycle);
        $strokes->approach($hole->initial, $made->approachesItself() ? $hole->initial : $hole->r);
        $made->strokes($hole, $strokes);
        $strokes->rapidTo($hole->back);

        return $strokes;
    }

    /** In words: its pecks where it has any, and its time. */
    public function words(): string
    {
        $pecks = $this->pecks > 1 ? "{$this->pecks} strokes down, " : '';

        return $pecks.'about '.rtrim(rtrim(number_format($this->seconds, 1, '.', ''), '0'), '.').' s a hole';
    }

    public function rapidTo(float $level): void
    {
        $this->stroke('rapid', $level, $this->rapidRate);
    }

    public function feedTo(float $level): void
    {
        $this->pecks += $this->written($level) < $this->at ? 1 : 0;
        $this->stroke('feed', $level, $this->feed);
    }

    public function dwell(float $seconds): void
    {
        if ($seconds > 0.0) {
            $this->strokes[] = ['dwell', $seconds];
            $this->seconds += $seconds;
        }
    }

    public function stopSpindle(): void
    {
        $this->strokes[] = ['stop', $this->at];
    }

    public function turnSpindle(int $sense): void
    {
        $this->strokes[] = ['turn', $this->at];
    }

    public function stepAside(bool $back): void
    {
        $this->strokes[] = ['aside', $this->at];
    }

    public function waitForHand(): void
    {
        $this->strokes[] = ['hand', $this->at];
    }

    /** @return array<string, mixed> */
    public function jsonSerialize(): array
    {
        return [...$this->levels, 'strokes' => $this->strokes, 'pecks' => $this->pecks, 'seconds' => round($this->seconds, 2), 'words' => $this->words()];
    }

    private function approach(float $initial, float $level): void
    {
        $this->at = $this->written($initial);
        if ($level !== $initial) {
            $this->rapidTo($level);
        }
    }

    private function stroke(string $kind, float $level, float $perMinute): void
    {
        $to = $this->written($level);
        if ($to === $this->at) {
            return;
        }
        $this->strokes[] = [$kind, $to];
        $this->seconds += $perMinute > 0.0 ? abs($to - $this->at) * $this->unit / $perMinute * 60 : 0.0;
        $this->at = $to;
    }

    private function written(float $level): float
    {
        return round(($level - $this->zero) / $this->unit, 6);
    }
}
