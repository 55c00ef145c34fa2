<?php

declare(strict_types=1);

use OakTrace\Core\Language\Expressions\Comparison;
use OakTrace\Core\Language\Expressions\ExpressionParser;
use OakTrace\Core\Language\Expressions\Parameters;
use OakTrace\Core\Language\Program;
use OakTrace\Core\Trace\Chunk;
use OakTrace\Core\Trace\Patience;
use OakTrace\Core\Verification;
use Tests\Core\Bench;

/** Parameters that stand at some values. */
function standingAt(array $values): Parameters
{
    return new class($values) implements Parameters
    {
        public function __construct(private array $values)
        {
        }

        public function value(int|string $name): ?float
        {
            return $this->values[$name] ?? null;
        }
    };
}

it('knows what a condition compares, and how far apart that is', function (string $text, array $gaps, ?string $parameter): void {
    $at = 0;
    $comparisons = Comparison::in(ExpressionParser::whole($text, $at));
    $parameters = standingAt([1 => 4.0, 2 => 10.0, 'depth' => -3.0]);
    expect(array_map(static fn ($comparison): float => $comparison->gap($parameters), $comparisons))->toEqualWithDelta($gaps, 1e-9)
        ->and($comparisons === [] ? null : $comparisons[0]->parameter())->toBe($parameter);
})->with([
    ['[#1LT60]', [56.0], '#1'],
    ['[60GE#1]', [56.0], '#1'],
    ['[[#1+#2]EQ20]', [6.0], '#1'],
    ['[#<DEPTH>GT-20]', [17.0], '#<depth>'],
    ['[#1LT60AND#2GT3]', [56.0, 7.0], '#1'],
    ['[[#1LT60]OR[#2GT3]OR[#1NE#2]]', [56.0, 7.0, 6.0], '#1'],
    ['[#[1]LTSQRT[16]]', [0.0], '#1'],
    ['[ATAN[#1]/[#2]GT0]', [rad2deg(atan2(4, 10))], '#1'],
    ['[#1]', [], null],
    ['[#1LT60AND#2]', [], null],
    ['[#9EQ#0]', [], null],
]);

it('is infinitely far where a value is missing or cannot be had', function (): void {
    foreach (['[#7LT60]', '[[1/[#1-4]]LT60]'] as $text) {
        $at = 0;
        expect(Comparison::in(ExpressionParser::whole($text, $at))[0]->gap(standingAt([1 => 4.0])))->toBe(INF);
    }
});

it('asks whoever waits, also where a run goes round without a move, and ends when they have gone', function (string $text, bool $kept): void {
    $patience = new class implements Patience
    {
        public int $looks = 0;

        public int $most = PHP_INT_MAX;

        public function read(Chunk $chunk, array $states, array $details): void
        {
        }

        public function look(int $rows): void
        {
            if (++$this->looks > $this->most) {
                throw new DomainException('gone');
            }
        }
    };
    $verify = static fn (): Verification => Verification::of(
        Program::fromText($text), Bench::setup(), $kept ? new OakTrace\Core\Interpreter\ReadingMemory : null, patience: $patience,
    );
    $verify();
    expect($patience->looks)->toBeGreaterThan(2);
    $patience->most = $patience->looks + 1;
    expect($verify)->toThrow(DomainException::class);
})->with([
    'a loop without moves' => ["#1=0\nWHILE [#1 LT 9000] DO1\n#1=#1+1\nEND1\nM30", false],
    'many moves' => ["G21\nG0\n".str_repeat("X1.\nX2.\n", 10_000), false],
    'many moves, kept' => ["G21\nG0\n".str_repeat("X1.\nX2.\n", 10_000), true],
]);
