<?php

declare(strict_types=1);

namespace App\Shop;

use App\Checking\ProgramVerdict;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Support\Collection;
use Illuminate\Support\Facades\DB;

/** The parts with their setups and programs, as the first screen lists them. */
final class PartList
{
    /** @return Collection<int, covariant array<string, mixed>> last opened by the person first, then by name */
    public static function for(User $user): Collection
    {
        $parts = Part::with(['setups.machine', 'setups.programs.latest.user'])->orderBy('name')->get();
        ProgramVerdict::lookAfter($parts->flatMap->setups->flatMap->programs);
        $opened = DB::table('part_visits')->where('user_id', $user->id)->pluck('at', 'part_id');

        return $parts->sortByDesc(static fn (Part $part): string => (string) ($opened[$part->id] ?? ''))->values()->map(static fn (Part $part): array => [
            'id' => $part->id,
            'name' => $part->name,
            'drawingNumber' => $part->drawing_number,
            'material' => $part->material,
            'units' => $part->units,
            'isArchived' => $part->archived_at !== null,
            'opened' => $opened[$part->id] ?? null,
            'setups' => $part->setups->map(self::setup(...)),
        ]);
    }

    /** Remembers that somebody has opened something of a part. */
    public static function opened(Part $part, User $user): void
    {
        DB::table('part_visits')->upsert(['user_id' => $user->id, 'part_id' => $part->id, 'at' => now()], ['user_id', 'part_id'], ['at']);
    }

    /** @return array<string, mixed> */
    private static function setup(Setup $setup): array
    {
        return [
            'id' => $setup->id,
            'operation' => $setup->operation,
            'name' => $setup->name,
            'machineId' => $setup->machine_id,
            'machine' => $setup->machine->name,
            'programs' => $setup->programs->map(static fn (Program $program): array => self::program($program, $setup)),
        ];
    }

    /** @return array<string, mixed> */
    private static function program(Program $program, Setup $setup): array
    {
        return [
            'id' => $program->id,
            'name' => $program->name,
            'verdict' => $program->verdict,
            'stops' => $program->stops,
            'cautions' => $program->cautions,
            'notes' => $program->notes,
            'worst' => $program->worst,
            'sketch' => $program->sketch,
            'calledBy' => $program->called_as === null ? null : self::callers($program, $setup),
            'seconds' => $program->seconds,
            'revision' => $program->latest->number,
            'savedBy' => $program->latest->user->name,
            'savedById' => $program->latest->user_id,
            'savedAt' => $program->latest->created_at->toIso8601String(),
        ];
    }

    /** @return list<string> names of the programs of the setup that call one */
    public static function callers(Program $program, Setup $setup): array
    {
        $callers = [];
        foreach ($setup->programs as $other) {
            if (! $other->is($program) && in_array($program->called_as, $other->calls ?? [], true)) {
                $callers[] = $other->name;
            }
        }

        return $callers;
    }
}
