<?php

declare(strict_types=1);

use OakTrace\Core\Formats\ColumnType;
use OakTrace\Core\Formats\PackedColumns;

it('packs columns of every type behind their head, each from a multiple of eight bytes on', function (): void {
    $columns = new PackedColumns;
    $given = [
        'kind' => [ColumnType::U8, [0, 255, 3]], 'tool' => [ColumnType::U16, [65535]], 'line' => [ColumnType::U32, [7, 4294967295]],
        'z' => [ColumnType::F32, [-4.5, 0.25]], 'seconds' => [ColumnType::F64, [0.1]], 'none' => [ColumnType::F64, []],
    ];
    foreach ($given as $name => [$type, $values]) {
        $columns->open($name, $type);
        foreach ($values as $value) {
            $columns->add($name, [$value]);
        }
    }
    $body = $columns->body(['words' => 'Ø 5/8', 'columns' => 'filled in']);
    $start = 8 + (int) unpack('V', $body, 4)[1];
    [$head, $read] = PackedColumns::read($body);
    expect($start % 8)->toBe(0)->and($head['words'])->toBe('Ø 5/8')->and($read->names())->toBe(array_keys($given));
    foreach ($given as $name => [$type, $values]) {
        expect($read->numbers($name))->toBe($values)->and($head['columns'][$name][1] % 8)->toBe(0)->and($head['columns'][$name][0])->toBe($type->value);
    }
    expect($read->numbers('missing'))->toBe([]);
});

it('refuses a body that is none', function (string $body): void {
    expect(fn (): array => PackedColumns::read($body))->toThrow(InvalidArgumentException::class);
})->with(['', 'OAKC', '{"message":"no"}', "OAKC\x02\0\0\0{}", "OAKC\xFF\xFF\xFF\xFF{}"]);
