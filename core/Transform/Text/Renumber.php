<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Cycles\TurningCatalogue;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** Block numbers afresh, or taken away; whatever names a block by its number follows it: jumps, calls, returns, the blocks of a shape. */
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
     * Numbers that are named.
     *
     * @return array<int, true>
     *
     * @throws TransformProblem where a number is reckoned
     */
    private function targets(Scope $scope): array
    {
        $targets = [];
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            foreach (self::references($scope, $line) as $reference) {
                $targets[$reference['number'] ?? throw new TransformProblem("Line {$line} names a block by a calculated number, which cannot be followed.")]
                    = true;
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
            foreach (self::references($scope, $line) as $reference) {
                $new = $numbers[$reference['number'] ?? -1] ?? null;
                if ($new !== null) {
                    $edits[] = new Edit($line, $reference['at'] + 1, $reference['length'], (string) $new, 'Renumber');
                }
            }
        }

        return $edits;
    }

    /** @return list<array{number: int|null, at: int, length: int}> where a line names a block: a GOTO, a call, a return to one, a turned shape */
    private static function references(Scope $scope, int $line): array
    {
        $text = $scope->program->line($line);
        $jump = LineWords::jump($text);
        $references = $jump === null ? [] : [$jump];
        $codes = array_column($scope->control->codesIn($text), 'code');
        $cycle = TurningCatalogue::repeated($codes);
        $letters = match (true) {
            in_array(Code::SubprogramEnd, $codes, true) => ['P'],
            in_array(Code::CallBlocks, $codes, true) => [$scope->control->letters->program],
            $cycle !== null && (TurningCatalogue::hasShape($cycle) || $cycle === Code::FinishShape) => ['P', 'Q'],
            default => [],
        };
        foreach ($letters as $letter) {
            if (LineWords::isReckoned($text, $letter)) {
                $references[] = ['number' => null, 'at' => 0, 'length' => 0];
            }
        }
        foreach ($letters === [] ? [] : LineWords::plain($text) as $word) {
            if (in_array($word['letter'], $letters, true)) {
                $references[] = ['number' => (int) $word['number'], 'at' => $word['at'], 'length' => strlen($word['number'])];
            }
        }

        return $references;
    }
}
