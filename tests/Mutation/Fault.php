<?php

declare(strict_types=1);

namespace Tests\Mutation;

use Pest\Mutate\Contracts\Mutator;
use Pest\Mutate\Factories\NodeTraverserFactory;
use PhpParser\Node;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;
use PhpParser\PrettyPrinter\Standard;

/** One fault that can be planted in a file. */
final readonly class Fault
{
    /**
     * @param  class-string<Mutator>  $mutator
     * @param  int  $number  which of the places in the file that it can change
     */
    private function __construct(public string $file, public string $mutator, public int $number, public int $line, public int $last)
    {
    }

    /**
     * Every fault there could be in a file.
     *
     * @param  list<class-string<Mutator>>  $mutators
     * @return list<self>
     */
    public static function in(string $file, array $mutators): array
    {
        $faults = $numbers = [];
        self::visit($file, static function (Node $node) use ($file, $mutators, &$faults, &$numbers): null {
            foreach ($mutators as $mutator) {
                if ($mutator::can($node)) {
                    $number = $numbers[$mutator] = ($numbers[$mutator] ?? -1) + 1;
                    $faults[] = new self($file, $mutator, $number, $node->getStartLine(), $node->getEndLine());
                }
            }

            return null;
        });

        return $faults;
    }

    public function name(): string
    {
        return $this->file.':'.$this->line.' '.substr((string) strrchr($this->mutator, '\\'), 1);
    }

    /** The file with the fault in it. */
    public function planted(): string
    {
        $seen = 0;

        return self::visit($this->file, function (Node $node) use (&$seen): Node|int|null {
            return ($this->mutator)::can($node) && $seen++ === $this->number ? ($this->mutator)::mutate($node) : null;
        });
    }

    /** The file as it is, written in the same manner. */
    public function sound(): string
    {
        return self::visit($this->file, static fn (): null => null);
    }

    /** @param  callable(Node): (Node|int|null)  $leave */
    private static function visit(string $file, callable $leave): string
    {
        $traverser = NodeTraverserFactory::create();
        $traverser->addVisitor(new class($leave) extends NodeVisitorAbstract
        {
            /** @param  callable(Node): (Node|int|null)  $leave */
            public function __construct(private $leave)
            {
            }

            public function leaveNode(Node $node): Node|int|null
            {
                return ($this->leave)($node);
            }
        });

        $statements = (new ParserFactory)->createForHostVersion()->parse((string) file_get_contents($file)) ?? [];

        return (new Standard)->prettyPrintFile($traverser->traverse($statements));
    }
}
