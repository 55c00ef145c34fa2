<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Setup\Setup;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutput;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Console\Output\StreamOutput;
use Throwable;

/** What the commands share that read files and need no database and no server. */
abstract class FileCommand extends Command
{
    /** Exit status where the input files could not be read. */
    protected const UNREADABLE = 2;

    /** Where Oak Trace itself failed: 1 only ever means a verdict. */
    protected const BROKEN = 3;

    /** @var resource */
    private mixed $answers = STDOUT;

    /** @var resource */
    private mixed $problems = STDERR;

    /** Arguments that cannot be read are input that cannot be read: exit 2, not the 1 that means stop. */
    final public function run(InputInterface $input, OutputInterface $output): int
    {
        if ($output instanceof StreamOutput && ! $output instanceof ConsoleOutput) {
            $this->answers = $this->problems = $output->getStream(); // run within another command
        }
        try {
            return parent::run($input, $output);
        } catch (ExceptionInterface $e) {
            return $this->unreadable($e->getMessage());
        }
    }

    /**
     * Runs the work; input that cannot be read is told with its place, and a fault of Oak Trace is no verdict.
     *
     * @param  callable(): int  $work
     */
    final protected function guarded(callable $work, string $of): int
    {
        try {
            return $work();
        } catch (Unreadable $e) {
            return $this->unreadable($e->getMessage());
        } catch (Unwritten $e) {
            return $this->say($e->getMessage(), self::BROKEN);
        } catch (Throwable $e) {
            return $this->say(
                sprintf('Oak Trace failed on this %s, which is no verdict: %s (%s:%d)', $of, $e->getMessage(), basename($e->getFile()), $e->getLine()),
                self::BROKEN,
            );
        }
    }

    private function unreadable(string $message): int
    {
        return $this->say($message, self::UNREADABLE);
    }

    private function say(string $message, int $status): int
    {
        fwrite($this->problems, 'oak: '.self::shown(str_replace("\n", ' ', trim($message)))."\n");

        return $status;
    }

    /** A line of the answer. Whatever a program holds, its control characters do not reach the terminal. */
    protected function print(string $line): void
    {
        $line = self::shown($line)."\n";
        if (@fwrite($this->answers, $line) !== strlen($line)) {
            throw new Unwritten('the answer could not be written to its end: what stands there is no verdict');
        }
    }

    private static function shown(string $text): string
    {
        return (string) preg_replace('/[\x00-\x08\x0B-\x1F\x7F]|\xC2[\x80-\x9F]/', '·', $text);
    }

    /** @throws Unreadable */
    final protected function setup(SetupFile $files): Setup
    {
        $path = $this->option('setup');
        if (! is_string($path) || $path === '') {
            throw new Unreadable('say which setup with --setup SETUP');
        }
        try {
            $json = $this->withFiles($this->read($path, 'setup'), dirname($path));
            $setup = $files->read($json);
            foreach ($files->unread($json) as $field) {
                $this->say("{$path}: {$field}", self::SUCCESS);
            }

            return $setup;
        } catch (SetupFileError $e) {
            throw new Unreadable("{$path}: {$e->getMessage()}", 0, $e);
        }
    }

    /**
     * A setup may name the files of its solids instead of holding them: `"stl": "file:blank.stl"`, beside the setup.
     *
     * @throws Unreadable
     */
    private function withFiles(string $json, string $folder): string
    {
        return (string) preg_replace_callback(
            '/"stl"\s*:\s*"file:([^"\\\\]+)"/',
            fn (array $found): string => '"stl": "'.base64_encode($this->read("{$folder}/{$found[1]}", 'solid')).'"', $json,
        );
    }

    /** @throws Unreadable */
    final protected function read(string $path, string $what): string
    {
        // The command goes to its own folder; a path is that of the folder it was called from.
        $from = getenv('OAK_CWD');
        $full = match (true) {
            $path === '/dev/stdin' => 'php://stdin',
            preg_match('#^/(?:dev|proc/self)/fd/(\d+)$#', $path, $pipe) === 1 => "php://fd/{$pipe[1]}",
            $path === 'php://stdin', str_starts_with($path, '/'), $from === false => $path,
            default => "{$from}/{$path}",
        };
        if (! str_starts_with($full, 'php://') && (! file_exists($full) || is_dir($full))) {
            throw new Unreadable("there is no {$what} file {$path}");
        }
        $text = @file_get_contents($full);
        if ($text === false) {
            throw new Unreadable("the {$what} file {$path} cannot be read");
        }

        return $text;
    }
}
