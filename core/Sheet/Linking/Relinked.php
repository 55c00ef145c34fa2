<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet\Linking;

/**
 * A program brought up to its sheet: the lines of each operation as the sheet writes them now, but where somebody has changed them
 * by hand. Those stay, and are told, until somebody says that the sheet’s are to be taken.
 */
final readonly class Relinked
{
    /**
     * @param  list<array{key: string, lines: array{int, int}, standing: Standing, theirs: list<string>}>  $sections  with their first and last
     *                                 line, from 1, and what the sheet writes instead
     */
    private function __construct(public string $text, public array $sections)
    {
    }

    /**
     * @param  Written|null  $was  as the sheet wrote the text before hands came to it; null for a text the sheet has not written
     * @param  list<string>  $taken  keys of sections whose lines are to be the sheet's
     */
    public static function of(?Written $was, string $text, Written $now, array $taken = []): self
    {
        $found = [];
        foreach ($was?->found($text) ?? [] as $section) {
            $found[$section->key] = $section;
        }
        $sections = [];
        foreach ($now->sections as $section) {
            $sections[] = self::one($section, $found[$section->key] ?? null, $was?->section($section->key), in_array($section->key, $taken, true));
        }
        $gone = $was->sections ?? [];
        foreach ($gone as $n => $section) {
            $there = $found[$section->key] ?? null;
            if ($there === null || $now->section($section->key) !== null || $there->says($section) || in_array($section->key, $taken, true)) {
                continue;
            }
            // The operation is gone, what hands made of it is not: it stays where it stood.
            $before = $n === 0 ? Section::HEAD : $gone[$n - 1]->key;
            array_splice($sections, self::placeAfter($sections, $before), 0, [[$there, Standing::Left, []]]);
        }

        return self::joined($sections);
    }

    /** @return array{Section, Standing, list<string>} */
    private static function one(Section $now, ?Section $there, ?Section $was, bool $isTaken): array
    {
        if ($there === null || $was === null || $isTaken || $there->says($was) || $there->says($now)) {
            return [$now, Standing::Written, []];
        }

        return [$there->renumbered($was, $now), $was->says($now) ? Standing::ByHand : Standing::Both, $now->lines];
    }

    /** @param  list<array{Section, Standing, list<string>}>  $sections */
    private static function placeAfter(array $sections, string $key): int
    {
        foreach ($sections as $n => [$section]) {
            if ($section->key === $key) {
                return $n + 1;
            }
        }

        return max(0, count($sections) - 1);
    }

    /** @param  list<array{Section, Standing, list<string>}>  $sections */
    private static function joined(array $sections): self
    {
        [$lines, $told] = [[], []];
        foreach ($sections as [$section, $standing, $theirs]) {
            $told[] = [
                'key' => $section->key, 'lines' => [count($lines) + 1, count($lines) + count($section->lines)], 'standing' => $standing, 'theirs' => $theirs,
            ];
            array_push($lines, ...$section->lines);
        }

        return new self(implode("\n", $lines)."\n", $told);
    }
}
