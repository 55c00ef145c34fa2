<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Checking\BenchAnswer;
use App\Checking\KeptReadings;
use App\Checking\KeptStock;
use App\Checking\MeasureAnswer;
use App\Checking\SimulatedStock;
use App\Checking\StockAnswer;
use App\Checking\StockPicture;
use App\Checking\TurnedStands;
use App\Http\Requests\CheckRequest;
use App\Http\Requests\MeasureRequest;
use App\Http\Requests\ProgramText;
use App\Http\Requests\SectionRequest;
use App\Http\Requests\StockRequest;
use App\LongWork\LongChecks;
use App\LongWork\Superseded;
use App\LongWork\TooLong;
use App\LongWork\Waiting;
use App\Models\Program;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Response;
use Illuminate\Validation\Rule;
use OakTrace\Core\Explain\Explanation;
use OakTrace\Core\Formats\OffsetTable;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\StlFile;
use OakTrace\Core\Formats\WrittenEdit;
use OakTrace\Core\Interpreter\ReadingMemory;
use OakTrace\Core\Quantities\Units;
use OakTrace\Core\Setup\Setup;
use OakTrace\Core\Stock\Compared\Comparison;
use OakTrace\Core\Stock\ResumedStockRun;
use OakTrace\Core\Stock\StockRun;
use OakTrace\Core\Transform\DryRun;
use OakTrace\Core\Transform\Text\Scope;
use OakTrace\Core\Transform\Text\TextTransforms;
use OakTrace\Core\Verification;
use OakTrace\Core\Wording\Finding;
use OakTrace\Core\Wording\Wording;

/** What the bench asks about the text as it stands in the editor, saved or not. Nothing here stores anything. */
class BenchController
{
    /** The answer as packed columns; of a long program 202 and how far it is, until it is there. A saved text may be given by its revision. */
    public function check(CheckRequest $request, Program $program, SetupFile $files): Response|JsonResponse
    {
        $setup = $program->inSetup($files);
        [$text, $units, $whole] = [$request->text(), $request->units(), $request->boolean('wholeStock')];
        if ($whole || LongChecks::isLong($text) || LongChecks::find($program, $text, $units, false) !== null) {
            $check = LongChecks::ask($program, $text, $units, $whole, $request->user());
            $body = $check->answer();

            return $body === null ? response()->json(LongCheckController::progress($check), 202) : self::packed($body);
        }

        $person = $request->user()?->getAuthIdentifier();
        $waiting = Waiting::now(
            $program->id,
            (is_scalar($person) ? (string) $person : '').':'.preg_replace('/[^a-z0-9]/', '', substr((string) $request->header('X-Oak-Tab'), 0, 20)),
        );
        $simulated = static fn (?ReadingMemory $kept): string => SimulatedStock::during(
            $program, $request->user(), $setup, $text,
            static fn (StockRun|ResumedStockRun|null $stock): string => BenchAnswer::of($text, $setup, $stock, $kept, $units, patience: $waiting),
        );
        $answer = static fn (): string => KeptReadings::during($program, $request->user(), $text, $simulated);
        try {
            return self::packed($answer());
        } catch (TooLong) {
            return response()->json(LongCheckController::progress(LongChecks::ask($program, $text, $units, person: $request->user())), 202);
        } catch (Superseded) {
            return response()->json(['message' => 'A newer text of yours is being checked instead.'], 409);
        }
    }

    /** How the stock stands after a row, or at moments along the run. */
    public function stock(StockRequest $request, Program $program, SetupFile $files): Response|JsonResponse
    {
        $setup = $program->inSetup($files);
        [$text, $units, $row] = [$request->text(), $request->units(), $request->filled('row') ? $request->integer('row') : null];
        if ($setup->machine->isLathe()) {
            $stands = TurnedStands::of($text, $setup, $row, ($units ?? $setup->units)->millimetres());

            return $stands === null ? self::noStock($setup) : response()->json($stands);
        }
        $body = StockAnswer::of(self::picture($request, $program, $setup), $setup, $row, $units ?? $setup->units) ?? (
            $row === null ? LongChecks::find($program, $text, $units, true)?->stock() : null
        );

        return $body === null
            ? self::noStock($setup)
            : self::packed($body);
    }

    /** The stock as the program leaves it, as a solid. */
    public function solid(CheckRequest $request, Program $program, SetupFile $files): Response|JsonResponse
    {
        $setup = $program->inSetup($files);
        $stock = self::picture($request, $program, $setup)->whole();
        if ($stock === null) {
            return self::noStock($setup);
        }
        $units = $request->units() ?? $setup->units;

        return response(StlFile::of($stock->field(), "{$program->name}, {$units->symbol()}", $units->millimetres()), 200, ['Content-Type' => 'model/stl']);
    }

    /** The stock cut along a line, as it stands after a row or at the end. */
    public function section(SectionRequest $request, Program $program, SetupFile $files): JsonResponse
    {
        $setup = $program->inSetup($files);
        $units = $request->units() ?? $setup->units;
        $stock = self::asCut($request, $program, $setup);

        return $stock === null || ! $stock->log->isWhole() ? self::noStock($setup) : response()->json(
            (new MeasureAnswer($stock, $setup, $units))->section(self::place($request->array('from'), $units), self::place($request->array('to'), $units)),
        );
    }

    /** What one or two places of it measure. */
    public function measure(MeasureRequest $request, Program $program, SetupFile $files): JsonResponse
    {
        $setup = $program->inSetup($files);
        $units = $request->units() ?? $setup->units;
        $stock = self::asCut($request, $program, $setup);

        return $stock === null || ! $stock->log->isWhole() ? self::noStock($setup) : response()->json(
            (new MeasureAnswer($stock, $setup, $units))->at(
                array_map(static fn (array $at): array => self::place($at, $units), array_values($request->array('at'))),
            ),
        );
    }

    /** The stock as the program leaves it beside what is wanted of it. */
    public function compare(CheckRequest $request, Program $program, SetupFile $files): Response|JsonResponse
    {
        $setup = $program->inSetup($files);
        if ($setup->workpiece->target === null) {
            return response()->json(['message' => 'The setup has no drawing sizes. Enter them there first.'], 422);
        }
        $stock = self::picture($request, $program, $setup)->whole();

        return $stock === null ? self::noStock($setup) : self::packed(
            (new MeasureAnswer($stock, $setup, $request->units() ?? $setup->units))->compared(
                Comparison::of($setup->workpiece->target, $stock->bodies[0], $stock->log),
            ),
        );
    }

    public function explain(ProgramText $request, Program $program, SetupFile $files): JsonResponse
    {
        $request->validate(['line' => ['required', 'integer', 'min:1']]);

        return response()->json(Explanation::of($request->program(), $program->inSetup($files), $request->integer('line')));
    }

    /** What each usual offset mistake would lead to. */
    public function offsets(ProgramText $request, Program $program, SetupFile $files): JsonResponse
    {
        return response()->json(OffsetTable::of(Verification::of($request->program(), $program->inSetup($files)), $request->units()));
    }

    /** What a change of text would change, for the editor to show and to make. */
    public function transform(ProgramText $request, Program $program, SetupFile $files): JsonResponse
    {
        $request->validate(
            ['name' => ['required', 'string'], 'values' => ['array'], 'from' => ['nullable', 'integer', 'min:1'], 'to' => ['nullable', 'integer', 'min:1']],
        );
        $transform = TextTransforms::named($request->string('name')->value()) ?? abort(404);
        [$text, $setup, $to] = [$request->program(), $program->inSetup($files), $request->input('to')];
        $scope = new Scope(
            $text, $setup->machine->control, Verification::trace($text, $setup), $request->integer('from', 1), is_numeric($to) ? (int) $to : null,
        );
        $edits = $transform->edits($scope, TextTransforms::values($transform, (array) $request->input('values', [])));
        $first = array_shift($edits);

        return response()->json(
            ['edit' => $first === null ? null : (new WrittenEdit($text->line(...)))->of($first->labelled($transform->title())->and(...$edits))],
        );
    }

    /** The program lifted for a dry run: what its own check says, and the text to take to the machine. */
    public function dryRun(ProgramText $request, Program $program, SetupFile $files): JsonResponse
    {
        $request->validate(
            ['lift' => ['required', 'numeric', 'gt:0', 'max:100000'], 'units' => ['required', Rule::enum(Units::class)]],
            ['lift.*' => 'Raise by more than zero.'],
        );
        $setup = $program->inSetup($files);
        $units = Units::from($request->string('units')->value());
        $dry = DryRun::of($request->program(), $setup, $request->float('lift') * $units->millimetres());
        $wording = new Wording($request->units() ?? $setup->units);

        return response()->json([
            'text' => $dry->text, 'seconds' => round($dry->seconds, 1), 'rapidPercent' => DryRun::RAPID_OVERRIDE * 100,
            'overruns' => array_map(static fn (Finding $finding): string => "Line {$finding->line}: ".$wording->text($finding), $dry->overruns),
            // A figure that can be typed: whole millimetres, tenths of an inch.
            'most' => $dry->most === null ? null : floor(
                $dry->most / $units->millimetres() * ($units === Units::Inch ? 10 : 1) + 1e-9,
            ) / ($units === Units::Inch ? 10 : 1),
        ]);
    }

    private static function picture(CheckRequest $request, Program $program, Setup $setup): StockPicture
    {
        $text = $request->text();

        return new StockPicture($text, $setup, new KeptStock("picture:{$program->id}:{$request->user()?->getAuthIdentifier()}", $text.$program->setup->file()));
    }

    private static function asCut(StockRequest $request, Program $program, Setup $setup): ?StockRun
    {
        $picture = self::picture($request, $program, $setup);

        return $request->filled('row') ? $picture->after($request->integer('row')) : $picture->whole();
    }

    /**
     * @param  array<mixed>  $place
     * @return array{float, float} mm
     */
    private static function place(array $place, Units $units): array
    {
        [$x, $y] = array_values($place);

        return [(float) $x * $units->millimetres(), (float) $y * $units->millimetres()];
    }

    private static function noStock(Setup $setup): JsonResponse
    {
        return response()->json(
            [
                'message' => $setup->workpiece->stock === null
                    ? 'The setup has no stock. Enter it in the setup.'
                    : 'This program takes too long to simulate while you wait.',
            ],
            422,
        );
    }

    private static function packed(string $body): Response
    {
        return response($body, 200, ['Content-Type' => 'application/octet-stream']);
    }
}
