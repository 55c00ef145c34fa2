<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Logbook\SetupChange;
use App\Models\Setup;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\Rule;
use OakTrace\Core\Checks\Check;
use OakTrace\Core\Checks\CheckCatalogue;

/** Which cautions are notes in a setup or on its machine, and why. */
class SeverityController
{
    public function store(Request $request, Setup $setup, SetupChange $changes): JsonResponse
    {
        Gate::authorize('lower', $setup);
        $request->validate([
            'check' => ['required', Rule::in(array_map(static fn (Check $check): string => $check->name(), CheckCatalogue::all()))],
            'reason' => ['required', 'string', 'min:3', 'max:200'],
            'on' => ['required', Rule::in(['setup', 'machine'])],
        ], ['reason.*' => 'Give a reason: it is shown beside the note.', 'check.in' => 'There is no such check.']);
        /** @var User $user */
        $user = $request->user();
        $row = ['check' => $request->string('check')->value(), 'reason' => $request->string('reason')->value(), 'by' => $user->name];

        return $this->change(
            $setup, $request->string('on')->value(), $changes, static fn (array $rows): array => [...self::without($rows, $row['check']), $row],
        );
    }

    public function destroy(Request $request, Setup $setup, SetupChange $changes): JsonResponse
    {
        Gate::authorize('lower', $setup);
        $request->validate(['check' => ['required', 'string'], 'on' => ['required', Rule::in(['setup', 'machine'])]]);

        return $this->change(
            $setup, $request->string('on')->value(), $changes,
            static fn (array $rows): array => self::without($rows, $request->string('check')->value()),
        );
    }

    /**
     * @param  list<array<string, string>>  $rows
     * @return list<array<string, string>>
     */
    private static function without(array $rows, string $check): array
    {
        return array_values(array_filter($rows, static fn (array $row): bool => $row['check'] !== $check));
    }

    /** @param  callable(list<array<string, string>>): list<array<string, string>>  $changed */
    private function change(Setup $setup, string $on, SetupChange $changes, callable $changed): JsonResponse
    {
        $change = static function (object $file) use ($changed): object {
            $fields = get_object_vars($file);
            /** @var list<array<string, string>> $rows */
            $rows = json_decode((string) json_encode($fields['lowered'] ?? []), true);

            return (object) (['lowered' => $changed($rows)] + $fields);
        };
        if ($on === 'machine') {
            $changes->touchMachine($setup->machine, $change);
        } else {
            $changes->touch($setup, $change);
        }

        return response()->json(['version' => $setup->refresh()->version]);
    }
}
