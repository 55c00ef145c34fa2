<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use InvalidArgumentException;
use JsonException;
use OakTrace\Core\Formats\FileEntry;
use OakTrace\Core\Formats\SchemaErrors;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\StockFields;
use OakTrace\Core\Formats\ToolFields;
use OakTrace\Core\Geometry\AxisName;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Obstacle;
use OakTrace\Core\Setup\Setup;
use Opis\JsonSchema\Validator;

/** Reads operation sheets, oak-sheet/1 (schemas/oak-sheet-1.json). The schema says what the header and the tools hold; each operation knows its own fields. */
final class SheetFile
{
    /** Above the part (common practice). */
    private const CLEARANCE = ['mm' => 2.0, 'inch' => 2.54];

    /** Where the part is crossed (common practice). */
    private const CROSSING = ['mm' => 25.0, 'inch' => 25.4];

    /**
     * @param  string  $schema  text of schemas/oak-sheet-1.json
     * @param  string  $setupSchema  text of schemas/oak-setup-1.json, whose tools and stock a sheet has
     */
    public function __construct(private readonly string $schema, private readonly string $setupSchema)
    {
    }

    /**
     * @param  Setup|null  $in  the setup it is made in: what the sheet does not say of raw part, material and tools is taken from there,
     *                          and what stands in the way
     *
     * @throws SheetError naming every field that is wrong
     */
    public function read(string $json, ?Setup $in = null): Sheet
    {
        try {
            $data = json_decode($json, false, 64, JSON_THROW_ON_ERROR);
            /** @var object $schema */
            $schema = json_decode($this->schema, false, 64, JSON_THROW_ON_ERROR);
            /** @var object $setupSchema */
            $setupSchema = json_decode($this->setupSchema, false, 64, JSON_THROW_ON_ERROR);
        } catch (JsonException $e) {
            throw new SheetError(['' => 'The sheet is not valid JSON: '.$e->getMessage().'.']);
        }
        $validator = new Validator;
        $validator->setMaxErrors(20);
        $validator->resolver()?->registerRaw($setupSchema);
        $error = $validator->validate($data, $schema)->error();
        if ($error !== null) {
            throw new SheetError(SchemaErrors::byField($error));
        }
        /** @var array<string, mixed> $file */
        $file = json_decode($json, true, 64, JSON_THROW_ON_ERROR);

        return $this->sheet(new FileEntry($in === null ? $file : self::filledIn($file, $in)), $in);
    }

    /**
     * A sheet with what it does not say itself and its setup does: raw part, material, tools.
     *
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     *
     * @throws SheetError where a number is another tool there
     */
    public static function filledIn(array $file, Setup $in): array
    {
        $units = Units::tryFrom(is_string($file['units']) ? $file['units'] : '') ?? Units::Millimetre;
        $stock = $in->workpiece->stock;
        $turned = static fn (float $millimetres): float => $millimetres / $units->millimetres();
        if (! isset($file['stock']) && $stock !== null) {
            $file['stock'] = [
                'shape' => 'box', 'min' => array_map($turned, $stock->around->low->each()), 'max' => array_map($turned, $stock->around->high->each()),
            ];
        }
        $file['material'] ??= $in->workpiece->material ?? '';
        $fields = new ToolFields($units);
        /** @var list<array<string, mixed>> $tools */
        $tools = $file['tools'];
        foreach ($tools as $n => $tool) {
            $known = is_int($tool['number'] ?? null) ? $in->tooling->tools[$tool['number']] ?? null : null;
            $there = $known === null ? [] : $fields->write($known);
            $across = [$tool['diameter'] ?? null, $there['diameter'] ?? null];
            $isOther = isset($tool['kind'], $there['kind']) && $tool['kind'] !== $there['kind']
                || is_numeric($across[0]) && is_numeric($across[1]) && abs((float) $across[0] - (float) $across[1]) > 1e-6;
            if ($known !== null && $isOther) {
                // Two tools under one number: the program would be checked, and run, with the other.
                throw new SheetError(["tools.{$n}" => "T{$known->number} is “{$known->name}” in the setup."]);
            }
            $tools[$n] = $tool + $there;
        }

        return ['tools' => $tools] + $file;
    }

    private function sheet(FileEntry $file, ?Setup $in): Sheet
    {
        $obstacles = $in->workholding->obstacles ?? [];
        $units = Units::from($file->string('units'));
        $wrong = [];
        $names = $file->entry('names')->values;
        foreach ($names as $name => $typed) {
            try {
                Typed::value($typed, $units, $names);
            } catch (InvalidArgumentException $problem) {
                $wrong["names.{$name}"] = $problem->getMessage();
            }
        }
        $header = new Answers(
            array_intersect_key($file->values, array_flip(['clearance', 'crossing', 'homeZ'])), '', $units, $names,
        );
        $blank = self::blank($file, $units);
        $clearance = $header->length('clearance', self::CLEARANCE[$units->value]);
        $offsets = $file->has('workOffsets') ? array_values($file->strings('workOffsets')) : ['G54'];
        $obstacles = array_values(array_filter($obstacles, static fn (Obstacle $obstacle): bool => in_array($obstacle->workOffset, $offsets, true)));
        $highest = max([$blank->top(), ...array_map(static fn (Obstacle $obstacle): float => $obstacle->around->high->z, $obstacles)]);
        $crossing = $header->length('crossing', max(self::CROSSING[$units->value], $highest + $clearance));
        if ($clearance <= 0.0) {
            $wrong['clearance'] = 'This has to be more than 0.';
        }
        if ($crossing < $highest + $clearance - 1e-9) {
            $names = array_filter(array_map(static fn (Obstacle $one): string => $one->around->high->z === $highest ? "“{$one->name}”" : '', $obstacles));
            $what = $names === [] ? 'The stock' : reset($names);
            $wrong['crossing'] = "{$what} stands {$header->said($highest)} high: it is crossed no lower than {$header->said($highest + $clearance)}.";
        }
        $wrong += self::handed($file, $in);
        $tools = $this->tools($file, $units, $names, $wrong);
        $steps = self::steps($file, $wrong);
        if ($wrong !== []) {
            throw new SheetError($wrong);
        }
        /** @var non-empty-list<string> $offsets */

        return new Sheet(
            $file->string('name'), $file->has('programNumber') ? $file->int('programNumber') : null, $units, $file->string('profile', 'iso-mill'), $offsets,
            $file->string('order', 'by-tool') === 'by-tool', $file->string('zero', 'top') === 'bottom', $names, $clearance, $crossing,
            $header->length('homeZ', 0.0), $file->string('material', ''), $blank, $file->has('stock') ? $file->entry('stock')->source() : null, $tools, $steps,
            array_values($file->strings('notes')), $obstacles, $in === null ? null : self::travel($in, $offsets[0]), $file->bool('figures'),
            $file->string('style', 'three-axis') === 'two-axis',
        );
    }

    /** @return array<string, string> whether the control moves Z: machine and sheet have to agree on that */
    private static function handed(FileEntry $file, ?Setup $in): array
    {
        $isTwoAxis = $file->string('style', 'three-axis') === 'two-axis';
        if ($in === null || $in->machine->isLengthByHand() === $isTwoAxis) {
            return [];
        }

        return ['style' => $isTwoAxis
            ? "{$in->machine->name} moves Z itself. Write three axes, or say on its page that Z is moved by hand."
            : "Z of {$in->machine->name} is moved by hand: write two axes."];
    }

    /** How far the machine reaches from the zero of a work offset; null where the setup does not tell. */
    private static function travel(Setup $in, string $offset): ?Travel
    {
        $reach = [];
        foreach ([AxisName::X, AxisName::Y] as $name) {
            $axis = $in->machine->axes[$name] ?? null;
            $zero = $in->workOffsets[$offset][$name] ?? null;
            if ($axis?->min === null || $axis->max === null || $zero === null) {
                return null;
            }
            $reach[] = [$axis->min - $zero, $axis->max - $zero];
        }

        return new Travel(...$reach);
    }

    /** The box round the raw part. */
    private static function blank(FileEntry $file, Units $units): Blank
    {
        if (! $file->has('stock')) {
            return new Blank;
        }
        try {
            $stock = (new StockFields($units->millimetres()))->read($file->entry('stock'), 'G54', 'stock');
        } catch (SetupFileError $error) {
            throw new SheetError($error->fields);
        }

        return new Blank($stock->around);
    }

    /**
     * @param  array<string, mixed>  $names
     * @param  array<string, string>  $wrong
     * @return array<int, SheetTool>
     */
    private function tools(FileEntry $file, Units $units, array $names, array &$wrong): array
    {
        $fields = new ToolFields($units);
        $tools = [];
        foreach ($file->entries('tools') as $n => $entry) {
            $number = $entry->int('number');
            if (isset($tools[$number])) {
                $wrong["tools.{$n}.number"] = "Two tools have the number {$number}.";
            }
            $answers = new Answers($entry->source(), "tools.{$n}", $units, $names);
            $own = array_flip(['rpm', 'feed', 'plungeFeed', 'stop', 'note', 'springStroke']);
            $source = array_diff_key($entry->source(), $own);
            $feed = $answers->has('feed') ? $answers->size('feed') : null;
            $tools[$number] = new SheetTool(
                $fields->read(new FileEntry($source)), $source, $entry->maybeFloat('rpm'), $feed,
                $answers->has('plungeFeed') ? $answers->size('plungeFeed') : self::third($feed, $units), $entry->maybeString('coolant'),
                $entry->string('stop', 'optional'),
                $entry->string('note', ''), $answers->maybeLength('springStroke'),
            );
            $wrong += $answers->problems();
        }

        return $tools;
    }

    /** A third of a feed as a round figure: 133 for 400, and 1.4 in/min for 4.2. */
    private static function third(?float $feed, Units $units): ?float
    {
        if ($feed === null) {
            return null;
        }
        $rounded = round($feed / 3 / $units->millimetres(), $units === Units::Inch ? 1 : 0) * $units->millimetres();

        return $rounded > 0.0 ? $rounded : $feed / 3;
    }

    /**
     * @param  array<string, string>  $wrong
     * @return list<Step>
     */
    private static function steps(FileEntry $file, array &$wrong): array
    {
        $steps = [];
        $ids = [];
        foreach (array_values($file->entries('operations')) as $n => $entry) {
            $path = "operations.{$n}";
            $kind = $entry->string('kind');
            $operation = OperationCatalogue::named($kind);
            $tool = $entry->has('tool') ? $entry->int('tool') : null;
            $id = $entry->string('id', (string) ($n + 1));
            if (isset($ids[$id])) {
                $wrong["{$path}.id"] = "Two operations are called {$id}.";
            }
            $ids[$id] = true;
            if ($operation === null && ! in_array($kind, [Repeat::KIND, Again::KIND], true)) {
                $wrong["{$path}.kind"] = 'There is no operation of this kind.';
            }
            $steps[] = new Step(
                $id, $kind, $entry->string('name', $operation?->words() ?? ($kind === Again::KIND ? 'Again' : 'Repeat')), $tool, $entry->bool('off'),
                array_diff_key($entry->source(), array_flip(['id', 'kind', 'name', 'tool', 'off', 'group'])), $path,
            );
        }

        return $steps;
    }
}
