<?php

declare(strict_types=1);

namespace Tests\Core;

use OakTrace\Core\Language\Program;
use OakTrace\Core\Language\SourceMap;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Trace\Notice;
use OakTrace\Core\Verification;

/** What a reading notices, each with its place and its figures: "2:8 unused-word in=call word=L0.5". */
final class Noticed
{
    /** @return list<string> */
    public static function in(string $text, Setup $setup): array
    {
        return array_map(self::written(...), Verification::trace(Program::fromText($text), $setup)->notices);
    }

    /**
     * On the mill whose axes start at the part's zero.
     *
     * @param  array<string, mixed>  $changes
     * @return list<string>
     */
    public static function onMill(string $text, array $changes = []): array
    {
        return self::in($text, Bench::setup(Bench::merge(Bench::AT_ZERO, $changes)));
    }

    private static function written(Notice $notice): string
    {
        $figures = [];
        foreach ($notice->figures as $name => $figure) {
            $figures[] = $name.'='.($figure instanceof Quantity ? Quantity::written(round($figure->value, 4)).' '.$figure->dimension : $figure);
        }

        return implode(' ', [SourceMap::lineNumber($notice->line).':'.$notice->column, $notice->kind, ...$figures]);
    }
}
