<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Checks\Verdict;
use OakTrace\Core\Formats\CheckReport;
use OakTrace\Core\Formats\CheckResult;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;
use RuntimeException;

class CheckCommand extends ProgramCommand
{
    protected $signature = 'oak:check {program : a file, or - for standard input} {--setup= : the setup file} {--format=text : text or json}';

    protected $description = 'Verdict and findings. Exit 0 clear or caution, 1 stop, 2 unreadable input';

    protected function work(Program $program, Setup $setup): int
    {
        $format = $this->option('format');
        if ($format !== 'text' && $format !== 'json') {
            throw new RuntimeException('--format is text or json');
        }
        $verification = Verification::of($program, $setup);
        if ($format === 'json') {
            $this->print((string) json_encode(CheckResult::of($verification), JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT | JSON_THROW_ON_ERROR));
        } else {
            foreach (CheckReport::lines($verification) as $line) {
                $this->print($line);
            }
        }

        return $verification->verdict === Verdict::Stop ? self::FAILURE : self::SUCCESS;
    }
}
