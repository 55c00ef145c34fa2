<?php

declare(strict_types=1);

namespace OakTrace\Core\Compare;

use OakTrace\Core\Language\Program;

/**
 * Two texts that go on from the same one brought together line by line: what one of them left alone is taken as the other
 * has it. Where both changed the same lines otherwise, the first one's stay and the place is told.
 */
final readonly class Merge
{
    /**
     * @param  string  $text  brought together
     * @param  list<array{line: int, theirs: string}>  $conflicts  where the second one's lines were left out: the line of the text, and what they said
     */
    private function __construct(public string $text, public array $conflicts)
    {
    }

    public static function of(string $base, string $mine, string $theirs): self
    {
        $programs = array_map(static fn (string $text): Program => Program::fromText($text), [$base, $mine, $theirs]);
        [$b, $m, $t] = array_map(static fn (Program $program): array => explode("\n", str_replace("\r", '', $program->text)), $programs);
        $toMine = self::same($programs[0], $programs[1], $b, $m);
        $toTheirs = self::same($programs[0], $programs[2], $b, $t);
        $merged = $conflicts = [];
        [$fromBase, $fromMine, $fromTheirs] = [0, 0, 0];
        for ($line = 0; $line <= count($b); $line++) {
            $isEnd = $line === count($b);
            $inMine = $isEnd ? count($m) : ($toMine[$line] ?? null);
            $inTheirs = $isEnd ? count($t) : ($toTheirs[$line] ?? null);
            if ($inMine === null || $inTheirs === null) {
                continue;
            }
            // What lies between two lines that all three have.
            $was = array_slice($b, $fromBase, $line - $fromBase);
            $is = array_slice($m, $fromMine, $inMine - $fromMine);
            $other = array_slice($t, $fromTheirs, $inTheirs - $fromTheirs);
            if ($is !== $other && $other !== $was && $is !== $was) {
                $conflicts[] = ['line' => count($merged) + 1, 'theirs' => implode("\n", $other)];
            }
            array_push($merged, ...($is === $was ? $other : $is));
            if (! $isEnd) {
                $merged[] = $b[$line];
            }
            [$fromBase, $fromMine, $fromTheirs] = [$line + 1, $inMine + 1, $inTheirs + 1];
        }

        return new self(implode("\n", $merged), $conflicts);
    }

    /**
     * @param  list<string>  $was
     * @param  list<string>  $is
     * @return array<int, int> index of a line => index of the same line in the other
     */
    private static function same(Program $before, Program $after, array $was, array $is): array
    {
        $same = [];
        foreach (LineMatch::of($before, $after)->after as $from => $to) {
            if ($was[$from - 1] === $is[$to - 1]) {
                $same[$from - 1] = $to - 1;
            }
        }

        return $same;
    }
}
