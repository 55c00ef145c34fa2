<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Programs nobody should write, made from a seed: random bytes, words at random, sound programs with pieces torn and changed. */
final class BadInputs
{
    /** A number of so many figures that it is none. */
    private const LONG = self::FIGURES.self::FIGURES.self::FIGURES.self::FIGURES;

    private const FIGURES = '999999999999999999999999999999999999999999999999999999999999999999999999999999999';

    private const WORDS = [
        'G51 P1000', 'G51 P1000000', '#1=[#1*1000000]', '#1=10', 'X#1', 'Z#1',
        'G0', 'G1', 'G2', 'G3', 'G4', 'G10', 'G17', 'G18', 'G19', 'G20', 'G21', 'G28', 'G30', 'G43', 'G44', 'G49', 'G52', 'G53', 'G54', 'G54.1', 'G55',
        'G73', 'G74', 'G76', 'G80', 'G81', 'G82', 'G83', 'G84',
        'G85', 'G86', 'G87', 'G88', 'G89', 'G90', 'G90.1', 'G91', 'G92', 'G92.1', 'G93', 'G94', 'G95', 'G98', 'G99', 'M0', 'M3', 'M4', 'M5', 'M6', 'M8',
        'M19', 'M30', 'T1', 'T99', 'H1', 'L5', 'L99999999', 'P3', '/', '%', 'O1', 'N5',
        'G12', 'G13', 'G15', 'G16', 'G27', 'G33', 'G40', 'G41', 'G42', 'G50', 'G50.1', 'G51', 'G51.1', 'G61', 'G64', 'G65', 'G66', 'G67', 'G68', 'G69',
        'G96', 'G97', 'M98', 'M99', 'D1', 'P1', 'P100',
        'GOTO 1', 'GOTO 5', 'N1', 'IF [#1 LT 5] GOTO 5', 'IF [1 EQ 1] THEN #1=2', 'WHILE [#1 LT 9] DO 1', 'END 1', '#1=#1+1', '#101=[', '#[#[#[',
        'SIN[', '#<', ']]', '[1/0]', 'X[#1*1E9]', 'EQ', '**', "\nO1\n", "\nM99\n",
        '(', ')', '((', ';', '[', ']', '#1', '#[', '=', '-', '+', '.', '..', 'XX', 'E5', "\0", "\xFF", 'é', "\t", ' ',
    ];

    private const NUMBERS = [
        self::LONG, '-'.self::LONG, '[1E308]', '[10 ** 300]', '[-1E300 * 1E300]', '0', '-0', '.', '1', '-1.5', '1e9', '99999999999999999999',
        '-.000000001', '0.1', '1000000', '3.14159', '-99999',
    ];

    private readonly Randomizer $random;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
    }

    public function next(): string
    {
        return match ($this->random->getInt(0, 3)) {
            0 => $this->bytes(),
            1 => $this->words(),
            default => $this->torn(),
        };
    }

    private function bytes(): string
    {
        return $this->random->getBytes($this->random->getInt(1, 300));
    }

    private function words(): string
    {
        $text = '';
        for ($i = $this->random->getInt(1, 80); $i > 0; $i--) {
            $text .= $this->random->getInt(0, 2) === 0
                ? self::WORDS[$this->random->getInt(0, count(self::WORDS) - 1)]
                : 'XYZIJKRFSQPLDHABC'[$this->random->getInt(0, 16)].self::NUMBERS[$this->random->getInt(0, count(self::NUMBERS) - 1)];
            $text .= $this->random->getInt(0, 4) === 0 ? "\n" : ' ';
        }

        return $text;
    }

    private function torn(): string
    {
        $sound = array_values(iterator_to_array(SoundPrograms::all(), false));
        $text = $sound[$this->random->getInt(0, count($sound) - 2)][0];
        for ($i = $this->random->getInt(1, 12); $i > 0; $i--) {
            $at = $this->random->getInt(0, max(0, strlen($text) - 1));
            $text = match ($this->random->getInt(0, 4)) {
                0 => substr_replace($text, '', $at, $this->random->getInt(1, 8)),
                1 => substr_replace($text, self::WORDS[$this->random->getInt(0, count(self::WORDS) - 1)], $at, 0),
                2 => substr_replace($text, self::NUMBERS[$this->random->getInt(0, count(self::NUMBERS) - 1)], $at, 1),
                3 => substr_replace($text, chr($this->random->getInt(0, 255)), $at, 1),
                default => substr_replace($text, substr($text, 0, $at), $at, 0),
            };
            $text = substr($text, 0, 4000);
        }

        return $text;
    }
}
