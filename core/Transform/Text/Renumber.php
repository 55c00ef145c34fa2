<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** Block numbers afresh, or taken away; jumps to a number follow it. */
final class Renumber implements TextTransform
{
    public function name(): string
    {
        return 'renumber';
    }

    public function title(): string
    {
        return 'Renumber blocks';
    }

    public function fields(): array
    {
        return [
            Field::choice('how', 'Blocks', ['number' => 'are numbered', 'none' => 'lose their numbers']),
            Field::number('start', 'from', 10.0),
            Field::number('step', 'by', 10.0),
        ];
    }

    public function edits(Scope $scope, array $values): array
    {
        $isNumbered = $values['how'] === 'number';
        $next = (int) $values['start'];
        $step = (int) $values['step'];
        if ($isNumbered && ($next < 1 || $step < 1)) {
            throw new TransformProblem('Block numbers begin at 1 or more and go up by 1 or more.');
        }
        $edits = $numbers = [];
        $targets = $this->targets($scope);
        foreach ($scope->blocks() as $line => $text) {
            preg_match('/^(\s*(?:\/\d?\s*)?)(?:N\s*(\d+)\s*)?/i', $text, $head);
            $old = isset($head[2]) ? (int) $head[2] : null;
            $number = $isNumbered || isset($targets[$old ?? -1]) ? $next : null;
            if ($number !== null) {
                $next += $step;
            }
            if ($old !== null && $number !== null) {
                $numbers[$old] ??= $number;
            }
            $from = strlen($head[1] ?? '');
            $new = $number === null ? '' : 'N'.$number.' ';
            $is = substr($text, $from, strlen($head[0] ?? '') - $from);
            if ($new !== $is && ! ($new === '' && $is === '')) {
                $edits[] = new Edit($line, $from + 1, strlen($is), $new, 'Renumber');
            }
        }

        return [...$edits, ...$this->jumps($scope, $numbers)];
    }

    /**
     * Numbers that are jumped to.
     *
     * @return array<int, true>
     *
     * @throws TransformProblem where a number is reckoned
     */
    private function targets(Scope $scope): array
    {
        $targets = [];
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $bare = LineWords::bare($scope->program->line($line));
            if (preg_match('/GOTO\s*[#\[]/i', $bare) === 1) {
                throw new TransformProblem("Line {$line} jumps to a number it reckons; numbers it may mean cannot be followed.");
            }
            if (preg_match('/GOTO\s*(\d+)/i', $bare, $match) === 1) {
                $targets[(int) $match[1]] = true;
            }
        }

        return $targets;
    }

    /**
     * @param  array<int, int>  $numbers  old => new
     * @return list<Edit>
     */
    private function jumps(Scope $scope, array $numbers): array
    {
        $edits = [];
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $bare = LineWords::bare($scope->program->line($line));
            if (preg_match('/GOTO\s*(\d+)/i', $bare, $match, PREG_OFFSET_CAPTURE) === 1 && isset($numbers[(int) $match[1][0]])) {
                $edits[] = new Edit($line, $match[1][1] + 1, strlen($match[1][0]), (string) $numbers[(int) $match[1][0]], 'Renumber');
            }
        }

        return $edits;
    }
}
