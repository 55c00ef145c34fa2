<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\CribTool;
use App\Models\Machine;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use App\Shop\Bin;
use App\Shop\RecordKind;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** What was deleted: to be restored, or to be deleted for good. */
class BinController
{
    public function index(Bin $bin): Response
    {
        Gate::authorize('viewAny', Part::class);

        return Inertia::render('bin/Bin', ['contents' => $bin->contents(), 'mayEmpty' => Gate::allows('forceDelete', new Part)]);
    }

    public function restore(RecordKind $kind, int $id, Bin $bin): HttpResponse
    {
        $record = self::find($kind, $id);
        Gate::authorize('delete', $record);
        $bin->restore($record);

        return response()->noContent();
    }

    public function destroy(RecordKind $kind, int $id, Bin $bin): HttpResponse
    {
        $record = self::find($kind, $id);
        Gate::authorize('forceDelete', $record);
        $bin->empty($record);

        return response()->noContent();
    }

    private static function find(RecordKind $kind, int $id): Part|Setup|Program|Machine|CribTool
    {
        return $kind->binned()->findOrFail($id);
    }
}
