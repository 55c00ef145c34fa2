<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread that comes out with the other hand than its insert is for. */
final class ThreadHand extends LatheCheck
{
    public function name(): string
    {
        return 'turning.thread-hand';
    }

    public function why(): string
    {
        return 'The spindle and the way along Z make the hand of a thread, on a front and on a rear turret alike. The wrong one is scrap.';
    }

    public function examine(CheckInput $input): iterable
    {
        $told = [];
        foreach ($input->lathe->threads as $pass) {
            $state = $input->trace->states[$pass['state']];
            $hand = ($input->setup->tooling->tools[$state->tool] ?? null)->geometry->hand ?? null;
            $along = $pass['toZ'] <=> $pass['fromZ'];
            // Clockwise and towards the chuck makes a right-hand thread (common practice).
            $cuts = -$along * $state->spindle->turn > 0 ? 'right' : 'left';
            if ($hand === null || $along === 0 || $state->spindle->turn === 0 || $cuts === $hand || isset($told[$state->tool])) {
                continue;
            }
            $told[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $pass['place'], 1, 'T{tool} cuts a {cuts}-hand thread; its insert is for a {hand}-hand one.',
                ['tool' => $state->tool, 'cuts' => $cuts, 'hand' => $hand], 'Turn the spindle the other way, or cut from the other end.',
            );
        }
    }
}
