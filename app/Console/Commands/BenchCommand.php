<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Bench\AnswerTime;
use App\Bench\BrowserSpeed;
use App\Bench\EditTime;
use App\Bench\HttpTime;
use App\Bench\LongProgram;
use App\Bench\PeopleLoad;
use App\Bench\ReadSpeed;
use App\Bench\SheetTime;
use App\Bench\StockSpeed;
use App\Bench\TurnSpeed;
use Illuminate\Console\Command;
use OakTrace\Core\Formats\SetupFile;

class BenchCommand extends Command
{
    protected $signature = 'oak:bench
        {--json : one object a line}
        {--blocks=100000 : blocks of the long program}
        {--memory-blocks=1000000 : blocks of the program memory is measured on}
        {--browser-blocks=1025000 : blocks of the program that is opened in a browser, about as many motions}
        {--people-seconds=60 : how long people work on a server of their own}
        {--database= : another database to measure them on too, as a URL; all in it is thrown away}';

    protected $description = 'Performance figures, as ratios to a floor measured in the same run';

    public function handle(SetupFile $files, SheetTime $sheets): int
    {
        $setup = LongProgram::setup($files);
        $stock = new StockSpeed($files);
        $demo = $stock->demo();
        $read = new ReadSpeed($setup);
        $blocks = max(1000, (int) $this->option('blocks'));
        $figures = [
            ...$read->speed(LongProgram::text($blocks)),
            ...$read->memory(LongProgram::text(max(1000, (int) $this->option('memory-blocks')))),
            ...EditTime::figures($setup),
            ...AnswerTime::figures($setup),
            ...$sheets->figures(),
            ...(new HttpTime($files))->figures(),
            ...$stock->figures(),
            ...(new TurnSpeed($files))->figures(),
            ...$demo,
            ...$this->people(),
            ...(new BrowserSpeed($setup))->figures(max(1000, (int) $this->option('browser-blocks'))),
        ];
        foreach ($figures as [$name, $value, $unit]) {
            fwrite(STDOUT, $this->option('json') === true
                ? json_encode(['name' => $name, 'value' => round($value, 3), 'unit' => $unit], JSON_UNESCAPED_UNICODE)."\n"
                : sprintf("%-22s %10.2f %s\n", $name, $value, $unit));
        }

        return self::SUCCESS;
    }

    /** @return list<array{string, float, string}> */
    private function people(): array
    {
        $url = $this->option('database');
        $figures = [];
        foreach (['sqlite' => null, ...(is_string($url) && $url !== '' ? [explode(':', $url)[0] => $url] : [])] as $name => $at) {
            foreach ([2, 8, PeopleLoad::SHOP] as $people) {
                array_push($figures, ...PeopleLoad::figures($people, max(1, (int) $this->option('people-seconds')), $name, $at));
            }
        }

        return $figures;
    }
}
