<?php

declare(strict_types=1);

namespace App\Console\Commands;

use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Sheet\Planner;
use OakTrace\Core\Sheet\ProgramWriter;
use OakTrace\Core\Sheet\SheetError;
use OakTrace\Core\Sheet\SheetFile;
use OakTrace\Core\Sheet\SheetSetup;

class BuildCommand extends FileCommand
{
    protected $signature = 'oak:build {sheet : a file, or - for standard input} {--setup= : a setup, whose control it is written for}
        {--format=text : text, or json with the lines of each operation and what belongs in the setup}';

    protected $description = 'A program written from an operation sheet';

    public function handle(SetupFile $setups, SheetFile $sheets): int
    {
        return $this->guarded(fn (): int => $this->build($setups, $sheets), 'sheet');
    }

    private function build(SetupFile $setups, SheetFile $sheets): int
    {
        $format = $this->option('format');
        if (! in_array($format, ['text', 'json'], true)) {
            throw new Unreadable('--format takes text or json');
        }
        $path = (string) $this->argument('sheet');
        try {
            $in = is_string($this->option('setup')) ? $this->setup($setups) : null;
            $sheet = $sheets->read($this->read($path === '-' ? 'php://stdin' : $path, 'sheet'), $in);
            $plan = Planner::planned($sheet, $in->machine->control ?? self::profile($sheet->profile));
        } catch (SheetError $e) {
            throw new Unreadable("{$path}: {$e->getMessage()}", 0, $e);
        }
        $built = ProgramWriter::write($plan);
        if ($format === 'json') {
            $this->print((string) json_encode([
                'program' => $built->text(), 'setup' => SheetSetup::of($plan), 'operations' => $built->operations,
            ], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES));

            return self::SUCCESS;
        }
        foreach ($built->lines as $line) {
            $this->print($line);
        }

        return self::SUCCESS;
    }

    /** @throws SheetError */
    private static function profile(string $name): ControlProfile
    {
        return Profiles::named($name) ?? throw new SheetError(['profile' => "There is no control profile “{$name}”: ".implode(', ', Profiles::names()).'.']);
    }
}
