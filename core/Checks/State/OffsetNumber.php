<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks\State;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\Evidence;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Severity;

/** A length offset number that is not the tool's. */
final class OffsetNumber implements Check
{
    public function name(): string
    {
        return 'state.offset-number';
    }

    public function examine(Evidence $evidence): iterable
    {
        $seen = [];
        foreach ($evidence->trace->states as $number => $state) {
            if (! $state->lengthSinceToolChange || $state->lengthNumber === $state->tool || $state->tool === 0 || ! $state->lengthIsSet || ! isset($evidence->setup->tools[$state->tool])) {
                continue;
            }
            $key = $state->tool.'/'.$state->lengthNumber;
            $line = $evidence->cuts->firstRow[$number] ?? null;
            if ($line === null || isset($seen[$key])) {
                continue;
            }
            $seen[$key] = true;
            $word = $evidence->wordAt($line, 'H');
            yield new Finding(
                $this->name(), Severity::Caution, $word->line ?? $line, $word->column ?? 1,
                'T{tool} runs with length offset H{number}.', ['tool' => $state->tool, 'number' => $state->lengthNumber],
                'If that is not meant, write H{tool}.', edit: $word?->replacedBy((string) $state->tool),
            );
        }
    }
}
