<?php

declare(strict_types=1);

namespace App\Endurance;

use GuzzleHttp\Psr7\Utils;
use Illuminate\Support\Facades\Artisan;
use Symfony\Component\Console\Output\StreamOutput;
use Tests\Core\BadSetups;

/** What nobody should write, through the command line's check: a verdict or input that cannot be read, each in lines that can be shown. */
final class BadInputByCommand
{
    /** Clear or caution, stop, input that cannot be read; never 3, where Oak Trace failed. */
    private const ANSWERS = [0, 1, 2];

    public static function run(int $count, int $seed): string
    {
        $folder = sys_get_temp_dir().'/oak-bad-'.bin2hex(random_bytes(4));
        mkdir($folder);
        try {
            file_put_contents(
                "{$folder}/sound.nc",
                "G21 G17 G40 G49 G80 G90 G94\nT1 M6\nG54 G0 X0. Y0.\nS3000 M3\nG43 H1 Z25.\nG1 Z-2. F200.\nX20.\nG0 Z25.\nM5\nM30\n",
            );
            file_put_contents("{$folder}/whole.json", (string) json_encode(BadSetups::everyField()));

            return BadInput::each(
                $count, $seed, 'command', static fn (?string $program, ?string $setup): array => self::answer($folder, $program, $setup), self::ANSWERS,
            );
        } finally {
            array_map(unlink(...), glob("{$folder}/*") ?: []);
            rmdir($folder);
        }
    }

    /** @return array{int|string, string} */
    private static function answer(string $folder, ?string $program, ?string $setup): array
    {
        $files = ['sound.nc', 'whole.json'];
        foreach ([$program, $setup] as $which => $text) {
            if ($text !== null) {
                file_put_contents($folder.'/'.($files[$which] = 'bad'), $text);
            }
        }
        file_put_contents($said = "{$folder}/said", '');
        // What is cut takes most of the time, so it is left out of most.
        $status = Artisan::call(
            'oak:check',
            ['program' => "{$folder}/{$files[0]}", '--setup' => "{$folder}/{$files[1]}", '--no-stock' => strlen((string) $program) % 512 !== 0],
            new StreamOutput(Utils::tryFopen($said, 'w')),
        );
        $words = (string) file_get_contents($said);

        return [preg_match('/[\x00-\x08\x0B-\x1F\x7F]/', $words) === 1 ? 'a control character' : ($words === '' ? 'nothing' : $status), substr($words, 0, 300)];
    }
}
