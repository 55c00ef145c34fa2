<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Quantities\Units;

/** A block at the start of the program, or of each tool, that puts every mode where the program expects it. */
final class SafeStart implements TextTransform
{
    public function name(): string
    {
        return 'safe-start';
    }

    public function title(): string
    {
        return 'Safe-start line';
    }

    public function fields(): array
    {
        return [Field::choice('where', 'Block that states every mode', ['program' => 'at the start of the program', 'tools' => 'before each tool change'])];
    }

    public function edits(Scope $scope, array $values): array
    {
        $block = $this->block($scope);
        $edits = [];
        $before = '';
        foreach ($scope->blocks() as $line => $text) {
            $isMeant = $values['where'] === 'program' || in_array(Code::ToolChange, array_column($scope->control->codesIn($text), 'code'), true);
            if ($isMeant && trim($text) !== $block && trim($before) !== $block) {
                $edits[] = new Edit($line, 1, 0, $block."\n", 'Put '.$block);
            }
            if ($values['where'] === 'program') {
                break;
            }
            $before = LineWords::bare($text);
        }

        return $edits;
    }

    private function block(Scope $scope): string
    {
        $codes = [
            $scope->units() === Units::Inch ? Code::UnitsInch : Code::UnitsMillimetre,
            Code::PlaneXY, Code::CutterOff, Code::LengthOff, Code::CycleOff, Code::Absolute, Code::FeedPerMinute,
        ];

        return implode(' ', array_filter(array_map($scope->control->codeOf(...), $codes)));
    }
}
