<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ProgramText;
use App\Http\Requests\ProgramUpload;
use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\Copies;
use App\Shop\Revising;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use OakTrace\Core\Language\Program as ProgramNumbers;

/** Programs as records of a setup: begun, brought in, copied, renamed, moved, deleted. */
class ProgramRecordController
{
    /** Begins a program with a text that was typed or pasted; without a name it is called by its number. */
    public function store(Request $request, Setup $setup, Revising $revising, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $setup);
        $fields = Worded::fields(
            $request, ['name' => ['present', 'nullable', 'string', 'max:80', self::free($setup)], ...ProgramText::textRules()],
            ProgramText::textMessages() + ['name.unique' => 'This setup has a program of this name already.'],
        );
        $text = $request->string('text')->value();
        $name = (string) ($fields['name'] ?? '');
        $program = $revising->begin($setup, $name === '' ? self::nameFor($setup, $text) : $name, $text, $user, 'First written');

        return response()->json(['id' => $program->id], 201);
    }

    /** Takes files in: each a new program, or a new revision of the program of its name. All or none. */
    public function import(ProgramUpload $request, Setup $setup, Revising $revising, #[CurrentUser] User $user): RedirectResponse
    {
        Gate::authorize('update', $setup);
        $files = $request->programs();
        [$new, $revised, $same] = DB::transaction(static function () use ($files, $setup, $revising, $user): array {
            $sorted = [[], [], []];
            foreach ($files as ['name' => $name, 'text' => $text, 'isConverted' => $isConverted]) {
                $reason = Revising::imported($isConverted);
                $program = $setup->programs()->with('latest')->where('name', $name)->lockForUpdate()->first();
                if ($program === null) {
                    $sorted[0][] = $revising->begin($setup, $name, $text, $user, $reason);
                } elseif ($program->latest->text === $text) {
                    $sorted[2][] = $program;
                } else {
                    $revising->revise($program, $program->latest->number + 1, $text, $user, $reason);
                    $sorted[1][] = $program;
                }
            }

            return $sorted;
        });
        if (count($files) === 1 && $revised !== []) {
            $latest = (int) $revised[0]->revisions()->max('number');

            return redirect("/programs/{$revised[0]->id}/compare?from=".($latest - 1)."&to={$latest}");
        }
        if (count($files) === 1) {
            return redirect('/programs/'.($new[0] ?? $same[0])->id)->with('notice', $same === [] ? null : 'This file is the same as the latest revision.');
        }
        $words = array_filter(
            ['new' => count($new), 'revised' => count($revised), 'unchanged' => count($same)], static fn (int $count): bool => $count > 0,
        );
        $told = array_map(static fn (string $what, int $count): string => "{$count} {$what}", array_keys($words), $words);

        return redirect("/setups/{$setup->id}")->with('notice', count($files).' programs imported: '.implode(', ', $told).'.');
    }

    /** Renames a program, or moves it to another setup. */
    public function update(Request $request, Program $program, Revising $revising): HttpResponse
    {
        Gate::authorize('update', $program);
        $fields = Worded::fields(
            $request, ['name' => Worded::name(), 'setup' => ['sometimes', 'integer', Rule::exists('setups', 'id')->whereNull('deleted_at')]],
        );
        $to = isset($fields['setup']) ? Setup::with('part')->findOrFail($request->integer('setup')) : $program->setup;
        Worded::fields($request, ['name' => [self::free($to)->ignore($program->id)]], ['name.unique' => 'That setup has a program of this name already.']);
        DB::transaction(static function () use ($program, $fields, $to, $revising): void {
            $changes = array_filter([
                $program->name === $fields['name'] ? null : ['name', $program->name, (string) $fields['name']],
                $program->setup_id === $to->id ? null : ['setup', $program->setup->title(), $to->title()],
            ]);
            LogEntry::note(Kind::Program, $program->name, array_values($changes), $program->setup);
            $moved = $program->setup_id !== $to->id;
            $program->update(['name' => $fields['name'], 'setup_id' => $to->id] + ($moved ? ['proof' => null] : []));
            if ($moved) {
                $revising->moved($program->unsetRelation('setup'));
            }
        });

        return response()->noContent();
    }

    public function copy(Request $request, Program $program, Copies $copies, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $program);
        $fields = Worded::fields($request, ['setup' => ['sometimes', 'integer', Rule::exists('setups', 'id')->whereNull('deleted_at')]]);
        $to = isset($fields['setup']) ? Setup::findOrFail($request->integer('setup')) : $program->setup;

        return response()->json(['id' => $copies->ofProgram($program->load('latest'), $to, $user)->id], 201);
    }

    public function destroy(Program $program, Bin $bin): HttpResponse
    {
        Gate::authorize('delete', $program);
        $bin->delete($program);

        return response()->noContent();
    }

    public static function free(Setup $setup): \Illuminate\Validation\Rules\Unique
    {
        return Rule::unique('programs', 'name')->where('setup_id', $setup->id)->whereNull('deleted_at');
    }

    private static function nameFor(Setup $setup, string $text): string
    {
        $number = ProgramNumbers::fromText($text)->programNumbers()[0][0] ?? null;
        $taken = $setup->programs()->pluck('name')->all();
        $name = $number === null ? 'Program' : 'O'.$number;
        for ($n = 2; in_array($name, $taken, true); $n++) {
            $name = ($number === null ? 'Program' : 'O'.$number)." {$n}";
        }

        return $name;
    }
}
