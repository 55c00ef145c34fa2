<?php

declare(strict_types=1);

use App\Http\Controllers\AccountController;
use App\Http\Controllers\BenchController;
use App\Http\Controllers\BinController;
use App\Http\Controllers\EditSessionController;
use App\Http\Controllers\ExerciseController;
use App\Http\Controllers\LogbookController;
use App\Http\Controllers\LongCheckController;
use App\Http\Controllers\MachineController;
use App\Http\Controllers\OperationSheetController;
use App\Http\Controllers\PartController;
use App\Http\Controllers\PasswordController;
use App\Http\Controllers\PeopleController;
use App\Http\Controllers\ProfileController;
use App\Http\Controllers\ProgramController;
use App\Http\Controllers\ProgramRecordController;
use App\Http\Controllers\RevisionController;
use App\Http\Controllers\SettingsController;
use App\Http\Controllers\SetupController;
use App\Http\Controllers\SetupRecordController;
use App\Http\Controllers\SeverityController;
use App\Http\Controllers\SheetController;
use App\Http\Controllers\SignInController;
use App\Http\Controllers\ToolController;
use App\Http\Controllers\TouchOffController;
use App\Http\Middleware\TakesASlot;
use Illuminate\Support\Facades\Route;

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SignInController::class, 'show'])->name('login');
    Route::post('/sign-in', [SignInController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/first-lead', [PasswordController::class, 'first']);
    Route::post('/first-lead', [PasswordController::class, 'storeFirst'])->middleware('throttle:sign-in');
    Route::get('/forgotten-password', [PasswordController::class, 'forgotten']);
    Route::post('/forgotten-password', [PasswordController::class, 'send'])->middleware('throttle:sign-in');
    Route::get('/password/{token}', [PasswordController::class, 'choose']);
    Route::post('/password', [PasswordController::class, 'store'])->middleware('throttle:sign-in');
});

Route::middleware('auth')->group(function (): void {
    Route::put('/settings', [SettingsController::class, 'update']);
    Route::post('/sign-out', [SignInController::class, 'destroy']);
    Route::get('/', [PartController::class, 'index']);
    Route::get('/people', [PeopleController::class, 'index']);
    Route::post('/people', [PeopleController::class, 'store']);
    Route::put('/people/{person}', [PeopleController::class, 'update']);
    Route::post('/people/{person}/link', [PeopleController::class, 'link']);
    Route::delete('/people/{person}', [PeopleController::class, 'close']);
    Route::post('/people/{person}/reopen', [PeopleController::class, 'reopen']);
    Route::get('/account', [AccountController::class, 'show']);
    Route::put('/account', [AccountController::class, 'update']);
    Route::put('/account/password', [AccountController::class, 'password'])->middleware('throttle:sign-in');
    Route::delete('/account/sessions/{name}', [AccountController::class, 'endSession']);

    Route::post('/parts', [PartController::class, 'store']);
    Route::put('/parts/{part}', [PartController::class, 'update']);
    Route::post('/parts/{part}/copy', [PartController::class, 'copy']);
    Route::put('/parts/{part}/archived', [PartController::class, 'archive']);
    Route::delete('/parts/{part}', [PartController::class, 'destroy']);
    Route::get('/bin', [BinController::class, 'index']);
    Route::post('/bin/{kind}/{id}', [BinController::class, 'restore']);
    Route::delete('/bin/{kind}/{id}', [BinController::class, 'destroy']);

    Route::post('/parts/{part}/setups', [SetupRecordController::class, 'import']);
    Route::post('/parts/{part}/programs', [SetupRecordController::class, 'fromPrograms']);
    Route::post('/parts/{part}/new-setup', [SetupRecordController::class, 'store']);
    Route::put('/setups/{setup}/record', [SetupRecordController::class, 'update']);
    Route::post('/setups/{setup}/copy', [SetupRecordController::class, 'copy']);
    Route::delete('/setups/{setup}', [SetupRecordController::class, 'destroy']);
    Route::get('/setups/{setup}', [SetupController::class, 'show']);
    Route::get('/logbook', [LogbookController::class, 'index']);
    Route::get('/setups/{setup}/logbook', [LogbookController::class, 'ofSetup']);
    Route::get('/setups/{setup}/needs', [SetupController::class, 'needs']);
    Route::get('/setups/{setup}/verdicts', [SetupController::class, 'verdicts']);
    Route::put('/setups/{setup}', [SetupController::class, 'update']);
    Route::post('/setups/{setup}/in-units', [SetupController::class, 'inUnits']);
    Route::put('/setups/{setup}/zero', [SetupController::class, 'moveZero']);
    Route::post('/setups/{setup}/lowered', [SeverityController::class, 'store']);
    Route::delete('/setups/{setup}/lowered', [SeverityController::class, 'destroy']);
    Route::get('/setups/{setup}/file', [SetupController::class, 'download']);
    Route::post('/setups/{setup}/programs', [ProgramRecordController::class, 'import']);
    Route::post('/setups/{setup}/new-program', [ProgramRecordController::class, 'store']);
    Route::post('/setups/{setup}/new-sheet', [OperationSheetController::class, 'store']);
    Route::get('/programs/{program}/sheet-file', [OperationSheetController::class, 'download']);
    Route::put('/programs/{program}', [ProgramRecordController::class, 'update']);
    Route::post('/programs/{program}/copy', [ProgramRecordController::class, 'copy']);
    Route::delete('/programs/{program}', [ProgramRecordController::class, 'destroy']);

    Route::get('/machines', [MachineController::class, 'index']);
    Route::post('/machines', [MachineController::class, 'store']);
    Route::put('/machines/{machine}', [MachineController::class, 'update']);
    Route::delete('/machines/{machine}', [MachineController::class, 'destroy']);

    Route::get('/tools', [ToolController::class, 'index']);
    Route::get('/tools.csv', [ToolController::class, 'export']);
    Route::post('/tools', [ToolController::class, 'store']);
    Route::post('/tools/import', [ToolController::class, 'import']);
    Route::put('/tools/{tool}', [ToolController::class, 'update']);
    Route::delete('/tools/{tool}', [ToolController::class, 'destroy']);

    Route::get('/setups/{setup}/touching-off', [TouchOffController::class, 'show']);
    Route::post('/setups/{setup}/touching-off/begin', [TouchOffController::class, 'begin']);
    Route::post('/setups/{setup}/touching-off/read', [TouchOffController::class, 'read']);
    Route::post('/setups/{setup}/touching-off/type-back', [TouchOffController::class, 'typeBack']);
    Route::post('/setups/{setup}/touching-off/adjust', [TouchOffController::class, 'adjust']);
    Route::post('/setups/{setup}/touching-off/simulate', [TouchOffController::class, 'simulate']);
    Route::post('/setups/{setup}/touching-off/take-back', [TouchOffController::class, 'takeBack']);

    Route::get('/profiles', [ProfileController::class, 'index']);
    Route::post('/profiles', [ProfileController::class, 'store']);
    Route::put('/profiles/{profile}', [ProfileController::class, 'update']);

    Route::get('/programs/{program}', [ProgramController::class, 'show']);
    Route::get('/programs/{program}/machine', [ProgramController::class, 'atMachine']);
    Route::get('/programs/{program}/file', [SheetController::class, 'program']);
    Route::middleware(TakesASlot::class)->group(function (): void {
        Route::get('/setups/{setup}/sheet', [SheetController::class, 'show']);
        Route::get('/setups/{setup}/picture', [SheetController::class, 'picture']);
        Route::get('/programs/{program}/trace', [SheetController::class, 'trace']);
        Route::get('/programs/{program}/dxf', [SheetController::class, 'dxf']);
    });
    Route::get('/setups/{setup}/programs.zip', [SheetController::class, 'programs']);
    Route::middleware(TakesASlot::class)->group(function (): void {
        Route::post('/programs/{program}/operation-sheet', [OperationSheetController::class, 'answer']);
        Route::post('/programs/{program}/check', [BenchController::class, 'check']);
        Route::post('/programs/{program}/stock', [BenchController::class, 'stock']);
        Route::post('/programs/{program}/solid', [BenchController::class, 'solid']);
        Route::post('/programs/{program}/section', [BenchController::class, 'section']);
        Route::post('/programs/{program}/measure', [BenchController::class, 'measure']);
        Route::post('/programs/{program}/as-wanted', [BenchController::class, 'compare']);
        Route::post('/programs/{program}/explain', [BenchController::class, 'explain']);
        Route::post('/programs/{program}/dry-run', [BenchController::class, 'dryRun']);
        Route::post('/programs/{program}/transform', [BenchController::class, 'transform']);
        Route::post('/programs/{program}/offsets', [BenchController::class, 'offsets']);
        Route::post('/programs/{program}/compare', [RevisionController::class, 'motion']);
        Route::post('/programs/{program}/merge', [RevisionController::class, 'merge']);
    });
    Route::get('/long-checks/{check}', [LongCheckController::class, 'show']);
    Route::get('/long-checks/{check}/answer', [LongCheckController::class, 'answer']);
    Route::delete('/long-checks/{check}', [LongCheckController::class, 'stop']);
    Route::post('/programs/{program}/proof', [ProgramController::class, 'prove']);
    Route::post('/programs/{program}/revisions', [RevisionController::class, 'store']);
    Route::get('/programs/{program}/revisions/{number}', [RevisionController::class, 'show']);
    Route::post('/programs/{program}/revisions/{number}/restore', [RevisionController::class, 'restore']);
    Route::get('/programs/{program}/compare', [RevisionController::class, 'compare']);
    Route::get('/programs/{program}/exercise', [ExerciseController::class, 'show']);
    Route::put('/programs/{program}/exercise', [ExerciseController::class, 'store']);
    Route::delete('/programs/{program}/exercise', [ExerciseController::class, 'destroy']);
    Route::post('/programs/{program}/editing', EditSessionController::class);
});
