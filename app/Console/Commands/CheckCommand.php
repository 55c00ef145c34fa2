<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Checks\Verdict;
use OakTrace\Core\Formats\CheckReport;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Verification;

class CheckCommand extends ProgramCommand
{
    protected $signature = 'oak:check {program : a file, or - for standard input} {--setup= : the setup file} {--format=text : text or json} '
        .'{--no-stock : leave out what is cut of the stock} {--rapid-override=100 : per cent, for the times} {--feed-override=100 : per cent, for the times}';

    protected $description = 'Verdict and findings. Exit 0 clear or caution, 1 stop, 2 unreadable input';

    protected function work(Program $program, Setup $setup): int
    {
        $format = $this->option('format');
        if ($format !== 'text' && $format !== 'json') {
            throw new Unreadable('--format is text or json');
        }
        $overrides = [$this->override('rapid'), $this->override('feed')];
        $verification = Verification::of($program, $setup, stock: $this->option('no-stock') === true ? null : StockRun::in($setup),
            turned: $this->option('no-stock') !== true);
        if ($format === 'json') {
            $this->print(
                (string) json_encode(
                    CheckResult::of($verification, ...$overrides),
                    JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR,
                ),
            );
        } else {
            foreach (CheckReport::lines($verification) as $line) {
                $this->print($line);
            }
        }

        return $verification->verdict === Verdict::Stop ? self::FAILURE : self::SUCCESS;
    }

    /** @throws Unreadable */
    private function override(string $name): float
    {
        $percent = $this->option($name.'-override');
        if (! is_numeric($percent) || $percent < 1 || $percent > 300) {
            throw new Unreadable("--{$name}-override is a percentage from 1 to 300");
        }

        return (float) $percent / 100;
    }
}
