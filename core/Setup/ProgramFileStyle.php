<?php

declare(strict_types=1);

namespace OakTrace\Core\Setup;

/** How a control wants its program files. */
final readonly class ProgramFileStyle
{
    /**
     * @param  string  $lineEnds  lf or crlf
     * @param  bool  $percent  whether a line with % stands before and behind
     * @param  string  $ending  of the file's name, without the dot
     */
    public function __construct(public string $lineEnds = 'lf', public bool $percent = false, public string $ending = 'nc')
    {
    }

    /** A program as it is taken to the machine. */
    public function written(string $text): string
    {
        $lines = explode("\n", rtrim(str_replace("\r", '', $text), "\n"));
        if ($this->percent) {
            $lines = trim($lines[0]) === '%' ? $lines : ['%', ...$lines];
            $lines = count($lines) > 1 && trim($lines[count($lines) - 1]) === '%' ? $lines : [...$lines, '%'];
        }
        $end = $this->lineEnds === 'crlf' ? "\r\n" : "\n";

        return implode($end, $lines).$end;
    }

    public function fileName(string $program): string
    {
        $name = trim((string) preg_replace('/[^A-Za-z0-9._-]+/', '_', $program), '._');

        return ($name === '' ? 'program' : $name).($this->ending === '' ? '' : ".{$this->ending}");
    }
}
