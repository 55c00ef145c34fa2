<?php

declare(strict_types=1);

namespace Tests\Analysis;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\Node\Stmt;
use PhpParser\NodeFinder;
use PHPStan\Analyser\Scope;
use PHPStan\Rules\Rule;
use PHPStan\Rules\RuleErrorBuilder;

/**
 * No method has more than so many ways through it: one, and one more for each condition, loop, arm and catch (T. J. McCabe's
 * count, from memory).
 *
 * @implements Rule<Stmt\ClassMethod>
 */
final class CyclomaticComplexity implements Rule
{
    private const MOST = 20;

    private const BRANCHES = [
        Stmt\If_::class, Stmt\ElseIf_::class, Stmt\For_::class, Stmt\Foreach_::class, Stmt\While_::class, Stmt\Do_::class, Stmt\Catch_::class,
        Expr\Ternary::class, BinaryOp\BooleanAnd::class, BinaryOp\BooleanOr::class, BinaryOp\LogicalAnd::class, BinaryOp\LogicalOr::class,
    ];

    public function getNodeType(): string
    {
        return Stmt\ClassMethod::class;
    }

    public function processNode(Node $node, Scope $scope): array
    {
        $ways = 1 + count((new NodeFinder)->find($node->stmts ?? [], self::branches(...)));

        return $ways <= self::MOST ? [] : [
            RuleErrorBuilder::message("Method {$node->name} has {$ways} ways through it; ".self::MOST.' are the most.')->identifier('oak.complexity')->build(),
        ];
    }

    private static function branches(Node $node): bool
    {
        return in_array($node::class, self::BRANCHES, true) || ($node instanceof Stmt\Case_ && $node->cond !== null) || (
            $node instanceof Node\MatchArm && $node->conds !== null
        );
    }
}
