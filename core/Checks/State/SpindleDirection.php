<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\CycleCatalogue;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Setup\ToolKind;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A tool turned against its hand. */
final class SpindleDirection extends MillCheck
{
    public function name(): string
    {
        return 'state.spindle-direction';
    }

    public function why(): string
    {
        return 'Turned backwards the cutting edge rubs on its back. It burns or breaks, and a tap cannot enter at all.';
    }

    public function examine(CheckInput $input): iterable
    {
        yield from $this->taps($input);
        $seen = [];
        foreach ($input->cuts->firstCut as $number => $line) {
            $state = $input->trace->states[$number];
            $tool = $input->setup->tooling->tools[$state->tool] ?? null;
            // Right-handed unless said; of a tap, which is made in both hands, its cycle says.
            $hand = $tool === null || $tool->kind === ToolKind::Probe ? null : $tool->geometry->hand ?? ($tool->kind === ToolKind::Tap ? null : 'right');
            $turn = ['right' => 1, 'left' => -1][$hand] ?? 0;
            // The way out of a tap turns the other way, and is meant to.
            if (
                $turn === 0 || $state->spindle->turn !== -$turn || (CycleCatalogue::inForce($state->cycle)?->thread() ?? 0) !== 0
                || isset($seen[$state->tool])
            ) {
                continue;
            }
            $seen[$state->tool] = true;
            yield new Finding(
                $this->name(), Severity::Stop, $line, 1, 'T{tool} cuts {hand}-handed'.(
                    $tool?->geometry->hand === null ? ' unless the setup says otherwise,' : ''
                ).' and the spindle turns {turn}: it rubs on its back.',
                ['tool' => $state->tool, 'hand' => (string) $hand, 'turn' => $turn === 1 ? 'counter-clockwise' : 'clockwise'],
                $turn === 1
                    ? 'Start the spindle with {code spindle-clockwise}.'
                    : 'Start the spindle with {code spindle-counter-clockwise}.', edit: $this->turnAbout($input, $line, $turn),
            );
        }
    }

    /**
     * A tapping cycle that goes in with the spindle turning the other way.
     *
     * @return iterable<Finding>
     */
    private function taps(CheckInput $input): iterable
    {
        $seen = [];
        $cuts = $input->cuts->firstCut;
        ksort($cuts);
        foreach ($cuts as $number => $line) {
            $state = $input->trace->states[$number];
            $turn = CycleCatalogue::inForce($state->cycle)?->thread() ?? 0;
            if ($turn === 0 || isset($seen[$state->tool])) {
                continue;
            }
            // The first state of the cycle is the way in; on the way out it turns the other way, and is meant to.
            $seen[$state->tool] = true;
            $hand = ($input->setup->tooling->tools[$state->tool] ?? null)?->geometry->hand;
            if ($state->spindle->turn === -$turn) {
                // Of a tap whose hand nobody says it may as well be the cycle that is wrong.
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'T{tool} goes into the hole turning {turn}: the cycle cuts a {hand}-hand thread.',
                    ['tool' => $state->tool, 'hand' => $turn === 1 ? 'right' : 'left', 'turn' => $turn === 1 ? 'counter-clockwise' : 'clockwise'],
                    $turn === 1
                        ? 'Start the spindle with {code spindle-clockwise}, or use the cycle for left-hand threads.'
                        : 'Start the spindle with {code spindle-counter-clockwise}, or use the cycle for right-hand threads.',
                    edit: $hand === ($turn === 1 ? 'right' : 'left') ? $this->turnAbout($input, $line, $turn) : null,
                );
            } elseif ($hand === ($turn === 1 ? 'left' : 'right')) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1, 'T{tool} is a {hand}-hand tap in the cycle for the other hand.', [
                        'tool' => $state->tool, 'hand' => $hand,
                    ],
                    $turn === 1
                        ? 'Use the cycle for left-hand threads, and {code spindle-counter-clockwise}.'
                        : 'Use the cycle for right-hand threads, and {code spindle-clockwise}.',
                );
            }
        }
    }

    private function turnAbout(CheckInput $input, int $line, int $turn): ?Edit
    {
        [$wrong, $right] = $turn === 1 ? [Code::SpindleCounterClockwise, Code::SpindleClockwise] : [Code::SpindleClockwise, Code::SpindleCounterClockwise];
        $place = $input->editWriter->placeOf($line, $wrong);

        return $place === null ? null : $input->editWriter->exchange($place, $wrong, $right);
    }
}
