<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

/** One move of an operation in the coordinates of the part. Millimetres, mm/min, seconds; null where an axis does not move. */
final readonly class Move
{
    public function __construct(
        public MoveKind $kind,
        public ?float $x = null,
        public ?float $y = null,
        public ?float $z = null,
        public float $i = 0.0,
        public float $j = 0.0,
        public ?float $feed = null,
        public string $text = '',
        public float $seconds = 0.0,
        public ?HoleCall $cycle = null,
    ) {
    }

    public static function remark(string $text): self
    {
        return new self(MoveKind::Remark, text: $text);
    }

    public static function stop(string $text): self
    {
        return new self(MoveKind::Stop, text: $text);
    }
}
