<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Setup\Setup;

final class ExplainCommand extends ProgramCommand
{
    protected $signature = 'oak:explain {program : the program, or - for standard input} {--setup= : the setup file} {--line= : the line, from 1} '
        .'{--format=text : text or json}';

    protected $description = 'What a line of a program does, in plain words';

    protected function work(Program $program, Setup $setup): int
    {
        $format = $this->option('format');
        if ($format !== 'text' && $format !== 'json') {
            throw new Unreadable('--format is text or json');
        }
        $line = $this->option('line');
        if (! is_string($line) || ! ctype_digit($line) || (int) $line < 1 || (int) $line > $program->lineCount()) {
            throw new Unreadable('say which line with --line N, from 1 to '.$program->lineCount());
        }
        $explanation = Explanation::of($program, $setup, (int) $line);
        $json = static fn (): string => json_encode($explanation, JSON_UNESCAPED_UNICODE | JSON_INVALID_UTF8_SUBSTITUTE | JSON_THROW_ON_ERROR);
        foreach ($format === 'json' ? [$json()] : $explanation->lines() as $text) {
            $this->print($text);
        }

        return self::SUCCESS;
    }
}
