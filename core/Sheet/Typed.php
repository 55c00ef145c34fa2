<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use InvalidArgumentException;
use OakTrace\Core\Quantities\Units;

/**
 * A figure as it is typed: 4.75/2, 1 1/8, 30mm, 2*(#width - 0.5). A number counts in the units of the sheet; one that says its
 * unit is converted. A name stands for its figure in the table of names.
 */
final class Typed
{
    private const TOKEN = '/\G\s*(?:(?<whole>\d+)\s+(?<top>\d+)\/(?<under>\d+)|(?<number>\d+\.?\d*|\.\d+)|#(?<name>[A-Za-z_]\w*)|(?<sign>[-+*\/()]))'
        .'(?:\s*(?<unit>mm|in|"))?/';

    /** @var list<array<array-key, string>> */
    private array $tokens = [];

    private int $at = 0;

    /**
     * @param  array<string, mixed>  $names  name => figure, or how it is typed
     * @param  list<string>  $open  names being worked out
     */
    private function __construct(private readonly Units $units, private readonly array $names, private readonly array $open)
    {
    }

    /**
     * @param  mixed  $typed  a number, or text
     * @param  array<string, mixed>  $names
     * @return float in the units of the sheet
     *
     * @throws InvalidArgumentException saying what is wrong with it
     */
    public static function value(mixed $typed, Units $units, array $names = []): float
    {
        return self::worked($typed, $units, $names, []);
    }

    /** @return list<string> the names a figure is made of */
    public static function names(mixed $typed): array
    {
        return is_string($typed) && preg_match_all('/#([A-Za-z_]\w*)/', $typed, $found) > 0 ? array_values(array_unique($found[1])) : [];
    }

    /**
     * @param  array<string, mixed>  $names
     * @param  list<string>  $open
     */
    private static function worked(mixed $typed, Units $units, array $names, array $open): float
    {
        if (is_int($typed) || is_float($typed)) {
            return (float) $typed;
        }
        if (! is_string($typed)) {
            throw new InvalidArgumentException('This is no figure.');
        }
        $one = new self($units, $names, $open);
        $one->read($typed);
        $value = $one->sum();
        if ($one->at < count($one->tokens)) {
            throw new InvalidArgumentException("“{$typed}” cannot be worked out.");
        }
        if (! is_finite($value) || abs($value) > 1e6) {
            throw new InvalidArgumentException("“{$typed}” is too large.");
        }

        return $value;
    }

    private function read(string $typed): void
    {
        $length = strlen(rtrim($typed));
        for ($at = 0; $at < $length; $at += strlen($token[0])) {
            if (strlen($typed) > 200 || preg_match(self::TOKEN, $typed, $token, 0, $at) !== 1) {
                throw new InvalidArgumentException('“'.mb_strimwidth($typed, 0, 40, '…').'” cannot be worked out.');
            }
            $this->tokens[] = array_map(strval(...), $token);
        }
    }

    private function sum(): float
    {
        $value = $this->product();
        while (($sign = $this->take('+', '-')) !== null) {
            $value += ($sign === '+' ? 1 : -1) * $this->product();
        }

        return $value;
    }

    private function product(): float
    {
        $value = $this->factor();
        while (($sign = $this->take('*', '/')) !== null) {
            $by = $this->factor();
            if ($sign === '/' && $by === 0.0) {
                throw new InvalidArgumentException('It divides by nothing.');
            }
            $value = $sign === '*' ? $value * $by : $value / $by;
        }

        return $value;
    }

    private function factor(): float
    {
        $sign = $this->take('+', '-');
        if ($sign !== null) {
            return ($sign === '-' ? -1 : 1) * $this->factor();
        }
        if ($this->take('(') !== null) {
            $value = $this->sum();
            if ($this->take(')') === null) {
                throw new InvalidArgumentException('A bracket is not closed.');
            }

            return $value;
        }
        $token = $this->tokens[$this->at] ?? throw new InvalidArgumentException('A figure is missing.');
        $this->at++;
        if (($token['name'] ?? '') !== '') {
            return $this->named($token['name']);
        }
        if (($token['whole'] ?? '') !== '' && (float) $token['under'] === 0.0) {
            throw new InvalidArgumentException('It divides by nothing.');
        }
        $value = ($token['whole'] ?? '') !== '' ? (float) $token['whole'] + (float) $token['top'] / (float) $token['under'] : (
            ($token['number'] ?? '') !== '' ? (float) $token['number'] : throw new InvalidArgumentException('A figure is missing.')
        );
        $unit = match ($token['unit'] ?? '') {
            'mm' => Units::Millimetre,
            'in', '"' => Units::Inch,
            default => $this->units,
        };

        return $value * $unit->millimetres() / $this->units->millimetres();
    }

    private function named(string $name): float
    {
        if (! array_key_exists($name, $this->names)) {
            throw new InvalidArgumentException("There is no name “{$name}” in this sheet.");
        }
        if (in_array($name, $this->open, true)) {
            throw new InvalidArgumentException("“{$name}” is worked out from itself.");
        }

        return self::worked($this->names[$name], $this->units, $this->names, [...$this->open, $name]);
    }

    private function take(string ...$signs): ?string
    {
        $sign = $this->tokens[$this->at]['sign'] ?? '';
        if ($sign === '' || ! in_array($sign, $signs, true)) {
            return null;
        }
        $this->at++;

        return $sign;
    }
}
