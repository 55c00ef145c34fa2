<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\LongWork\LongChecks;
use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use App\Sheets\ProgramFiles;
use App\Sheets\SetupSheet;
use App\Shop\ShopProblem;
use Dompdf\Dompdf;
use Dompdf\Options;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Gate;
use OakTrace\Core\Formats\DxfDrawing;
use OakTrace\Core\Formats\SetupFile;
use OakTrace\Core\Formats\TraceLines;
use OakTrace\Core\Formats\TurnedSetupDrawing;
use OakTrace\Core\Language\Program as ProgramText;
use OakTrace\Core\Verification;

/** What is taken to the machine: the setup sheet, programs as its control wants them, the path for other programs. */
class SheetController
{
    /** The sheet as PDF, or as a page (`page`) to print; with `lift` that of a dry run, raised by so much in the setup's units. */
    public function show(Request $request, Setup $setup, SetupFile $files, #[CurrentUser] User $user): Response
    {
        Gate::authorize('view', $setup);
        $request->validate(['lift' => ['nullable', 'numeric', 'gte:0', 'max:10000']], ['lift.*' => 'Raise by zero or more.']);
        $setup->load(['part', 'machine', 'programs.latest.user']);
        $core = $setup->core($files);
        $isPdf = ! $request->boolean('page');
        $html = view('sheet', (new SetupSheet($setup, $core, $request->float('lift') * $core->units->millimetres(), $user->name))->data())->render();

        return $isPdf
            ? self::download(self::pdf($html), 'application/pdf', self::named($setup->part->name." op {$setup->operation}").'.pdf', isInline: true)
            : response($html);
    }

    /** The bar of a lathe in its chuck, as the sheet has it. */
    public function picture(Setup $setup, SetupFile $files): Response
    {
        Gate::authorize('view', $setup);
        $svg = TurnedSetupDrawing::svg($setup->load('machine')->core($files));

        return $svg === null ? response()->noContent() : response($svg)->header('Content-Type', 'image/svg+xml');
    }

    /** Every program of the setup with its subprograms. */
    public function programs(Setup $setup, SetupFile $files): Response
    {
        Gate::authorize('view', $setup);
        $setup->load(['part', 'machine', 'programs.latest']);

        return self::download(
            ProgramFiles::zip($setup, $setup->core($files)), 'application/zip', self::named($setup->part->name." op {$setup->operation}").'.zip',
        );
    }

    /** One program as its control wants it. */
    public function program(Program $program, SetupFile $files): Response
    {
        Gate::authorize('view', $program);
        $style = ProgramFiles::style($program->setup->core($files));

        return self::download($style->written($program->latest->text), 'text/plain; charset=utf-8', $style->fileName($program->name));
    }

    /** Every motion of a program as JSON Lines. */
    public function trace(Program $program, SetupFile $files): Response
    {
        Gate::authorize('view', $program);
        self::refuseLong($program);
        $setup = $program->inSetup($files);
        $lines = '';
        foreach (TraceLines::of(Verification::trace(ProgramText::fromText($program->latest->text), $setup), $setup) as $row) {
            $lines .= json_encode($row, JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)."\n";
        }

        return self::download($lines, 'application/x-ndjson', self::named($program->name).'.jsonl');
    }

    public function dxf(Program $program, SetupFile $files): Response
    {
        Gate::authorize('view', $program);
        self::refuseLong($program);
        $setup = $program->inSetup($files);
        $dxf = DxfDrawing::of(Verification::trace(ProgramText::fromText($program->latest->text), $setup), $setup);

        return self::download(implode('', iterator_to_array($dxf, false)), 'application/dxf', self::named($program->name).'.dxf');
    }

    /** @throws ShopProblem */
    private static function refuseLong(Program $program): void
    {
        if (LongChecks::isLong($program->latest->text)) {
            throw new ShopProblem("{$program->name} is too long to be written out while somebody waits. On the command line: ./oak trace.");
        }
    }

    private static function pdf(string $html): string
    {
        $fonts = storage_path('framework/cache/fonts');
        is_dir($fonts) || mkdir($fonts, 0775, true);
        $options = new Options(['defaultFont' => 'DejaVu Sans', 'isRemoteEnabled' => false, 'isPhpEnabled' => false, 'isJavascriptEnabled' => false]);
        $options->setFontCache($fonts);
        $options->setTempDir($fonts);
        $options->setChroot([$fonts, base_path('vendor/dompdf/dompdf/lib/fonts')]);
        $pdf = new Dompdf($options);
        $pdf->loadHtml($html, 'UTF-8');
        $pdf->setPaper('A4');
        $pdf->render();

        return (string) $pdf->output();
    }

    private static function named(string $name): string
    {
        return trim((string) preg_replace('/[^A-Za-z0-9]+/', '-', $name), '-');
    }

    private static function download(string $bytes, string $type, string $name, bool $isInline = false): Response
    {
        return response($bytes, 200, ['Content-Type' => $type, 'Content-Disposition' => ($isInline ? 'inline' : 'attachment')."; filename=\"{$name}\""]);
    }
}
