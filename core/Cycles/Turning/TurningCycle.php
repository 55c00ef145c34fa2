<?php

declare(strict_types=1);

namespace OakTrace\Core\Cycles\Turning;

/** A cycle of a lathe: from where the tool stands, with the words of its blocks, to the strokes it makes. */
interface TurningCycle
{
    /**
     * What it cannot do without, as words or places of the call.
     *
     * @return list<string> letters that are missing
     */
    public function missing(TurningCall $call): array;

    /**
     * What its words mean, by letter.
     *
     * @param  bool  $isFirst  in the first of two blocks
     * @return array<string, string>
     */
    public function words(bool $isFirst, bool $isOneLine): array;

    public function strokes(TurningCall $call, TurningMotion $motion): void;
}
