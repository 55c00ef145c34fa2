<?php

declare(strict_types=1);

namespace App\Shop;

use App\Checking\ProgramVerdict;
use App\Models\Program;
use App\Models\Revision;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Support\Facades\DB;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Interpreter\SubprogramText;
use OakTrace\Core\Language\Program as ProgramText;

/** The one way a text becomes a revision: what it is called as is kept with it, and whatever may change by it is checked again. */
final readonly class Revising
{
    public function __construct(private ProgramVerdict $verdicts, private SetupFile $files)
    {
    }

    /**
     * A new program with its first text.
     *
     * @param  array<string, mixed>|null  $sheet  the operation sheet it is written from, see Revision
     */
    public function begin(Setup $setup, string $name, string $text, User $by, string $reason, ?array $sheet = null): Program
    {
        return DB::transaction(function () use ($setup, $name, $text, $by, $reason, $sheet): Program {
            $program = $setup->programs()->create(['name' => $name]);
            $this->revise($program, 1, $text, $by, $reason, $sheet);

            return $program;
        });
    }

    /** @param  array<string, mixed>|null  $sheet  that of the revision before where not given: a text that is changed by hand keeps its sheet */
    public function revise(Program $program, int $number, string $text, User $by, string $reason, ?array $sheet = null): Revision
    {
        $revision = $program->revisions()->create([
            'number' => $number, 'text' => $text, 'user_id' => $by->id, 'reason' => mb_strimwidth($reason, 0, 200),
            'sheet' => $sheet ?? $program->revisions()->first()?->sheet,
        ]);
        $was = $program->called_as;
        $program->unsetRelation('latest')->update(['called_as' => $this->calledAs($program->setup, $text)]);
        $this->verdicts->refresh(...($was === null && $program->called_as === null ? [$program] : $program->setup->programs()->get()));

        return $revision;
    }

    /** A program that has gone to another setup, whose control may read it otherwise. */
    public function moved(Program $program): void
    {
        $program->update(['called_as' => $this->calledAs($program->setup, $program->latest->text)]);
        $this->verdicts->refresh(...$program->setup->programs()->get());
    }

    /** Why there is a revision that came as a file. */
    public static function imported(bool $isConverted): string
    {
        return 'Imported from a file'.($isConverted ? '; converted from Windows-1252 to UTF-8' : '');
    }

    private function calledAs(Setup $setup, string $text): ?string
    {
        try {
            return SubprogramText::name(ProgramText::fromText($text), $setup->core($this->files)->machine->control);
        } catch (SetupFileError) {
            return null; // the setup is to be put right first, which the check says
        }
    }
}
