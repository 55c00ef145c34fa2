<?php

declare(strict_types=1);

namespace App\Bench;

use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Setup\Setup;

/** A long surface program of the kind a programming system writes, and a setup it is sound in. */
final class LongProgram
{
    /** Passes of a ball mill over a wave: mostly X Z pairs, an arc, a lift and a new pass every fifty blocks. */
    public static function text(int $blocks): string
    {
        $text = "%\nO9000 (LONG PROGRAM)\nG21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X-40. Y-30.\nS8000 M3\nG43 H1 Z25. M8\n";
        for ($i = 0; $i < $blocks - 10; $i++) {
            $pass = intdiv($i, 50);
            $y = -30 + fmod($pass * 0.1, 60);
            $x = -40 + ($i % 50) * 1.6;
            $z = -2 + 1.5 * sin($x / 9 + $y / 7);
            $text .= match ($i % 50) {
                0 => "G0 Z5.\n",
                1 => sprintf("X%.3f Y%.3f\n", $x, $y),
                2 => sprintf("G1 Z%.3f F400.\n", $z),
                3 => "F1800.\n",
                30 => sprintf("G3 X%.3f Y%.3f Z%.3f R25.\n", $x, $y, $z),
                31 => sprintf("G1 X%.3f Z%.3f\n", $x, $z),
                default => sprintf("X%.3f Z%.3f\n", $x, $z),
            };
        }

        return $text."G0 Z25.\nM9\nM30\n%\n";
    }

    public static function setup(SetupFile $files): Setup
    {
        $file = [
            'format' => 'oak-setup/1', 'units' => 'mm',
            'machine' => json_decode((string) file_get_contents(database_path('demo/machines.json')), true)['Alder'],
            'workOffsets' => ['G54' => ['X' => -380, 'Y' => -205, 'Z' => 0]],
            'tools' => [['number' => 1, 'name' => '6 ball mill', 'kind' => 'ball-mill', 'diameter' => 6]],
            'offsets' => ['H' => ['1' => -250]],
            'stock' => ['shape' => 'box', 'min' => [-45, -35, -20], 'max' => [45, 35, 0], 'workOffset' => 'G54'],
            'clearance' => 2,
        ];

        return $files->read((string) json_encode($file));
    }
}
