<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Language\SourceMap;

/** How a place in the texts of a run stands in the open files. */
final class Places
{
    /**
     * `line` of the text it is in; inside a called program also `program`, its name, and the calling line.
     *
     * @param  string  $from  name of the field for the calling line: a trace has its `from` taken
     * @return array<string, int|string>
     */
    public static function fields(SourceMap $sources, int $place, string $from = 'from'): array
    {
        $fields = ['line' => SourceMap::lineNumber($place)];
        $program = $sources->program($place);
        if ($program !== null) {
            $fields['program'] = $program;
            $fields[$from] = SourceMap::lineNumber($sources->from($place) ?? 0);
        }

        return $fields;
    }
}
