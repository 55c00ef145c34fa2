<?php

declare(strict_types=1);

namespace OakTrace\Core\Compare;

use OakTrace\Core\Language\Program;
use SebastianBergmann\Diff\Differ;
use SebastianBergmann\Diff\Output\UnifiedDiffOutputBuilder;

/** Which line of a text has become which line of another: those that are the same, and those that stand in the place of another. */
final readonly class LineMatch
{
    /** Lines in the middle beyond which they are matched by their order alone, since finding the fewest changes takes their square. */
    private const MOST_COMPARED = 4000;

    /**
     * @param  array<int, int>  $after  line of the text before => line of the text after
     * @param  int  $changed  lines that stand in the place of another
     * @param  int  $added  lines of the text after alone
     * @param  int  $removed  lines of the text before alone
     */
    private function __construct(public array $after, public int $changed, public int $added, public int $removed)
    {
    }

    public static function of(Program $before, Program $after): self
    {
        $was = self::lines($before);
        $is = self::lines($after);
        [$wasCount, $isCount] = [count($was), count($is)];
        $head = 0;
        while ($head < $wasCount && $head < $isCount && $was[$head] === $is[$head]) {
            $head++;
        }
        $tail = 0;
        while ($tail < $wasCount - $head && $tail < $isCount - $head && $was[$wasCount - 1 - $tail] === $is[$isCount - 1 - $tail]) {
            $tail++;
        }
        $match = [];
        for ($line = 0; $line < $head; $line++) {
            $match[$line + 1] = $line + 1;
        }
        foreach (self::middle(array_slice($was, $head, $wasCount - $head - $tail), array_slice($is, $head, $isCount - $head - $tail)) as $from => $to) {
            $match[$head + $from + 1] = $head + $to + 1;
        }
        for ($line = $tail; $line > 0; $line--) {
            $match[$wasCount - $line + 1] = $isCount - $line + 1;
        }

        $changed = count(array_filter($match, static fn (int $to, int $from): bool => $was[$from - 1] !== $is[$to - 1], ARRAY_FILTER_USE_BOTH));

        return new self($match, $changed, $isCount - count($match), $wasCount - count($match));
    }

    /**
     * @param  list<string>  $was
     * @param  list<string>  $is
     * @return array<int, int> index => index
     */
    private static function middle(array $was, array $is): array
    {
        if (max(count($was), count($is)) > self::MOST_COMPARED) {
            return array_combine($all = range(0, max(0, min(count($was), count($is)) - 1)), $all);
        }
        $match = $gone = $new = [];
        [$from, $to] = [0, 0];
        foreach ((new Differ(new UnifiedDiffOutputBuilder))->diffToArray($was, $is) as [, $kind]) {
            if ($kind === Differ::OLD) {
                $match += self::paired($gone, $new);
                $gone = $new = [];
                $match[$from++] = $to++;
            } elseif ($kind === Differ::REMOVED) {
                $gone[] = $from++;
            } elseif ($kind === Differ::ADDED) {
                $new[] = $to++;
            }
        }

        return $match + self::paired($gone, $new);
    }

    /**
     * Lines gone and lines new between two that are the same stand for each other in their order.
     *
     * @param  list<int>  $gone
     * @param  list<int>  $new
     * @return array<int, int>
     */
    private static function paired(array $gone, array $new): array
    {
        $count = min(count($gone), count($new));

        return array_combine(array_slice($gone, 0, $count), array_slice($new, 0, $count));
    }

    /** @return list<string> */
    private static function lines(Program $program): array
    {
        return explode("\n", str_replace("\r", '', $program->text));
    }
}
