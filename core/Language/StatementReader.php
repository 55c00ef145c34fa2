<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

use OakTrace\Core\Language\Expressions\Expression;
use OakTrace\Core\Language\Expressions\ExpressionParser;
use OakTrace\Core\Language\Expressions\SyntaxProblem;

/** Prepared text of one block, comments and skip mark taken off -> statement. */
final class StatementReader
{
    private const MOST_KEPT = 16_384;

    /** Steps of flow that can be told without a bracket or a parameter in them. */
    private const PLAIN_FLOW = '/^(?:N\d+)?(?:GOTO|DO\d|END\d)/';

    /** What a control prints, or calls a parameter on its screen (common practice): nothing moves, and nothing of it is reckoned. */
    private const OUTPUT = '/^(?:N\d+)?(?:POPEN|PCLOS|(?:[BD]PRNT|SETVN\d+)(\[(?:[^\[\]]|(?1))*\]))$/D';

    /** @var array<string, Statement> by text: a loop comes back to the same blocks */
    private array $kept = [];

    /** @param  bool  $commaWords  whether a word may begin with a comma: ,R2. is the word ",R" then */
    public function __construct(private readonly bool $commaWords = false)
    {
    }

    public static function isFlow(string $text): bool
    {
        return preg_match(self::PLAIN_FLOW, $text) === 1;
    }

    public static function isOutput(string $text): bool
    {
        return preg_match(self::OUTPUT, $text) === 1;
    }

    /** @throws SyntaxProblem */
    public function read(string $text): Statement
    {
        if (isset($this->kept[$text])) {
            return $this->kept[$text];
        }
        $at = preg_match('/^N\d+/', $text, $match) === 1 ? strlen($match[0]) : 0;
        $statement = $this->statement($text, $at, $match[0] ?? '');
        if (count($this->kept) < self::MOST_KEPT) {
            $this->kept[$text] = $statement;
        }

        return $statement;
    }

    private function statement(string $text, int $at, string $label): Statement
    {
        $rest = substr($text, $at);
        if (str_starts_with($rest, 'GOTO')) {
            return new Statement(Flow::Jump, target: $this->target($text, $at + 4));
        }
        if (str_starts_with($rest, 'IF[')) {
            return $this->condition($text, $at + 2, $label);
        }
        if (preg_match('/^(WHILE(?=\[)|DO|END)/', $rest, $match) === 1) {
            return $this->loop($text, $at + strlen($match[0]), $match[0]);
        }
        [$assignments, $words, $bare] = self::isOutput($rest) ? [[], [], ''] : $this->parts($text, $at);

        return new Statement(
            Flow::Straight, assignments: $assignments,
            words: $label === '' ? $words : [['N', Expression::number((float) substr($label, 1))], ...$words], withoutPoint: $bare,
        );
    }

    private function condition(string $text, int $at, string $label): Statement
    {
        $condition = ExpressionParser::value($text, $at);
        if (substr_compare($text, 'GOTO', $at, 4) === 0) {
            return new Statement(Flow::JumpIf, $condition, $this->target($text, $at + 4));
        }
        if (substr_compare($text, 'THEN', $at, 4) !== 0) {
            throw new SyntaxProblem('IF needs GOTO or THEN after its condition', $at);
        }
        [$assignments, $words, $bare] = $this->parts($text, $at + 4);

        return new Statement(Flow::OnlyIf, $condition, assignments: $assignments, words: $words, withoutPoint: $bare);
    }

    private function loop(string $text, int $at, string $word): Statement
    {
        $condition = $word === 'DO' ? Expression::number(1.0) : null;
        if ($word === 'WHILE') {
            $condition = ExpressionParser::value($text, $at);
            if (substr_compare($text, 'DO', $at, 2) !== 0) {
                throw new SyntaxProblem('WHILE needs DO after its condition', $at);
            }
            $at += 2;
        }
        if (preg_match('/\G\d{1,6}$/', $text, $match, 0, $at) !== 1) {
            throw new SyntaxProblem('DO and END need a number', $at);
        }

        return new Statement($condition === null ? Flow::LoopEnd : Flow::LoopWhile, $condition, loop: (int) $match[0]);
    }

    /** Number of the block a GOTO goes to, with nothing behind it. */
    private function target(string $text, int $at): Expression
    {
        if (($text[$at] ?? '') === 'N') {
            throw new SyntaxProblem('GOTO takes the block number without its N', $at);
        }
        $value = ExpressionParser::value($text, $at);
        if ($at < strlen($text)) {
            throw new SyntaxProblem('nothing may follow it', $at);
        }

        return $value;
    }

    /** @return array{list<array{Expression|string, Expression}>, list<array{string, Expression}>, string} assignments, words, letters without a point */
    private function parts(string $text, int $at): array
    {
        $assignments = $words = [];
        $bare = '';
        $length = strlen($text);
        while ($at < $length) {
            $letter = $text[$at];
            if ($letter === '#') {
                $assignments[] = $this->assignment($text, $at);

                continue;
            }
            if ($letter === ',' && $this->commaWords) {
                $letter .= $text[++$at] ?? '';
            }
            if (! ctype_upper(ltrim($letter, ','))) {
                throw new SyntaxProblem('a word begins with a letter', $at);
            }
            $number = ++$at;
            $words[] = [$letter, ExpressionParser::value($text, $at)];
            // A number as it stands there, and not a value that was worked out.
            $bare .= strlen($letter) === 1 && preg_match('/^[-+]?\d*[1-9]\d*$/D', substr($text, $number, $at - $number)) === 1 ? $letter : '';
        }

        return [$assignments, $words, $bare];
    }

    /** @return array{Expression|string, Expression} */
    private function assignment(string $text, int &$at): array
    {
        $at++;
        if (($text[$at] ?? '') === '<') {
            $end = strpos($text, '>', $at);
            if ($end === false || $end === $at + 1) {
                throw new SyntaxProblem('the name of a variable ends with >', $at);
            }
            $name = strtolower(substr($text, $at + 1, $end - $at - 1));
            $at = $end + 1;
        } else {
            $name = ExpressionParser::value($text, $at);
        }
        if (($text[$at] ?? '') !== '=') {
            throw new SyntaxProblem('a variable at the start of a block is given a value with =', $at);
        }
        $at++;

        return [$name, ExpressionParser::whole($text, $at)];
    }
}
