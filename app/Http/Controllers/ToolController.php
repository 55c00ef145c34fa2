<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Logbook\Difference;
use App\Logbook\Kind;
use App\Models\CribTool;
use App\Models\LogEntry;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\CribTools;
use App\Shop\ShopProblem;
use App\Shop\ToolTable;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Formats\ToolSheet;
use OakTrace\Core\Quantities\Units;

/** The tool crib. */
class ToolController
{
    private const LARGEST_TABLE = 1024;

    public function index(#[CurrentUser] User $user): Response
    {
        Gate::authorize('viewAny', CribTool::class);
        $units = self::units($user);

        return Inertia::render('tools/ToolCrib', [
            'units' => $units->value, 'fields' => ToolSheet::fields(), 'usuals' => ToolSheet::usuals(),
            'tools' => CribTool::orderBy('name')->get()->map(static fn (CribTool $tool): array => self::row($tool, $units)),
        ]);
    }

    public function store(Request $request, SetupFile $files): JsonResponse
    {
        Gate::authorize('create', CribTool::class);
        [$definition, $units] = self::definition($request, $files);
        $tool = CribTool::create(['name' => $definition['name'], 'kind' => $definition['kind'], 'definition' => $definition]);
        LogEntry::note(Kind::Tool, $tool->name, [['tool', null, 'created']]);

        return response()->json(self::row($tool, $units), 201);
    }

    public function update(Request $request, CribTool $tool, SetupFile $files): JsonResponse
    {
        Gate::authorize('update', $tool);
        [$definition, $units] = self::definition($request, $files);
        LogEntry::note(Kind::Tool, $tool->name, Difference::between((object) $tool->definition, (object) $definition));
        $tool->update(['name' => $definition['name'], 'kind' => $definition['kind'], 'definition' => $definition]);

        return response()->json(self::row($tool, $units));
    }

    public function destroy(CribTool $tool, Bin $bin): HttpResponse
    {
        Gate::authorize('delete', $tool);
        $bin->delete($tool);

        return response()->noContent();
    }

    /** The crib as CSV, in the units of whoever asks. */
    public function export(#[CurrentUser] User $user): HttpResponse
    {
        Gate::authorize('viewAny', CribTool::class);
        $units = self::units($user);
        $tools = CribTool::orderBy('name')->get()->map(static fn (CribTool $tool): array => $tool->definitionIn($units))->values()->all();

        return response(ToolTable::write($tools, $units), 200, [
            'Content-Type' => 'text/csv; charset=utf-8', 'Content-Disposition' => 'attachment; filename="tool-crib.csv"',
        ]);
    }

    /** Tools of a CSV file; one with the name of a tool that is there takes its place. All or none. */
    public function import(Request $request, ToolTable $table): RedirectResponse
    {
        Gate::authorize('create', CribTool::class);
        $request->validate(['file' => ['required', 'file', 'max:'.self::LARGEST_TABLE]], [
            'file.required' => 'Choose a CSV file first.', 'file.max' => 'A table of tools may be '.self::LARGEST_TABLE.' kB at most.',
        ]);
        /** @var UploadedFile $upload */
        $upload = $request->file('file');
        try {
            $tools = $table->read((string) file_get_contents($upload->getRealPath()));
        } catch (ShopProblem $problem) {
            throw ValidationException::withMessages(['file' => $problem->getMessage()]);
        }
        $new = DB::transaction(static function () use ($tools): int {
            $new = 0;
            foreach ($tools as $definition) {
                $tool = CribTool::firstOrNew(['name' => $definition['name']]);
                $new += $tool->exists ? 0 : 1;
                $tool->fill(['kind' => $definition['kind'], 'definition' => $definition])->save();
            }
            LogEntry::note(Kind::Tool, 'Tool crib', [['imported', null, count($tools).' tools']]);

            return $new;
        });

        return redirect('/tools')->with('notice', count($tools)." tools imported: {$new} new, ".(count($tools) - $new).' replaced.');
    }

    private static function units(User $user): Units
    {
        return $user->displayUnits() ?? Units::Millimetre;
    }

    /** @return array{array<string, mixed>, Units} */
    private static function definition(Request $request, SetupFile $files): array
    {
        $units = Units::tryFrom($request->string('units')->value()) ?? Units::Millimetre;
        try {
            return [CribTools::checked($files, $request->array('definition'), $units), $units];
        } catch (SetupFileError $e) {
            throw ValidationException::withMessages($e->fields);
        }
    }

    /** @return array<string, mixed> */
    private static function row(CribTool $tool, Units $units): array
    {
        return ['id' => $tool->id, 'definition' => $tool->definitionIn($units)];
    }
}
