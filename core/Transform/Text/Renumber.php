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
            Field::choice('how', 'Blocks', ['number' => 'number all', 'none' => 'remove numbers']),
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
            ['number' => $old, 'at' => $from, 'length' => $length] = LineWords::blockNumber($text);
            $number = $isNumbered || isset($targets[$old ?? -1]) ? $next : null;
            if ($number !== null) {
                $next += $step;
            }
            if ($old !== null && $number !== null) {
                $numbers[$old] ??= $number;
            }
            $new = $number === null ? '' : 'N'.$number.' ';
            $is = substr($text, $from, $length);
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
            $jump = LineWords::jump($scope->program->line($line));
            if ($jump !== null && $jump['number'] === null) {
                throw new TransformProblem("Line {$line} jumps to a calculated number, which cannot be followed.");
            }
            if ($jump !== null) {
                $targets[$jump['number']] = true;
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
            $jump = LineWords::jump($scope->program->line($line));
            $new = $numbers[$jump['number'] ?? -1] ?? null;
            if ($jump !== null && $new !== null) {
                $edits[] = new Edit($line, $jump['at'] + 1, $jump['length'], (string) $new, 'Renumber');
            }
        }

        return $edits;
    }
}
