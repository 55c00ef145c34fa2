<?php

declare(strict_types=1);

namespace App\Docs;

use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\AskKind;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\Repeat;

/** `docs/sheets.md`, made from the catalogue: every operation of a sheet with what it asks. */
final class OperationList
{
    private const KINDS = [
        'length' => 'length', 'angle' => 'degrees', 'share' => '0 to 1', 'seconds' => 'seconds', 'count' => 'whole number', 'flag' => 'true or false',
        'point' => '[X, Y]', 'size' => 'size', 'text' => 'text', 'group' => 'group',
    ];

    public static function markdown(): string
    {
        $text = (string) file_get_contents(resource_path('docs/sheets-head.md'));
        foreach (OperationCatalogue::all() as $operation) {
            $text .= "\n### `{$operation->kind()}`: {$operation->words()}\n\n".self::table($operation->asks());
        }

        return $text."\n### `".Repeat::KIND."`: operations again at other places\n\n".self::table(Repeat::asks());
    }

    /** @param  list<Ask>  $asks */
    private static function table(array $asks): string
    {
        $rows = array_map(static fn (Ask $ask): string => sprintf(
            '| `%s` | %s | %s |', $ask->field, $ask->words, $ask->kind === AskKind::Choice ? implode(', ', $ask->choices) : self::KINDS[$ask->kind->value],
        ), $asks);

        return "| field | what it is | |\n|---|---|---|\n".implode("\n", $rows)."\n";
    }
}
