<?php

declare(strict_types=1);

namespace OakTrace\Core\Trace;

use OakTrace\Core\Control\Code;

/** What is on; a control may have both on at once. */
final readonly class CoolantState
{
    public function __construct(public bool $flood = false, public bool $mist = false)
    {
    }

    /** One of the two joins the other; any other code of the coolant puts both out. */
    public function after(Code $code): self
    {
        return match ($code) {
            Code::FloodOn => new self(true, $this->mist),
            Code::MistOn => new self($this->flood, true),
            default => new self,
        };
    }
}
