<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\Requests\Worded;
use App\Logbook\Kind;
use App\Logbook\SetupChange;
use App\Models\LogEntry;
use App\Models\Machine;
use App\Models\Profile;
use App\Models\Setup;
use App\Models\User;
use App\Shop\Bin;
use App\Shop\UsualMachine;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Control\Profiles;
use OakTrace\Core\Formats\ControlFields;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\SetupFileError;
use OakTrace\Core\Quantities\Units;

/** The machines of the shop. */
class MachineController
{
    public function index(#[CurrentUser] User $user, SetupFile $files): Response
    {
        Gate::authorize('viewAny', Machine::class);
        $units = $user->displayUnits() ?? Units::Millimetre;

        return Inertia::render('machines/Machines', [
            'units' => $units->value,
            'machines' => Machine::with('setups.part', 'setups.machine.profile', 'profile')->orderBy('name')->get()->map(
                static fn (Machine $machine): array => self::row($machine, $units, $files),
            ),
            'profiles' => [
                ...array_map(
                    static fn (string $name): array => ['name' => $name, 'title' => Profiles::named($name)->title ?? $name, 'id' => 0],
                    Profiles::names(),
                ),
                ...Profile::orderBy('title')->get()->map(static fn (Profile $profile): array => [
                    'name' => (string) ($profile->control->profile ?? ''), 'title' => $profile->title, 'id' => $profile->id,
                ]),
            ],
        ]);
    }

    /** A new machine: a usual mill, or a copy of another. */
    public function store(Request $request): JsonResponse
    {
        Gate::authorize('create', Machine::class);
        $fields = Worded::fields($request, ['name' => self::name(), 'copyOf' => ['sometimes', 'integer', 'exists:machines,id']], self::WORDS);
        $name = (string) $fields['name'];
        $of = isset($fields['copyOf']) ? Machine::findOrFail($request->integer('copyOf')) : null;
        $machine = Machine::create([
            'name' => $name, 'profile_id' => $of?->profile_id,
            'definition' => $of === null ? UsualMachine::mill($name) : (object) (['name' => $name] + get_object_vars($of->definition)),
        ]);
        LogEntry::note(Kind::Machine, $name, [['machine', null, $of === null ? 'created' : "copied from {$of->name}"]]);

        return response()->json(['id' => $machine->id], 201);
    }

    /** Takes the whole definition or nothing, in the units it says; every setup on the machine is checked again. */
    public function update(Request $request, Machine $machine, SetupFile $files, SetupChange $changes): JsonResponse
    {
        Gate::authorize('update', $machine);
        $body = json_decode($request->getContent(), false);
        $definition = is_object($body) ? $body->definition ?? null : null;
        if (! is_object($body) || ! is_object($definition)) {
            return response()->json(['message' => 'The machine arrived incomplete. Nothing was saved.'], 422);
        }
        $fields = Worded::fields($request, [
            'units' => ['required', Rule::enum(Units::class)], 'profile' => ['required', 'integer', 'min:0'],
            'definition.name' => self::name($machine),
        ], array_combine(array_map(static fn (string $rule): string => "definition.{$rule}", array_keys(self::WORDS)), self::WORDS));
        $profile = $fields['profile'] === 0 ? null : Profile::find($fields['profile']);
        if ($fields['profile'] !== 0 && $profile === null) {
            return response()->json(['message' => 'This control profile is not in the list any more.'], 422);
        }
        $kept = (object) (self::control($machine, Machine::inMillimetres($definition, (string) $fields['units'])) + ['lowered' => null]);
        unset($kept->lowered);
        try {
            $files->read((string) json_encode(['format' => 'oak-setup/1', 'units' => 'mm', 'machine' => $kept]));
        } catch (SetupFileError $e) {
            return response()->json(['message' => 'The machine was not saved: '.$e->getMessage(), 'fields' => self::own($e->fields)], 422);
        }
        // What cautions are notes on a machine is a lead's decision, made elsewhere.
        $changes->touchMachine(
            $machine, static fn (object $now): object => (object) (get_object_vars($kept) + array_intersect_key(get_object_vars($now), ['lowered' => true])),
            (int) $fields['profile'],
        );

        return response()->json(['rechecked' => $machine->setups()->withCount('programs')->get()->sum('programs_count')]);
    }

    public function destroy(Machine $machine, Bin $bin): HttpResponse
    {
        Gate::authorize('delete', $machine);
        $bin->delete($machine);

        return response()->noContent();
    }

    private const WORDS = ['name.unique' => 'There is a machine of this name already. It may be in the bin.', 'name.required' => 'Enter a name.'];

    /** @return list<mixed> */
    private static function name(?Machine $machine = null): array
    {
        return Worded::name(Rule::unique('machines', 'name')->ignore($machine?->id));
    }

    /**
     * The control's own fields stay as they are unless another profile is named, which brings its own.
     *
     * @return array<string, mixed>
     */
    private static function control(Machine $machine, object $definition): array
    {
        $fields = get_object_vars($definition);
        $named = is_object($fields['control'] ?? null) ? $fields['control']->profile ?? null : null;
        $now = is_object($machine->definition->control ?? null) ? $machine->definition->control : (object) [];
        $profile = is_string($named) ? Profiles::named($named) : null;
        $fields['control'] = $profile === null || $named === ($now->profile ?? null) ? $now : (object) (new ControlFields(1.0))->write($profile);

        return $fields;
    }

    /**
     * The fields of a refusal as the machine's page has them.
     *
     * @param  array<string, string>  $fields
     * @return array<string, string>
     */
    private static function own(array $fields): array
    {
        $own = [];
        foreach ($fields as $field => $words) {
            $own[preg_replace('/^machine\.?/', '', $field)] = $words;
        }

        return $own;
    }

    /** @return array<string, mixed> */
    private static function row(Machine $machine, Units $units, SetupFile $files): array
    {
        $definition = get_object_vars($machine->definitionIn($units->value));
        $control = is_object($machine->definition->control ?? null) ? $machine->definition->control : (object) [];

        return [
            'id' => $machine->id, 'name' => $machine->name, 'profile' => $machine->profile_id ?? 0, 'definition' => ['control' => $control] + $definition,
            'setups' => $machine->setups->map(static fn (Setup $setup): array => [
                'id' => $setup->id, 'title' => $setup->title(), 'stock' => self::stockOf($setup, $files, $units),
            ]),
        ];
    }

    /** @return array{x: list<float>, y: list<float>}|null where the stock of a setup lies on the machine, in plan */
    private static function stockOf(Setup $setup, SetupFile $files, Units $units): ?array
    {
        try {
            $core = $setup->core($files);
        } catch (SetupFileError) {
            return null; // the setup's own page says what is wrong with it
        }
        $stock = $core->workpiece->stock;
        $zero = $core->workOffsets[$stock->workOffset ?? ''] ?? null;
        if ($stock === null || $zero === null) {
            return null;
        }
        $range = static fn (string $axis, int $i): array => array_map(
            static fn (float $at): float => round(($at + ($zero[$axis] ?? 0.0)) / $units->millimetres(), 6), $stock->around->span($i),
        );

        return ['x' => $range('X', 0), 'y' => $range('Y', 1)];
    }
}
