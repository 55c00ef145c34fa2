<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;

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
            Field::choice('how', 'Blocks', ['add' => 'are skipped by the switch', 'remove' => 'are skipped no more']),
            Field::number('number', 'number of the switch (plain where empty)', isOptional: true),
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
            preg_match('/^\s*(\/[1-9]?[ \t]*)?/', $text, $head, PREG_OFFSET_CAPTURE);
            $is = $head[1][0] ?? '';
            // A digit behind the mark would be taken for its number.
            if (rtrim($is) !== $mark) {
                $edits[] = new Edit($line, strlen($head[0][0] ?? '') - strlen($is) + 1, strlen($is), $mark, 'Mark');
            }
        }

        return $edits;
    }
}
