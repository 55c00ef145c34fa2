<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Setup\Units;

/** A whole program from inches to millimetres or back, its unit code with it. */
final class ConvertUnits implements TextTransform
{
    private const LENGTHS = 'XYZUVWIJKRQF';

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
        $edits = [];
        $stated = false;
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $text = $scope->program->line($line);
            if (strpbrk(LineWords::bare($text), '#[') !== false) {
                throw new TransformProblem("Line {$line} reckons with parameters; what is a length in it cannot be told.");
            }
            $words = LineWords::of($text);
            $codes = array_map(static fn (array $word): string => $word['letter'].(float) $word['number'], $words);
            if (in_array('G93', $codes, true) || array_intersect(['G68', 'G51', 'G16'], $codes) !== []) {
                throw new TransformProblem("Line {$line} has words that are no lengths where they stand (inverse time, angles or factors); convert it by hand.");
            }
            foreach ($words as $word) {
                $isCode = $word['letter'] === 'G' && in_array((float) $word['number'], [20.0, 21.0], true);
                if ($isCode) {
                    $stated = true;
                    $edits[] = new Edit($line, $word['at'] + 1, strlen($word['number']), $to === Units::Inch ? '20' : '21', 'Put the units');
                } elseif (str_contains(self::LENGTHS, $word['letter']) && ! in_array('G4', $codes, true)) {
                    // One decimal more than the unit shows, so that going there and back loses nothing a control resolves.
                    $like = $word['number'].(str_contains($word['number'], '.') ? '' : '.');
                    $number = WordNumber::written($like, (float) $word['number'] * $factor, $word['letter'] === 'F' ? 3 : $to->decimals() + 1);
                    $edits[] = new Edit($line, $word['at'] + 1, strlen($word['number']), $number, 'Convert');
                }
            }
        }
        if (! $stated) {
            throw new TransformProblem('The program never states its units. State them first, so that what is converted is certain.');
        }

        return $edits;
    }
}
