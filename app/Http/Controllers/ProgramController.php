<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\BenchAnswer;
use App\Checking\KeptReadings;
use App\Checking\ProgramVerdict;
use App\Http\Requests\ProgramUpload;
use App\Models\Program;
use App\Models\Revision;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Checks\Finding;
use OakTrace\Core\Checks\Wording;
use OakTrace\Core\Control\ControlProfile;
use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\WrittenEdit;
use OakTrace\Core\Interpreter\Rereading;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Proving\Fingerprint;
use OakTrace\Core\Transform\DryRun;
use OakTrace\Core\Transform\Text\Scope;
use OakTrace\Core\Transform\Text\TextTransform;
use OakTrace\Core\Transform\Text\TextTransforms;
use OakTrace\Core\Transform\Text\TransformProblem;
use OakTrace\Core\Verification;

class ProgramController
{
    public function show(Program $program, SetupFile $files): Response
    {
        Gate::authorize('view', $program);
        $program->load(['setup.part', 'setup.machine', 'latest.user', 'revisions.user']);

        return Inertia::render('bench/Bench', [
            'program' => ['id' => $program->id, 'name' => $program->name, 'text' => $program->latest->text, 'revision' => $program->latest->number, 'proof' => self::proof($program)],
            'setup' => [
                'id' => $program->setup->id, 'operation' => $program->setup->operation, 'name' => $program->setup->name,
                'machine' => $program->setup->machine->name, 'part' => $program->setup->part->name, 'version' => $program->setup->version, 'mayLower' => Gate::allows('lower', $program->setup),
            ],
            'codes' => self::codes($program, $files),
            'transforms' => array_map(static fn (TextTransform $transform): array => ['name' => $transform->name(), 'title' => $transform->title(), 'fields' => $transform->fields()], TextTransforms::all()),
            'revisions' => $program->revisions->map(fn (Revision $revision): array => self::revision($revision)),
        ]);
    }

    /**
     * The codes of the control and what they do there; none where the setup cannot be used, which the check then says.
     *
     * @return list<array{code: string, words: string}>
     */
    private static function codes(Program $program, SetupFile $files): array
    {
        try {
            $control = $program->setup->core($files)->machine->control;
        } catch (SetupFileError) {
            return [];
        }
        $codes = [];
        foreach (['G' => $control->gCodes, 'M' => $control->mCodes] as $letter => $table) {
            ksort($table);
            foreach ($table as $number => $code) {
                $codes[] = ['code' => ControlProfile::written($letter, $number), 'words' => $code->words()];
            }
        }

        return $codes;
    }

    public function check(Request $request, Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        try {
            $text = self::text($request);
            $setup = $program->inSetup($files);

            return response()->json(KeptReadings::during($program, $request->user(), $text, static fn (?Rereading $kept): array => BenchAnswer::of($text, $setup, $kept)));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The setup cannot be used. '.$e->getMessage()], 422);
        }
    }

    public function explain(Request $request, Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        $text = self::text($request);
        $request->validate(['line' => ['required', 'integer', 'min:1']]);
        try {
            return response()->json(Explanation::of(ProgramText::fromText($text), $program->inSetup($files), $request->integer('line')));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The setup cannot be used. '.$e->getMessage()], 422);
        }
    }

    /** What a change of text would change, for the editor to show and to make; the text itself stays where it is. */
    public function transform(Request $request, Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        $text = ProgramText::fromText(self::text($request));
        $request->validate(['name' => ['required', 'string'], 'values' => ['array'], 'from' => ['nullable', 'integer', 'min:1'], 'to' => ['nullable', 'integer', 'min:1']]);
        $transform = TextTransforms::named($request->string('name')->value()) ?? abort(404);
        $to = $request->input('to');
        try {
            $scope = new Scope($text, Verification::trace($text, $program->inSetup($files)), $request->integer('from', 1), is_numeric($to) ? (int) $to : null);
            $edits = $transform->edits($scope, TextTransforms::values($transform, (array) $request->input('values', [])));
        } catch (TransformProblem|SetupFileError $e) {
            return response()->json(['message' => $e->getMessage()], 422);
        }
        $first = array_shift($edits);

        return response()->json(['edit' => $first === null ? null : (new WrittenEdit($text->line(...)))->of($first->labelled($transform->title())->and(...$edits))]);
    }

    /** What each usual offset mistake would lead to. */
    public function offsets(Request $request, Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        $text = self::text($request);
        try {
            return response()->json(OffsetTable::of(Verification::of(ProgramText::fromText($text), $program->inSetup($files))));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The setup cannot be used. '.$e->getMessage()], 422);
        }
    }

    /** Keeps what decides the motion of the latest revision as it has been proven, so that a change of it is noticed. */
    public function prove(Request $request, Program $program, SetupFile $files, ProgramVerdict $verdicts): JsonResponse
    {
        Gate::authorize('update', $program);
        $request->validate(['revision' => ['required', 'integer']]);
        if ($program->latest->number !== $request->integer('revision')) {
            return response()->json(['message' => "Revision {$program->latest->number} has been saved since. Open it, and prove that one."], 409);
        }
        /** @var User $user */
        $user = $request->user();
        $program->update(['proof' => [
            'on' => now()->toDateString(), 'by' => $user->name, 'revision' => $program->latest->number,
            'parts' => Fingerprint::of(ProgramText::fromText($program->latest->text), $program->setup->core($files)),
        ]]);
        $verdicts->refresh($program->load('latest', 'setup.machine'));

        return response()->json(['proof' => self::proof($program)]);
    }

    /** @return array{on: string, by: string, revision: int}|null */
    private static function proof(Program $program): ?array
    {
        return $program->proof === null ? null : ['on' => $program->proof['on'], 'by' => $program->proof['by'], 'revision' => $program->proof['revision']];
    }

    /** Makes a revision, unless somebody else has made one since the text was opened. */
    public function revise(Request $request, Program $program, ProgramVerdict $verdicts): JsonResponse
    {
        Gate::authorize('update', $program);
        $text = self::text($request);
        $request->validate(['base' => ['required', 'integer'], 'reason' => ['nullable', 'string', 'max:200']]);

        return DB::transaction(function () use ($request, $program, $text, $verdicts): JsonResponse {
            $latest = $program->latest()->with('user')->lockForUpdate()->firstOrFail();
            if ($latest->number !== $request->integer('base')) {
                return response()->json([
                    'message' => "{$latest->user->name} saved revision {$latest->number} in the meantime. Your text is kept here; open theirs in another window and compare before you save over it.",
                    'latest' => $latest->number,
                ], 409);
            }
            $revision = $program->revisions()->create([
                'number' => $latest->number + 1, 'text' => $text, 'user_id' => $request->user()?->getAuthIdentifier(), 'reason' => $request->string('reason')->value(),
            ]);
            $verdicts->refresh($program->load('latest', 'setup.machine'));

            return response()->json(['revision' => self::revision($revision->load('user'))], 201);
        });
    }

    public function upload(ProgramUpload $request, Setup $setup, ProgramVerdict $verdicts): RedirectResponse
    {
        Gate::authorize('update', $setup);
        [$name, $text] = [$request->programName(), $request->text()];
        $program = DB::transaction(function () use ($request, $setup, $name, $text, $verdicts): Program {
            $program = $setup->programs()->create(['name' => $name]);
            $program->revisions()->create(['number' => 1, 'text' => $text, 'user_id' => $request->user()?->getAuthIdentifier(), 'reason' => 'Brought in from a file']);
            $verdicts->refresh($program->load('latest', 'setup.machine'));

            return $program;
        });

        return redirect("/programs/{$program->id}");
    }

    public function download(Program $program): HttpResponse
    {
        Gate::authorize('view', $program);

        return response($program->latest->text, 200, [
            'Content-Type' => 'text/plain; charset=utf-8',
            'Content-Disposition' => 'attachment; filename="'.preg_replace('/[^A-Za-z0-9_-]/', '_', $program->name).'.nc"',
        ]);
    }

    /** The program lifted for a dry run: what its own check says, and the text to take to the machine. */
    public function dryRun(Request $request, Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        $text = self::text($request);
        $request->validate(['lift' => ['required', 'numeric', 'gt:0', 'max:100000']], ['lift.*' => 'Lift by more than nothing.']);
        try {
            $setup = $program->inSetup($files);
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The setup cannot be used. '.$e->getMessage()], 422);
        }
        $dry = DryRun::of(ProgramText::fromText($text), $setup, $request->float('lift') * $setup->units->millimetres());
        $wording = new Wording($setup->units);

        return response()->json([
            'text' => $dry->text, 'seconds' => round($dry->seconds, 1), 'rapidPercent' => DryRun::RAPID_OVERRIDE * 100,
            'overruns' => array_map(static fn (Finding $finding): string => $wording->text($finding), $dry->overruns),
        ]);
    }

    private static function text(Request $request): string
    {
        $limit = (int) config('oak.largest_program');
        $request->validate(['text' => ['present', 'string', 'max:'.$limit]], ['text.max' => 'A program may be '.intdiv($limit, 1024 * 1024).' MB at most.']);

        return $request->string('text')->value();
    }

    /** @return array<string, mixed> */
    private static function revision(Revision $revision): array
    {
        return ['number' => $revision->number, 'by' => $revision->user->name, 'at' => $revision->created_at->toIso8601String(), 'reason' => $revision->reason];
    }
}
