<?php

declare(strict_types=1);

namespace OakTrace\Core\Checks;

use OakTrace\Core\Control\Code;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Language\Edit;
use OakTrace\Core\Language\LineWords;
use OakTrace\Core\Language\SourceMap;

/**
 * Writes the changes of a program's text that findings offer, in the codes of its control and the hand of its lines. Every
 * method gives null where the change cannot be written with certainty.
 */
final readonly class EditWriter
{
    public function __construct(private SourceMap $sources, private ControlProfile $control)
    {
    }

    /** A block of its own above a line. */
    public function before(int $place, Code|string ...$words): ?Edit
    {
        $block = $this->block($place, $words);

        return $block === null ? null : new Edit($place, 1, 0, $block."\n", "Put {$block} before line ".SourceMap::lineNumber($place));
    }

    /** A block of its own below a line. */
    public function after(int $place, Code|string ...$words): ?Edit
    {
        $block = $this->block($place, $words);

        return $block === null ? null : new Edit(
            $place, strlen($this->sources->text($place)) + 1, 0, "\n".$block, "Put {$block} after line ".SourceMap::lineNumber($place),
        );
    }

    /** Words at the head of a block, behind its skip mark and number. */
    public function lead(int $place, Code|string ...$words): ?Edit
    {
        $block = $this->block($place, $words);

        return $block === null ? null : new Edit($place, strlen(LineWords::head($this->sources->text($place))) + 1, 0, $block.' ', 'Add '.$block);
    }

    /** Words behind the last word of a block, before its comment. */
    public function tail(int $place, Code|string ...$words): ?Edit
    {
        $block = $this->block($place, $words);

        return $block === null ? null : new Edit($place, strlen(rtrim(LineWords::bare($this->sources->text($place)))) + 1, 0, ' '.$block, 'Add '.$block);
    }

    /** One code in the place of another. */
    public function exchange(int $place, Code $from, Code $to): ?Edit
    {
        $new = $this->control->codeOf($to);
        if ($new === null) {
            return null;
        }
        foreach ($this->control->codesIn($this->sources->text($place)) as ['code' => $code, 'at' => $at, 'length' => $length]) {
            if ($code === $from) {
                $new = $this->inHandOf($place, $new);

                return new Edit($place, $at + 1, $length, $new, 'Put '.$new);
            }
        }

        return null;
    }

    /** The nearest line at or above a place that has a code. */
    public function placeOf(int $place, Code $code): ?int
    {
        for ($at = $place, $seen = 0; $at > 0 && $seen < 500; $at = $this->sources->before($at), $seen++) {
            if (in_array($code, array_column($this->control->codesIn($this->sources->text($at)), 'code'), true)) {
                return $at;
            }
        }

        return null;
    }

    /** The length axis and the length offset in a block of their own, before the other axes or after them. */
    public function apart(int $place, bool $heightFirst): ?Edit
    {
        $text = rtrim($this->sources->text($place));
        $bare = rtrim(LineWords::bare($this->sources->text($place)));
        if (! LineWords::isPlain($bare) || trim(substr($text, 0, strlen($bare))) !== trim($bare)) {
            return null;
        }
        $head = LineWords::head($bare);
        $height = $others = $level = $codes = [];
        foreach (LineWords::of($bare) as ['letter' => $letter, 'number' => $number, 'from' => $from, 'at' => $at]) {
            $word = substr($bare, $from, $at + strlen($number) - $from);
            if ($from < strlen($head)) {
                continue;
            }
            if (in_array($letter, [AxisName::Z, 'H'], true) || $this->isLengthCode($word)) {
                $height[] = $word;

                continue;
            }
            $others[] = $word;
            if (in_array($letter, [AxisName::X, AxisName::Y, ...AxisName::ROTARY], true)) {
                $level[] = $word;
            } else {
                $codes[] = $word;
            }
        }
        if ($height === [] || $level === []) {
            return null;
        }
        // What is not an axis word (motion code, speed, coolant) goes with the first block.
        $blocks = $heightFirst ? [[...$codes, ...$height], $level] : [$others, $height];
        $lines = $head.implode(' ', $blocks[0])."\n".implode(' ', $blocks[1]);

        return new Edit($place, 1, strlen($bare), $lines, $heightFirst ? 'Move Z first' : 'Move X and Y first');
    }

    /** Whether a word is a code that calls a length offset. */
    private function isLengthCode(string $word): bool
    {
        return array_intersect(
            array_map(static fn (array $found): string => $found['code']->value, $this->control->codesIn($word)),
            [Code::LengthAdd->value, Code::LengthSubtract->value],
        ) !== [];
    }

    /**
     * @param  array<int|string, Code|string>  $words
     */
    private function block(int $place, array $words): ?string
    {
        $written = [];
        foreach ($words as $word) {
            $word = is_string($word) ? $word : $this->control->codeOf($word);
            if ($word === null) {
                return null;
            }
            $written[] = $word;
        }

        return $written === [] ? null : $this->inHandOf($place, implode(' ', $written));
    }

    /** Small letters where the line is written in them. */
    private function inHandOf(int $place, string $words): string
    {
        $text = LineWords::bare($this->sources->text($place));

        return $text !== strtoupper($text) && $text === strtolower($text) ? strtolower($words) : $words;
    }
}
