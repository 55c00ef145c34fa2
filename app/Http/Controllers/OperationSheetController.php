<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\SheetRequest;
use App\Http\Requests\Worded;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use App\OperationSheets\SheetAnswer;
use App\Shop\Revising;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Sheet\SheetFile;

/** Programs that are written from an operation sheet. */
class OperationSheetController
{
    /** Begins a program with an empty sheet. */
    public function store(Request $request, Setup $setup, Revising $revising, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $setup);
        $fields = Worded::fields(
            $request, ['name' => Worded::name(ProgramRecordController::free($setup)), 'number' => ['nullable', 'integer', 'between:1,99999999']],
            ['name.unique' => 'This setup has a program of this name already.'],
        );
        $number = $request->filled('number') ? ['programNumber' => $request->integer('number')] : [];
        $program = $revising->begin($setup, (string) $fields['name'], '', $user, 'Sheet begun', [
            'document' => ['name' => (string) $fields['name'], ...$number, 'operations' => []], 'written' => [],
        ]);

        return response()->json(['id' => $program->id], 201);
    }

    /** What a sheet comes to, and the text brought up to it. Nothing is stored. */
    public function answer(SheetRequest $request, Program $program, SetupFile $files, SheetAnswer $answers): JsonResponse
    {
        return response()->json($answers->of(
            $request->document(), $program->setup->core($files), $request->text(), $request->written(), $request->taken(),
        ));
    }

    /** The sheet as a file, with what its setup says. */
    public function download(Program $program, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $program);
        $sheet = $program->latest->sheet ?? abort(404);
        $setup = $program->setup->core($files);
        $name = preg_replace('/[^\w.-]+/', '-', $program->name);

        return response()->json(
            SheetFile::filledIn(SheetAnswer::filled($sheet['document'], $setup), $setup), 200,
            ['Content-Disposition' => "attachment; filename=\"{$name}.sheet.json\""], JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        );
    }
}
