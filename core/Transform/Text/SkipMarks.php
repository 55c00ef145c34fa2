<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;

/** Marks with which the operator's switch skips blocks. */
final class SkipMarks implements TextTransform
{
    public function name(): string
    {
        return 'skip-marks';
    }

    public function title(): string
    {
        return 'Skip marks';
    }

    public function fields(): array
    {
        return [
            Field::choice('how', 'Blocks', ['add' => 'are skipped by block skip', 'remove' => 'are no longer skipped']),
            Field::number('number', 'switch number (empty for none)', isOptional: true),
        ];
    }

    public function edits(Scope $scope, array $values): array
    {
        $number = $values['number'];
        if ($number !== null && (! in_array((int) $number, range(1, 9), true) || (float) $number !== floor((float) $number))) {
            throw new TransformProblem('A switch has a number from 1 to 9.');
        }
        $mark = $values['how'] === 'add' ? '/'.($number === null ? '' : (int) $number) : '';
        $edits = [];
        foreach ($scope->blocks() as $line => $text) {
            ['mark' => $is, 'at' => $at] = LineWords::skipMark($text);
            // A digit behind the mark would be taken for its number.
            if (rtrim($is) !== $mark) {
                $edits[] = new Edit($line, $at + 1, strlen($is), $mark, 'Mark');
            }
        }

        return $edits;
    }
}
