<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** Blocks made into comments, so that they are not run, and back. Comments within them are put in angles meanwhile. */
final class CommentOut implements TextTransform
{
    public function name(): string
    {
        return 'comment-out';
    }

    public function title(): string
    {
        return 'Comments and blocks';
    }

    public function fields(): array
    {
        return [Field::choice('how', 'Lines', ['out' => 'to comments', 'in' => 'back to blocks'])];
    }

    public function edits(Scope $scope, array $values): array
    {
        $edits = [];
        foreach ($values['how'] === 'out' ? $scope->blocks() : $scope->lines() as $line => $text) {
            $code = rtrim($text);
            $new = $values['how'] === 'out' ? $this->out($line, $code) : $this->in($code);
            if ($new !== $code) {
                $edits[] = new Edit($line, 1, strlen($code), $new, 'Comment');
            }
        }

        return $edits;
    }

    private function out(int $line, string $code): string
    {
        $isOnlyWords = LineWords::isPlain($code) && ! str_contains($code, ';') && strpbrk($code, '<>') === false;
        if (! $isOnlyWords || substr_count($code, '(') !== substr_count($code, ')')) {
            throw new TransformProblem(
                "Line {$line} cannot be made a comment and back again as it is; a variable, a name or a comment of its own is in the way.",
            );
        }

        return '('.strtr($code, '()', '<>').')';
    }

    /** A comment whose words are those of a block becomes one; others stay what they are. */
    private function in(string $code): string
    {
        if (preg_match('/^\s*\(([^()]*)\)$/', $code, $match) !== 1) {
            return $code;
        }
        $block = strtr($match[1], '<>', '()');

        return LineWords::isPlain($block) ? $block : $code;
    }
}
