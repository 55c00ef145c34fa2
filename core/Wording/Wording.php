<?php

declare(strict_types=1);

namespace OakTrace\Core\Wording;

use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;

/** Makes sentences of findings: the one place where figures become words, in the unit that is wanted. */
final readonly class Wording
{
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
        $value = $figure->in($this->units);
        [$text, $unit] = match ($figure->dimension) {
            'length' => [number_format($value, $this->units->decimals(), '.', ''), $this->units->symbol()],
            'feed' => [number_format($value, $this->units === Units::Inch ? 1 : 0, '.', ''), $this->units->symbol().'/min'],
            'surface speed' => [number_format($value, 0, '.', ''), $this->units === Units::Inch ? 'ft/min' : 'm/min'],
            'force' => [number_format($value, 0, '.', ''), $this->units === Units::Inch ? 'lbf' : 'N'],
            'power' => [number_format($value, 2, '.', ''), $this->units === Units::Inch ? 'hp' : 'kW'],
            'torque' => [number_format($value, 1, '.', ''), $this->units === Units::Inch ? 'ft lbf' : 'N m'],
            'removal rate' => [number_format($value, $this->units === Units::Inch ? 2 : 1, '.', ''), $this->units === Units::Inch ? 'in³/min' : 'cm³/min'],
            'unit power' => [number_format($value, 2, '.', ''), $this->units === Units::Inch ? 'hp min/in³' : 'kW s/cm³'],
            'volume' => [number_format($value, $this->units === Units::Inch ? 4 : 1, '.', ''), $this->units->symbol().'³'],
            'angle' => [number_format($value, 3, '.', ''), '°'],
            default => [number_format($value, 0, '.', ''), 'rev/min'],
        };

        return str_replace('-', '−', $text).($unit === '°' ? '' : ' ').$unit;
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
