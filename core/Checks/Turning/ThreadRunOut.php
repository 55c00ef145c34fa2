<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Checks\ThreadForm;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Stock\Turned\TurnedStock;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread that ends in the part with no relief for the slide to stop in, and without leading out. */
final class ThreadRunOut extends LatheCheck
{
    /** What stands no higher above the root of a thread is its relief, mm. */
    private const RELIEVED = 0.05;

    /** How far along it a relief is followed, mm, and in what steps. */
    private const FAR = 25.0;

    private const STEP = 0.02;

    /** A relief that lacks no more is wide enough, mm. */
    private const LACKS = 0.03;

    public function name(): string
    {
        return 'turning.thread-run-out';
    }

    public function why(): string
    {
        return 'The slide comes to a stand behind the spindle, and the last of the groove is cut too deep at one place. There the insert breaks.';
    }

    public function examine(CheckInput $input): iterable
    {
        $stock = $input->turned;
        if ($stock === null || ! $stock->isComplete()) {
            return; // which the depth of the thread has told
        }
        $machine = $input->setup->machine;
        foreach ($input->lathe->eachThread($input->trace->states) as $thread) {
            $form = ThreadForm::of($input, $thread);
            $pass = $input->lathe->threads[$form->number];
            $depths = array_column($form->depths($stock), 1);
            if ($form->leadsOut() || $depths === [] || max($depths) <= self::RELIEVED) {
                continue;
            }
            $behind = $machine->threadLag->runOut($pass['feed'] / 60, ($machine->axes[AxisName::Z] ?? null)?->acceleration);
            $insert = $input->setup->tooling->tools[$thread->tool] ?? null;
            $half = ($insert?->insert->width ?? $insert?->geometry->pitch ?? $thread->lead) / 2;
            $has = $this->relief($form, $stock);
            if ($has < $behind + $half - self::LACKS) {
                yield new Finding(
                    $this->name(), Severity::Caution, $pass['place'], 1,
                    $has <= self::STEP ? 'The thread of T{tool} ends in the part: it wants a relief of {needs} there, or to lead out.'
                        : 'The thread of T{tool} ends in a relief of {has}; at this speed it needs {needs}.',
                    ['tool' => $thread->tool, 'has' => Quantity::length($has), 'needs' => Quantity::length($behind + $half)],
                    'Cut a relief, turn slower, or let the thread lead out in its cycle.',
                );
            }
        }
    }

    /** How much lies free around the end of a thread along Z, mm; 0 where it ends in what stands. */
    private function relief(ThreadForm $form, TurnedStock $stock): float
    {
        [$z, $x] = $form->end();
        $free = 0.0;
        foreach ([1, -1] as $way) {
            for ($far = self::STEP / 2; $far < self::FAR; $far += self::STEP) {
                if (($form->depthAt($stock, $z + $way * $far, $x) ?? 0.0) > self::RELIEVED) {
                    break;
                }
                $free += self::STEP;
            }
        }

        return $free;
    }
}
