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
    private const LENGTHS = 'XYZUVWIJKRQF';

    /** With these a word of a place is an angle, a factor or a time. */
    private const NO_LENGTHS = [Code::InverseTime, Code::RotateOn, Code::ScaleOn, Code::PolarOn, Code::CallMacro, Code::CallAfterMoves];

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
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $text = $scope->program->line($line);
            if (strpbrk(LineWords::bare($text), '#[') !== false) {
                throw new TransformProblem("Line {$line} uses variables; which of its values are lengths cannot be told.");
            }
            $codes = array_column($scope->control->codesIn($text), 'code');
            foreach (self::NO_LENGTHS as $code) {
                if (in_array($code, $codes, true)) {
                    throw new TransformProblem("Line {$line} has words that are not lengths where they stand ({$code->words()}); convert it by hand.");
                }
            }
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
            foreach (in_array(Code::Dwell, $codes, true) ? [] : LineWords::of($text) as $word) {
                if (! str_contains(self::LENGTHS, $word['letter'])) {
                    continue;
                }
                $scope->refuseIncrements($line, $word);
                // One decimal more than the unit shows, so that going there and back loses nothing a control resolves.
                $like = $word['number'].(str_contains($word['number'], '.') ? '' : '.');
                $number = WordNumber::written($like, (float) $word['number'] * $factor, $word['letter'] === 'F' ? 3 : $to->decimals() + 1);
                $edits[] = new Edit($line, $word['at'] + 1, strlen($word['number']), $number, 'Convert');
            }
        }
        if (! $stated) {
            throw new TransformProblem('The program never states its units. State them first, so that what is converted is certain.');
        }

        return $edits;
    }
}
