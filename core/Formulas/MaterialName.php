<?php

declare(strict_types=1);

namespace OakTrace\Core\Formulas;

/** What a material is, from what people call it: the last of its words says it, and those before say of what kind. */
final class MaterialName
{
    /** What lies on a material, and is not what is cut. */
    private const SKIN = '/\b\w+[ -](?:plated|coated|clad)\b(?! (?:with|in)\b)|\b(?:plated|coated|clad)\b(?: (?:with|in))? \w+/i';

    /**
     * The pattern that names it: aluminium bronze is a bronze, zinc plated steel a steel.
     *
     * @template T
     *
     * @param  array<string, T>  $of  pattern => value; of two that end at the same place the first counts
     * @return T|null
     */
    public static function among(array $of, ?string $name): mixed
    {
        $name = (string) preg_replace(self::SKIN, ' ', $name ?? '');
        $last = 0;
        $found = null;
        foreach ($of as $pattern => $value) {
            if (preg_match_all($pattern, $name, $match, PREG_OFFSET_CAPTURE) > 0) {
                [$text, $at] = $match[0][count($match[0]) - 1];
                if ($at + strlen($text) > $last) {
                    [$last, $found] = [$at + strlen($text), $value];
                }
            }
        }

        return $found;
    }
}
