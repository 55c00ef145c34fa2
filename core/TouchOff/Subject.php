<?php

declare(strict_types=1);

namespace OakTrace\Core\TouchOff;

/** What is touched off: an axis of a work offset, or the length of a tool. */
final readonly class Subject
{
    private function __construct(public string $offset, public ?string $axis)
    {
    }

    public static function work(string $offset, string $axis): self
    {
        return new self($offset, $axis);
    }

    /** @param  int  $number  of the length offset */
    public static function length(int $number): self
    {
        return new self("H{$number}", null);
    }

    public function isLength(): bool
    {
        return $this->axis === null;
    }

    public function number(): int
    {
        return (int) substr($this->offset, 1);
    }

    /** As it stands in the logbook: G54 X, H2. */
    public function words(): string
    {
        return $this->axis === null ? $this->offset : "{$this->offset} {$this->axis}";
    }
}
