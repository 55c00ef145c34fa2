<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\CompareAnswer;
use App\Http\Requests\ProgramText;
use App\Http\Requests\SheetRequest;
use App\LongWork\LongChecks;
use App\Models\EditSession;
use App\Models\Program;
use App\Models\Revision;
use App\Models\User;
use App\Shop\Revising;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Compare\Merge;
use OakTrace\Core\Formats\SetupFile;

/** The revisions of a program: made, read, compared and taken up again. None is ever changed. */
class RevisionController
{
    /** Makes a revision, unless somebody else has made one since the text was opened. */
    public function store(Request $request, Program $program, Revising $revising): JsonResponse
    {
        Gate::authorize('update', $program);
        $request->validate(
            [
                'base' => ['required', 'integer'], 'reason' => ['nullable', 'string', 'max:200'], ...ProgramText::textRules(),
                ...SheetRequest::sheetRules('sheet.'),
            ],
            ProgramText::textMessages(),
        );

        return self::make(
            $request, $program, $request->string('text')->value(), $request->string('reason')->value(), $revising, SheetRequest::sheet($request, 'sheet'),
        );
    }

    /** Makes a revision with the text of an earlier one. */
    public function restore(Request $request, Program $program, int $number, Revising $revising): JsonResponse
    {
        Gate::authorize('update', $program);
        $request->validate(['base' => ['required', 'integer']]);

        $then = self::numbered($program, $number);

        return self::make($request, $program, $then->text, "Restored from revision {$number}", $revising, $then->sheet);
    }

    /** The text of one revision. */
    public function show(Program $program, int $number): HttpResponse
    {
        Gate::authorize('view', $program);

        return response(self::numbered($program, $number)->text, 200, ['Content-Type' => 'text/plain; charset=utf-8']);
    }

    /** The screen two revisions are compared on. */
    public function compare(Program $program): Response
    {
        Gate::authorize('view', $program);
        $program->load('setup.part', 'setup.machine');

        return Inertia::render('compare/Compare', [
            'program' => ['id' => $program->id, 'name' => $program->name],
            'setup' => [
                'id' => $program->setup->id, 'operation' => $program->setup->operation, 'name' => $program->setup->name,
                'machine' => $program->setup->machine->name, 'part' => $program->setup->part->name,
                'drawingNumber' => $program->setup->part->drawing_number,
            ],
            'revisions' => $program->revisions()->select(Revision::WITHOUT_TEXT)->with('user')->get()
                ->map(static fn (Revision $revision): array => $revision->row()),
        ]);
    }

    /** Two revisions, or one and a text that is not saved, as motion. */
    public function motion(Request $request, Program $program, SetupFile $files): HttpResponse|JsonResponse
    {
        Gate::authorize('view', $program);
        $request->validate(
            [
                'from' => ['required', 'integer'], 'to' => ['required_without:text', 'integer'],
                'text' => array_diff(ProgramText::textRules()['text'], ['present']),
            ],
            ProgramText::textMessages(),
        );
        $after = $request->has('text') ? $request->string('text')->value() : self::numbered($program, $request->integer('to'))->text;
        $before = self::numbered($program, $request->integer('from'))->text;
        if (LongChecks::isLong($before.$after)) {
            return response()->json(['message' => 'These texts are too long to be compared as motion. They are compared as text below.'], 422);
        }
        /** @var User $user */
        $user = $request->user();
        $body = CompareAnswer::of($before, $after, $program->setup->core($files), $user->displayUnits());

        return response($body, 200, ['Content-Type' => 'application/octet-stream']);
    }

    /** A text that goes on from an earlier revision, brought together with the latest one. */
    public function merge(ProgramText $request, Program $program): JsonResponse
    {
        $request->validate(['base' => ['required', 'integer']]);
        $latest = $program->latest()->with('user')->firstOrFail();
        $merge = Merge::of(self::numbered($program, $request->integer('base'))->text, $request->text(), $latest->text);

        return response()->json(['text' => $merge->text, 'conflicts' => $merge->conflicts, 'latest' => $latest->row()]);
    }

    /** @param  array<string, mixed>|null  $sheet  the operation sheet the text goes with */
    private static function make(
        Request $request, Program $program, string $text, string $reason, Revising $revising, ?array $sheet,
    ): JsonResponse {
        /** @var User $user */
        $user = $request->user();

        return DB::transaction(static function () use ($request, $user, $program, $text, $reason, $revising, $sheet): JsonResponse {
            $latest = $program->revisions()->select(Revision::WITHOUT_TEXT)->with('user')->lockForUpdate()->firstOrFail();
            if (
                $latest->number === $request->integer('base') + 1 && $latest->user_id === $user->id && $latest->reason === $reason
                && self::numbered($program, $latest->number)->text === $text
            ) {
                // Saved before; only the answer did not arrive.
                return response()->json(['revision' => $latest->row()], 201);
            }
            if ($latest->number !== $request->integer('base')) {
                return response()->json([
                    'message' => "{$latest->user->name} saved revision {$latest->number}. Your text is kept; compare the two "
                        .'before you save over it.',
                    'latest' => $latest->row(),
                ], 409);
            }
            $revision = $revising->revise($program, $latest->number + 1, $text, $user, $reason, $sheet);
            EditSession::note($program, $user->id, false);

            return response()->json(['revision' => $revision->load('user')->row()], 201);
        });
    }

    private static function numbered(Program $program, int $number): Revision
    {
        return $program->revisions()->where('number', $number)->firstOrFail();
    }
}
