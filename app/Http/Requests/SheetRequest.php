<?php

declare(strict_types=1);

namespace App\Http\Requests;

use Closure;
use Illuminate\Http\Request;
use OakTrace\Core\Sheet\Linking\Written;

/** A question about a text and the operation sheet it goes with, from somebody who may see the program. */
class SheetRequest extends ProgramText
{
    /** Letters of a sheet as it is kept. */
    private const LARGEST = 2_000_000;

    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return [...parent::rules(), ...self::sheetRules(''), 'taken' => ['sometimes', 'array', 'max:2000'], 'taken.*' => ['string', 'max:120']];
    }

    /** @return array<string, list<mixed>> */
    public static function sheetRules(string $in): array
    {
        $isSmall = static function (string $field, mixed $value, Closure $fail): void {
            if (strlen((string) json_encode($value)) > self::LARGEST) {
                $fail('This sheet is too large.');
            }
        };

        return [
            "{$in}document" => [$in === '' ? 'required' : 'sometimes', 'array', $isSmall], "{$in}written" => ['sometimes', 'array', 'max:5000', $isSmall],
            "{$in}written.*.key" => ['required', 'string', 'max:120'], "{$in}written.*.lines" => ['present', 'array'],
            "{$in}written.*.lines.*" => ['present', 'nullable', 'string', 'max:2000'],
        ];
    }

    /** @return array{document: array<string, mixed>, written: list<array{key: string, lines: list<string>}>}|null as it is kept with a text */
    public static function sheet(Request $request, string $in): ?array
    {
        $given = $in === '' ? $request->all() : $request->input($in);
        if (! is_array($given) || ! is_array($given['document'] ?? null)) {
            return null;
        }
        $sections = [];
        foreach (is_array($given['written'] ?? null) ? $given['written'] : [] as $section) {
            if (is_array($section) && is_string($section['key'] ?? null) && is_array($section['lines'] ?? null)) {
                $sections[] = [
                    'key' => $section['key'],
                    'lines' => array_map(static fn (mixed $line): string => is_string($line) ? $line : '', array_values($section['lines'])),
                ];
            }
        }
        /** @var array<string, mixed> $document */
        $document = $given['document'];

        return ['document' => $document, 'written' => $sections];
    }

    public function written(): ?Written
    {
        $sheet = self::sheet($this, '');

        return $sheet === null || $sheet['written'] === [] ? null : Written::kept($sheet['written']);
    }

    /** @return array<string, mixed> */
    public function document(): array
    {
        return self::sheet($this, '')['document'] ?? [];
    }

    /** @return list<string> */
    public function taken(): array
    {
        return array_values(array_filter($this->array('taken'), is_string(...)));
    }
}
