<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\ProgramVerdict;
use App\Logbook\SetupChange;
use App\Models\CribTool;
use App\Models\Machine;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use App\Shop\PartList;
use App\Shop\SetupNeeds;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\SetupUnits;
use OakTrace\Core\Formats\ToolSheet;
use OakTrace\Core\Quantities\Units;

class SetupController
{
    public function show(Setup $setup, #[CurrentUser] User $user): Response
    {
        Gate::authorize('view', $setup);
        $setup->load(['part', 'machine', 'programs.latest']);
        PartList::opened($setup->part, $user);

        return Inertia::render('setup/SetupPage', [
            'setup' => [
                'id' => $setup->id, 'operation' => $setup->operation, 'name' => $setup->name, 'part' => $setup->part->name,
                'machineId' => $setup->machine_id, 'version' => $setup->version, 'document' => $setup->document,
            ],
            'machines' => Machine::orderBy('name')->get()->map(
                fn (Machine $machine): array => ['id' => $machine->id, 'name' => $machine->name, 'definition' => $machine->definition],
            ),
            'programs' => $setup->programs->map(static fn (Program $program): array => self::program($program, $setup)),
            'toolFields' => ToolSheet::fields(), 'usuals' => ToolSheet::usuals(),
            'crib' => CribTool::orderBy('name')->get()->map(static fn (CribTool $tool): array => [
                'id' => $tool->id, 'definition' => $tool->definitionIn(Units::tryFrom((string) ($setup->document->units ?? '')) ?? Units::Millimetre),
            ]),
        ]);
    }

    /** The programs of a setup with their verdicts, as far as they are worked out. */
    public function verdicts(Setup $setup): JsonResponse
    {
        Gate::authorize('view', $setup);

        $setup->load('programs.latest');
        ProgramVerdict::lookAfter($setup->programs);

        return response()->json($setup->programs->map(static fn (Program $program): array => self::program($program, $setup)));
    }

    /** What its programs seem to need that it does not have. */
    public function needs(Setup $setup, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $setup);
        $setup->load('programs.latest');

        return response()->json(SetupNeeds::of($setup, $setup->core($files)));
    }

    /** Takes the whole document, or what of it was changed, or nothing; checks every program of the setup again. */
    public function update(Request $request, Setup $setup, SetupFile $files, SetupChange $changes): JsonResponse
    {
        Gate::authorize('update', $setup);
        $body = json_decode($request->getContent(), false);
        $document = is_object($body) ? self::sent($body, $setup) : null;
        if (! is_object($body) || $document === null || ! is_int($body->version ?? null) || ! is_int($body->machineId ?? null)) {
            return response()->json(['message' => 'The setup arrived incomplete. Nothing was saved.'], 422);
        }
        $machine = Machine::find($body->machineId);
        if ($machine === null) {
            return response()->json(['message' => 'This machine is not in the list.', 'fields' => ['machine' => 'Choose a machine from the list.']], 422);
        }
        $document = (object) array_diff_key(get_object_vars($document), ['machine' => true]);
        if (! Gate::allows('lower', $setup)) {
            $document = self::withLoweredOf($setup->document, $document);
        }
        try {
            $files->read(Setup::join($document, $machine));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The setup was not saved: '.$e->getMessage(), 'fields' => $e->fields], 422);
        }

        return $this->replace($setup, $body->version, $document, $machine, $changes);
    }

    /** The document as it is on the page with its figures in the other unit. Nothing is stored. */
    public function inUnits(Request $request, Setup $setup): JsonResponse
    {
        Gate::authorize('update', $setup);
        $body = json_decode($request->getContent(), false);
        $units = Units::tryFrom(is_string($body->units ?? null) ? $body->units : '');
        if ($units === null || ! is_object($body->document ?? null)) {
            return response()->json(['message' => 'The setup arrived incomplete. Nothing was converted.'], 422);
        }
        try {
            return response()->json(['document' => SetupUnits::turned($body->document, $units)]);
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'Nothing was converted: '.$e->getMessage(), 'fields' => $e->fields], 422);
        }
    }

    /** The whole document as `document`, or the one that is stored with `changes` made and `removed` taken out; null where neither is told. */
    private static function sent(object $body, Setup $setup): ?object
    {
        if (is_object($body->document ?? null)) {
            return $body->document;
        }
        $removed = $body->removed ?? null;
        if (! is_object($body->changes ?? null) || ! is_array($removed) || array_filter($removed, is_string(...)) !== $removed) {
            return null;
        }

        return (object) array_diff_key(get_object_vars($body->changes) + get_object_vars($setup->document), array_flip($removed));
    }

    /** Stores a document unless somebody else has stored one since `version`, and checks every program of the setup again. */
    private function replace(Setup $setup, int $version, object $document, Machine $machine, SetupChange $changes): JsonResponse
    {
        $now = $changes->replace($setup, $version, $document, $machine);

        return $now === null
            ? response()->json(['message' => 'Somebody else has changed this setup. Reload to see it; nothing was overwritten.'], 409)
            : response()->json(['version' => $now->version]);
    }

    /** What cautions are notes stays as a lead has decided, whatever somebody else sends. */
    private static function withLoweredOf(object $stored, object $sent): object
    {
        $lowered = ['lowered' => true];

        return (object) (array_intersect_key(get_object_vars($stored), $lowered) + array_diff_key(get_object_vars($sent), $lowered));
    }

    /** Puts one work offset where somebody has dragged it; the rest of the setup stays. */
    public function moveZero(Request $request, Setup $setup, SetupFile $files, SetupChange $changes): JsonResponse
    {
        Gate::authorize('update', $setup);
        $request->validate(
            [
                'version' => ['required', 'integer'], 'name' => ['required', 'string'], 'units' => ['required', Rule::enum(Units::class)],
                'position' => ['required', 'array:X,Y,Z'], 'position.*' => ['numeric'],
            ],
        );
        /** @var object $document */
        $document = json_decode((string) json_encode($setup->document), false);
        $name = $request->string('name')->value();
        $offsets = $document->workOffsets ?? null;
        if (! is_object($offsets) || ! is_object($offsets->{$name} ?? null)) {
            return response()->json(['message' => "This setup has no {$name}."], 422);
        }
        // The position is in the units the person sees; the setup has its own.
        $factor = Units::from($request->string('units')->value())->millimetres() / Units::from((string) ($document->units ?? 'mm'))->millimetres();
        foreach ((array) $request->input('position') as $axis => $value) {
            $offsets->{$name}->{$axis} = round((float) $value * $factor, 6);
        }
        try {
            $files->read(Setup::join($document, $setup->machine));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The offset was not saved: '.$e->getMessage(), 'fields' => $e->fields], 422);
        }

        return $this->replace($setup, $request->integer('version'), $document, $setup->machine, $changes);
    }

    public function download(Setup $setup): HttpResponse
    {
        Gate::authorize('view', $setup);

        return response((string) json_encode(json_decode($setup->file()), JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES), 200, [
            'Content-Type' => 'application/json',
            'Content-Disposition' => 'attachment; filename="setup-'.$setup->id.'.json"',
        ]);
    }

    /** @return array<string, mixed> */
    private static function program(Program $program, Setup $setup): array
    {
        return [
            'id' => $program->id, 'name' => $program->name, 'revision' => $program->latest->number, 'verdict' => $program->verdict,
            'stops' => $program->stops, 'cautions' => $program->cautions, 'notes' => $program->notes,
            'fields' => $program->fields ?? [],
            'calledBy' => $program->called_as === null ? null : PartList::callers($program, $setup),
        ];
    }
}
