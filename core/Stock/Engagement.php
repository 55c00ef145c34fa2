<?php

declare(strict_types=1);

namespace OakTrace\Core\Stock;

/** What every row of a trace cuts: one value a row in packed columns. Lengths in mm, volumes in mm³, angles in degrees. */
final class Engagement
{
    /** The middle of the tool goes down into material. */
    public const CENTRE = 1;

    /** It was worked out at all: the tool is known, and the row goes where the stock is. */
    public const KNOWN = 2;

    private const FORMATS = [
        'depth' => 'g*', 'width' => 'g*', 'angle' => 'g*', 'volume' => 'g*', 'air' => 'C*', 'marks' => 'C*', 'power' => 'g*', 'chip' => 'g*',
    ];

    /** @var array<string, string> */
    private array $packed = ['depth' => '', 'width' => '', 'angle' => '', 'volume' => '', 'air' => '', 'marks' => '', 'power' => '', 'chip' => ''];

    /**
     * The same as for rows that cut nothing.
     *
     * @return array<string, list<float|int>>
     */
    public static function nothing(int $rows): array
    {
        $columns = array_fill_keys(array_keys(self::FORMATS), array_fill(0, $rows, 0.0));

        return ['air' => array_fill(0, $rows, 100), 'marks' => array_fill(0, $rows, 0)] + $columns;
    }

    /**
     * Adds the rows of a chunk.
     *
     * @param  array<string, array<int, float|int>>  $columns  depth: the most it lowers the material; width: the most it cuts aside;
     *                                                         angle: the most of its rim that cuts; air: share of the way in air, percent;
     *                                                         power: kW at the spindle, NAN where not known; chip: the thickest, mm
     */
    public function add(array $columns): void
    {
        foreach (self::FORMATS as $name => $format) {
            $this->packed[$name] .= pack($format, ...$columns[$name]);
        }
    }

    /** @return list<float>|list<int> */
    public function column(string $name): array
    {
        $bytes = $this->packed[$name];

        /** @var list<float>|list<int> */
        return $bytes === '' ? [] : array_values((array) unpack(self::FORMATS[$name], $bytes));
    }
}
