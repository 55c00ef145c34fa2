<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\ProgramUpload;
use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Setup;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\Copies;
use App\Shop\NewSetup;
use App\Shop\SetupImport;
use App\Shop\ShopProblem;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Illuminate\Validation\ValidationException;

/** Setups as records of a part: begun, imported, copied, renamed, renumbered, moved, deleted. */
class SetupRecordController
{
    /** Begins a setup on a machine; what it does not say yet is reported by the checks that need it. */
    public function store(Request $request, Part $part, NewSetup $setups): JsonResponse
    {
        Gate::authorize('create', Setup::class);
        Worded::fields($request, [
            'machine' => ['required', 'integer', Rule::exists('machines', 'id')->whereNull('deleted_at')], 'name' => Worded::name(),
            'operation' => self::operation(),
        ]);
        $machine = Machine::findOrFail($request->integer('machine'));
        $setup = $setups->begin($part, $machine, $request->integer('operation'), $request->string('name')->value());

        return response()->json(['id' => $setup->id], 201);
    }

    /** Begins a setup with what the programs that come in seem to need. */
    public function fromPrograms(ProgramUpload $request, Part $part, NewSetup $setups, #[CurrentUser] User $user): RedirectResponse
    {
        Gate::authorize('create', Setup::class);
        $programs = $request->programs();
        if ($programs === []) {
            throw ValidationException::withMessages(['file' => 'Choose a program file first.']);
        }
        try {
            [$setup, $from] = $setups->from($part, $programs, $user);
        } catch (ShopProblem $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage()]);
        }

        return redirect("/setups/{$setup->id}")->with('notice', $from);
    }

    public function import(Request $request, Part $part, SetupImport $import): RedirectResponse
    {
        Gate::authorize('create', Setup::class);

        [$setup, $unread] = $import->take($request, $part);

        return redirect("/setups/{$setup->id}")->with('notice', $unread === [] ? null : 'The setup is imported. '.implode(' ', $unread));
    }

    /** Renames, renumbers, or moves a setup to another part. */
    public function update(Request $request, Setup $setup): HttpResponse
    {
        Gate::authorize('update', $setup);
        $fields = Worded::fields($request, [
            'name' => Worded::name(), 'operation' => self::operation(),
            'part' => ['sometimes', 'integer', Rule::exists('parts', 'id')->whereNull('deleted_at')],
        ]);
        $was = $setup->title();
        $setup->update(['name' => $fields['name'], 'operation' => $fields['operation'], 'part_id' => $fields['part'] ?? $setup->part_id]);
        $is = $setup->unsetRelation('part')->title();
        if ($was !== $is) {
            LogEntry::note(Kind::Setup, $is, [['name', $was, $is]], $setup);
        }

        return response()->noContent();
    }

    /** With its programs, for the same part or another; its offsets are not trusted. */
    public function copy(Request $request, Setup $setup, Copies $copies, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('create', Setup::class);
        $fields = Worded::fields($request, ['part' => ['sometimes', 'integer', Rule::exists('parts', 'id')->whereNull('deleted_at')]]);
        $part = isset($fields['part']) ? Part::findOrFail($request->integer('part')) : $setup->part;
        $copy = $copies->ofSetup($setup, $part, (int) $part->setups()->max('operation') + 10, $user);
        LogEntry::note(Kind::Setup, $copy->title(), [['setup', null, 'copied from '.$setup->title()]], $copy);

        return response()->json(['id' => $copy->id], 201);
    }

    public function destroy(Setup $setup, Bin $bin): HttpResponse
    {
        Gate::authorize('delete', $setup);
        $bin->delete($setup);

        return response()->noContent();
    }

    /** @return list<string> */
    private static function operation(): array
    {
        return ['required', 'integer', 'min:1', 'max:9999'];
    }
}
