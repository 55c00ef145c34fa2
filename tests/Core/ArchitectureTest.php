<?php

declare(strict_types=1);

use PhpParser\Node;
use PhpParser\Node\Name\FullyQualified;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

arch('the core names no framework and nothing of the application')
    ->expect('OakTrace\Core')
    ->not->toUse(['Illuminate', 'Laravel', 'Inertia', 'App', 'Symfony', 'Database']);

arch('the core reads no files, no clock, no chance')
    ->expect('OakTrace\Core')
    ->not->toUse(
        [
            'file_get_contents', 'fopen', 'file_put_contents', 'fwrite', 'time', 'microtime', 'date', 'rand', 'mt_rand', 'random_int', 'shuffle', 'dd',
            'dump', 'var_dump', 'echo', 'exit',
        ],
    );

/** The rooms of the core from the ground up: each may know those before it, and none after. A file right in `core/` is the front door. */
const ROOMS = [
    'Language', 'Quantities', 'Geometry', 'Formulas', 'Control', 'Solids', 'Target', 'Kinematics', 'Setup', 'TouchOff', 'Trace', 'Wording', 'Cycles',
    'Compensation', 'Interpreter',
    'Timing', 'Load', 'Stock', 'Proving', 'Checks', 'HoldPoints', '', 'Compare', 'OffsetMistakes', 'Formats', 'Explain', 'Transform', 'Sheet',
];

/** @return array<string, list<string>> class of the core, without its namespace => those it names */
function namedByCore(): array
{
    $named = [];
    $core = dirname(__DIR__, 2).'/core/';
    foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator($core, FilesystemIterator::SKIP_DOTS)) as $file) {
        $names = new class extends NodeVisitorAbstract
        {
            /** @var array<string, true> */
            public array $found = [];

            public function enterNode(Node $node): null
            {
                if ($node instanceof FullyQualified && str_starts_with($node->toString(), 'OakTrace\\Core\\')) {
                    $this->found[substr($node->toString(), 14)] = true;
                }

                return null;
            }
        };
        (new NodeTraverser(new NameResolver, $names))->traverse(
            (new ParserFactory)->createForHostVersion()->parse((string) file_get_contents((string) $file)) ?? [],
        );
        $own = strtr(substr((string) $file, strlen($core), -4), '/', '\\');
        $named[$own] = array_keys(array_diff_key($names->found, [$own => true]));
    }

    return $named;
}

it('has its rooms in one order, and no arrow against it', function (): void {
    $room = static fn (string $class): int => (int) array_search(str_contains($class, '\\') ? explode('\\', $class)[0] : '', ROOMS, true);
    $against = [];
    foreach (namedByCore() as $class => $names) {
        expect(str_contains($class, '\\') ? explode('\\', $class)[0] : '')->toBeIn(ROOMS);
        foreach ($names as $name) {
            if ($room($name) > $room($class)) {
                $against[] = "{$class} knows {$name}";
            }
        }
    }
    expect($against)->toBe([]);
});

it('has no circle of files', function (): void {
    // What names nothing that is left is no part of a circle, and is taken away until nothing changes any more.
    $named = namedByCore();
    do {
        $before = count($named);
        $named = array_filter(
            array_map(static fn (array $names): array => array_values(array_filter($names, static fn (string $name): bool => isset($named[$name]))), $named),
        );
    } while (count($named) < $before);
    expect(array_keys($named))->toBe([]);
});

it('has no line wider than a reader sees', function (): void {
    $root = dirname(__DIR__, 2);
    $files = array_diff(explode("\0", (string) shell_exec('git -C '.escapeshellarg($root).' ls-files -z')), ['', 'package-lock.json']);
    $wide = [];
    foreach (preg_grep('/\.(png|ico|woff2?)$/', $files, PREG_GREP_INVERT) ?: [] as $file) {
        foreach (is_file("{$root}/{$file}") ? file("{$root}/{$file}") ?: [] : [] as $n => $line) {
            if (mb_strlen(rtrim($line)) > 160) {
                $wide[] = "{$file}:".($n + 1);
            }
        }
    }
    expect(count($files))->toBeGreaterThan(500)->and($wide)->toBe([]);
});

arch('names say what a thing is')
    ->expect(['OakTrace\Core', 'App'])
    ->not->toHaveSuffix('Manager')
    ->not->toHaveSuffix('Helper')
    ->not->toHaveSuffix('Util')
    ->not->toHaveSuffix('Processor');

arch('every file is strict')->expect(['OakTrace\Core', 'App'])->toUseStrictTypes();

arch('a calculator knows its formula and nothing else')
    ->expect('OakTrace\Core\Formulas')
    ->toOnlyUse([]);
