<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** How blocks are written: blanks, leading zeros of codes, capitals. What they say stays the same. */
final class Layout implements TextTransform
{
    public function name(): string
    {
        return 'layout';
    }

    public function title(): string
    {
        return 'Blanks, zeros, capitals';
    }

    public function fields(): array
    {
        return [
            Field::choice('blanks', 'Spaces between words', ['keep' => 'stay', 'in' => 'one', 'out' => 'none']),
            Field::choice('zeros', 'Codes below ten', ['keep' => 'stay', 'in' => 'as G01', 'out' => 'as G1']),
            Field::choice('case', 'Letters', ['keep' => 'stay', 'upper' => 'capitals']),
        ];
    }

    public function edits(Scope $scope, array $values): array
    {
        $edits = [];
        foreach ($scope->blocks() as $line => $text) {
            $bare = rtrim(LineWords::bare($text));
            // Code with a comment in the middle of it keeps its blanks, since they are the comment's neighbours.
            $code = substr($text, 0, strlen($bare));
            if ($code !== $bare || strpbrk($bare, '#[=') !== false) {
                continue;
            }
            $new = $code;
            if ($values['case'] === 'upper') {
                $new = strtoupper($new);
            }
            if ($values['zeros'] !== 'keep') {
                $new = (string) preg_replace(
                    $values['zeros'] === 'in' ? '/([GM])\s*(\d)(?![\d.])/i' : '/([GM])\s*0+(\d)/i', $values['zeros'] === 'in' ? '${1}0$2' : '$1$2',
                    $new,
                );
            }
            if ($values['blanks'] !== 'keep') {
                preg_match('/^\s*(?:\/\d?)?/', $new, $head);
                $words = (string) preg_replace('/\s+/', '', substr($new, strlen($head[0] ?? '')));
                $new = trim($head[0] ?? '').($values['blanks'] === 'out' ? $words : trim((string) preg_replace('/(?<=[\d.])(?=[A-Z])/i', ' ', $words)));
            }
            if ($new !== $code) {
                $edits[] = new Edit($line, 1, strlen($code), $new, 'Write as chosen');
            }
        }

        return $edits;
    }
}
