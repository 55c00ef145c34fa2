<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\PlacedWord;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Trace\Mark;
use OakTrace\Core\Trace\MotionKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A roughing cycle that leaves an allowance no tool turns off. */
final class NotFinished extends LatheCheck
{
    private const ROUGHING = [Code::RoughAlong, Code::RoughAcross, Code::RoughPattern];

    public function name(): string
    {
        return 'turning.not-finished';
    }

    public function why(): string
    {
        return 'What roughing leaves is still on the part when it comes off. Every diameter is too large by it, and every bore too small.';
    }

    public function examine(CheckInput $input): iterable
    {
        $left = $last = null;
        foreach ($input->trace->chunks() as $chunk) {
            [$kinds, $lines, $marks] = [$chunk->kinds(), $chunk->lines(), $chunk->marks()];
            foreach ($chunk->runs() as ['from' => $from, 'to' => $to, 'state' => $number]) {
                $turns = ($input->setup->tooling->tools[$input->trace->states[$number]->tool] ?? null)?->kind->turns() === true;
                for ($row = $from; $turns && $row < $to; $row++) {
                    if ($lines[$row] !== $last && ($kinds[$row] === MotionKind::FEED || $kinds[$row] === MotionKind::ARC)) {
                        $last = $lines[$row];
                        // What is turned behind it may be what finishes it.
                        $left = ($marks[$row] & Mark::CYCLE) !== 0 && $this->leaves($input, $last) ? $last : null;
                    }
                }
            }
        }
        if ($left !== null) {
            yield new Finding(
                $this->name(), Severity::Caution, $left, 1, 'What this cycle leaves for finishing is never turned off.', [],
                'Finish it with {code finish-shape}, or with passes of its own.',
            );
        }
    }

    /** Whether a block is a roughing cycle with an allowance. */
    private function leaves(CheckInput $input, int $place): bool
    {
        $text = $input->trace->sources->text($place);
        $roughs = false;
        foreach ($input->setup->machine->control->codesIn($text) as ['code' => $code]) {
            $roughs = $roughs || in_array($code, self::ROUGHING, true);
        }
        foreach ($roughs ? ['U', 'W'] : [] as $letter) {
            if ((PlacedWord::find($text, $place, $letter)?->value() ?? 0.0) != 0.0) {
                return true;
            }
        }

        return false;
    }
}
