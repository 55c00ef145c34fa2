<?php

declare(strict_types=1);

namespace App\Docs;

use OakTrace\Core\Sheet\Again;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\AskKind;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\Repeat;

/** `docs/sheets.md`, made from the catalogue: every operation of a sheet with what it asks. */
final class OperationList
{
    public static function markdown(): string
    {
        $text = (string) file_get_contents(resource_path('docs/sheets-head.md'));
        foreach (OperationCatalogue::all() as $operation) {
            $text .= "\n### `{$operation->kind()}`: {$operation->words()}\n\n".self::table($operation->asks());
        }

        $text .= "\n### `".Again::KIND."`: an operation once more, with the same tool or another\n\n".self::table(Again::asks());

        return $text."\n### `".Repeat::KIND."`: operations again at other places\n\n".self::table(Repeat::asks());
    }

    /** @param  list<Ask>  $asks */
    private static function table(array $asks): string
    {
        return "| field | what it is | |\n|---|---|---|\n".implode("\n", self::rows($asks, ''))."\n";
    }

    /**
     * @param  list<Ask>  $asks
     * @return list<string>
     */
    private static function rows(array $asks, string $in): array
    {
        $rows = [];
        foreach ($asks as $ask) {
            $rows[] = sprintf(
                '| `%s` | %s | %s |', $in.$ask->field, $ask->words, $ask->kind === AskKind::Choice ? implode(', ', $ask->choices) : $ask->kind->words(),
            );
            array_push($rows, ...self::rows($ask->parts, "{$in}{$ask->field}."));
        }

        return $rows;
    }
}
