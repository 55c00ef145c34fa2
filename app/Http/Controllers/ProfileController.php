<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\ProgramVerdict;
use App\Logbook\Difference;
use App\Logbook\Kind;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Profile;
use App\Models\Program;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Formats\ControlFields;
use OakTrace\Core\Formats\ProfileSheet;
use OakTrace\Core\Formats\SetupFileError;

/** Control profiles: those that came with the house, and the shop's own. */
class ProfileController
{
    public function index(): Response
    {
        Gate::authorize('viewAny', Profile::class);

        return Inertia::render('profiles/ProfilesPage', [
            'house' => array_map(self::house(...), Profiles::names()),
            'own' => Profile::with('machines')->orderBy('title')->get()->map(self::own(...)),
            'machines' => Machine::orderBy('name')->get()->map(
                fn (Machine $machine): array => ['id' => $machine->id, 'name' => $machine->name, 'profileId' => $machine->profile_id],
            ),
            'functions' => ProfileSheet::functions(),
            'meanings' => ProfileSheet::meanings(),
        ]);
    }

    /** Begins a profile as a copy of one that came with the house. */
    public function store(Request $request): JsonResponse
    {
        Gate::authorize('create', Profile::class);
        $request->validate(
            ['base' => ['required', Rule::in(Profiles::names())], 'title' => ['required', 'string', 'max:80', 'unique:profiles,title']],
            ['title.unique' => 'There is already a profile of this name.'],
        );
        $base = Profiles::named($request->string('base')->value());
        $profile = Profile::create(
            [
                'title' => $request->string('title')->value(),
                'control' => (object) (
                    (new ControlFields(1.0))->write(
                        $base ?? throw new \LogicException('A profile in the list is gone.'),
                    ) + ['title' => $request->string('title')->value()]
                ),
            ],
        );

        return response()->json(self::own($profile), 201);
    }

    /** Takes the whole profile or nothing; checks again every program on the machines that read with it, or did. */
    public function update(Request $request, Profile $profile, ProgramVerdict $verdicts): JsonResponse
    {
        Gate::authorize('update', $profile);
        $request->validate(
            [
                'control' => ['required', 'array'], 'version' => ['required', 'integer'], 'machines' => ['present', 'array'],
                'machines.*' => ['integer', 'exists:machines,id'],
            ],
        );
        /** @var array<string, mixed> $control */
        $control = ['title' => $profile->title] + $request->array('control');
        try {
            (new ControlFields(1.0))->check($control);
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The profile was not saved: '.$e->getMessage(), 'fields' => $e->fields], 422);
        }

        return DB::transaction(function () use ($request, $profile, $control, $verdicts): JsonResponse {
            $before = Profile::query()->lockForUpdate()->with('machines')->findOrFail($profile->id);
            $changed = Profile::whereKey($profile->id)->where('version', $request->integer('version'))->update(
                ['control' => json_encode((object) $control), 'version' => $request->integer('version') + 1],
            );
            if ($changed === 0) {
                return response()->json(
                    ['message' => 'Somebody else has changed this profile. Reload to see it; nothing was overwritten.'], 409,
                );
            }
            LogEntry::note(
                Kind::Profile, $profile->title,
                Difference::between(
                    (object) ['control' => $before->control, 'machines' => $before->machines->pluck('name')->sort()->join(', ')],
                    (object) [
                        'control' => json_decode((string) json_encode($control), false),
                        'machines' => Machine::whereKey($request->array('machines'))->orderBy('name')->pluck('name')->join(', '),
                    ],
                ),
            );
            $touched = Machine::where('profile_id', $profile->id)->pluck('id')->merge($request->array('machines'))->unique();
            Machine::where('profile_id', $profile->id)->update(['profile_id' => null]);
            Machine::whereKey($request->array('machines'))->update(['profile_id' => $profile->id]);
            $verdicts->refresh(...Program::whereHas('setup', static fn (Builder $setups) => $setups->whereIn('machine_id', $touched->all()))->get());

            return response()->json(self::own($profile->refresh()->load('machines')));
        });
    }

    /** @return array<string, mixed> */
    private static function house(string $name): array
    {
        $profile = Profiles::named($name) ?? throw new \LogicException("The catalogue has no {$name}.");

        return [
            'id' => null, 'name' => $name, 'title' => $profile->title, 'control' => (new ControlFields(1.0))->write($profile),
            'codes' => ProfileSheet::codes($profile), 'words' => ProfileSheet::words($profile),
        ];
    }

    /** @return array<string, mixed> */
    private static function own(Profile $profile): array
    {
        /** @var array<string, mixed> $control */
        $control = json_decode((string) json_encode($profile->control), true);
        $read = (new ControlFields(1.0))->read($control);

        return [
            'id' => $profile->id, 'name' => $control['profile'] ?? '', 'title' => $profile->title, 'version' => $profile->version ?? 1,
            'control' => ['title' => $profile->title] + (new ControlFields(1.0))->write($read),
            'codes' => ProfileSheet::codes($read), 'words' => ProfileSheet::words($read), 'machines' => $profile->machines->pluck('id'),
        ];
    }
}
