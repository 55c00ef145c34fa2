<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Role;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

/** Who changed what, and when: of a setup, or of the shop. What is about people is a lead's to see. */
class LogbookController
{
    private const ENTRIES = 200;

    public function index(Request $request): Response
    {
        Gate::authorize('viewAny', Setup::class);

        return self::page($request, null);
    }

    public function ofSetup(Request $request, Setup $setup): Response
    {
        Gate::authorize('view', $setup);

        return self::page($request, $setup);
    }

    private static function page(Request $request, ?Setup $setup): Response
    {
        $user = $request->user();
        $before = $request->integer('before');
        $entries = LogEntry::query()->orderByDesc('id')->limit(self::ENTRIES + 1)
            ->when($setup !== null, static fn ($query) => $query->where('setup_id', $setup?->id))
            ->when($before > 0, static fn ($query) => $query->where('id', '<', $before))
            ->when(
                ! $user instanceof User || $user->role !== Role::Lead,
                static fn ($query) => $query->whereNotIn('kind', array_column(Kind::ofPeople(), 'value')),
            )
            ->get();

        return Inertia::render('logbook/Logbook', [
            'setup' => $setup === null ? null : ['id' => $setup->id, 'title' => $setup->title()],
            'entries' => $entries->take(self::ENTRIES)->map(static fn (LogEntry $entry): array => $entry->row()),
            'older' => $entries->count() > self::ENTRIES ? $entries->take(self::ENTRIES)->last()?->id : null,
        ]);
    }
}
