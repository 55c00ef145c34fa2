<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** The letters a control uses for what differs from one to another. */
final readonly class WordLetters
{
    public const MEANINGS = [
        'cycleRepeats' => 'how often a cycle is repeated',
        'peck' => 'depth of a peck',
        'dwell' => 'time of a dwell',
        'lengthNumber' => 'number of a length offset',
        'cutterNumber' => 'number of a cutter offset',
        'program' => 'number of a called program',
        'callRepeats' => 'how often a call is repeated',
        'extendedOffset' => 'number of an extended work offset',
        'arcTurns' => 'turns of an arc',
    ];

    public function __construct(
        public string $cycleRepeats = 'L',
        public string $peck = 'Q',
        public string $dwell = 'P',
        public string $lengthNumber = 'H',
        public string $cutterNumber = 'D',
        public string $program = 'P',
        public string $callRepeats = 'L',
        public string $extendedOffset = 'P',
        public string $arcTurns = 'P',
    ) {
    }

    /** @return array<string, string> meaning => letter */
    public function all(): array
    {
        return array_map(strval(...), array_filter(get_object_vars($this), is_string(...)));
    }

    /** @param  array<string, string>  $letters  meaning => letter, of those that differ */
    public function with(array $letters): self
    {
        return new self(...array_intersect_key($letters, self::MEANINGS) + $this->all());
    }
}
