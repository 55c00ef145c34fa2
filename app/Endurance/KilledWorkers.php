<?php

declare(strict_types=1);

namespace App\Endurance;

use App\Bench\BenchShop;
use App\Models\Program;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/** Kills the web server and the queue workers of a shop in the middle of saves, and looks whether anything acknowledged was lost. */
final class KilledWorkers
{
    private const SAVERS = 4;

    /** Longest time the verdicts may take to come once everything runs again. */
    private const SETTLE_SECONDS = 120;

    /** @return list<string> what was found, one line each; throws where something was lost */
    public static function run(int $kills): array
    {
        return BenchShop::during(static function (BenchShop $shop) use ($kills): array {
            $folder = sys_get_temp_dir().'/oak-endure-'.bin2hex(random_bytes(4));
            mkdir($folder);
            $savers = [];
            for ($i = 1; $i <= self::SAVERS; $i++) {
                $saver = new Process(
                    [PHP_BINARY, 'artisan', 'oak:endure', 'saver', "--address={$shop->address}", "--program={$i}", "--log={$folder}/{$i}"], base_path(),
                );
                $saver->setTimeout(null)->start();
                $savers[] = $saver;
            }
            sleep(3);
            for ($kill = 0; $kill < $kills; $kill++) {
                usleep(random_int(300_000, 900_000));
                $which = ['web', 'web', 'verdicts', 'checks'][$kill % 4];
                $shop->kill($which);
                $shop->start($which);
            }
            $shop->awaitAnswer();
            sleep(2);
            foreach ($savers as $saver) {
                $saver->stop(2);
            }

            return $shop->onItsDatabase(static fn (): array => self::examine($folder, $kills));
        }, workers: 4);
    }

    /** @return list<string> */
    private static function examine(string $folder, int $kills): array
    {
        $acknowledged = $lost = 0;
        for ($i = 1; $i <= self::SAVERS; $i++) {
            $stored = Program::findOrFail($i)->revisions()->get()->mapWithKeys(
                static fn ($revision): array => [$revision->number => hash('xxh128', $revision->text)],
            )->all();
            foreach (file("{$folder}/{$i}", FILE_IGNORE_NEW_LINES) ?: [] as $line) {
                [$number, $hash] = explode(' ', $line);
                $acknowledged++;
                $lost += ($stored[(int) $number] ?? null) === $hash ? 0 : 1;
            }
        }
        $integrity = DB::selectOne('pragma integrity_check')->integrity_check ?? 'unknown';
        for ($end = microtime(true) + self::SETTLE_SECONDS; microtime(true) < $end && Program::whereNull('verdict')->exists();) {
            usleep(200_000);
        }
        $open = Program::whereNull('verdict')->count();
        if ($lost > 0 || $integrity !== 'ok' || $open > 0 || $acknowledged === 0) {
            throw new RuntimeException("of {$acknowledged} acknowledged saves {$lost} were lost; integrity: {$integrity}; {$open} verdicts never came");
        }

        return ["{$kills} kills: {$acknowledged} saves were acknowledged and all of them are there; integrity ok; every verdict came"];
    }
}
