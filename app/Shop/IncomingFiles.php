<?php

declare(strict_types=1);

namespace App\Shop;

use Illuminate\Http\UploadedFile;
use ZipArchive;

/** Program files as they come in: one, many, or a zip of them. All are looked at before any is taken. */
final class IncomingFiles
{
    /** Files of a zip, and of one drop. */
    public const MOST = 200;

    private const TEXT_ENDING = '/\.[a-z0-9]{1,5}$/i';

    /**
     * @param  list<UploadedFile>  $files
     * @return list<array{name: string, text: string, isConverted: bool}>
     *
     * @throws ShopProblem naming the file and what is wrong with it; then none is to be taken
     */
    public static function programs(array $files): array
    {
        $programs = [];
        foreach ($files as $file) {
            $name = $file->getClientOriginalName();
            foreach (self::isZip($file) ? self::unpacked($file, $name) : [$name => (string) file_get_contents($file->getRealPath())] as $each => $bytes) {
                $programs[] = self::program((string) $each, $bytes);
            }
        }
        $names = array_column($programs, 'name');
        foreach (array_diff_key($names, array_unique($names)) as $twice) {
            throw new ShopProblem("Two of these files would both become {$twice}. Rename one. Nothing was saved.");
        }

        return count($programs) <= self::MOST ? $programs : throw new ShopProblem('These are more than '.self::MOST.' files. Nothing was saved.');
    }

    /** A file's name without its ending; the dots of a number stay. */
    public static function nameOf(string $file): string
    {
        $base = basename(str_replace('\\', '/', $file));
        $name = trim((string) preg_replace('/[\x00-\x1F]/', '', (string) preg_replace(self::TEXT_ENDING, '', $base)));

        return mb_strimwidth($name === '' ? ($base === '' ? 'Program' : ltrim($base, '.')) : $name, 0, 80);
    }

    /** @return array{name: string, text: string, isConverted: bool} */
    private static function program(string $file, string $bytes): array
    {
        if (strlen($bytes) > (int) config('oak.largest_program')) {
            throw new ShopProblem(self::shown($file).' is larger than '.self::limit().', the limit for a program. Nothing was saved.');
        }
        if (preg_match('/[\x00-\x08\x0E-\x1F]/', $bytes) === 1) {
            throw new ShopProblem(self::shown($file).' is not a text file: it has bytes that no program has. Nothing was saved.');
        }
        // Older editors write their own letters in comments; the codes themselves are plain ASCII either way.
        $isConverted = ! mb_check_encoding($bytes, 'UTF-8');
        $text = $isConverted ? (string) mb_convert_encoding($bytes, 'UTF-8', 'Windows-1252') : (string) preg_replace('/^\xEF\xBB\xBF/', '', $bytes);

        return ['name' => self::nameOf($file), 'text' => $text, 'isConverted' => $isConverted];
    }

    private static function isZip(UploadedFile $file): bool
    {
        return str_starts_with((string) file_get_contents($file->getRealPath(), length: 4), "PK\x03\x04");
    }

    /** @return array<string, string> entry => its bytes */
    private static function unpacked(UploadedFile $file, string $name): array
    {
        $zip = new ZipArchive;
        if ($zip->open($file->getRealPath(), ZipArchive::RDONLY) !== true) {
            throw new ShopProblem(self::shown($name).' is a damaged zip file. Nothing was saved.');
        }
        $found = [];
        $most = (int) config('oak.largest_program');
        for ($i = 0; $i < $zip->numFiles; $i++) {
            $entry = (string) $zip->getNameIndex($i);
            if (str_ends_with($entry, '/')) {
                continue;
            }
            if (preg_match('#(^|[/\\\\])\.\.([/\\\\]|$)|^[/\\\\]|^[A-Za-z]:#', $entry) === 1) {
                throw new ShopProblem(self::shown($name).' holds a file that points outside it ('.self::shown($entry).'). Nothing was saved.');
            }
            // What the zip says of the size may be a lie, so no more than the limit is ever unpacked.
            $bytes = count($found) < self::MOST ? $zip->getFromIndex($i, $most + 1) : throw new ShopProblem(
                self::shown($name).' holds more than '.self::MOST.' files. Nothing was saved.',
            );
            if ($bytes === false) {
                throw new ShopProblem(
                    'The file '.self::shown($entry).' in '.self::shown($name).' cannot be unpacked; is it locked by a password? Nothing was saved.',
                );
            }
            $most -= strlen($bytes);
            if ($most < 0) {
                throw new ShopProblem(self::shown($name).' unpacks to more than '.self::limit().'. Nothing was saved.');
            }
            $found[$entry] = $bytes;
        }

        return $found !== [] ? $found : throw new ShopProblem(self::shown($name).' is an empty zip file. Nothing was saved.');
    }

    private static function shown(string $name): string
    {
        return '“'.mb_strimwidth(mb_scrub($name, 'UTF-8'), 0, 60, '…').'”';
    }

    private static function limit(): string
    {
        return intdiv((int) config('oak.largest_program'), 1024 * 1024).' MB';
    }
}
