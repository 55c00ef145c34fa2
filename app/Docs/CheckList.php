<?php

declare(strict_types=1);

namespace App\Docs;

use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;
use OakTrace\Core\Wording\Question;
use OakTrace\Core\Wording\Severity;
use ReflectionClass;

/** `docs/checks.md`, made from the catalogue: every check by its question, with how it is told and what raises it. */
final class CheckList
{
    private const WIDTH = 118;

    public static function markdown(): string
    {
        $text = "# The checks\n\nWhat is looked for, by the question it answers, and whether it is told as a stop, a caution or a note.\n"
            ."Made from the catalogue by `php artisan oak:docs`; a test fails where it says something else.\n";
        foreach (Question::cases() as $question) {
            $text .= "\n## {$question->value}\n\n";
            foreach (CheckCatalogue::all() as $check) {
                if (Question::of($check->name()) === $question) {
                    $text .= wordwrap(sprintf('- `%s` (%s). %s', $check->name(), self::severities($check), self::summary($check)), self::WIDTH, "\n  ")."\n";
                }
            }
        }

        return $text;
    }

    /** In the order of their weight. */
    private static function severities(Check $check): string
    {
        preg_match_all('/Severity::(\w+)/', (string) file_get_contents((string) (new ReflectionClass($check))->getFileName()), $named);
        $severities = array_filter(Severity::cases(), static fn (Severity $severity): bool => in_array($severity->name, $named[1], true));

        return implode(', ', array_column($severities, 'value'));
    }

    /** The first paragraph of the class's comment, on one line. */
    private static function summary(Check $check): string
    {
        $comment = (string) preg_replace('#^\s*/?\*+/?[ ]?|\s*\*/$#m', '', (string) (new ReflectionClass($check))->getDocComment());

        return str_replace("\n", ' ', explode("\n\n", trim($comment))[0]);
    }
}
