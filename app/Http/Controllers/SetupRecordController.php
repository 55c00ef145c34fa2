<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Setup;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\Copies;
use App\Shop\SetupImport;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;

/** Setups as records of a part: begun, imported, copied, renamed, renumbered, moved, deleted. */
class SetupRecordController
{
    /** Usual height over the stock where rapids may cross, mm (common practice). */
    private const CLEARANCE = 2.0;

    /** Begins a setup on a machine; what it does not say yet is reported by the checks that need it. */
    public function store(Request $request, Part $part): JsonResponse
    {
        Gate::authorize('create', Setup::class);
        $fields = Worded::fields($request, [
            'machine' => ['required', 'integer', Rule::exists('machines', 'id')->whereNull('deleted_at')], 'name' => Worded::name(),
            'operation' => self::operation(),
        ]);
        $isInch = $part->units === 'inch';
        $document = (object) array_filter([
            'format' => 'oak-setup/1', 'units' => $part->units, 'material' => $part->material, 'clearance' => $isInch ? 0.1 : self::CLEARANCE,
        ], static fn (mixed $value): bool => $value !== null && $value !== '');
        $setup = $part->setups()->create(
            ['machine_id' => $fields['machine'], 'operation' => $fields['operation'], 'name' => $fields['name'], 'document' => $document],
        );
        LogEntry::note(Kind::Setup, $setup->title(), [['setup', null, 'created']], $setup);

        return response()->json(['id' => $setup->id], 201);
    }

    public function import(Request $request, Part $part, SetupImport $import): RedirectResponse
    {
        Gate::authorize('create', Setup::class);

        return redirect('/setups/'.$import->take($request, $part)->id);
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
