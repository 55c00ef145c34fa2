<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Setup\Setup;

/** The demo shop's programs and setups. */
final class Demo
{
    public const PROGRAMS = ['1305', '1210', '1410', '1502', '1608', '1711', '1820', '1935'];

    /** Programs of the lathes. */
    public const TURNED = ['2110', '2130', '2140', '2150', '2160', '2170'];

    /** Jobs in the shop, those from operation sheets with them. */
    public const JOBS = 17;

    private const MACHINES = [
        '1820' => 'Alder with rotary', '2110' => 'Hazel', '2130' => 'Hazel', '2140' => 'Hazel', '2150' => 'Willow', '2160' => 'Willow',
        '2170' => 'Hazel',
    ];

    public static function text(string $program): string
    {
        return (string) file_get_contents(self::folder()."/O{$program}.nc");
    }

    public static function setup(string $program): Setup
    {
        return Bench::files()->read(self::file($program));
    }

    /** The whole setup file. */
    public static function file(string $program): string
    {
        $document = json_decode((string) file_get_contents(self::folder()."/setup-{$program}.json"));
        $machine = new \App\Models\Machine;
        $machine->definition = json_decode((string) file_get_contents(self::folder().'/machines.json'))->{self::MACHINES[$program] ?? 'Alder'};

        return \App\Models\Setup::join($document, $machine);
    }

    private static function folder(): string
    {
        return dirname(__DIR__, 2).'/database/demo';
    }
}
