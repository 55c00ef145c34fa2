<?php

declare(strict_types=1);

namespace App\Shop;

use App\Models\CribTool;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Quantities\Units;

/** What the crib takes as a tool. */
final class CribTools
{
    /**
     * A tool that a setup could have, in millimetres.
     *
     * @param  array<string, mixed>  $tool  without its number
     * @return array<string, mixed>
     *
     * @throws SetupFileError with the fields as the tool has them
     */
    public static function checked(SetupFile $files, array $tool, Units $units): array
    {
        $name = $tool['name'] ?? null;
        if (! is_string($name) || trim($name) === '' || mb_strlen($name) > 80) {
            throw new SetupFileError(['name' => 'Enter a name, up to 80 characters long.']);
        }
        $machine = ['name' => 'any', 'kind' => 'mill', 'axes' => ['X' => (object) []]];
        $setup = ['format' => 'oak-setup/1', 'units' => $units->value, 'machine' => $machine, 'tools' => [['number' => 1] + $tool]];
        try {
            $files->read((string) json_encode($setup));
        } catch (SetupFileError $e) {
            $own = [];
            foreach ($e->fields as $field => $words) {
                $own[(string) preg_replace('/^tools(\.0)?\.?/', '', $field)] = $words;
            }

            throw new SetupFileError($own);
        }

        return CribTool::converted($tool, $units, Units::Millimetre);
    }
}
