<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ModalGroup;
use OakTrace\Core\Cycles\CycleCatalogue;

/** Where F is the lead of a thread, or belongs to one, line by line: another F there is another thread. */
final class Leads
{
    private ?Code $motion = null;

    private ?Code $cycle = null;

    private bool $isSeries = false;

    /**
     * Goes on to a line.
     *
     * @param  list<Code>  $codes
     */
    public function take(array $codes): void
    {
        $this->isSeries = in_array(Code::ThreadSeries, $codes, true);
        foreach ($codes as $code) {
            match ($code->group()) {
                ModalGroup::Motion => [$this->motion, $this->cycle] = [$code, null],
                ModalGroup::Cycle => $this->cycle = $code === Code::CycleOff ? null : $code,
                default => null,
            };
        }
    }

    /** Whether the line makes a thread by itself, or is a pass of one. */
    public function isThread(): bool
    {
        return $this->cycle === null && ($this->motion?->isThread() === true || $this->motion === Code::ThreadPass);
    }

    /** Whether the line makes a thread in any way, by a tap too. */
    public function isLead(): bool
    {
        return $this->isSeries || $this->isThread() || ($this->cycle !== null && CycleCatalogue::hole($this->cycle)->thread() !== 0);
    }
}
