<?php

declare(strict_types=1);

namespace OakTrace\Core\Sheet;

use InvalidArgumentException;
use OakTrace\Core\Quantities\Units;

/**
 * What was answered to the questions of one operation, in millimetres and degrees. Whatever is wrong or missing is gathered by
 * field and told at once, before any code is written.
 */
final class Answers
{
    /** @var array<string, string> dotted field => what is wrong */
    private array $wrong = [];

    /** @var array<string, string> dotted field => what stands where nobody answered */
    private array $usual = [];

    /**
     * @param  array<string, mixed>  $given
     * @param  string  $path  of the operation in the sheet
     * @param  array<string, mixed>  $names  figures with a name of their own
     */
    public function __construct(private readonly array $given, private readonly string $path, private readonly Units $units, private readonly array $names)
    {
    }

    public function has(string $field): bool
    {
        return ($this->given[$field] ?? null) !== null && $this->given[$field] !== '';
    }

    /** @param  list<string>  $known */
    public function refuseOthers(array $known): void
    {
        foreach (array_diff(array_keys($this->given), $known) as $field) {
            $this->wrong((string) $field, 'This operation has no such field.');
        }
    }

    public function wrong(string $field, string $what): void
    {
        $this->wrong[$field === '' ? $this->path : "{$this->path}.{$field}"] ??= $what;
    }

    /** @return array<string, string> */
    public function problems(): array
    {
        return $this->wrong;
    }

    /** @return array<string, string> dotted field, inside the operation => what stands where nobody answered */
    public function usual(): array
    {
        return $this->usual;
    }

    /** A length as it is told in the units of the sheet. */
    public function said(float $millimetres): string
    {
        $figure = number_format($millimetres / $this->units->millimetres(), $this->units->decimals(), '.', '');

        return str_replace('-', '−', $figure).' '.$this->units->symbol();
    }

    /** A length as it stands on a drawing: no unit, no noughts it does not need. */
    public function drawn(float $millimetres): string
    {
        $figure = number_format($millimetres / $this->units->millimetres(), $this->units->decimals(), '.', '');

        return str_replace('-', '−', rtrim(rtrim($figure, '0'), '.'));
    }

    /** A size as it stands on a drawing, a radius beside a diameter, and what is cut of it where it may be off. */
    public function drawnSize(Size $size, string $sign = 'Ø '): string
    {
        $signed = fn (float $value): string => ($value > 0.0 ? '+' : '').$this->drawn($value);
        $tolerance = $size->lower === 0.0 && $size->upper === 0.0 ? ''
            : " {$signed($size->upper)}/{$signed($size->lower)}, cut {$this->drawn($size->aimed())}";

        return $sign.$this->drawn($size->nominal).($sign === '' ? '' : ' · R '.$this->drawn($size->nominal / 2)).$tolerance;
    }

    /** @throws SheetError where anything was wrong */
    public function settle(): void
    {
        if ($this->wrong !== []) {
            throw new SheetError($this->wrong);
        }
    }

    /** @param  string|null  $missing  what is asked where there is no answer and no default */
    public function length(string $field, ?float $default = null, ?string $missing = null): float
    {
        if ($default !== null && ! $this->has($field)) {
            $this->usual[$field] = $this->drawn($default);
        }

        return $this->maybeLength($field) ?? $default ?? $this->missing($field, $missing);
    }

    public function maybeLength(string $field): ?float
    {
        $value = $this->number($field);

        return $value === null ? null : $value * $this->units->millimetres();
    }

    /** A length that is more than nothing. */
    public function size(string $field, ?float $default = null, ?string $missing = null): float
    {
        $value = $this->length($field, $default, $missing);
        if ($this->has($field) && $value <= 0.0) {
            $this->wrong($field, 'This has to be more than 0.');
        }

        return max($value, 1e-6);
    }

    public function angle(string $field, float $default = 0.0): float
    {
        return $this->plain($field, $default);
    }

    public function share(string $field, float $default): float
    {
        $value = $this->plain($field, $default);
        if ($value < 0.0 || $value >= 1.0) {
            $this->wrong($field, 'This is a share, from 0 to less than 1.');

            return $default;
        }

        return $value;
    }

    public function seconds(string $field, float $default = 0.0): float
    {
        $value = $this->plain($field, $default);
        if ($value < 0.0 || $value > 3600.0) {
            $this->wrong($field, 'This has to be between 0 and 3600 s.');
        }

        return $value;
    }

    public function count(string $field, ?int $default = null, int $least = 1, int $most = 10_000): int
    {
        $value = $default === null ? $this->number($field) ?? $this->missing($field, null) : $this->plain($field, (float) $default);
        if ($value !== floor($value)) {
            $this->wrong($field, 'This has to be a whole number.');
        } elseif ($value < $least || $value > $most) {
            $this->wrong($field, "This has to be between {$least} and {$most}.");
        }

        return max($least, min($most, (int) $value));
    }

    public function flag(string $field, bool $default = false): bool
    {
        $value = $this->given[$field] ?? $default;
        if (! is_bool($value)) {
            $this->wrong($field, 'This is true or false.');
        }

        return $value === true;
    }

    /** @param  non-empty-list<string>  $choices  the usual one first */
    public function choice(string $field, array $choices): string
    {
        $value = $this->given[$field] ?? $choices[0];
        if (! is_string($value) || ! in_array($value, $choices, true)) {
            $this->wrong($field, 'This is one of: '.implode(', ', $choices).'.');

            return $choices[0];
        }

        return $value;
    }

    public function text(string $field, string $default = ''): string
    {
        $value = $this->given[$field] ?? $default;

        return is_string($value) ? $value : $default;
    }

    /**
     * A place: [X, Y], {radius, angle} from the one it is given from, {radius, angle, about}, or {dx, dy} further.
     *
     * @param  array{float, float}|null  $default
     * @param  array{float, float}  $from
     * @return array{float, float}
     */
    public function point(string $field, ?array $default = null, array $from = [0.0, 0.0]): array
    {
        if (! $this->has($field) && $default !== null) {
            return $default;
        }
        if (! $this->has($field)) {
            $this->wrong($field, 'Where is it? Give X and Y.');
        }

        return $this->has($field) ? $this->place($field, $this->given[$field], $from) : [0.0, 0.0];
    }

    /** @return list<array{float, float}> places, each of which may be given from the one before */
    public function points(string $field): array
    {
        $given = $this->given[$field] ?? null;
        if (! is_array($given) || $given === []) {
            $this->wrong($field, 'Give at least one place.');

            return [[0.0, 0.0]];
        }
        $points = [];
        $before = [0.0, 0.0];
        foreach (array_values($given) as $i => $place) {
            $isPolar = is_array($place) && isset($place['radius']);
            $points[] = $before = $this->place("{$field}.{$i}", $place, $isPolar ? [0.0, 0.0] : $before);
        }

        return $points;
    }

    /**
     * @param  array{float, float}  $from
     * @return array{float, float}
     */
    private function place(string $field, mixed $given, array $from): array
    {
        $isPair = is_array($given) && array_is_list($given) && count($given) === 2;
        if ($isPair) {
            return [$this->figure("{$field}.0", $given[0]), $this->figure("{$field}.1", $given[1])];
        }
        $fields = is_array($given) ? array_keys($given) : [];
        if (is_array($given) && isset($given['dx'], $given['dy']) && array_diff($fields, ['dx', 'dy']) === []) {
            return [$from[0] + $this->figure("{$field}.dx", $given['dx']), $from[1] + $this->figure("{$field}.dy", $given['dy'])];
        }
        if (is_array($given) && isset($given['radius'], $given['angle']) && array_diff($fields, ['radius', 'angle', 'about']) === []) {
            $about = isset($given['about']) ? $this->place("{$field}.about", $given['about'], [0.0, 0.0]) : $from;
            [$radius, $angle] = [$this->figure("{$field}.radius", $given['radius']), deg2rad($this->worked("{$field}.angle", $given['angle']) ?? 0.0)];

            return [$about[0] + $radius * cos($angle), $about[1] + $radius * sin($angle)];
        }
        $this->wrong($field, 'Give X and Y, or radius and angle, or how much further.');

        return [0.0, 0.0];
    }

    /** @return list<int> */
    public function numbers(string $field): array
    {
        $given = $this->given[$field] ?? [];
        if (! is_array($given) || array_filter($given, is_int(...)) !== $given) {
            $this->wrong($field, 'Give a list of whole numbers.');

            return [];
        }

        return array_values($given);
    }

    /** A size across: of a circle by its diameter or its radius, never both; of a slot by its width. */
    public function across(string $field, ?float $default = null): Size
    {
        if (! $this->has($field)) {
            if ($default === null) {
                $this->wrong($field, 'What is its size?');
            }

            return new Size($default ?? 1.0);
        }
        $given = $this->given[$field];
        if (! is_array($given)) {
            return new Size($this->positive($field, $given));
        }
        $ways = array_intersect_key($given, ['diameter' => 0, 'radius' => 0, 'width' => 0]);
        if (count($ways) !== 1) {
            $this->wrong($field, count($ways) === 0 ? 'What is its size?' : 'Give the diameter or the radius, not both.');

            return new Size(1.0);
        }
        $way = (string) array_key_first($ways);
        $nominal = $this->positive("{$field}.{$way}", $ways[$way]) * ($way === 'radius' ? 2 : 1);
        $tolerance = $given['tolerance'] ?? null;
        [$lower, $upper] = match (true) {
            $tolerance === null => [0.0, 0.0],
            is_array($tolerance) && count($tolerance) === 2 => [
                $this->figure("{$field}.tolerance.0", array_values($tolerance)[0]), $this->figure("{$field}.tolerance.1", array_values($tolerance)[1]),
            ],
            default => [-abs($this->figure("{$field}.tolerance", $tolerance)), abs($this->figure("{$field}.tolerance", $tolerance))],
        };
        if ($lower > $upper) {
            $this->wrong("{$field}.tolerance", 'The lower deviation is above the upper one.');
        }
        $aim = $given['aim'] ?? 'middle';
        if (! in_array($aim, ['middle', 'low', 'high'], true)) {
            $size = $this->positive("{$field}.aim", $aim) * ($way === 'radius' ? 2 : 1);

            return new Size($size);
        }

        return new Size($nominal, $lower, $upper, $aim);
    }

    /** The answers of a group of fields. What is wrong in it is told at its field; see gather(). */
    public function group(string $field): self
    {
        $given = $this->given[$field] ?? [];
        if (! is_array($given) || ($given !== [] && array_is_list($given))) {
            $this->wrong($field, 'This is a group of fields.');
            $given = [];
        }

        /** @var array<string, mixed> $given */
        return new self($given, "{$this->path}.{$field}", $this->units, $this->names);
    }

    public function gather(self $group): void
    {
        $this->wrong += $group->wrong;
        $inside = substr($group->path, strlen($this->path) + 1);
        foreach ($group->usual as $field => $usual) {
            $this->usual["{$inside}.{$field}"] = $usual;
        }
    }

    private function positive(string $field, mixed $given): float
    {
        $value = $this->figure($field, $given);
        if ($value <= 0.0) {
            $this->wrong($field, 'This has to be more than 0.');
        }

        return max($value, 1e-6);
    }

    /** A length that is given somewhere inside a field. */
    private function figure(string $field, mixed $given): float
    {
        return ($this->worked($field, $given) ?? 0.0) * $this->units->millimetres();
    }

    /** A plain number; what is usual stands where nobody answers. */
    private function plain(string $field, float $default): float
    {
        if (! $this->has($field)) {
            $this->usual[$field] = rtrim(rtrim(number_format($default, 3, '.', ''), '0'), '.');
        }

        return $this->number($field) ?? $default;
    }

    private function number(string $field): ?float
    {
        return $this->has($field) ? $this->worked($field, $this->given[$field]) : null;
    }

    private function worked(string $field, mixed $given): ?float
    {
        try {
            return Typed::value($given, $this->units, $this->names);
        } catch (InvalidArgumentException $problem) {
            $this->wrong($field, $problem->getMessage());

            return null;
        }
    }

    private function missing(string $field, ?string $asked): float
    {
        $this->wrong($field, $asked ?? 'This is still to be answered.');

        return 0.0;
    }
}
