<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Endurance\BadInputByCommand;
use App\Endurance\BadInputByHttp;
use App\Endurance\Client;
use App\Endurance\FullDisk;
use App\Endurance\KilledWorkers;
use Illuminate\Console\Command;
use RuntimeException;

class EndureCommand extends Command
{
    protected $signature = 'oak:endure {what : kill, disk or inputs} {--kills=50} {--count=2000} {--seed=1} {--by=http : http or command} '
        .'{--address=} {--program=} {--log=}';

    protected $description = 'Hard days on a shop made for them: exit 0 where nothing was lost';

    public function handle(): int
    {
        [$count, $seed] = [(int) $this->option('count'), (int) $this->option('seed')];
        try {
            $lines = match ($this->argument('what')) {
                'kill' => KilledWorkers::run((int) $this->option('kills')),
                'disk' => FullDisk::run(),
                'inputs' => [$this->option('by') === 'command' ? BadInputByCommand::run($count, $seed) : BadInputByHttp::run($count, $seed)],
                'saver' => $this->save(),
                default => throw new RuntimeException('endure takes kill, disk or inputs'),
            };
        } catch (RuntimeException $e) {
            fwrite(STDERR, 'oak: '.$e->getMessage()."\n");

            return self::FAILURE;
        }
        foreach ($lines as $line) {
            $this->line($line);
        }

        return self::SUCCESS;
    }

    /** Saves without a pause until it is ended, and writes down each save that was acknowledged. */
    private function save(): never
    {
        $client = new Client((string) $this->option('address'));
        $program = (int) $this->option('program');
        $number = 1;
        for ($i = 0; ; $i++) {
            $text = "(SAVE {$i} OF {$program})\nG21 G17 G90 G94\nG0 Z50.\nM30\n".str_repeat("(FILLED)\n", random_int(0, 3000));
            $answer = $client->send('POST', "/programs/{$program}/revisions", (string) json_encode(['text' => $text, 'base' => $number, 'reason' => '']));
            $said = json_decode((string) $answer?->getBody(), true);
            if ($answer?->getStatusCode() === 201 && is_array($said)) {
                $number = (int) $said['revision']['number'];
                file_put_contents((string) $this->option('log'), $number.' '.hash('xxh128', $text)."\n", FILE_APPEND | LOCK_EX);
            } elseif ($answer?->getStatusCode() === 409 && is_array($said)) {
                $number = (int) ($said['latest']['number'] ?? $number); // stored, but the answer was lost on the way
            } else {
                usleep(20_000);
            }
        }
    }
}
