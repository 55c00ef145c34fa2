<?php

declare(strict_types=1);

namespace OakTrace\Core\Interpreter;

use OakTrace\Core\Language\Expressions\Parameters;

/** The parameters of a run: #1 to #33 for each level of macro call, the others for all of them. */
final class ParameterStore implements Parameters
{
    private const LOCALS = 33;

    private const KEPT = [500, 999];

    /** Counts assignments that changed a value: between two equal counts every condition on parameters comes out alike. */
    public int $changes = 0;

    /** Whether anything but a parameter's own value has been read: positions and modes change without an assignment. */
    public bool $readState = false;

    /** What that only the machine knows has been read since it was forgotten, or what hangs on it: probe, timer, kept. */
    public ?string $readMeasured = null;

    /** @var array<int|string, string> parameters whose value hangs on such, locals by their level => on what */
    private array $measured = [];

    /** @var array<int|string, true> parameters that are counted on from what the control keeps in them */
    private array $counted = [];

    /** The last of those that has been read, since it was forgotten. */
    public int|string|null $readCounted = null;

    /** @var array<int|string, float> */
    private array $common = [];

    /** @var non-empty-list<array<int, float>> */
    private array $locals = [[]];

    public function __construct(private readonly SystemVariables $state)
    {
    }

    public function value(int|string $name): ?float
    {
        if ($this->measured !== []) {
            $this->readMeasured = $this->measured[$this->key($name)] ?? $this->readMeasured;
        }
        if (is_int($name) && $name <= self::LOCALS) {
            return $this->locals[count($this->locals) - 1][$name] ?? null;
        }
        if ($this->counted !== [] && isset($this->counted[$name])) {
            $this->readCounted = $name;
        }
        if (isset($this->common[$name])) {
            return $this->common[$name];
        }
        $value = is_int($name) ? $this->state->value($name) : null;
        $this->readState = $this->readState || $value !== null;
        if ($value !== null && is_int($name)) {
            $this->readMeasured = $this->state->measuredBy($name) ?? $this->readMeasured;
        }

        return $value;
    }

    public function forgetRead(): void
    {
        $this->readMeasured = $this->readCounted = null;
    }

    /** Keeps of a parameter what that only the machine knows its value hangs on; null where on nothing. */
    public function markMeasured(int|string $name, ?string $by): void
    {
        if ($by !== null) {
            $this->measured[$this->key($name)] = $by;
        } elseif ($this->measured !== []) {
            unset($this->measured[$this->key($name)]);
        }
    }

    /** Whether the control keeps it from one run to the next (common practice). */
    public static function isKept(int|string $name): bool
    {
        return is_int($name) && $name >= self::KEPT[0] && $name <= self::KEPT[1];
    }

    /** Keeps of a parameter whether it is counted on from what the control keeps in it. */
    public function markCounted(int|string $name, bool $is): void
    {
        if ($is) {
            $this->counted[$name] = true;
        } else {
            unset($this->counted[$name]);
        }
    }

    private function key(int|string $name): int|string
    {
        return is_int($name) && $name <= self::LOCALS ? count($this->locals).':'.$name : $name;
    }

    /** Null takes the value away. False where the parameter cannot be given one. */
    public function set(int|string $name, ?float $value): bool
    {
        if ($name === 0 || (is_int($name) && $this->state->value($name) !== null)) {
            return false;
        }
        if ($this->value($name) !== $value) {
            $this->changes++;
        }
        if (is_int($name) && $name <= self::LOCALS) {
            $level = count($this->locals) - 1;
            if ($value === null) {
                unset($this->locals[$level][$name]);
            } else {
                $this->locals[$level][$name] = $value;
            }
        } elseif ($value === null) {
            unset($this->common[$name]);
        } else {
            $this->common[$name] = $value;
        }

        return true;
    }

    /** @param  array<int, float>  $locals */
    public function enter(array $locals): void
    {
        $this->locals[] = $locals;
        $level = count($this->locals).':';
        $this->measured = array_filter($this->measured, static fn (int|string $key): bool => ! str_starts_with((string) $key, $level), ARRAY_FILTER_USE_KEY);
        $this->changes++;
    }

    public function leave(): void
    {
        if (count($this->locals) > 1) {
            array_pop($this->locals);
        }
    }
}
