<?php

declare(strict_types=1);

namespace OakTrace\Core\Wording;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;

/** Makes sentences of findings: the one place where figures become words, in the unit that is wanted. */
final readonly class Wording
{
    /** Dimension => units => decimals, and the unit behind them. */
    private const UNITS = [
        'length' => ['mm' => [3, 'mm'], 'inch' => [4, 'in']],
        'diameter' => ['mm' => [3, 'mm'], 'inch' => [4, 'in']],
        'feed' => ['mm' => [0, 'mm/min'], 'inch' => [1, 'in/min']],
        'surface speed' => ['mm' => [0, 'm/min'], 'inch' => [0, 'ft/min']],
        'force' => ['mm' => [0, 'N'], 'inch' => [0, 'lbf']],
        'power' => ['mm' => [2, 'kW'], 'inch' => [2, 'hp']],
        'torque' => ['mm' => [1, 'N m'], 'inch' => [1, 'ft lbf']],
        'removal rate' => ['mm' => [1, 'cm³/min'], 'inch' => [2, 'in³/min']],
        'unit power' => ['mm' => [2, 'kW s/cm³'], 'inch' => [2, 'hp min/in³']],
        'volume' => ['mm' => [1, 'mm³'], 'inch' => [4, 'in³']],
        'angle' => ['mm' => [3, '°'], 'inch' => [3, '°']],
    ];

    public function __construct(private Units $units)
    {
    }

    public function text(Finding $finding): string
    {
        return $this->sentence($finding->text, $finding->figures);
    }

    public function remedy(Finding $finding): string
    {
        return $this->sentence($finding->remedy, $finding->figures);
    }

    /** A figure as a machinist writes it: decimals of the unit, a real minus sign, the unit behind it. */
    public function figure(Quantity|string|int $figure): string
    {
        if (! $figure instanceof Quantity) {
            return (string) $figure;
        }
        [$decimals, $unit] = self::UNITS[$figure->dimension][$this->units->value] ?? [0, 'rev/min'];
        $text = number_format($figure->in($this->units), $decimals, '.', '');

        return ($figure->dimension === 'diameter' ? 'Ø' : '').str_replace('-', '−', $text).($unit === '°' ? '' : ' ').$unit;
    }

    /**
     * A pattern with its figures in the place of their {names}.
     *
     * @param  array<string, Quantity|string|int>  $figures
     */
    public function sentence(string $pattern, array $figures): string
    {
        $words = [];
        foreach ($figures as $name => $figure) {
            $words['{'.$name.'}'] = $this->figure($figure);
        }

        return strtr($pattern, $words);
    }
}
