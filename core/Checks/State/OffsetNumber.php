<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Checks\MillCheck;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/** A length offset number that is not the tool's. */
final class OffsetNumber extends MillCheck
{
    public function name(): string
    {
        return 'state.offset-number';
    }

    public function why(): string
    {
        return 'With another tool\'s length the tip is higher or lower by the difference. Lower means into the part at rapid.';
    }

    public function examine(CheckInput $input): iterable
    {
        $seen = [];
        foreach ($input->trace->states as $number => $state) {
            if (
                ! $state->length->sinceToolChange || $state->length->number === $state->tool || $state->tool === 0 || ! $state->length->isSet
                || ! isset($input->setup->tooling->tools[$state->tool])
            ) {
                continue;
            }
            $key = $state->tool.'/'.$state->length->number;
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($line === null || isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $word = $input->wordAt($line, 'H');
            $lower = self::lower($input, $state->tool, $state->length->number);
            $isDeep = $lower !== null && $lower > ($input->setup->margins->clearance ?? 0.0);
            // Where the other tool is never changed in, it may be the T that is wrong.
            $isOther = in_array($state->length->number, array_column($input->trace->states, 'tool'), true);
            yield new Finding(
                $this->name(), $isDeep ? Severity::Stop : Severity::Caution, $word->line ?? $line, $word->column ?? 1,
                'T{tool} runs with length offset H{number}'.($isDeep ? ': by its own, H{tool}, its tip comes {lower} lower than the program says.' : '.'),
                ['tool' => $state->tool, 'number' => $state->length->number, 'lower' => Quantity::length($lower ?? 0.0)],
                $isOther
                    ? 'If that is not meant, write H{tool}.'
                    : 'Is T{number} meant, or H{tool}?', edit: $isOther
                    ? $word?->replacedBy((string) $state->tool)
                    : null,
            );
        }
    }

    /** How much lower a tool's tip comes with another's length offset; null where its own is not set. */
    private static function lower(CheckInput $input, int $tool, int $number): ?float
    {
        $own = $input->setup->tooling->lengthOffsets[$tool] ?? null;
        $called = $input->setup->tooling->lengthOffsets[$number] ?? null;

        return $own === null || $called === null ? null : $own->total() - $called->total();
    }
}
