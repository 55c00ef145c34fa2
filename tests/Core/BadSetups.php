<?php

declare(strict_types=1);

namespace Tests\Core;

use Random\Engine\Mt19937;
use Random\Randomizer;

/** Setups nobody should write, made from the schema itself: any field of another kind, huge, tiny, negative, not whole, missing, unknown or there twice. */
final class BadSetups
{
    /** What stands in the place of a field. */
    public const IN_ITS_PLACE = [
        'null', '"x"', '""', 'true', '[]', '{}', '[1]', '0', '-1', '-0.0', '1.0', '1.5', '1e-300', '1e6', '1e12', '1e18', '1e308', '-1e300', '1e999',
        '9223372036854775807', '"\u0000é"', '[[1,2],[3]]',
    ];

    private readonly Randomizer $random;

    /** @var array<string, mixed> */
    private readonly array $file;

    /** @var list<array{list<int|string>, array<string, mixed>}> every field the schema knows, with what it says of it */
    private readonly array $fields;

    public function __construct(int $seed)
    {
        $this->random = new Randomizer(new Mt19937($seed));
        $this->file = self::everyField();
        $schema = (array) json_decode((string) file_get_contents(__DIR__.'/../../schemas/oak-setup-1.json'), true);
        $this->fields = iterator_to_array(self::ofSchema($schema, $schema, $this->file), false);
    }

    public function next(): string
    {
        $file = $this->file;
        $placed = [];
        for ($i = $this->random->getInt(1, 3); $i > 0; $i--) {
            [$way, $says] = $this->fields[$this->random->getInt(0, count($this->fields) - 1)];
            $value = $this->value($says);
            $file = match ($this->random->getInt(0, 9)) {
                0 => self::without($file, $way),
                1 => self::with($file, [...array_slice($way, 0, -1), 'unheard'], "#{$i}#"),
                2 => self::with($file, $way, "#{$i}twice#"),
                default => self::with($file, $way, "#{$i}#"),
            };
            $placed["\"#{$i}#\""] = $value;
            $placed["\"#{$i}twice#\""] = $value.','.json_encode(is_int(end($way)) ? 'more' : end($way)).(is_int(end($way)) ? '' : ': '.$this->value($says));
        }

        return strtr((string) json_encode($file), $placed);
    }

    /**
     * The way to every field, branches and leaves.
     *
     * @param  array<int|string, mixed>  $file
     * @param  list<int|string>  $way
     * @return iterable<list<int|string>>
     */
    public static function ways(array $file, array $way = []): iterable
    {
        foreach ($file as $name => $value) {
            yield [...$way, $name];
            if (is_array($value)) {
                yield from self::ways($value, [...$way, $name]);
            }
        }
    }

    /**
     * @param  array<int|string, mixed>  $file
     * @param  list<int|string>  $way
     * @return array<int|string, mixed>
     */
    public static function with(array $file, array $way, mixed $value): array
    {
        $name = array_shift($way);
        $file[$name] = $way === [] ? $value : self::with(is_array($file[$name] ?? null) ? $file[$name] : [], $way, $value);

        return $file;
    }

    /**
     * A setup with every field there is.
     *
     * @return array<string, mixed>
     */
    public static function everyField(): array
    {
        return Bench::file([
            'machine' => [
                'axes' => ['A' => ['min' => -360, 'max' => 360, 'rapid' => 3600, 'acceleration' => 900]], 'secondHome' => ['Z' => -50],
                'maxFeed' => 12000, 'spindle' => ['maxRpm' => 8000, 'secondsToSpeed' => 1.5, 'power' => 5, 'torque' => 30],
                'toolChange' => ['seconds' => 6, 'at' => ['Z' => 0]],
                'control' => [
                    'arcTolerance' => 0.002, 'peckClearance' => 0.5, 'chipBreakRetract' => 0.25, 'lookAheadBlocks' => 20, 'mostBlocks' => 20000,
                    'dIs' => 'diameter', 'cycleRunsOn' => 'position-words', 'roundInWord' => 'whole', 'cyclesAreMotion' => false,
                ],
                'lowered' => [['check' => 'heights.rapid-low', 'reason' => 'as ever']],
            ],
            'start' => ['X' => 0, 'Y' => 0, 'Z' => 0], 'workOffsets' => ['G55' => ['X' => -250, 'Y' => -200, 'Z' => 0]],
            'tools' => [['number' => 1, 'name' => 'mill', 'kind' => 'end-mill', 'diameter' => 10, 'cornerRadius' => 0, 'flutes' => 3, 'centerCutting' => true,
                'fluteLength' => 25, 'stickout' => 40, 'holder' => [['diameter' => 40, 'length' => 60]], 'hand' => 'right',
                'maxRpm' => 12000, 'maxAxialDepth' => 5, 'maxRadialWidth' => 10, 'feedPerTooth' => [0.01, 0.2], 'surfaceSpeed' => [20, 900],
                'pointAngle' => 118, 'pitch' => 1.25, 'coolant' => 'flood']],
            'offsets' => ['H' => ['1' => ['geometry' => -250, 'wear' => 0.01]], 'D' => ['1' => 10]],
            'obstacles' => [['name' => 'jaw', 'shape' => 'box', 'min' => [-80, 40, -30], 'max' => [80, 60, 5], 'workOffset' => 'G54']],
            'moreStock' => [['shape' => 'cylinder', 'axis' => 'X', 'diameter' => 30, 'length' => 40, 'bore' => 5, 'face' => 1, 'workOffset' => 'G55']],
            'subprograms' => ['O2000' => "G91 X1.\nG90\nM99"], 'switches' => ['blockSkip' => [1], 'optionalStop' => false], 'breakThrough' => 1,
            'nearLimit' => 0.5, 'thinnest' => 0.5,
            'grip' => ['kind' => 'jaws', 'depth' => 8, 'force' => 9000],
            'rotaryCenters' => ['A' => ['workOffset' => 'G54', 'at' => ['Y' => 0, 'Z' => -12.5], 'table' => -80]],
            'proof' => ['on' => '2026-03-02', 'by' => 'M', 'parts' => ['G54' => 'x']],
            'target' => [
                'top' => 0, 'tolerance' => 0.1,
                'features' => [
                    ['kind' => 'hole', 'at' => [0, 0], 'diameter' => 8.5, 'depth' => 4],
                    ['kind' => 'pocket', 'at' => [20, 10], 'length' => 20, 'width' => 12, 'corner' => 3, 'angle' => 30, 'depth' => 4, 'placeTolerance' => 0.1],
                ],
            ],
        ]);
    }

    /**
     * @param  array<int|string, mixed>  $file
     * @param  list<int|string>  $way
     * @return array<int|string, mixed>
     */
    private static function without(array $file, array $way): array
    {
        $name = array_shift($way);
        if ($way === []) {
            unset($file[$name]);
        } elseif (is_array($file[$name] ?? null)) {
            $file[$name] = self::without($file[$name], $way);
        }

        return $file;
    }

    /** @param  array<string, mixed>  $says */
    private function value(array $says): string
    {
        $enum = $says['enum'] ?? [];
        $near = array_merge(
            array_map(static fn (mixed $one): string => (string) json_encode($one), is_array($enum) ? $enum : []),
            isset($says['minimum']) ? [(string) $says['minimum'], (string) ($says['minimum'] - 1)] : [],
            isset($says['maximum']) ? [(string) $says['maximum'], (string) ($says['maximum'] * 1.001)] : [],
            match ($says['type'] ?? '') {
                'number', 'integer' => [(string) $this->random->getInt(-500, 500), $this->random->getInt(-500, 500).'.25', '0.0001'],
                'string' => ['"'.str_repeat('long ', 300).'"', '"G55"', '"<b>&\u2028"'],
                default => [],
            },
        );
        $values = $this->random->getInt(0, 1) === 0 && $near !== [] ? $near : self::IN_ITS_PLACE;

        return $values[$this->random->getInt(0, count($values) - 1)];
    }

    /**
     * @param  array<string, mixed>  $says  what the schema says of this place
     * @param  array<string, mixed>  $schema  the whole of it
     * @param  mixed  $file  what the full setup has there
     * @param  list<int|string>  $way
     * @return iterable<array{list<int|string>, array<string, mixed>}>
     */
    private static function ofSchema(array $says, array $schema, mixed $file, array $way = []): iterable
    {
        if (count($way) > 8) {
            return;
        }
        if (isset($says['$ref'])) {
            $says += $schema['$defs'][basename((string) $says['$ref'])];
        }
        if ($way !== []) {
            yield [$way, $says];
        }
        foreach ([...($says['anyOf'] ?? []), ...($says['oneOf'] ?? []), ...array_column($says['allOf'] ?? [], 'then')] as $part) {
            yield from self::ofSchema($part, $schema, $file, $way);
        }
        foreach ($says['properties'] ?? [] as $name => $of) {
            yield from self::ofSchema(is_array($of) ? $of : [], $schema, is_array($file) ? $file[$name] ?? null : null, [...$way, $name]);
        }
        foreach (is_array($says['additionalProperties'] ?? null) ? [is_array($file) && $file !== [] ? array_key_first($file) : 'X'] : [] as $name) {
            yield from self::ofSchema($says['additionalProperties'], $schema, is_array($file) ? $file[$name] ?? null : null, [...$way, $name]);
        }
        foreach (is_array($says['items'] ?? null) ? range(0, max(0, count(is_array($file) ? $file : []) - 1)) : [] as $number) {
            yield from self::ofSchema($says['items'], $schema, is_array($file) ? $file[$number] ?? null : null, [...$way, $number]);
        }
    }
}
