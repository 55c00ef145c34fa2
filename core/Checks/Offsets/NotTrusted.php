<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\Offsets;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MachineCheck;
use OakTrace\Core\Checks\OffsetUse;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** An offset in use whose touching off was interrupted, or that came with a copied setup. */
final class NotTrusted extends MachineCheck
{
    public function name(): string
    {
        return 'offsets.not-trusted';
    }

    public function why(): string
    {
        return 'Most crashes begin with an offset that was half entered or left from another job. Its value may be from another tool.';
    }

    public function examine(CheckInput $input): iterable
    {
        $copied = [];
        foreach (OffsetUse::firstLines($input) as $offset => $line) {
            $untrusted = $input->setup->notTrusted[$offset] ?? null;
            if ($untrusted?->isCopied === true) {
                $copied[$untrusted->from ?? ''][$offset] = $line;
            } elseif ($untrusted !== null) {
                yield new Finding(
                    $this->name(), Severity::Stop, $line, 1,
                    'Touching off {offset} was begun'.($untrusted->at === null ? '' : ' at {at}').' and not finished.',
                    ['offset' => $offset, 'at' => $untrusted->at ?? ''],
                    'Touch off {offset} again, from the start.', field: self::field($offset),
                );
            }
        }
        foreach ($copied as $from => $lines) {
            $offsets = array_keys($lines);
            $one = count($offsets) === 1;
            yield new Finding(
                $this->name(), Severity::Stop, min($lines), 1,
                '{offsets} '.($one ? 'was' : 'were').' copied'.($from === '' ? '' : ' from {from}').' and not touched off here.',
                ['offsets' => self::listed($offsets), 'from' => $from],
                $one ? 'Touch it off on this machine, in this clamping.' : 'Touch each off on this machine, in this clamping.', field: self::field($offsets[0]),
            );
        }
    }

    /** @param  list<string>  $names */
    private static function listed(array $names): string
    {
        $last = array_pop($names);

        return $names === [] ? (string) $last : implode(', ', $names)." and {$last}";
    }

    private static function field(string $offset): string
    {
        return $offset[0] === 'G' ? "workOffsets.{$offset}" : "offsets.{$offset[0]}.".substr($offset, 1);
    }
}
