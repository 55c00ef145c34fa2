<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Verification;

class TraceCommand extends ProgramCommand
{
    protected $signature = 'oak:trace {program : a file, or - for standard input} {--setup= : the setup file}';

    protected $description = 'Every motion and event as JSON Lines';

    protected function work(Program $program, Setup $setup): int
    {
        foreach (TraceLines::of(Verification::trace($program, $setup), $setup) as $line) {
            $this->print((string) json_encode($line, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR));
        }

        return self::SUCCESS;
    }
}
