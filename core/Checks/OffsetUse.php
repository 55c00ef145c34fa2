<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

/** The offsets a program makes use of. */
final class OffsetUse
{
    /** @return list<string> G54, H2, D2 */
    public static function of(CheckInput $input): array
    {
        return array_keys(self::firstLines($input));
    }

    /** @return array<string, int> G54, H2 or D2 that the program uses => the line it does so first */
    public static function firstLines(CheckInput $input): array
    {
        $used = [];
        foreach ($input->trace->states as $number => $state) {
            $line = $input->cuts->firstRow[$number] ?? null;
            if ($line === null) {
                continue;
            }
            $used[$state->work->name] ??= $line;
            if ($state->length->number !== 0) {
                $used['H'.$state->length->number] ??= $line;
            }
            if ($state->cutter->side !== 0 && $state->cutter->number !== 0) {
                $used['D'.$state->cutter->number] ??= $line;
            }
        }

        return $used;
    }
}
