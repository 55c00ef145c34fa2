<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Proving\Fingerprint;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** Something that decides the motion has changed since the program was proven. */
final class ChangedSinceProof extends MachineCheck
{
    public function name(): string
    {
        return 'offsets.changed-since-proof';
    }

    public function why(): string
    {
        return 'The program was proven with other values. What was seen to be right then need not be right now.';
    }

    public function examine(CheckInput $input): iterable
    {
        $proof = $input->setup->proof;
        if ($proof === null) {
            return;
        }
        $now = Fingerprint::of($input->program, $input->setup);
        $changed = array_keys(
            array_filter(
                $now, static fn (string $print, string $part): bool => ! Fingerprint::areAlike($print, $proof->parts[$part] ?? ''),
                ARRAY_FILTER_USE_BOTH,
            ) + array_diff_key($proof->parts, $now),
        );
        $changed = array_values(array_filter($changed, fn (string $part): bool => $this->matters($input, $part)));
        if ($changed === []) {
            return;
        }
        $words = $figures = [];
        foreach ($changed as $i => $part) {
            [$from, $to] = [Fingerprint::valueOf($proof->parts[$part] ?? ''), Fingerprint::valueOf($now[$part] ?? '')];
            $who = $proof->changedBy[$part] ?? null;
            $words[] = ($from === null || $to === null ? $part : "{$part} from {from{$i}} to {to{$i}}").($who === null ? '' : " (by {who{$i}})");
            $figures += (
                $from === null || $to === null ? [] : ["from{$i}" => Quantity::length($from), "to{$i}" => Quantity::length($to)]
            ) + ($who === null ? [] : ["who{$i}" => $who]);
        }
        yield new Finding(
            $this->name(), Severity::Caution, 1, 1,
            'Changed since this program was proven on {on}'.($proof->by === null ? '' : ' by {by}').': '.implode(', ', $words).'.',
            $figures + ['on' => $proof->on, 'by' => $proof->by ?? '', 'what' => implode(', ', $changed)],
            'Prove it out again from the first move affected.',
        );
    }

    /** Whether the program makes use of a numbered part; one it never calls decides nothing. */
    private function matters(CheckInput $input, string $part): bool
    {
        if (preg_match('/^([HDT]|offset )(\d+)$/', $part, $match) !== 1) {
            return match ($part[0]) {
                'G' => isset($input->reach->work[$part]),
                'O' => in_array($part, array_column($input->trace->sources->others(), 0), true),
                default => true,
            };
        }
        foreach ($input->trace->states as $state) {
            $used = match ($match[1]) {
                'H', 'offset ' => $state->length->number,
                'D' => $state->cutter->side === 0 ? 0 : $state->cutter->number,
                default => $state->tool,
            };
            if ($used === (int) $match[2]) {
                return true;
            }
        }

        return false;
    }
}
