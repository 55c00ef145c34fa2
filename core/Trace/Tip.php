<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Setup\Setup;

/** Where the tip of the tool is, as against where the control believes it to be. */
final readonly class Tip
{
    /** @var list<float> axis position of the frame's zero */
    private array $frame;

    public function __construct(private Setup $setup, public string $workOffset)
    {
        $this->frame = $setup->machine->ordered($setup->workOffsets[$workOffset] ?? []);
    }

    /** In the coordinates of the stock, or of the offset the program starts in where there is no stock. */
    public static function inPart(Setup $setup): self
    {
        return new self($setup, $setup->workpiece->stock->workOffset ?? $setup->machine->control->defaultWorkOffset);
    }

    /**
     * What to take off an axis position to have the tip's. Where the program has not stated the tool's length offset, the
     * length the setup gives the tool still says where its tip is.
     *
     * @return list<float> per axis; mm
     */
    public function shift(State $state): array
    {
        $length = $state->length->shift;
        if (! $state->length->sinceToolChange) {
            $axis = $this->setup->machine->lengthAxis();
            $offset = $this->setup->tooling->lengthOffsets[$state->tool] ?? null;
            $length = $this->setup->machine->ordered([$axis => $offset?->total() ?? 0.0]);
        }
        $shift = [];
        foreach ($this->frame as $axis => $zero) {
            $shift[] = $zero + $length[$axis];
        }

        return $shift;
    }
}
