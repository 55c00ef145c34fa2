<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Units;

/** A whole program from inches to millimetres or back, its unit code with it. */
final class ConvertUnits implements TextTransform
{
    /** Metres in a foot. */
    private const FOOT = 0.3048;

    public function name(): string
    {
        return 'convert-units';
    }

    public function title(): string
    {
        return 'Inches and millimetres';
    }

    public function fields(): array
    {
        return [];
    }

    public function edits(Scope $scope, array $values): array
    {
        [$from, $to] = $scope->units() === Units::Inch ? [Units::Inch, Units::Millimetre] : [Units::Millimetre, Units::Inch];
        $factor = $from->millimetres() / $to->millimetres();
        $turn = $scope->firstTurn();
        if ($turn !== null) {
            throw new TransformProblem("Line {$turn} moves rotary axes alone at feed, where F counts degrees; convert it by hand.");
        }
        $edits = [];
        $stated = false;
        $lengths = new LengthWords($scope);
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $text = $scope->program->line($line);
            if (strpbrk(LineWords::bare($text), '#[') !== false) {
                throw new TransformProblem("Line {$line} uses variables; which of its values are lengths cannot be told.");
            }
            $lengths->take($line, array_column($scope->control->codesIn($text), 'code'));
            foreach ($scope->control->codesIn($text) as ['code' => $code, 'at' => $at, 'length' => $length]) {
                $unit = $to === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre;
                if ($code === Code::UnitsInch || $code === Code::UnitsMillimetre) {
                    $stated = true;
                    $edits[] = new Edit(
                        $line, $at + 1, $length,
                        $scope->control->codeOf($unit) ?? throw new TransformProblem('This control has no code for the other unit.'), 'Put the units',
                    );
                }
            }
            foreach (LineWords::of($text) as $word) {
                $number = match (true) {
                    $lengths->isSurfaceSpeed($word['letter']) => WordNumber::written(
                        $word['number'], (float) $word['number'] * ($to === Units::Inch ? 1 / self::FOOT : self::FOOT), 0,
                    ),
                    $lengths->isLength($word) => $this->length($scope, $lengths, $line, $word, $factor, $to),
                    default => null,
                };
                if ($number !== null) {
                    $edits[] = new Edit($line, $word['at'] + 1, strlen($word['number']), $number, 'Convert');
                }
            }
        }
        if (! $stated) {
            throw new TransformProblem('The program never states its units. State them first, so that what is converted is certain.');
        }

        return $edits;
    }

    /** @param  array{letter: string, number: string, at: int}  $word */
    private function length(Scope $scope, LengthWords $lengths, int $line, array $word, float $factor, Units $to): string
    {
        $scope->refuseIncrements($line, $word);
        // One decimal more than the unit shows, so that going there and back loses nothing a control resolves; a lead is small and adds up.
        $decimals = $to->decimals() + 1;
        if ($word['letter'] === 'F') {
            $decimals = $lengths->isFeedPerTurn() ? $to->decimals() + 2 : 3;
        }

        return WordNumber::written($word['number'].(str_contains($word['number'], '.') ? '' : '.'), (float) $word['number'] * $factor, $decimals);
    }
}
