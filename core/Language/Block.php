<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

/**
 * One block as read. A register that is filled anew for every line, not an object per block: whoever needs a block
 * later keeps its line number.
 */
final class Block
{
    public int $line = 0;

    /** The number of the block skip switch that passes over this block; 0 where there is none. */
    public int $skip = 0;

    /** Program number of an O line, without the letter. */
    public ?string $programNumber = null;

    /** @var list<int> G codes in tenths: G54.1 is 541 */
    public array $g = [];

    /** @var list<int> M codes in tenths */
    public array $m = [];

    /** @var array<string, float> letter => value, as written; G, M and O words stand apart */
    public array $words = [];

    /** Letters of the words whose number has no decimal point and is not zero. */
    public string $withoutPoint = '';

    /** @var list<array{string, float}> its I, J and K words in their order where one stands twice, as the sets of a macro call do */
    public array $sets = [];

    /** Set where the block has to be worked out first; its words stand in there. */
    public ?Statement $statement = null;

    /** A word that counts or numbers something; a program may have worked it out, and missed by a last digit. */
    public function whole(string $letter, int $usual = 0): int
    {
        return isset($this->words[$letter]) ? (int) floor(max(-1e12, min(1e12, $this->words[$letter])) + 1e-6) : $usual;
    }

    /** Holds what another one holds. */
    public function become(self $other): void
    {
        foreach (get_object_vars($other) as $name => $value) {
            $this->$name = $value;
        }
    }

    public function clear(int $line): void
    {
        $this->line = $line;
        $this->skip = 0;
        $this->programNumber = null;
        $this->g = [];
        $this->m = [];
        $this->words = [];
        $this->withoutPoint = '';
        $this->sets = [];
        $this->statement = null;
    }
}
