<?php

declare(strict_types=1);

use OakTrace\Core\Formats\ToolSheet;
use OakTrace\Core\Setup\ToolKind;

it('has a field for everything a person can know of a tool', function (): void {
    $schema = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/schemas/oak-setup-1.json'), true);
    $known = array_diff(array_keys($schema['$defs']['tool']['properties']), ['number', 'name', 'kind', 'holder']);
    expect(array_column(ToolSheet::fields(), 'field'))->toEqualCanonicalizing(array_values($known));
});

it('names only kinds there are', function (): void {
    $kinds = array_column(ToolKind::cases(), 'value');
    foreach (ToolSheet::fields() as ['kinds' => $named]) {
        expect(array_diff($named ?? [], $kinds))->toBe([]);
    }
    expect(array_keys(ToolSheet::usuals()))->toBe($kinds);
});

it('offers what is usual, and says nothing of what has no usual value', function (string $kind, string $field, mixed $usual): void {
    expect(ToolSheet::usuals()[$kind][$field] ?? null)->toBe($usual);
})->with([
    ['drill', 'pointAngle', ['value' => 118.0, 'ofDiameter' => null]], ['spot-drill', 'pointAngle', ['value' => 90.0, 'ofDiameter' => null]],
    ['end-mill', 'maxAxialDepth', ['value' => null, 'ofDiameter' => 1.5]], ['reamer', 'centerCutting', ['value' => 'no', 'ofDiameter' => null]],
    ['reamer', 'pointAngle', null], ['tap', 'maxAxialDepth', null],
]);
