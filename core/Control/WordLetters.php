<?php

declare(strict_types=1);

namespace OakTrace\Core\Control;

/** The letters a control uses for what differs from one to another. */
final readonly class WordLetters
{
    public const MEANINGS = [
        'cycleRepeats' => 'repeats of a cycle',
        'peck' => 'peck depth',
        'dwell' => 'dwell time',
        'lengthNumber' => 'length offset number',
        'cutterNumber' => 'cutter offset number',
        'program' => 'called program number',
        'callRepeats' => 'repeats of a call',
        'extendedOffset' => 'extended work offset number',
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
