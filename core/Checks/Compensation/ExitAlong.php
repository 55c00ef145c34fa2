<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Compensation;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Compensation cancelled while the tool still goes along the wall: it leaves the offset on the way, and cuts into the line itself. */
final class ExitAlong extends MillCheck
{
    /** Volumes below this are slivers, mm³. */
    private const WORTH = 1.0;

    public function name(): string
    {
        return 'compensation.exit-along';
    }

    public function why(): string
    {
        return 'Cancelled in the cut, the tool slides onto the line itself. It takes a wedge out of the finished wall.';
    }

    public function examine(CheckInput $input): iterable
    {
        foreach ($input->folded('compensation-exit-near') as [$notice, $also]) {
            foreach ([$notice->line, ...$also] as $line) {
                if ($input->cutAt($line) > self::WORTH) {
                    yield new Finding(
                        $this->name(), Severity::Stop, $line, 1,
                        'Compensation is cancelled while T{tool} cuts: on this move it runs from beside the line onto the line itself, and takes {volume}.',
                        [
                            'tool' => $input->toolAt($line), 'volume' => Quantity::volume($input->cutAt($line)),
                        ], 'Lead away from the wall first, and cancel on that move.',
                    );
                }
            }
        }
    }
}
