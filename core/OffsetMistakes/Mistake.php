<?php

declare(strict_types=1);

namespace OakTrace\Core\OffsetMistakes;

use OakTrace\Core\Quantities\Quantity;

/** One wrong entry in an offset table: which offset and axis, what stands there instead of what should. */
final readonly class Mistake
{
    /** What the name of an entry of a lathe's tool offsets begins with. */
    public const TOOL = 'offset ';

    /**
     * @param  string  $offset  G54, H1, offset 1
     * @param  string  $what  in words: 0, opposite sign, ten times, a tenth, that of G55
     * @param  float  $right  mm
     * @param  float  $wrong  mm
     * @param  int  $sign  −1 where the program takes the entry off instead of adding it
     * @param  bool  $isDigit  whether it is one digit that is off, of which there are many
     */
    private function __construct(
        public string $offset, public string $axis, public string $what, public float $right, public float $wrong, public int $sign,
        public bool $isDigit,
    ) {
    }

    /**
     * The ways an entry is usually wrong, each once.
     *
     * @param  array<string, float>  $others  entries that may have been typed in its place, by the name of their offset
     * @return list<self>
     */
    public static function of(string $offset, string $axis, float $right, array $others, int $sign = 1): array
    {
        $wrong = ['0' => 0.0, 'opposite sign' => -$right, 'ten times' => 10 * $right, 'a tenth' => $right / 10];
        foreach ($others as $name => $entry) {
            $wrong[$name.' value'] = $entry;
        }

        return self::each($offset, $axis, $right, $wrong, $sign, false);
    }

    /**
     * One digit of the entry one higher or one lower, from tenths of a millimetre upwards.
     *
     * @return list<self>
     */
    public static function figures(string $offset, string $axis, float $right, int $sign = 1): array
    {
        $figures = sprintf('%.1F', abs($right));
        $wrong = [];
        $step = 10 ** (strlen($figures) - 3);
        foreach (str_split(str_replace('.', '', $figures)) as $at => $figure) {
            foreach ([1, -1] as $by) {
                if (($figure !== '9' || $by < 0) && ($figure !== '0' || $by > 0)) {
                    $wrong['digit '.($at + 1).($by > 0 ? ' one higher' : ' one lower')] = $right + ($right < 0 ? -$by : $by) * $step;
                }
            }
            $step /= 10;
        }

        return self::each($offset, $axis, $right, $wrong, $sign, true);
    }

    /**
     * @param  array<int|string, float>  $wrong  in words => what stands there
     * @return list<self>
     */
    private static function each(string $offset, string $axis, float $right, array $wrong, int $sign, bool $isDigit): array
    {
        $mistakes = [];
        foreach ($wrong as $what => $entry) {
            if (abs($entry - $right) > 1e-6) {
                $mistakes[Quantity::written($entry)] ??= new self($offset, $axis, (string) $what, $right, $entry, $sign, $isDigit);
            }
        }

        return array_values($mistakes);
    }

    /** How much further to plus everything the offset carries goes. */
    public function by(): float
    {
        return $this->sign * ($this->wrong - $this->right);
    }
}
