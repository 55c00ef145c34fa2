<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Turning;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\LatheCheck;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A thread whose passes would not fall into one another: at a surface speed, or at another speed than the one before. */
final class ThreadSpeed extends LatheCheck
{
    public function name(): string
    {
        return 'turning.thread-speed';
    }

    public function why(): string
    {
        return 'Every pass has to follow the groove of the one before. At another speed it begins late or early by another amount, and cuts it away.';
    }

    public function examine(CheckInput $input): iterable
    {
        $before = null;
        $told = [];
        foreach ($input->lathe->threads as $pass) {
            $state = $input->trace->states[$pass['state']];
            if ($state->spindle->surfaceSpeed !== null && ! isset($told['surface'])) {
                $told['surface'] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $pass['place'], 1, 'T{tool} cuts a thread with a surface speed on: each pass turns at another speed.',
                    ['tool' => $state->tool], 'Say a spindle speed with {code spindle-speed} S before the thread.',
                );
            } elseif (
                $before !== null && $before['tool'] === $state->tool && $before['rpm'] !== $state->spindle->rpm
                    && abs($before['feed'] / $before['rpm'] - $pass['feed'] / max(1e-9, $state->spindle->rpm)) < 1e-6
                && ! isset($told['changed'])
            ) {
                $told['changed'] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $pass['place'], 1, 'The speed changes from {was} to {rpm} between two passes of one thread.',
                    ['was' => Quantity::rpm($before['rpm']), 'rpm' => Quantity::rpm($state->spindle->rpm)], 'Cut all passes of a thread at one speed.',
                );
            }
            $most = self::fastest($input->setup->machine, $pass);
            if ($pass['feed'] > $most + 1e-6 && ! isset($told['slide'])) {
                $told['slide'] = true;
                yield new Finding(
                    $this->name(), Severity::Stop, $pass['place'], 1, 'At {rpm} this thread needs a feed of {feed}; the slides go {most} at most.',
                    ['rpm' => Quantity::rpm($state->spindle->rpm), 'feed' => Quantity::feed($pass['feed']), 'most' => Quantity::feed($most)],
                    'Turn slower.',
                );
            }
            $before = $state->spindle->rpm > 0.0 ? ['tool' => $state->tool, 'rpm' => $state->spindle->rpm, 'feed' => $pass['feed']] : null;
        }
    }

    /**
     * mm/min along the way of a pass.
     *
     * @param  array{fromZ: float, toZ: float, fromX: float, toX: float}  $pass
     */
    private static function fastest(Machine $machine, array $pass): float
    {
        [$z, $x] = [abs($pass['toZ'] - $pass['fromZ']), abs($pass['toX'] - $pass['fromX'])];
        $length = hypot($z, $x);
        $most = $machine->maxFeed ?? INF;
        foreach ([AxisName::Z => $z, AxisName::X => $x] as $axis => $way) {
            $rate = ($machine->axes[$axis] ?? null)?->rapid;
            $most = $rate === null || $way <= 0.0 ? $most : min($most, $rate * $length / $way);
        }

        return $most;
    }
}
