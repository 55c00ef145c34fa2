<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Units;

/** Every F of tool 3 times 0.8; every Z below −2 lifted by 0.1; S of the finishing tool set to 4000. The F of a thread stays: it is its lead. */
final class ChangeWords implements TextTransform
{
    private const LETTERS = ['F', 'S', AxisName::Z, AxisName::X, AxisName::Y, 'R', 'Q', 'I', 'J', 'K', AxisName::A, AxisName::B, AxisName::C, 'P', 'H', 'D'];

    private const CALLS = [Code::CallMacro->value, Code::CallAfterMoves->value];

    /** Letters that stand for places, and so mean something else in increments. */
    private const PLACES = [...AxisName::LINEAR, ...AxisName::ROTARY];

    public function name(): string
    {
        return 'change-words';
    }

    public function title(): string
    {
        return 'Change words';
    }

    public function fields(): array
    {
        return [
            Field::choice('letter', 'Every', array_combine(self::LETTERS, self::LETTERS)),
            Field::number('tool', 'of tool (empty for all)', isOptional: true),
            Field::choice('where', 'where it is', ['any' => 'any value', 'below' => 'below', 'above' => 'above', 'equal' => 'equal to']),
            Field::number('limit', 'compared with', isOptional: true),
            Field::choice('how', 'becomes', ['times' => 'multiplied by', 'plus' => 'increased by', 'set' => 'set to']),
            Field::number('by', 'by', 0.8),
        ];
    }

    public function edits(Scope $scope, array $values): array
    {
        ['letter' => $letter, 'tool' => $tool, 'where' => $where, 'limit' => $limit, 'how' => $how, 'by' => $by] = $values;
        if ($where !== 'any' && $limit === null) {
            throw new TransformProblem('Enter the number to compare the word with.');
        }
        $edits = [];
        $leads = $this->leads($scope);
        foreach ($scope->blocks() as $line => $text) {
            if ($letter === 'F' && isset($leads[$line])) {
                continue;
            }
            if ($tool !== null && $scope->tool($line) !== (int) $tool) {
                continue;
            }
            // In increments a place is a way, and adding to every way adds up.
            if ($how !== 'times' && in_array($letter, self::PLACES, true) && ! $scope->isAbsolute($line)) {
                continue;
            }
            if (array_intersect(array_column(array_column($scope->control->codesIn($text), 'code'), 'value'), self::CALLS) !== []) {
                continue; // its words are handed to a macro
            }
            if (LineWords::isReckoned($text, (string) $letter)) {
                throw new TransformProblem("Line {$line} works its {$letter} out. Change it by hand, and leave the line out here.");
            }
            foreach (LineWords::plain($text) as $word) {
                $value = (float) $word['number'];
                if ($word['letter'] !== $letter || ! self::isMeant($value, (string) $where, (float) $limit)) {
                    continue;
                }
                $scope->refuseIncrements($line, $word);
                $new = match ($how) {
                    'times' => $value * (float) $by,
                    'plus' => $value + (float) $by,
                    default => (float) $by,
                };
                $decimals = self::decimals($letter, $new, $scope->units());
                $edits[] = WordNumber::edit($line, $word, $new, str_contains($word['number'], '.') ? max($decimals, 1) : $decimals);
            }
        }

        return array_values(array_filter($edits));
    }

    /** A feed a turn or a tooth is small, and its last digits are a good part of it. */
    private static function decimals(string $letter, float $value, Units $units): int
    {
        return match ($letter) {
            'S', 'H', 'D', 'P' => 0,
            'F' => abs($value) < 10.0 ? $units->decimals() + 1 : 2,
            default => $units->decimals(),
        };
    }

    /** @return array<int, true> lines whose F is that of a thread */
    private function leads(Scope $scope): array
    {
        $found = [];
        $leads = new Leads;
        for ($line = 1, $last = $scope->program->lineCount(); $line <= $last; $line++) {
            $leads->take(array_column($scope->control->codesIn($scope->program->line($line)), 'code'));
            if ($leads->isLead()) {
                $found[$line] = true;
            }
        }

        return $found;
    }

    private static function isMeant(float $value, string $where, float $limit): bool
    {
        return match ($where) {
            'below' => $value < $limit,
            'above' => $value > $limit,
            'equal' => abs($value - $limit) < 1e-9,
            default => true,
        };
    }
}
