<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\ProgramVerdict;
use App\Models\Part;
use App\Models\Program;
use App\Models\Setup;
use Illuminate\Support\Facades\Gate;
use Inertia\Inertia;
use Inertia\Response;

class PartController
{
    public function index(): Response
    {
        Gate::authorize('viewAny', Part::class);
        $parts = Part::with(['setups.machine', 'setups.programs.latest.user'])->orderBy('name')->get();
        ProgramVerdict::lookAfter($parts->flatMap->setups->flatMap->programs);

        return Inertia::render('parts/Parts', ['parts' => $parts->map(fn (Part $part): array => [
            'id' => $part->id,
            'name' => $part->name,
            'drawingNumber' => $part->drawing_number,
            'material' => $part->material,
            'units' => $part->units,
            'setups' => $part->setups->map(fn (Setup $setup): array => [
                'id' => $setup->id,
                'operation' => $setup->operation,
                'name' => $setup->name,
                'machine' => $setup->machine->name,
                'programs' => $setup->programs->map($this->program(...)),
            ]),
        ])]);
    }

    /** @return array<string, mixed> */
    private function program(Program $program): array
    {
        return [
            'id' => $program->id,
            'name' => $program->name,
            'verdict' => $program->verdict,
            'stops' => $program->stops,
            'cautions' => $program->cautions,
            'notes' => $program->notes,
            'seconds' => $program->seconds,
            'revision' => $program->latest->number,
            'savedBy' => $program->latest->user->name,
            'savedAt' => $program->latest->created_at->toIso8601String(),
        ];
    }
}
