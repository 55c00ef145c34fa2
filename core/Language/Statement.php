<?php

declare(strict_types=1);

namespace OakTrace\Core\Language;

use OakTrace\Core\Language\Expressions\Expression;

/** A block that has to be worked out before it can be done: words with expressions, assignments, or a step of flow. */
final readonly class Statement
{
    /**
     * @param  Flow  $flow  what it does to the order of the blocks
     * @param  Expression|null  $condition  of IF and WHILE
     * @param  Expression|null  $target  block number a GOTO goes to
     * @param  int  $loop  number after DO and END
     * @param  list<array{Expression|string, Expression}>  $assignments  number or name of the parameter, and its value
     * @param  list<array{string, Expression}>  $words  letter and value
     * @param  string  $withoutPoint  letters of the words that are a number without a point, and not zero
     */
    public function __construct(
        public Flow $flow = Flow::Straight,
        public ?Expression $condition = null,
        public ?Expression $target = null,
        public int $loop = 0,
        public array $assignments = [],
        public array $words = [],
        public string $withoutPoint = '',
    ) {
    }
}
