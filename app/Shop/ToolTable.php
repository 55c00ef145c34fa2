<?php

declare(strict_types=1);

namespace App\Shop;

use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\ToolSheet;
use OakTrace\Core\Quantities\Units;

/** Tools as a table of text, a row each, to be kept in a spreadsheet: CSV with the fields of a setup file as its heads. */
final readonly class ToolTable
{
    private const RANGES = ['feedPerTooth', 'surfaceSpeed'];

    public function __construct(private SetupFile $files)
    {
    }

    /** @return list<string> */
    public static function heads(): array
    {
        $heads = ['units', 'name', 'kind'];
        foreach (array_column(ToolSheet::fields(), 'field') as $field) {
            array_push($heads, ...(in_array($field, self::RANGES, true) ? ["{$field}From", "{$field}To"] : [$field]));
        }

        return [...$heads, 'holder'];
    }

    /** @param  array<int, array<string, mixed>>  $tools */
    public static function write(array $tools, Units $units): string
    {
        $lines = [self::heads()];
        foreach ($tools as $tool) {
            $holder = is_array($tool['holder'] ?? null) ? $tool['holder'] : [];
            $cells = ['units' => $units->value, 'holder' => self::holderText(array_is_list($holder) ? $holder : [$holder])] + $tool;
            foreach (self::RANGES as $range) {
                [$cells["{$range}From"], $cells["{$range}To"]] = is_array($tool[$range] ?? null) ? $tool[$range] : ['', ''];
            }
            $lines[] = array_map(static fn (string $head): string => self::quoted(self::cell($cells[$head] ?? '')), self::heads());
        }
        $out = fopen('php://memory', 'r+') ?: throw new \LogicException('There is no memory to write to.');
        foreach ($lines as $line) {
            fputcsv($out, $line, escape: '');
        }
        rewind($out);

        return (string) stream_get_contents($out);
    }

    /** A spreadsheet reckons out what begins like a formula; behind an apostrophe it is text. */
    private static function quoted(string $cell): string
    {
        return preg_match('/^\'*[=+\-@\t]/', $cell) === 1 && ! is_numeric($cell) ? "'{$cell}" : $cell;
    }

    /**
     * @return list<array<string, mixed>> tools in millimetres
     *
     * @throws ShopProblem naming the row and column of what is wrong; then none is to be taken
     */
    public function read(string $csv): array
    {
        $in = fopen('php://memory', 'r+') ?: throw new \LogicException('There is no memory to read from.');
        fwrite($in, (string) preg_replace('/^\xEF\xBB\xBF/', '', $csv));
        rewind($in);
        $first = (string) fgets($in);
        rewind($in);
        // Spreadsheets of some countries keep the comma for numbers.
        $comma = substr_count($first, ';') > substr_count($first, ',') ? ';' : ',';
        $heads = array_map(static fn (?string $head): string => trim((string) $head), fgetcsv($in, separator: $comma, escape: '') ?: []);
        $unknown = array_diff($heads, self::heads(), ['']);
        if ($unknown !== [] || ! in_array('name', $heads, true) || ! in_array('kind', $heads, true)) {
            throw new ShopProblem(($unknown === []
                ? 'The first row has to name the columns, name and kind among them.'
                : 'Nobody knows a column “'.reset($unknown).'”. The columns are '.implode(', ', self::heads()).'.').' Nothing was saved.');
        }
        $tools = [];
        for ($row = 2; ($cells = fgetcsv($in, separator: $comma, escape: '')) !== false; $row++) {
            if ($cells !== [null]) {
                $tools[] = $this->tool($heads, $cells, $row, $comma === ';');
            }
        }

        return $tools !== [] ? $tools : throw new ShopProblem('There is no tool in this file. Nothing was saved.');
    }

    /**
     * @param  list<string>  $heads
     * @param  array<array-key, string|null>  $cells
     * @return array<string, mixed>
     */
    private function tool(array $heads, array $cells, int $row, bool $commaIsPoint): array
    {
        $given = array_filter(
            array_map(
                static fn (?string $cell): string => (string) preg_replace('/^\'(?=\'*[=+\-@])/', '', trim((string) $cell)),
                array_combine($heads, array_pad(array_slice($cells, 0, count($heads)), count($heads), '')),
            ),
            static fn (string $cell): bool => $cell !== '',
        );
        $units = Units::tryFrom($given['units'] ?? 'mm') ?? throw new ShopProblem("Row {$row}: units are mm or inch. Nothing was saved.");
        $tool = [];
        $kinds = array_column(ToolSheet::fields(), 'is', 'field') + array_fill_keys(
            ['feedPerToothFrom', 'feedPerToothTo', 'surfaceSpeedFrom', 'surfaceSpeedTo'], 'length',
        );
        foreach (array_diff_key($given, ['units' => 0, 'holder' => 0]) as $field => $cell) {
            $tool[$field] = match ($kinds[$field] ?? 'text') {
                'text', 'choice' => $cell,
                'yes' => match (strtolower($cell)) {
                    'yes', 'true', '1' => true,
                    'no', 'false', '0' => false,
                    default => throw new ShopProblem("Row {$row}, {$field}: say yes or no. Nothing was saved."),
                },
                default => self::number($commaIsPoint ? str_replace(',', '.', $cell) : $cell, "Row {$row}, {$field}"),
            };
        }
        foreach (self::RANGES as $range) {
            if (isset($tool["{$range}From"]) || isset($tool["{$range}To"])) {
                $tool[$range] = [$tool["{$range}From"] ?? $tool["{$range}To"], $tool["{$range}To"] ?? $tool["{$range}From"]];
            }
            unset($tool["{$range}From"], $tool["{$range}To"]);
        }
        if (isset($given['holder'])) {
            $tool['holder'] = self::holder($given['holder'], $row);
        }

        return $this->checked($tool, $units, "Row {$row}");
    }

    /**
     * A tool the schema takes, in millimetres.
     *
     * @param  array<string, mixed>  $tool
     * @return array<string, mixed>
     *
     * @throws ShopProblem
     */
    private function checked(array $tool, Units $units, string $where): array
    {
        try {
            return CribTools::checked($this->files, $tool, $units);
        } catch (SetupFileError $e) {
            $field = (string) array_key_first($e->fields);

            throw new ShopProblem("{$where}".($field === '' ? '' : ", {$field}").': '.lcfirst($e->fields[$field] ?? '').' Nothing was saved.');
        }
    }

    private static function number(string $cell, string $where): float
    {
        return is_numeric($cell) ? (float) $cell : throw new ShopProblem(
            "{$where}: “".mb_strimwidth($cell, 0, 30, '…').'” is not a number. Nothing was saved.',
        );
    }

    private static function cell(mixed $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_scalar($value) => (string) $value,
            default => '',
        };
    }

    /**
     * 20x30 40x60: each step's diameter and length, from the tool's end on.
     *
     * @param  array<array-key, mixed>  $steps
     */
    private static function holderText(array $steps): string
    {
        return implode(' ', array_filter(array_map(
            static fn (mixed $step): string => is_array($step) && isset($step['diameter'])
                ? self::cell($step['diameter']).(isset($step['length']) ? 'x'.self::cell($step['length']) : '') : '',
            $steps,
        )));
    }

    /** @return list<array<string, float>> */
    private static function holder(string $cell, int $row): array
    {
        return array_map(static function (string $step) use ($row): array {
            $sizes = explode('x', strtolower($step));

            return ['diameter' => self::number($sizes[0], "Row {$row}, holder")]
                + (isset($sizes[1]) ? ['length' => self::number($sizes[1], "Row {$row}, holder")] : []);
        }, preg_split('/\s+/', trim($cell)) ?: []);
    }
}
