<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\WordLetters;

/** A control profile as a sheet to read and change: every function with its code, every meaning with its letter. */
final class ProfileSheet
{
    /** Functions whose codes are many, and stand in lists of their own. */
    private const MANY = [Code::WorkOffset, Code::Accepted];

    /** @return list<array{function: string, words: string, group: string}> every function a code can be given to */
    public static function functions(): array
    {
        $functions = [];
        foreach (Code::cases() as $code) {
            if (! in_array($code, self::MANY, true)) {
                $functions[] = ['function' => $code->value, 'words' => $code->words(), 'group' => $code->group()->value];
            }
        }

        return $functions;
    }

    /** @return list<array{meaning: string, words: string}> */
    public static function meanings(): array
    {
        return array_map(
            static fn (string $meaning, string $words): array => ['meaning' => $meaning, 'words' => $words], array_keys(WordLetters::MEANINGS),
            WordLetters::MEANINGS,
        );
    }

    /** @return array<string, string> function => code as written, of those that have one */
    public static function codes(ControlProfile $profile): array
    {
        $codes = [];
        foreach (self::functions() as ['function' => $function]) {
            $code = $profile->codeOf(Code::from($function));
            if ($code !== null) {
                $codes[$function] = $code;
            }
        }

        return $codes;
    }

    /** @return array<string, string> meaning => letter */
    public static function words(ControlProfile $profile): array
    {
        /** @var array<string, string> */
        return get_object_vars($profile->letters);
    }
}
