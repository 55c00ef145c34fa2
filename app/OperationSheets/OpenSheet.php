<?php

declare(strict_types=1);

namespace App\OperationSheets;

use App\Models\Program;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Setup\Tool;
use OakTrace\Core\Sheet\Again;
use OakTrace\Core\Sheet\Ask;
use OakTrace\Core\Sheet\Operation;
use OakTrace\Core\Sheet\OperationCatalogue;
use OakTrace\Core\Sheet\Repeat;

/** What the bench needs to open an operation sheet: the sheet, what can be asked, and what its setup has. */
final class OpenSheet
{
    /**
     * @param  array{document: array<string, mixed>, written: list<array{key: string, lines: list<string>}>}  $sheet
     * @return array<string, mixed>
     */
    public static function of(Program $program, array $sheet, SetupFile $files): array
    {
        try {
            $setup = $program->setup->core($files);
        } catch (SetupFileError) {
            $setup = null; // the setup is to be put right first, which the check says
        }

        return $sheet + [
            'kinds' => self::kinds(),
            'units' => $setup === null ? 'mm' : $setup->units->symbol(),
            'tools' => array_values(array_map(
                static fn (Tool $tool): array => ['number' => $tool->number, 'name' => $tool->name, 'isTap' => $tool->geometry->pitch !== null],
                $setup->tooling->tools ?? [],
            )),
            'workOffsets' => array_values(preg_grep('/^G5[4-9]$/', array_keys($setup->workOffsets ?? [])) ?: []),
        ];
    }

    /** @return list<array{kind: string, words: string, needsTool: bool, mayHaveTool: bool, asks: list<array<string, mixed>>}> */
    private static function kinds(): array
    {
        $kinds = array_map(static fn (Operation $operation): array => [
            'kind' => $operation->kind(), 'words' => $operation->words(), 'needsTool' => $operation->needsTool(), 'mayHaveTool' => $operation->needsTool(),
            'asks' => array_map(self::ask(...), $operation->asks()),
        ], OperationCatalogue::all());

        return [
            ...$kinds,
            ['kind' => Again::KIND, 'words' => 'Again', 'needsTool' => false, 'mayHaveTool' => true, 'asks' => array_map(self::ask(...), Again::asks())],
            ['kind' => Repeat::KIND, 'words' => 'Repeat', 'needsTool' => false, 'mayHaveTool' => false, 'asks' => array_map(self::ask(...), Repeat::asks())],
        ];
    }

    /** @return array<string, mixed> */
    private static function ask(Ask $ask): array
    {
        return [
            'field' => $ask->field, 'words' => $ask->words, 'kind' => $ask->kind->value, 'choices' => $ask->choices, 'when' => $ask->when,
            'isCutting' => $ask->isCutting, 'isRare' => $ask->isRare, 'parts' => array_map(self::ask(...), $ask->parts),
        ];
    }
}
