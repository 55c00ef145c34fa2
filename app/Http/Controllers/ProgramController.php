<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\ProgramVerdict;
use App\Logbook\Kind;
use App\LongWork\LongChecks;
use App\Models\LogEntry;
use App\Models\Program;
use App\Models\Revision;
use App\Models\Setup;
use App\Models\User;
use App\OperationSheets\OpenSheet;
use App\Shop\PartList;
use Illuminate\Database\Eloquent\Relations\Relation;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Kinematics\Machine;
use OakTrace\Core\Language\Program as CoreProgram;
use OakTrace\Core\Proving\Fingerprint;
use OakTrace\Core\Transform\Text\TextTransform;
use OakTrace\Core\Transform\Text\TextTransforms;

class ProgramController
{
    public function show(Request $request, Program $program, SetupFile $files): Response
    {
        Gate::authorize('view', $program);
        $program->load(
            [
                'setup.part', 'setup.machine', 'latest', 'revisions' => static fn (Relation $revisions) => $revisions->select(Revision::WITHOUT_TEXT),
                'revisions.user',
            ],
        );

        $isLong = LongChecks::isLong($program->latest->text);
        $user = $request->user();
        if ($user instanceof User) {
            PartList::opened($program->setup->part, $user);
        }
        if ($isLong && $user instanceof User) {
            // Its check is under way while the page and the text still are.
            LongChecks::ask($program, $program->latest->text, $user->displayUnits(), person: $user);
        }

        $machine = self::machine($program, $files);

        return Inertia::render('bench/Bench', [
            'program' => [
                'id' => $program->id, 'name' => $program->name,
                'text' => strlen($program->latest->text) > (int) config('oak.large_text') ? null : $program->latest->text,
                'revision' => $program->latest->number, 'proof' => self::proof($program),
                'calledBy' => $program->called_as === null ? [] : PartList::callers($program, $program->setup->load('programs')),
            ],
            'setup' => [
                'id' => $program->setup->id, 'operation' => $program->setup->operation, 'name' => $program->setup->name,
                'machine' => $program->setup->machine->name, 'part' => $program->setup->part->name,
                'drawingNumber' => $program->setup->part->drawing_number, 'version' => $program->setup->version,
                'mayLower' => Gate::allows('lower', $program->setup),
            ],
            'codes' => self::codes($machine?->control),
            'sheet' => $program->latest->sheet === null ? null : OpenSheet::of($program, $program->latest->sheet, $files),
            'transforms' => array_map(
                static fn (TextTransform $transform): array => ['name' => $transform->name(), 'title' => $transform->title(), 'fields' => $transform->fields()],
                $machine === null ? TextTransforms::all() : TextTransforms::for($machine),
            ),
            'revisions' => $program->revisions->map(fn (Revision $revision): array => $revision->row()),
        ]);
    }

    /** The latest revision as it is read at the machine: large, nothing to change. */
    public function atMachine(Program $program): Response
    {
        Gate::authorize('view', $program);
        $program->load(['setup.part', 'setup.machine', 'latest']);

        return Inertia::render('machine/AtMachine', [
            'program' => ['id' => $program->id, 'name' => $program->name, 'revision' => $program->latest->number],
            'setup' => [
                'operation' => $program->setup->operation, 'name' => $program->setup->name, 'machine' => $program->setup->machine->name,
                'part' => $program->setup->part->name,
                'drawingNumber' => $program->setup->part->drawing_number, 'version' => $program->setup->version,
            ],
        ]);
    }

    /** Null where the setup cannot be used, which the check then says. */
    private static function machine(Program $program, SetupFile $files): ?Machine
    {
        try {
            return $program->setup->core($files)->machine;
        } catch (SetupFileError) {
            return null;
        }
    }

    /** @return list<array{code: string, words: string}> the codes of the control and what they do there */
    private static function codes(?ControlProfile $control): array
    {
        $codes = [];
        foreach (['G' => $control->gCodes ?? [], 'M' => $control->mCodes ?? []] as $letter => $table) {
            ksort($table);
            foreach ($table as $number => $code) {
                $codes[] = ['code' => ControlProfile::written($letter, $number), 'words' => $code->words()];
            }
        }

        return $codes;
    }

    /** Keeps what decides the motion of the latest revision as it has been proven, so that a change of it is noticed. */
    public function prove(Request $request, Program $program, SetupFile $files, ProgramVerdict $verdicts): JsonResponse
    {
        Gate::authorize('update', $program);
        $request->validate(['revision' => ['required', 'integer']]);
        /** @var User $user */
        $user = $request->user();

        return DB::transaction(static function () use ($request, $program, $files, $verdicts, $user): JsonResponse {
            /** @var Program $now */
            $now = Program::with('latest', 'setup.machine', 'setup.part')->lockForUpdate()->findOrFail($program->id);
            $refusal = match (true) {
                $now->latest->number !== $request->integer('revision') => "Revision {$now->latest->number} has been saved since. Open that one and prove it.",
                $now->verdict === 'stop' => 'This program has errors. Correct it or the setup, then prove it.',
                $now->verdict === null => 'Its verdict is not ready yet. Prove it then.',
                default => null,
            };
            if ($refusal !== null) {
                return response()->json(['message' => $refusal], 409);
            }
            $now->update(['proof' => [
                'on' => now((string) config('oak.time_zone'))->toDateString(), 'at' => now()->toIso8601String(), 'by' => $user->name,
                'revision' => $now->latest->number,
                'parts' => Fingerprint::of(CoreProgram::fromText($now->latest->text), $now->setup->core($files)),
            ]]);
            LogEntry::note(Kind::Proof, $now->name, [["revision {$now->latest->number}", null, 'proven']], $now->setup);
            $verdicts->refresh($now);

            return response()->json(['proof' => self::proof($now)]);
        });
    }

    /** @return array{on: string, by: string, revision: int}|null */
    private static function proof(Program $program): ?array
    {
        return $program->proof === null ? null : ['on' => $program->proof['on'], 'by' => $program->proof['by'], 'revision' => $program->proof['revision']];
    }
}
