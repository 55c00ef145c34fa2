<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Models\LogEntry;
use App\Models\Setup;
use App\Models\TouchOff;
use App\Models\User;
use App\Shop\OffsetTrust;
use App\TouchOff\TouchingOff;
use App\TouchOff\TouchState;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response as HttpResponse;
use Illuminate\Support\Facades\Gate;
use Illuminate\Validation\ValidationException;
use Inertia\Inertia;
use Inertia\Response;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Quantities\Quantity;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\TouchOff\AmongOthers;
use OakTrace\Core\TouchOff\Method;
use OakTrace\Core\TouchOff\MethodCatalogue;
use OakTrace\Core\TouchOff\Reading;
use OakTrace\Core\TouchOff\ReadingProblem;
use OakTrace\Core\TouchOff\SimulatedProbe;
use OakTrace\Core\TouchOff\Situation;
use OakTrace\Core\TouchOff\Subject;
use OakTrace\Core\TouchOff\Worksheet;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Severity;
use OakTrace\Core\Wording\Wording;

/** Touching off every offset a setup's programs use, one worksheet each. */
class TouchOffController
{
    private const HISTORY = 60;

    public function show(Setup $setup, SetupFile $files): Response
    {
        Gate::authorize('view', $setup);
        $setup->load(['part', 'machine', 'programs']);
        $units = TouchingOff::units($setup);
        $situation = new Situation($setup->core($files));
        $touches = TouchOff::with('user')->where('setup_id', $setup->id)->get()->keyBy('subject');

        return Inertia::render('touching-off/TouchingOff', [
            'setup' => [
                'id' => $setup->id, 'part' => $setup->part->name, 'operation' => $setup->operation, 'name' => $setup->name, 'machine' => $setup->machine->name,
                'school' => $situation->school()->value,
            ],
            'units' => $units->value, 'decimals' => $units->decimals(),
            'rows' => array_map(
                static fn (Subject $subject): array => self::row($setup, $subject, $situation, $units, $touches->get($subject->words())),
                self::subjects($setup, $situation),
            ),
            'again' => self::measuredAgain($setup),
            'history' => LogEntry::where('setup_id', $setup->id)->where('kind', 'setup')->orderByDesc('id')->limit(4 * self::HISTORY)->get()
                ->filter(static fn (LogEntry $entry): bool => self::subjectOf($entry->field) !== null)->take(self::HISTORY)->values()
                ->map(static fn (LogEntry $entry): array => ['mayTakeBack' => $entry->id > self::lastConverted($setup)] + $entry->row()),
        ]);
    }

    public function begin(Request $request, Setup $setup, TouchingOff $touching, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $setup);
        $touch = $touching->begin($setup, self::subject($request), $user);

        return response()->json(['begunAt' => $touch->begun_at->toIso8601String()]);
    }

    public function read(Request $request, Setup $setup, TouchingOff $touching, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $setup);
        $subject = self::subject($request);
        $method = MethodCatalogue::named($request->string('method')->value());
        if ($method === null) {
            throw ValidationException::withMessages(['method' => 'Choose how it is touched off.']);
        }
        $units = TouchingOff::units($setup);
        $wording = new Wording($units);
        try {
            [$worksheet, $asks] = $touching->read(
                $setup, $subject, $method, self::values($request, $method, $units), $user, $request->boolean('confirmed'), $request->boolean('simulated'),
            );
        } catch (ReadingProblem $problem) {
            $names = array_map(static fn (Reading $reading): string => $reading->name, $method->readings());
            $field = in_array($problem->reading, $names, true) ? $problem->reading : $names[0];

            throw ValidationException::withMessages([$field => self::said($wording, $problem->text, $problem->figures)]);
        }

        return response()->json(self::sheet($worksheet, $units) + [
            'state' => $asks === [] ? TouchState::Read->value : 'asked',
            'asks' => array_map(static fn (array $ask): string => self::said($wording, $ask[0], $ask[1]), $asks),
        ]);
    }

    public function typeBack(Request $request, Setup $setup, TouchingOff $touching, #[CurrentUser] User $user): JsonResponse
    {
        Gate::authorize('update', $setup);
        $request->validate(['typed' => ['required', 'string', 'max:40']]);
        $other = $touching->typeBack($setup, self::subject($request), $request->string('typed')->value(), $user);
        if ($other !== null) {
            throw ValidationException::withMessages(['typed' => $other.' Look at the control again.']);
        }

        return response()->json(['state' => TouchState::Trusted->value]);
    }

    public function adjust(Request $request, Setup $setup, TouchingOff $touching): HttpResponse
    {
        Gate::authorize('update', $setup);
        $request->validate(['by' => ['required', 'numeric', 'between:-100,100'], 'why' => ['nullable', 'string', 'max:150']]);
        $touching->adjust($setup, self::subject($request), $request->float('by'), $request->string('why')->value());

        return response()->noContent();
    }

    /** A reading of the probe or setter that is not there, about where the offset stands. */
    public function simulate(Request $request, Setup $setup, SetupFile $files): JsonResponse
    {
        Gate::authorize('view', $setup);
        $subject = self::subject($request);
        $situation = new Situation($setup->core($files));
        $true = $situation->value($subject);
        if ($true === null) {
            return response()->json(['message' => "{$subject->words()} has no value the simulated probe could be near. Enter a reading."], 409);
        }
        $units = TouchingOff::units($setup);
        $reading = SimulatedProbe::reading($true, "{$setup->id}/{$subject->words()}", $request->integer('touch'));

        return response()->json(['reading' => round($reading / $units->millimetres(), $units->decimals())]);
    }

    /** Puts an offset back to what it was before an entry of its history. */
    public function takeBack(Request $request, Setup $setup, TouchingOff $touching): HttpResponse
    {
        Gate::authorize('update', $setup);
        $request->validate(['entry' => ['required', 'integer']]);
        $entry = LogEntry::where('setup_id', $setup->id)->findOrFail($request->integer('entry'));
        $subject = self::subjectOf($entry->field);
        if ($subject === null || ! is_numeric($entry->was)) {
            return response(['message' => 'There was no value before this change.'], 409);
        }
        if ($entry->id < self::lastConverted($setup)) {
            return response(['message' => 'The setup was in other units then. Touch it off again.'], 409);
        }
        $touching->takeBack($setup, $subject, (float) $entry->was, $entry->created_at->toIso8601String());

        return response()->noContent();
    }

    /** The entry of the logbook before which the figures of a setup are in other units; 0 where there is none. */
    private static function lastConverted(Setup $setup): int
    {
        return (int) LogEntry::where('setup_id', $setup->id)->where('field', 'units')->max('id');
    }

    /** @return list<string> what is still to be measured again: the first bore of each row */
    private static function measuredAgain(Setup $setup): array
    {
        $closed = TouchOff::where('setup_id', $setup->id)->whereNotNull('measured_first')->pluck('subject')
            ->map(static fn (string $subject): string => ltrim((string) strrchr($subject, ' ')))->all();

        return array_values(array_map(
            static fn (array $row): string => "{$row[0]}, the first of ".count($row),
            array_diff_key(AmongOthers::rows(TouchingOff::taken($setup)), array_flip($closed)),
        ));
    }

    /** @return list<Subject> every offset the programs use, and every other the setup has, work offsets first */
    private static function subjects(Setup $setup, Situation $situation): array
    {
        $names = array_unique(
            [...$setup->programs->flatMap(static fn ($program): array => $program->uses ?? [])->all(), ...OffsetTrust::names($setup->document)],
        );
        sort($names, SORT_NATURAL);
        $subjects = [];
        foreach ($names as $name) {
            if ($name[0] === 'G') {
                foreach ($situation->axes() as $axis) {
                    $subjects[] = Subject::work($name, $axis);
                }
            } elseif ($name[0] === 'H') {
                $subjects[] = Subject::length((int) substr($name, 1));
            }
        }

        return $subjects;
    }

    /** @return array<string, mixed> */
    private static function row(Setup $setup, Subject $subject, Situation $situation, Units $units, ?TouchOff $touch): array
    {
        $value = $situation->value($subject);
        $untrusted = OffsetTrust::list($setup->document)[$subject->offset] ?? null;

        return [
            'subject' => $subject->words(), 'offset' => $subject->offset, 'axis' => $subject->axis,
            'tool' => $subject->isLength() ? $situation->toolName($subject->number()) : null,
            'isUsed' => $setup->programs->contains(static fn ($program): bool => in_array($subject->offset, $program->uses ?? [], true)),
            'value' => $value === null ? null : round($value / $units->millimetres(), 6),
            'isTrusted' => OffsetTrust::isTrusted($setup->document, $subject->offset, $subject->axis),
            'why' => is_object($untrusted) ? ($untrusted->why ?? null) : null,
            'state' => $touch?->state->value, 'by' => $touch?->user->name, 'begunAt' => $touch?->begun_at->toIso8601String(),
            'simulated' => $touch->simulated ?? false,
            'method' => $touch?->method,
            'readings' => array_map(static fn (float $value): float => round($value / $units->millimetres(), 6), $touch->readings ?? []),
            'methods' => array_map(static fn (Method $method): array => [
                'name' => $method->name(), 'words' => $method->words(), 'readings' => array_map(static fn (Reading $reading): array => [
                    'name' => $reading->name, 'words' => $reading->words, 'is' => $reading->is,
                    'usual' => $reading->usual === null ? null : (
                        $reading->is === 'side' ? $reading->usual : round($reading->usual / $units->millimetres(), 4)
                    ),
                ], $method->readings()),
            ], MethodCatalogue::of($subject, $situation)),
        ];
    }

    /** G54 X, or H2; null of a field that is no offset. */
    private static function subjectOf(string $field): ?Subject
    {
        if (preg_match('/^(G5\d(?:\.1P\d+)?) ([A-Z]\d?)$/', $field, $work) === 1) {
            return Subject::work($work[1], $work[2]);
        }

        return preg_match('/^H([1-9]\d*)$/', $field, $length) === 1 ? Subject::length((int) $length[1]) : null;
    }

    private static function subject(Request $request): Subject
    {
        return self::subjectOf($request->string('subject')->value()) ?? throw ValidationException::withMessages(['subject' => 'Nobody knows this offset.']);
    }

    /** @return array<string, float> mm */
    private static function values(Request $request, Method $method, Units $units): array
    {
        $values = [];
        $given = $request->array('readings');
        foreach ($method->readings() as $reading) {
            $value = $given[$reading->name] ?? null;
            if (! is_int($value) && ! is_float($value)) {
                throw ValidationException::withMessages([$reading->name => "Enter the figure of “{$reading->words}”."]);
            }
            $values[$reading->name] = $reading->is === 'side' ? (float) ($value <=> 0) : $value * $units->millimetres();
        }

        return $values;
    }

    /** @return array<string, mixed> */
    private static function sheet(Worksheet $worksheet, Units $units): array
    {
        $shown = static fn (float $value): float => round($value / $units->millimetres(), $units->decimals());

        return [
            'value' => $shown($worksheet->value), 'terms' => array_map(static fn (array $term): array => [$shown($term[0]), $term[1]], $worksheet->terms),
            'slips' => (object) array_map($shown, $worksheet->slips), 'besides' => (object) array_map($shown, $worksheet->besides),
        ];
    }

    /** @param  array<string, Quantity|string|int>  $figures */
    private static function said(Wording $wording, string $text, array $figures): string
    {
        return $wording->text(new Finding('', Severity::Note, 1, 1, $text, $figures));
    }
}
