<?php

declare(strict_types=1);

namespace App\Endurance;

use App\Bench\BenchShop;
use App\Models\Program;
use Illuminate\Support\Facades\DB;
use RuntimeException;
use Symfony\Component\Process\Process;

/** A shop on a disk that fills up while people save: each save is there whole or was refused with its reason. Needs root, to make such a disk. */
final class FullDisk
{
    private const KILOBYTES = 700;

    /** @return list<string> */
    public static function run(): array
    {
        $folder = sys_get_temp_dir().'/oak-full-'.bin2hex(random_bytes(4));
        mkdir($folder);
        // The shop is made with room, and then has no more than so much left.
        if ((new Process(['mount', '-t', 'tmpfs', '-o', 'size=64m', 'tmpfs', $folder]))->run() !== 0) {
            throw new RuntimeException('a small disk cannot be made here (mount of a tmpfs was refused)');
        }
        try {
            return BenchShop::during(static function (BenchShop $shop) use ($folder): array {
                $fill = (int) disk_free_space($folder) - self::KILOBYTES * 1024;
                file_put_contents("{$folder}/fill", str_repeat('x', max(0, $fill)));

                return self::save($shop);
            }, folder: $folder);
        } finally {
            (new Process(['umount', '-l', $folder]))->run();
            rmdir($folder);
        }
    }

    /** @return list<string> */
    private static function save(BenchShop $shop): array
    {
        $client = new Client($shop->address);
        [$saved, $refused, $number] = [0, 0, 1];
        for ($i = 0; $i < 60 && $refused < 8; $i++) {
            $text = "(SAVE {$i})\n".str_repeat("G1 X1. F100.\n", 4000);
            $answer = $client->send('POST', '/programs/1/revisions', (string) json_encode(['text' => $text, 'base' => $number, 'reason' => '']));
            $status = $answer?->getStatusCode() ?? 0;
            if ($status === 201) {
                $number++;
                $saved++;
            } elseif ($status === 507 && str_contains((string) $answer?->getBody(), 'Nothing was saved')) {
                $refused++;
            } else {
                throw new RuntimeException("save {$i} was answered with {$status}: ".substr((string) $answer?->getBody(), 0, 300));
            }
        }
        [$stored, $whole, $integrity] = $shop->onItsDatabase(static fn (): array => [
            Program::findOrFail(1)->revisions()->count(), Program::findOrFail(1)->revisions()->where('number', '>', 1)->get()->every(
                static fn ($revision): bool => strlen($revision->text) > 52_000,
            ),
            DB::selectOne('pragma integrity_check')->integrity_check ?? 'unknown',
        ]);
        if ($refused === 0 || $stored !== $saved + 1 || ! $whole || $integrity !== 'ok') {
            throw new RuntimeException(
                "{$saved} saves were acknowledged, {$refused} refused, {$stored} revisions are there; whole: ".($whole ? 'yes' : 'no')
                    ."; integrity: {$integrity}",
            );
        }

        return [
            sprintf(
                'a disk with %d kB left: %d saves were acknowledged and are there whole, %d refused with the reason; integrity ok', self::KILOBYTES,
                $saved, $refused,
            ),
        ];
    }
}
