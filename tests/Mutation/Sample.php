<?php

declare(strict_types=1);

namespace Tests\Mutation;

use Pest\Mutate\Mutators\Sets\DefaultSet;
use Pest\Mutate\Plugins\Mutate;
use RuntimeException;
use Symfony\Component\Finder\Finder;
use Symfony\Component\Process\Exception\ProcessTimedOutException;
use Symfony\Component\Process\Process;

/**
 * Some of the faults that could be planted in a room of core/, one at a time: a room has thousands, and all of them would take days.
 * They are those of Pest's mutation testing. Each is shown to the tests that run its line, the quick ones first.
 */
final class Sample
{
    /** Seconds a run may take beside twice what its tests take by themselves: a fault may make a loop endless. */
    private const PATIENCE = 40.0;

    /** Tests in one run: a loop without an end is found out by the first of them. */
    private const AT_A_TIME = 10;

    /** Where what tests run is kept. */
    private const KEPT = 'storage/framework/testing/covered';

    /** @var array<string, array<int, list<string>>> file => line => tests that run it */
    private array $tests = [];

    /** @var array<string, float> test => seconds it takes */
    private array $seconds = [];

    /** @param  list<string>  $php  PHP with its settings */
    public function __construct(private readonly array $php, private readonly string $temporary)
    {
        if (! is_dir(self::KEPT)) {
            mkdir(self::KEPT, recursive: true);
        }
    }

    /**
     * Runs each test by itself, and notes which lines of core/ it runs. That is kept, and holds until the core, the test or what tests share changes.
     *
     * @param  list<string>  $tests  files or directories
     */
    public function cover(array $tests): void
    {
        $shared = array_filter(self::files(['core', 'schemas', 'tests/Core'], '*'), fn (string $file): bool => ! str_ends_with($file, 'Test.php'));
        $shared = implode(array_map(md5_file(...), $shared));
        foreach (self::files($tests, '*Test.php') as $test) {
            $kept = self::KEPT.'/'.md5($shared.$test.md5_file($test)).'.json';
            if (! is_file($kept) && ! $this->coverOne($test, $kept)) {
                fwrite(STDERR, "{$test} fails without a fault, and is left out.\n");

                continue;
            }
            /** @var array{float, array<string, list<int>>} $covered */
            $covered = json_decode((string) file_get_contents($kept), true, flags: JSON_THROW_ON_ERROR);
            $this->seconds[$test] = $covered[0];
            foreach ($covered[1] as $file => $ran) {
                foreach ($ran as $line) {
                    $this->tests[$file][$line][] = $test;
                }
            }
        }
    }

    /**
     * Plants so many faults in a room, and says which of them no test has found.
     *
     * @return float share of those found
     *
     * @throws RuntimeException where the tests fail with no fault planted: then each would count as found
     */
    public function plant(string $room, int $count, int $seed): float
    {
        $faults = [];
        foreach (self::files(["core/{$room}"], '*.php') as $file) {
            array_push($faults, ...array_filter(Fault::in($file, DefaultSet::mutators()), fn (Fault $fault): bool => $this->testsOf($fault) !== []));
        }
        // Each by itself: a changed file moves its own faults, and leaves the rest of a sample as it was.
        $place = static fn (Fault $fault): string => hash('xxh3', $seed.' '.$fault->file.' '.$fault->mutator.' '.$fault->number);
        usort($faults, static fn (Fault $one, Fault $other): int => $place($one) <=> $place($other));
        if ($faults !== [] && $this->fails($faults[0], $faults[0]->sound())) {
            throw new RuntimeException('The tests fail with no fault planted.');
        }
        $found = $planted = $leftOut = 0;
        foreach ($faults as $fault) {
            if ($planted === $count) {
                break;
            }
            if ($fault->planted() === $fault->sound()) {
                continue;
            }
            if (Equivalent::to($fault) !== null) {
                $leftOut++;

                continue;
            }
            $isFound = $this->fails($fault, $fault->planted());
            [$planted, $found] = [$planted + 1, $found + ($isFound ? 1 : 0)];
            echo $isFound ? 'found  ' : 'LIVES  ', $fault->name(), "\n", $isFound ? '' : $this->difference($fault);
        }
        printf("%d of %d faults found in %s, of %d there could be in lines that are tested.\n", $found, $planted, $room, count($faults));
        if ($leftOut > 0) {
            printf("%d more were met that change nothing a test could find: tests/Mutation/equivalents.php says of each why.\n", $leftOut);
        }

        return $planted === 0 ? 0.0 : $found / $planted;
    }

    /** Writes how long a test takes and which lines of core/ it runs; false where it fails. */
    private function coverOne(string $test, string $kept): bool
    {
        $covered = $this->temporary.'/covered.json';
        $begun = microtime(true);
        $pcov = ['-d', 'extension=pcov', '-d', 'pcov.enabled=1', '-d', 'pcov.directory='.getcwd().'/core'];
        if ($this->run([$test], [...$pcov, '-d', 'auto_prepend_file='.__DIR__.'/cover.php'], ['OAK_COVERED' => $covered], null) !== 0) {
            return false;
        }
        $lines = json_decode((string) file_get_contents($covered), true, flags: JSON_THROW_ON_ERROR);
        file_put_contents($kept, json_encode([microtime(true) - $begun, $lines], JSON_THROW_ON_ERROR));

        return true;
    }

    /** Whether the tests that run the line of a fault fail with a text in place of its file. */
    private function fails(Fault $fault, string $text): bool
    {
        file_put_contents($this->temporary.'/planted', $text);
        $planted = [Mutate::ENV_MUTATION_TESTING => (string) realpath($fault->file), Mutate::ENV_MUTATION_FILE => $this->temporary.'/planted'];
        foreach (array_chunk($this->testsOf($fault), self::AT_A_TIME) as $tests) {
            $seconds = array_sum(array_intersect_key($this->seconds, array_flip($tests)));
            if ($this->run([...$tests, '--stop-on-failure', '--stop-on-error'], [], $planted, self::PATIENCE + 2 * $seconds) !== 0) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> those that run a line of it, the quick ones first */
    private function testsOf(Fault $fault): array
    {
        $lines = $this->tests[(string) realpath($fault->file)] ?? [];
        $tests = array_unique(array_merge(...array_values(array_intersect_key($lines, array_flip(range($fault->line, $fault->last))))));
        usort($tests, fn (string $one, string $other): int => $this->seconds[$one] <=> $this->seconds[$other]);

        return $tests;
    }

    private function difference(Fault $fault): string
    {
        file_put_contents($this->temporary.'/sound', $fault->sound());
        $lines = new Process(['diff', '-U2', $this->temporary.'/sound', $this->temporary.'/planted']);
        $lines->run();

        return implode("\n", array_slice(explode("\n", $lines->getOutput()), 2));
    }

    /**
     * @param  list<string>  $arguments
     * @param  list<string>  $settings
     * @param  array<string, string>  $environment
     * @return int 0 where every test passes
     */
    private function run(array $arguments, array $settings, array $environment, ?float $timeout): int
    {
        $run = new Process([...$this->php, ...$settings, 'vendor/bin/pest', '--colors=never', ...$arguments], null, $environment, null, $timeout);
        try {
            return $run->run();
        } catch (ProcessTimedOutException) {
            return 1;
        }
    }

    /**
     * @param  list<string>  $places
     * @return list<string>
     */
    private static function files(array $places, string $pattern): array
    {
        $files = array_filter($places, is_file(...));
        $directories = array_filter($places, is_dir(...));
        foreach ($directories === [] ? [] : (new Finder)->files()->in($directories)->name($pattern)->sortByName() as $file) {
            $files[] = $file->getPathname();
        }

        return array_values(array_unique($files));
    }
}
