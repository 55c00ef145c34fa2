<?php

declare(strict_types=1);

namespace OakTrace\Core\Transform\Text;

use OakTrace\Core\Control\ChangesTool;
use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ToolWord;
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
            $isMeant = $values['where'] === 'program' || self::changesTool($scope, $text);
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
            ...($scope->control->isOfLathe() ? [Code::PlaneZX, Code::CutterOff, Code::CycleOff, Code::Absolute, $scope->firstFeedMode()]
                : [Code::PlaneXY, Code::CutterOff, Code::LengthOff, Code::CycleOff, Code::Absolute, Code::FeedPerMinute]),
        ];

        return implode(' ', array_filter(array_map($scope->control->codeOf(...), $codes)));
    }

    /** By the code for it, or by T where that brings the station in. */
    private static function changesTool(Scope $scope, string $text): bool
    {
        $turning = $scope->control->options->turning;
        if (in_array(Code::ToolChange, array_column($scope->control->codesIn($text), 'code'), true)) {
            return true;
        }

        return $turning->toolWord !== ToolWord::Number && $turning->changesTool === ChangesTool::OnT
            && in_array('T', array_column(LineWords::plain($text), 'letter'), true);
    }
}
