<?php

declare(strict_types=1);

namespace App\Docs;

use App\Models\Machine;
use App\Models\Setup;

/** `docs/examples`: programs of the demo, each with its whole setup file, and operation sheets, as the command line takes them. */
final class Examples
{
    /** Program => name of its machine. */
    private const PROGRAMS = ['1305' => 'Alder', '1410' => 'Alder', '1608' => 'Alder', '1820' => 'Alder with rotary', '2110' => 'Hazel'];

    /** Sheet => name of its file. */
    private const SHEETS = ['1306' => 'hub-plate', '1610' => 'soft-jaws', '1702' => 'spotted-panel'];

    /** @return array<string, string> name of each file => what is in it */
    public static function files(): array
    {
        /** @var array<string, object> $machines */
        $machines = get_object_vars((object) json_decode(self::demo('machines.json')));
        $files = [];
        foreach (self::PROGRAMS as $program => $name) {
            /** @var object $document */
            $document = json_decode(self::demo("setup-{$program}.json"));
            $machine = new Machine;
            $machine->definition = $machines[$name];
            $files["O{$program}.nc"] = self::demo("O{$program}.nc");
            $files["O{$program}.json"] = json_encode(
                json_decode(Setup::join($document, $machine)), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
            )."\n";
        }

        foreach (self::SHEETS as $sheet => $name) {
            $files["{$name}.sheet.json"] = self::demo("sheet-{$sheet}.json");
        }

        return $files;
    }

    private static function demo(string $file): string
    {
        return (string) file_get_contents(database_path("demo/{$file}"));
    }
}
