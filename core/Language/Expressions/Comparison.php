<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

/** Two values held against each other, as in [#101 LT 60]. */
final readonly class Comparison
{
    public function __construct(public Expression $left, public Expression $right)
    {
    }

    /**
     * The comparisons that decide a condition, where it is made of nothing else; none otherwise.
     *
     * @return list<self>
     */
    public static function in(Expression $condition): array
    {
        $operation = $condition->operation();
        if (in_array($operation, Operation::LEVELS[1], true)) {
            return [new self(...$condition->sides())];
        }
        if (! in_array($operation, Operation::LEVELS[0], true)) {
            return [];
        }
        [$left, $right] = array_map(self::in(...), $condition->sides());

        return $left === [] || $right === [] ? [] : [...$left, ...$right];
    }

    /** How far the two are from each other; infinite where one of them has no value. */
    public function gap(Parameters $parameters): float
    {
        try {
            return abs(($this->left->evaluate($parameters) ?? INF) - ($this->right->evaluate($parameters) ?? INF));
        } catch (ArithmeticProblem) {
            return INF;
        }
    }

    /** The parameter that is compared, as it is written; the first where there are several. */
    public function parameter(): ?string
    {
        return $this->left->parameter() ?? $this->right->parameter();
    }

    /** What it is compared with. */
    public function bound(): Expression
    {
        return $this->left->parameter() === null ? $this->left : $this->right;
    }

    public function counter(): Expression
    {
        return $this->left->parameter() === null ? $this->right : $this->left;
    }
}
