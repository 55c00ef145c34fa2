<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Transform\Expand;
use OakTrace\Core\Verification;

class ExpandCommand extends ProgramCommand
{
    protected $signature = 'oak:expand {program : a file, or - for standard input} {--setup= : the setup file} {--decimals= : of every coordinate, 0 to 9}';

    protected $description = 'The same motion as plain G0 G1 G2 G3 blocks';

    protected function work(Program $program, Setup $setup): int
    {
        $decimals = $this->option('decimals');
        if ($decimals !== null && preg_match('/^[0-9]$/', (string) $decimals) !== 1) {
            throw new Unreadable('--decimals takes a whole number from 0 to 9');
        }
        foreach (Expand::of(Verification::trace($program, $setup), $setup, $decimals === null ? null : (int) $decimals) as $line) {
            $this->print($line);
        }

        return self::SUCCESS;
    }
}
