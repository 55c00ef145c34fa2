<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\ChunkReader;
use OakTrace\Core\Trace\Trace;

/**
 * What is kept of a reading so that, when a line is changed, only what can have changed is read again: the next reading goes
 * on from the last place before the change, and ends at the first place after it where everything stands as it did.
 *
 * Only runs that go straight down the text leave places to go on from: where one jumps or calls, what comes later in the
 * text may decide what came before.
 */
final class ReadingMemory
{
    private string $text = '';

    private string $setup = '';

    /** @var list<Chunk> of the whole run */
    private array $chunks = [];

    /** @var list<Checkpoint> in the order of their lines */
    private array $checkpoints = [];

    /** @var array<int, Checkpoint> line => those of the reading before that lie after the change */
    private array $later = [];

    /** The trace without its chunks, and its readers, serialized; null where the last run was not straight. */
    private ?string $end = null;

    /** The last place before the first difference to what was read before; null where there is none. */
    public function resumeAt(Program $program, Setup $setup): ?Checkpoint
    {
        $key = hash('xxh128', serialize($setup));
        $before = $this->setup === $key ? $this->checkpoints : [];
        [$first, $last] = $this->changedLines($program->text);
        $this->checkpoints = array_values(array_filter($before, static fn (Checkpoint $checkpoint): bool => $checkpoint->line < $first));
        $this->later = [];
        foreach ($before as $checkpoint) {
            if ($last !== null && $checkpoint->line > $last) {
                $this->later[$checkpoint->line] = $checkpoint;
            }
        }
        $this->setup = $key;
        $this->text = $program->text;

        return $this->checkpoints === [] ? null : $this->checkpoints[count($this->checkpoints) - 1];
    }

    /** @return list<Chunk> the rows that were packed before a place */
    public function chunksBefore(Checkpoint $checkpoint): array
    {
        return array_slice($this->chunks, 0, $checkpoint->chunks);
    }

    /** Keeps a place; true where everything stands there as it did before, and the text behind it is the same. */
    public function keep(Checkpoint $checkpoint): bool
    {
        $this->checkpoints[] = $checkpoint;
        $before = $this->later[$checkpoint->line] ?? null;

        return $this->end !== null && $before !== null && $before->chunks === $checkpoint->chunks && $before->state === $checkpoint->state;
    }

    /**
     * The rest of the run as it was read before.
     *
     * @param  list<Chunk>  $chunks  of the run up to the place kept last
     * @return array{Trace, list<ChunkReader>}
     */
    public function rest(Program $program, array $chunks): array
    {
        $last = $this->checkpoints[count($this->checkpoints) - 1];
        $this->chunks = [...$chunks, ...array_slice($this->chunks, count($chunks))];
        foreach ($this->later as $line => $checkpoint) {
            if ($line > $last->line) {
                $this->checkpoints[] = $checkpoint;
            }
        }
        /** @var array{Trace, list<ChunkReader>} $end */
        $end = unserialize((string) $this->end);
        $end[0]->sources->main = $program;

        return [$end[0]->withChunks($this->chunks), $end[1]];
    }

    /** @param  list<ChunkReader>  $readers */
    public function finish(Trace $trace, array $readers, bool $isStraight): void
    {
        $this->chunks = $trace->chunks;
        $this->end = $isStraight ? serialize([$trace->withChunks([]), $readers]) : null;
    }

    /**
     * The lines between which two texts differ.
     *
     * @return array{int, int|null} the first line that differs, and the last; null where lines have come or gone, so that
     *                              those behind have other numbers
     */
    private function changedLines(string $text): array
    {
        // Equal bytes give a zero; the first that is none is the first difference.
        $head = strspn($this->text ^ $text, "\0");
        $tail = min(strspn(strrev($this->text) ^ strrev($text), "\0"), strlen($text) - $head, strlen($this->text) - $head);
        $first = 1 + substr_count($text, "\n", 0, $head);
        $changed = static fn (string $of): int => substr_count($of, "\n", $head, strlen($of) - $tail - $head);

        return [$first, $changed($text) === $changed($this->text) ? $first + $changed($text) : null];
    }
}
