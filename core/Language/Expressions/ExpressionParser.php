<?php

declare(strict_types=1);

namespace OakTrace\Core\Language\Expressions;

/**
 * Text -> expression, by precedence: functions; **; * / MOD; + -; comparisons; AND OR XOR (as NISTIR 6556, with
 * comparisons added). Reads prepared text: upper case, no blanks.
 */
final class ExpressionParser
{
    private const DEEPEST = 60;

    /** @var list<array{Operation, float|string|null}> */
    private array $steps = [];

    private int $depth = 0;

    private function __construct(private readonly string $text, private int $at)
    {
    }

    /**
     * The value of a word: a number, a parameter, a function or an expression in brackets, with a sign before it.
     *
     * @param  int  $at  where it begins; moved to where it ends
     *
     * @throws SyntaxProblem
     */
    public static function value(string $text, int &$at): Expression
    {
        $parser = new self($text, $at);
        $parser->primary();
        $at = $parser->at;

        return new Expression($parser->steps);
    }

    /**
     * Everything from $at on as far as it is an expression, brackets or not.
     *
     * @throws SyntaxProblem
     */
    public static function whole(string $text, int &$at): Expression
    {
        $parser = new self($text, $at);
        $parser->level(0);
        $at = $parser->at;

        return new Expression($parser->steps);
    }

    /** Operators of one level, and everything that binds tighter. */
    private function level(int $level): void
    {
        if ($level === count(Operation::LEVELS)) {
            $this->primary();

            return;
        }
        $left = count($this->steps);
        $this->level($level + 1);
        while (($operation = $this->operator($level)) !== null) {
            $right = count($this->steps);
            $this->level($level + 1);
            if (! $this->vacancy($operation, $left, $right)) {
                $this->steps[] = [$operation, null];
            }
        }
    }

    private function operator(int $level): ?Operation
    {
        foreach (Operation::LEVELS[$level] as $sign => $operation) {
            if (substr_compare($this->text, $sign, $this->at, strlen($sign)) === 0 && ! ($sign === '*' && ($this->text[$this->at + 1] ?? '') === '*')) {
                $this->at += strlen($sign);

                return $operation;
            }
        }

        return null;
    }

    /**
     * A comparison with #0 asks whether a parameter has a value, which is no reading of it.
     */
    private function vacancy(Operation $operation, int $left, int $right): bool
    {
        if ($operation !== Operation::Equal && $operation !== Operation::NotEqual) {
            return false;
        }
        $one = array_slice($this->steps, $left, $right - $left);
        $other = array_slice($this->steps, $right);
        [$vacant, $asked] = $other === [[Operation::Vacant, null]] ? [$other, $one] : [$one, $other];
        if ($vacant !== [[Operation::Vacant, null]]) {
            return false;
        }
        $last = array_pop($asked);
        $test = $operation === Operation::Equal ? Operation::IsVacant : Operation::IsSet;
        if ($last !== null && ($last[0] === Operation::Parameter || $last[0] === Operation::Named)) {
            $asked[] = [$test, $last[0] === Operation::Named ? $last[1] : null];
            array_splice($this->steps, $left, null, $asked);

            return true;
        }
        // Anything that is not a parameter has a value, #0 itself has none.
        $equal = $last !== null && $last[0] === Operation::Vacant;
        array_splice($this->steps, $left, null, [[Operation::Number, $equal === ($operation === Operation::Equal) ? 1.0 : 0.0]]);

        return true;
    }

    private function primary(): void
    {
        if (++$this->depth > self::DEEPEST) {
            throw new SyntaxProblem('it is nested too deep', $this->at);
        }
        $character = $this->text[$this->at] ?? '';
        if ($character === '-' || $character === '+') {
            $this->at++;
            $this->primary();
            if ($character === '-') {
                $this->steps[] = [Operation::Negate, null];
            }
        } elseif ($character === '[') {
            $this->bracket();
        } elseif ($character === '#') {
            $this->parameter();
        } elseif ($character !== '' && str_contains('0123456789.', $character)) {
            $this->number();
        } else {
            $this->call();
        }
        $this->depth--;
    }

    /** @return bool whether there were two values with a comma between them */
    private function bracket(bool $mayBePair = false): bool
    {
        $open = $this->at;
        if (($this->text[$this->at] ?? '') !== '[') {
            throw new SyntaxProblem('a [ is missing', $this->at);
        }
        $this->at++;
        $this->level(0);
        $isPair = $mayBePair && ($this->text[$this->at] ?? '') === ',';
        if ($isPair) {
            $this->at++;
            $this->level(0);
        }
        if (($this->text[$this->at] ?? '') !== ']') {
            throw new SyntaxProblem(
                $this->at >= strlen($this->text) ? 'its [ is never closed' : 'it has something that is not an operator',
                $this->at >= strlen($this->text) ? $open : $this->at,
            );
        }
        $this->at++;

        return $isPair;
    }

    private function parameter(): void
    {
        $this->at++;
        if (($this->text[$this->at] ?? '') === '<') {
            $end = strpos($this->text, '>', $this->at);
            if ($end === false || $end === $this->at + 1) {
                throw new SyntaxProblem('the name of a variable ends with >', $this->at);
            }
            $this->steps[] = [Operation::Named, strtolower(substr($this->text, $this->at + 1, $end - $this->at - 1))];
            $this->at = $end + 1;

            return;
        }
        $from = count($this->steps);
        $this->primary();
        if (array_slice($this->steps, $from) === [[Operation::Number, 0.0]]) {
            array_splice($this->steps, $from, null, [[Operation::Vacant, null]]);
        } else {
            $this->steps[] = [Operation::Parameter, null];
        }
    }

    private function number(): void
    {
        if (preg_match('/\G(?:\d+\.?\d*|\.\d+)/', $this->text, $match, 0, $this->at) !== 1) {
            throw new SyntaxProblem('a number is missing', $this->at);
        }
        $this->at += strlen($match[0]);
        $this->steps[] = [Operation::Number, (float) $match[0]];
    }

    private function call(): void
    {
        $name = preg_match('/\G[A-Z]+(?=\[)/', $this->text, $match, 0, $this->at) === 1 ? $match[0] : '';
        $operation = Operation::FUNCTIONS[$name] ?? Operation::PAIRS[$name] ?? throw new SyntaxProblem('a value is missing', $this->at);
        $this->at += strlen($name);
        $takesTwo = isset(Operation::PAIRS[$name]);
        if (! $this->bracket($takesTwo) && $takesTwo) {
            $this->divisor($operation);
        }
        $this->steps[] = [$operation, null];
    }

    /** The second value of ATAN[y]/[x]. */
    private function divisor(Operation $operation): void
    {
        if ($operation !== Operation::Atan) {
            throw new SyntaxProblem('POW is written POW[value,power]', $this->at);
        }
        if (($this->text[$this->at] ?? '') !== '/') {
            throw new SyntaxProblem('ATAN is written ATAN[y]/[x]', $this->at);
        }
        $this->at++;
        $this->bracket();
    }
}
