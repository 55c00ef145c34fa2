<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use Closure;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\SourceMap;

/** Writes a change of text as the editor wants it: columns in characters, where the core counts bytes. */
final readonly class WrittenEdit
{
    /** @param  Closure(int): string  $lineAt  text of a line by its place */
    public function __construct(private Closure $lineAt)
    {
    }

    /** @return array<string, mixed> */
    public function of(Edit $edit): array
    {
        return $this->change($edit) + ['label' => $edit->label, 'also' => array_map($this->change(...), $edit->also)];
    }

    public function column(int $place, int $column): int
    {
        $before = substr(($this->lineAt)($place), 0, $column - 1);

        return $column - strlen($before) + mb_strlen(mb_scrub($before));
    }

    /** @return array{line: int, column: int, length: int, text: string} */
    private function change(Edit $edit): array
    {
        $column = $this->column($edit->line, $edit->column);

        return [
            'line' => SourceMap::lineNumber($edit->line), 'column' => $column,
            'length' => $this->column($edit->line, $edit->column + $edit->length) - $column, 'text' => $edit->text,
        ];
    }
}
