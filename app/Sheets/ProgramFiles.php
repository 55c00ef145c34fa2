<?php

declare(strict_types=1);

namespace App\Sheets;

use App\Models\Program;
use App\Models\Setup;
use OakTrace\Core\Setup\ProgramFileStyle;
use OakTrace\Core\Setup\Setup as CoreSetup;
use ZipArchive;

/** Programs as they are taken to the machine: in the line ends, with the percent signs and under the names its control wants. */
final class ProgramFiles
{
    public static function style(CoreSetup $setup): ProgramFileStyle
    {
        return $setup->onMachine->programFiles ?? new ProgramFileStyle;
    }

    /** Every program of a setup, and every subprogram they may call, in a zip. */
    public static function zip(Setup $setup, CoreSetup $core): string
    {
        $style = self::style($core);
        $files = [];
        foreach ($core->inputs->subprograms as $name => $text) {
            $files[$style->fileName($name)] = $text;
        }
        foreach ($setup->programs->whereNull('called_as') as $program) {
            $files[self::free($style->fileName($program->name), $files)] = $program->latest->text;
        }
        $path = (string) tempnam(sys_get_temp_dir(), 'oak');
        $zip = new ZipArchive;
        $zip->open($path, ZipArchive::OVERWRITE);
        foreach ($files as $name => $text) {
            $zip->addFromString((string) $name, $style->written($text));
        }
        $zip->setArchiveComment('Prove each program out before you trust it.');
        $zip->close();
        $bytes = (string) file_get_contents($path);
        unlink($path);

        return $bytes;
    }

    /** @param  array<array-key, string>  $taken */
    private static function free(string $name, array $taken): string
    {
        [$base, $ending] = array_pad(explode('.', $name, 2), 2, '');
        for ($n = 2, $free = $name; isset($taken[$free]); $n++) {
            $free = "{$base}-{$n}".($ending === '' ? '' : ".{$ending}");
        }

        return $free;
    }
}
