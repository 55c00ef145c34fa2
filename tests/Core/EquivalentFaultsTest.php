<?php

declare(strict_types=1);

use PhpParser\ParserFactory;
use PhpParser\PrettyPrinter\Standard;
use Tests\Mutation\Equivalent;

// What is left out of mutation testing must not outlive what it was read in.
it('leaves out no fault of a line that is there no longer', function (Equivalent $known): void {
    $parser = (new ParserFactory)->createForHostVersion();
    $text = (new Standard)->prettyPrintFile($parser->parse((string) file_get_contents(dirname(__DIR__, 2).'/'.$known->file)) ?? []);
    expect(substr_count($text, $known->from))->toBe(1)->and($known->to)->not->toBe($known->from)
        ->and($parser->parse(str_replace($known->from, $known->to, $text)))->not->toBe([])
        ->and($known->why)->toEndWith('.');
})->with(array_map(static fn (Equivalent $known): array => [$known], array_combine(
    array_map(static fn (Equivalent $known): string => "{$known->file} {$known->from}", Equivalent::all()), Equivalent::all(),
)));
