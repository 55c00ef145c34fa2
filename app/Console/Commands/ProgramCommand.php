<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;

/** What the commands share that read a program with its setup. */
abstract class ProgramCommand extends FileCommand
{
    final public function handle(SetupFile $files): int
    {
        return $this->guarded(fn (): int => $this->work($this->program(), $this->setup($files)), 'program');
    }

    abstract protected function work(Program $program, Setup $setup): int;

    /** @throws Unreadable */
    private function program(): Program
    {
        $path = (string) $this->argument('program');

        return Program::fromText($this->read($path === '-' ? 'php://stdin' : $path, 'program'), $path);
    }
}
