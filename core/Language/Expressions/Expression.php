<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

/**
 * An expression as steps on a stack: made once from the text, worked out as often as its block is run.
 */
final readonly class Expression
{
    /** A result larger than this is no place, speed or time. */
    private const MOST = 1e12;

    /** Values that differ by less are equal (NISTIR 6556 has none; controls hold about eight figures, common practice). */
    private const SAME = 1e-9;

    /** Whether ROUND is among its steps. */
    public bool $rounds;

    /** @param  list<array{Operation, float|string|null}>  $steps */
    public function __construct(private array $steps)
    {
        $this->rounds = in_array(Operation::Round, array_column($steps, 0), true);
    }

    public static function number(float $value): self
    {
        return new self([[Operation::Number, $value]]);
    }

    /**
     * The value; null where it has none, because a parameter without a value is all there is of it.
     *
     * @param  list<int|string>  $undefined  gets the parameters that had no value where one was needed
     * @param  float  $roundTo  what ROUND rounds to
     *
     * @throws ArithmeticProblem
     */
    public function evaluate(Parameters $parameters, array &$undefined = [], float $roundTo = 1.0): ?float
    {
        $stack = [];
        $depth = -1;
        foreach ($this->steps as [$operation, $operand]) {
            switch ($operation) {
                case Operation::Number:
                    $stack[++$depth] = $operand;
                    break;
                case Operation::Vacant:
                    $stack[++$depth] = null;
                    break;
                case Operation::Named:
                    $stack[++$depth] = $this->read($parameters, (string) $operand, $undefined);
                    break;
                case Operation::Parameter:
                    $stack[$depth] = $this->read($parameters, $this->index($stack[$depth]), $undefined);
                    break;
                case Operation::IsVacant:
                case Operation::IsSet:
                    $name = $operand ?? $this->index($stack[$depth]);
                    $depth += $operand === null ? 0 : 1;
                    $vacant = $parameters->value(is_float($name) ? (int) $name : $name) === null;
                    $stack[$depth] = $vacant === ($operation === Operation::IsVacant) ? 1.0 : 0.0;
                    break;
                case Operation::Negate:
                    $stack[$depth] = -($stack[$depth] ?? 0.0);
                    break;
                case Operation::Round:
                    $stack[$depth] = round(($stack[$depth] ?? 0.0) / $roundTo) * $roundTo;
                    break;
                default:
                    if ($operation->name === 'Atan' || in_array($operation, Operation::FUNCTIONS, true) === false) {
                        $right = (float) ($stack[$depth--] ?? 0.0);
                        $stack[$depth] = $this->pair($operation, (float) ($stack[$depth] ?? 0.0), $right);
                    } else {
                        $stack[$depth] = $this->single($operation, (float) ($stack[$depth] ?? 0.0));
                    }
            }
        }
        $value = $stack[0] ?? null;
        if ($value !== null && (is_nan((float) $value) || abs((float) $value) > self::MOST)) {
            throw new ArithmeticProblem('the result is too large');
        }

        return $value === null ? null : (float) $value;
    }

    /** What is done last; null where it does nothing. */
    public function operation(): ?Operation
    {
        return $this->steps[count($this->steps) - 1][0] ?? null;
    }

    /** The first parameter it reads, as it is written; null where it reads none. */
    public function parameter(): ?string
    {
        foreach ($this->steps as $at => [$operation, $operand]) {
            if ($operation === Operation::Named) {
                return '#<'.$operand.'>';
            }
            if ($operation === Operation::Parameter) {
                [$before, $number] = $this->steps[$at - 1];

                return $before === Operation::Number ? '#'.$number : '#[…]';
            }
        }

        return null;
    }

    /** @return array{self, self} what the last operation takes: the values left and right of it */
    public function sides(): array
    {
        $begins = [];
        $last = count($this->steps) - 1;
        foreach ($this->steps as $at => [$operation, $operand]) {
            if ($at === $last) {
                break;
            }
            if (
                in_array($operation, [Operation::Number, Operation::Vacant, Operation::Named], true)
                || ($operand !== null && in_array($operation, [Operation::IsVacant, Operation::IsSet], true))
            ) {
                $begins[] = $at;
            } elseif ($operation === Operation::Atan || in_array($operation, array_merge(...array_map(array_values(...), Operation::LEVELS)), true)) {
                array_pop($begins);
            }
        }
        $right = $begins[count($begins) - 1];

        return [new self(array_slice($this->steps, 0, $right)), new self(array_slice($this->steps, $right, $last - $right))];
    }

    /** @param  list<int|string>  $undefined */
    private function read(Parameters $parameters, int|string $name, array &$undefined): ?float
    {
        $value = $parameters->value($name);
        if ($value === null) {
            $undefined[] = $name;
        }

        return $value;
    }

    private function index(float|string|null $value): int
    {
        $number = round((float) $value);
        if (abs((float) $value - $number) > 1e-4 || $number < 0 || $number > 1e6) {
            throw new ArithmeticProblem('a variable number must be a whole number');
        }

        return (int) $number;
    }

    /** @throws ArithmeticProblem where the function has no value there */
    private function refuse(Operation $operation, float $value): void
    {
        if (($operation === Operation::Asin || $operation === Operation::Acos) && abs($value) > 1) {
            throw new ArithmeticProblem('the inverse sine or cosine of more than 1');
        }
        if ($operation === Operation::Sqrt && $value < 0) {
            throw new ArithmeticProblem('the square root of a negative number');
        }
        if ($operation === Operation::Ln && $value <= 0) {
            throw new ArithmeticProblem('the logarithm of a number that is not positive');
        }
    }

    private function single(Operation $operation, float $value): float
    {
        $this->refuse($operation, $value);

        return match ($operation) {
            Operation::Sin => sin(deg2rad($value)),
            Operation::Cos => cos(deg2rad($value)),
            Operation::Tan => tan(deg2rad($value)),
            Operation::Asin => rad2deg(asin($value)),
            Operation::Acos => rad2deg(acos($value)),
            Operation::Sqrt => sqrt($value),
            Operation::Abs => abs($value),
            Operation::Fix => $value < 0 ? ceil($value) : floor($value),
            Operation::Fup => $value < 0 ? floor($value) : ceil($value),
            Operation::Ln => log($value),
            default => exp($value),
        };
    }

    private function pair(Operation $operation, float $left, float $right): float
    {
        if (($operation === Operation::Over || $operation === Operation::Mod) && $right == 0.0) {
            throw new ArithmeticProblem('a division by zero');
        }
        if ($operation === Operation::Power && ($left < 0 && floor($right) !== $right || $left == 0.0 && $right < 0)) {
            throw new ArithmeticProblem('a power that has no value');
        }

        return match ($operation) {
            // NISTIR 6556: the angle of (x, y), here in 0 to 360 degrees.
            Operation::Atan => fmod(rad2deg(atan2($left, $right)) + 360, 360),
            Operation::Power => $left ** $right,
            Operation::Times => $left * $right,
            Operation::Over => $left / $right,
            Operation::Mod => $left - $right * floor($left / $right),
            Operation::Plus => $left + $right,
            Operation::Minus => $left - $right,
            default => (float) $this->holds($operation, $left, $right),
        };
    }

    /** Numbers that differ by less than a control counts are equal. */
    private function holds(Operation $condition, float $left, float $right): bool
    {
        return match ($condition) {
            Operation::And => $left != 0.0 && $right != 0.0,
            Operation::Or => $left != 0.0 || $right != 0.0,
            Operation::Xor => ($left != 0.0) !== ($right != 0.0),
            Operation::Equal => abs($left - $right) < self::SAME,
            Operation::NotEqual => abs($left - $right) >= self::SAME,
            Operation::Greater => $left - $right >= self::SAME,
            Operation::GreaterOrEqual => $left - $right > -self::SAME,
            Operation::Less => $right - $left >= self::SAME,
            default => $right - $left > -self::SAME,
        };
    }
}
