<?php

declare(strict_types=1);

namespace App\Checking;

use OakTrace\Core\Kinematics\Axis;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Wording\Wording;

/** In what two machines of one name differ, in words: the travel and the speeds a verdict hangs on. */
final readonly class MachineDifference
{
    /** Figures nearer than this are the same, whatever unit they were written in. */
    private const SAME = 1e-4;

    private function __construct(private Wording $wording)
    {
    }

    /**
     * @param  Machine  $file  as a file has it
     * @param  Machine  $shop  as the shop has it
     * @return list<string>
     */
    public static function of(Machine $file, Machine $shop, Units $units): array
    {
        $difference = new self(new Wording($units));
        $found = $file->kind === $shop->kind ? [] : ["a {$file->kind} there, a {$shop->kind} here"];
        foreach (array_unique([...array_keys($file->axes), ...array_keys($shop->axes)]) as $name) {
            array_push($found, ...$difference->axis($name, $file->axes[$name] ?? null, $shop->axes[$name] ?? null));
        }
        [$there, $here] = [$file->spindle(Machine::MAIN_SPINDLE), $shop->spindle(Machine::MAIN_SPINDLE)];

        return array_values(array_filter([
            ...$found,
            $difference->figure('greatest speed', $there->maxRpm, $here->maxRpm, Quantity::rpm(...)),
            $difference->figure('power', $there->power, $here->power, Quantity::power(...)),
            $difference->figure('greatest feed', $file->maxFeed, $shop->maxFeed, Quantity::feed(...)),
            $file->control->name === $shop->control->name ? null : "control {$file->control->title} there, {$shop->control->title} here",
        ]));
    }

    /** @return list<string> */
    private function axis(string $name, ?Axis $there, ?Axis $here): array
    {
        if ($there === null || $here === null) {
            return ["axis {$name} only ".($here === null ? 'there' : 'here')];
        }
        $on = static fn (float $value): Quantity => $here->shown($value);

        return array_values(array_filter([
            $this->figure("{$name} minus limit", $there->min, $here->min, $on), $this->figure("{$name} plus limit", $there->max, $here->max, $on),
            $this->figure(
                "{$name} rapid", $there->rapid, $here->rapid, Quantity::feed(...),
            ),
            $there->isByHand === $here->isByHand ? null
                : "{$name} moved by hand ".($there->isByHand ? 'there, by the control here' : 'here, by the control there'),
        ]));
    }

    /** @param  callable(float): Quantity  $quantity */
    private function figure(string $what, ?float $there, ?float $here, callable $quantity): ?string
    {
        if ($there === $here || ($there !== null && $here !== null && abs($there - $here) < self::SAME * max(1.0, abs($here)))) {
            return null;
        }
        $words = fn (?float $value): string => $value === null ? 'not given' : $this->wording->figure($quantity($value));

        return "{$what} {$words($there)} there, {$words($here)} here";
    }
}
