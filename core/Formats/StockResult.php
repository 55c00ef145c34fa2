<?php

declare(strict_types=1);

namespace OakTrace\Core\Formats;

use OakTrace\Core\Checks\CheckInput;
use OakTrace\Core\Formulas\MachiningPower;
use OakTrace\Core\Load\Load;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Stock\Compared\Difference;
use OakTrace\Core\Stock\Compared\SizeResult;
use OakTrace\Core\Stock\Turned\TurnedStock;

/** What a check result says of the stock: what is cut, what that asks of the machine, and how it comes out beside what is wanted. */
final readonly class StockResult
{
    public function __construct(private CheckInput $input, private Units $units)
    {
    }

    /** @return array<string, mixed> nothing where the stock was not simulated */
    public function fields(): array
    {
        $stock = $this->input->stock;
        if ($this->input->turned !== null) {
            return $this->turned($this->input->turned);
        }
        if ($stock === null) {
            return [];
        }
        $volume = fn (float $cubicMillimetres): float => round(
            $cubicMillimetres / $this->units->millimetres() ** 3, 1 + self::decimals($cubicMillimetres, $this->units),
        );

        return ['stock' => [
            'cell' => $this->length($stock->field()->cell()), 'removed' => $volume($stock->removed()), 'left' => $volume($stock->left()),
            'complete' => $stock->isComplete(), 'turned' => $stock->lost !== null, 'tooLong' => $stock->isTooLong,
            'toolsLeftOut' => array_keys($stock->unknownTools),
            'loads' => array_values(array_map($this->load(...), $stock->loads->strongest)),
        ], ...$this->compared()];
    }

    /** @return array<string, mixed> */
    private function turned(TurnedStock $stock): array
    {
        $volume = fn (float $cubicMillimetres): float => round(
            $cubicMillimetres / $this->units->millimetres() ** 3, 1 + self::decimals($cubicMillimetres, $this->units),
        );

        return ['stock' => [
            'cell' => $this->length($stock->profile->cell), 'removed' => $volume($stock->removed()), 'left' => $volume($stock->left()),
            'complete' => $stock->isComplete(), 'turned' => false, 'tooLong' => $stock->isTooLong(), 'toolsLeftOut' => array_keys($stock->unknownTools),
            'loads' => [],
        ]];
    }

    /** After the point of a volume in mm³ or in³: those of a watch part are small. */
    public static function decimals(float $cubicMillimetres, Units $units): int
    {
        return ($units === Units::Inch ? 3 : 0) + match (true) {
            $cubicMillimetres >= 100.0 => 0,
            $cubicMillimetres >= 1.0 => 2,
            default => 4,
        };
    }

    /** @return array<string, mixed> */
    private function load(Load $load): array
    {
        $loads = $this->input->stock?->loads;
        $figure = fn (Quantity $quantity, int $decimals): float => round($quantity->in($this->units), $decimals);
        $cusp = $loads?->cusp($load->tool);

        return [
            'tool' => $load->tool, ...Places::fields(
                $this->input->trace->sources, $load->line,
            ), 'rate' => $figure(Quantity::removalRate($load->rate), 3), 'power' => $figure(Quantity::power($load->power), 3),
            'motor' => $figure(
                Quantity::power($load->power / MachiningPower::USUAL_EFFICIENCY), 3,
            ), 'torque' => $figure(Quantity::torque($load->torque), 2), 'force' => $figure(Quantity::force($load->force), 0),
            'feedPerTooth' => $this->length($load->feedPerTooth), 'deflection' => isset($loads?->peakDeflection[$load->tool])
                ? $this->length($loads->peakDeflection[$load->tool]->deflection)
                : null,
            'cusp' => $cusp === null ? null : $this->length($cusp),
        ];
    }

    /** @return array<string, mixed> nothing where nothing is wanted, or it is not known how it comes out */
    private function compared(): array
    {
        $compared = $this->input->compared();

        return $compared === null ? [] : ['compared' => [
            'features' => array_map(
                $this->size(...), $compared->sizes,
            ), 'left' => $this->difference($compared->left), 'gouged' => $this->difference($compared->gouged),
        ]];
    }

    /** @return array<string, mixed> */
    private function size(SizeResult $size): array
    {
        $dimension = $size->dimension;

        return [
            'feature' => $size->feature->name, 'what' => $dimension->what, 'wanted' => $this->length($dimension->wanted),
            'least' => $this->length($dimension->least), 'most' => $this->length($dimension->most),
            'got' => $size->got === null ? null : $this->length(round($size->got, 4)), 'within' => $size->isWithin(),
        ];
    }

    /** @return array<string, float|null>|null */
    private function difference(?Difference $difference): ?array
    {
        return $difference === null ? null : [
            'by' => $this->length($difference->by()), 'x' => $this->length($difference->x), 'y' => $this->length($difference->y),
            'z' => $this->length($difference->z), 'wanted' => $this->length($difference->wanted),
            'volume' => round(
                Quantity::volume($difference->volume)->in($this->units), 4,
            ), 'wall' => $difference->besideWall === null ? null : $this->length(round($difference->besideWall, 4)),
        ];
    }

    private function length(float $millimetres): float
    {
        return Quantity::length($millimetres)->in($this->units);
    }
}
