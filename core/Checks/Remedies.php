<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;

/**
 * Keeps of the changes of text that findings offer those that can be seen to be right: made and read again, what they are to mend
 * is gone, nothing else is wrong that was not before, and no tool goes lower than it did. Of the others the words stay.
 */
final readonly class Remedies
{
    /** Findings whose changes are tried; more than anyone mends at once. */
    private const MOST = 20;

    /** Rows and blocks that are read again for all of them together, so that it stays quick; a run of more is not read again at all. */
    private const MOST_READ = 120_000;

    /** Checks whose change is there to bring the tool lower. */
    private const LOWERS = ['heights.decimal-slip'];

    /**
     * @param  list<Finding>  $findings
     * @param  callable(Program): array{list<Finding>, CheckInput}  $read  what is found in a text, with its cut left out
     * @return list<Finding>
     */
    public static function seenToBeRight(array $findings, CheckInput $input, callable $read): array
    {
        if (array_filter($findings, static fn (Finding $finding): bool => $finding->edit !== null) === []) {
            return $findings;
        }
        $each = max(1, $input->trace->rows() + $input->trace->blocks);
        if ($each > self::MOST_READ) {
            return array_map(static fn (Finding $finding): Finding => $finding->withoutEdit(), $findings);
        }
        [$was, $before] = $input->stock === null && $input->turned === null ? [$findings, $input] : $read($input->program);
        $tried = 0;
        $most = min(self::MOST, intdiv(self::MOST_READ, $each));

        return array_map(static function (Finding $finding) use ($was, $before, $read, $most, &$tried): Finding {
            if ($finding->edit === null || (++$tried <= $most && self::mends($finding, $finding->edit, $was, $before, $read))) {
                return $finding;
            }

            return $finding->withoutEdit();
        }, $findings);
    }

    /**
     * @param  list<Finding>  $was
     * @param  callable(Program): array{list<Finding>, CheckInput}  $read
     */
    private static function mends(Finding $finding, Edit $edit, array $was, CheckInput $before, callable $read): bool
    {
        if (! $before->trace->sources->isInMain($edit->line)) {
            return true; // of another text, which is not changed from here
        }
        [$is, $after] = $read(Program::fromText($edit->in($before->program->text), $before->program->name));
        [$old, $new] = [self::counts($was), self::counts($is)];
        foreach ($new as $check => $count) {
            if ($count > ($old[$check] ?? 0)) {
                return false;
            }
        }
        if (isset($old[$finding->check]) && ($new[$finding->check] ?? 0) >= $old[$finding->check]) {
            return false;
        }
        foreach (in_array($finding->check, self::LOWERS, true) ? [] : $after->heights->lowest as $tool => $z) {
            if ($z < ($before->heights->lowest[$tool] ?? INF) - 1e-6 && isset($before->heights->lowest[$tool])) {
                return false;
            }
        }

        return true;
    }

    /**
     * Places each check finds something at, notes aside.
     *
     * @param  list<Finding>  $findings
     * @return array<string, int>
     */
    private static function counts(array $findings): array
    {
        $counts = [];
        foreach ($findings as $finding) {
            if ($finding->severity !== Severity::Note) {
                $lines = array_unique(array_map(SourceMap::lineNumber(...), [$finding->line, ...$finding->alsoAt]));
                $counts[$finding->check] = ($counts[$finding->check] ?? 0) + count($lines);
            }
        }

        return $counts;
    }
}
