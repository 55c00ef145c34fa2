<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Logbook\Difference;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Part;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\Copies;
use App\Shop\PartList;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Quantities\Units;

/** The parts of the shop. */
class PartController
{
    public function index(#[CurrentUser] User $user): Response
    {
        Gate::authorize('viewAny', Part::class);

        return Inertia::render('parts/Parts', [
            'parts' => PartList::for($user),
            'machines' => Machine::orderBy('name')->get()->map(static fn (Machine $machine): array => $machine->only('id', 'name')),
        ]);
    }

    public function store(Request $request): JsonResponse
    {
        Gate::authorize('create', Part::class);
        $part = Part::create(self::fields($request, null));
        LogEntry::note(Kind::Part, $part->name, [['part', null, 'created']]);

        return response()->json(['id' => $part->id], 201);
    }

    public function update(Request $request, Part $part): HttpResponse
    {
        Gate::authorize('update', $part);
        $fields = self::fields($request, $part);
        LogEntry::note(Kind::Part, $part->name, Difference::between((object) $part->only(array_keys($fields)), (object) $fields));
        $part->update($fields);

        return response()->noContent();
    }

    /** With its setups and their programs; offsets come along and are not trusted. */
    public function copy(Part $part, Copies $copies, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('create', Part::class);
        $copy = $copies->ofPart($part, $user);
        LogEntry::note(Kind::Part, $copy->name, [['part', null, "copied from {$part->name}"]]);

        return response()->json(['id' => $copy->id], 201);
    }

    public function archive(Request $request, Part $part): HttpResponse
    {
        Gate::authorize('update', $part);
        $isArchived = (bool) Worded::fields($request, ['archived' => ['required', 'boolean']])['archived'];
        $part->update(['archived_at' => $isArchived ? now() : null]);
        LogEntry::note(Kind::Part, $part->name, [['archived', $isArchived ? 'no' : 'yes', $isArchived ? 'yes' : 'no']]);

        return response()->noContent();
    }

    public function destroy(Part $part, Bin $bin): HttpResponse
    {
        Gate::authorize('delete', $part);
        $bin->delete($part);

        return response()->noContent();
    }

    /** @return array<string, mixed> */
    private static function fields(Request $request, ?Part $part): array
    {
        $drawing = $request->input('drawing_number');
        $same = Rule::unique('parts', 'name')->ignore($part?->id)->whereNull('deleted_at')->where('drawing_number', is_string($drawing) ? $drawing : '');
        $fields = Worded::fields($request, [
            'name' => Worded::name($same), 'drawing_number' => ['present', 'nullable', 'string', 'max:60'],
            'material' => ['present', 'nullable', 'string', 'max:80'],
            'units' => ['required', Rule::enum(Units::class)],
        ], ['name.unique' => 'There is a part of this name and drawing number already.']);

        return ['drawing_number' => $fields['drawing_number'] ?? ''] + $fields;
    }
}
