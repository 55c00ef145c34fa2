<?php

declare(strict_types=1);

namespace App\LongWork;

use Closure;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Patience;

/** Watches the reading of a long program go down its lines, and tells how far it is now and then. */
final class Progress implements Patience
{
    private const EVERY_NANOSECONDS = 400_000_000;

    private int $told;

    private float $share = 0.0;

    /** @param  Closure(float): void  $tell  given the share of the lines read; may throw to stop the reading */
    public function __construct(private readonly int $lines, private readonly Closure $tell)
    {
        $this->told = hrtime(true);
    }

    public function read(Chunk $chunk, array $states, array $details): void
    {
        $places = $chunk->lines();
        // A loop goes back; how far the reading is does not.
        $this->share = max($this->share, min(1.0, SourceMap::lineNumber($places[count($places) - 1] ?? 0) / max(1, $this->lines)));
        $this->look($chunk->first + $chunk->count);
    }

    public function look(int $rows): void
    {
        if (hrtime(true) - $this->told >= self::EVERY_NANOSECONDS) {
            $this->told = hrtime(true);
            ($this->tell)($this->share);
        }
    }
}
