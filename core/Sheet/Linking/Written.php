<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Linking;

use OakTrace\Core\Compare\LineMatch;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Sheet\BuiltProgram;

/** A program as a sheet wrote it, in sections: what a text that may have been changed by hand since is held against. */
final readonly class Written
{
    /** @param  list<Section>  $sections */
    private function __construct(public array $sections)
    {
    }

    public static function by(BuiltProgram $program): self
    {
        $sections = [];
        $times = [];
        $at = 0;
        foreach ($program->operations as ['id' => $id, 'offset' => $offset, 'lines' => [$from, $to]]) {
            if ($from - 1 > $at) {
                $sections[] = new Section($sections === [] ? Section::HEAD : Section::END, array_slice($program->lines, $at, $from - 1 - $at));
            }
            $times["{$id} {$offset}"] = ($times["{$id} {$offset}"] ?? 0) + 1;
            $sections[] = new Section(Section::keyOf($id, $offset, $times["{$id} {$offset}"]), array_slice($program->lines, $from - 1, $to - $from + 1));
            $at = $to;
        }
        if ($at < count($program->lines)) {
            $sections[] = new Section(Section::END, array_slice($program->lines, $at));
        }

        return new self($sections);
    }

    /** @param  list<array{key: string, lines: list<string>}>  $kept  see toArray() */
    public static function kept(array $kept): self
    {
        return new self(array_map(static fn (array $section): Section => new Section($section['key'], $section['lines']), $kept));
    }

    /** @return list<array{key: string, lines: list<string>}> */
    public function toArray(): array
    {
        return array_map(static fn (Section $section): array => ['key' => $section->key, 'lines' => $section->lines], $this->sections);
    }

    public function section(string $key): ?Section
    {
        foreach ($this->sections as $section) {
            if ($section->key === $key) {
                return $section;
            }
        }

        return null;
    }

    /**
     * A text in the same sections: each goes from the line its first line has become. Lines put in between belong to what is before them.
     *
     * @return list<Section> as many as were written, in their order
     */
    public function found(string $text): array
    {
        $program = Program::fromText($text);
        $lines = self::lines($program->text);
        $was = Program::fromText(implode("\n", array_merge(...array_map(static fn (Section $section): array => $section->lines, $this->sections)))."\n");
        $after = LineMatch::of($was, $program)->after;
        [$starts, $line] = [[], 1];
        foreach ($this->sections as $section) {
            $starts[] = $section->lines === [] ? null : self::startOf($line, count($section->lines), $after);
            $line += count($section->lines);
        }
        $found = [];
        $next = count($lines);
        for ($n = count($this->sections) - 1; $n >= 0; $n--) {
            $start = $n === 0 ? 0 : min($next, ($starts[$n] ?? $next + 1) - 1);
            $found[] = new Section($this->sections[$n]->key, array_slice($lines, $start, $next - $start));
            $next = $start;
        }

        return array_reverse($found);
    }

    /** @param  array<int, int>  $after */
    private static function startOf(int $from, int $count, array $after): ?int
    {
        for ($line = $from; $line < $from + $count; $line++) {
            if (isset($after[$line])) {
                return $after[$line];
            }
        }

        return null;
    }

    /** @return list<string> without the empty one a last line feed makes */
    private static function lines(string $text): array
    {
        $lines = explode("\n", str_replace("\r", '', $text));
        if ($lines[count($lines) - 1] === '') {
            array_pop($lines);
        }

        return $lines;
    }
}
