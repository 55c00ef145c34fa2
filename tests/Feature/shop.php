<?php

declare(strict_types=1);

// What the feature tests ask of the demo shop.

use App\Models\Program;
use App\Models\Setup;
use App\Models\User;
use OakTrace\Core\Formats\PackedColumns;

function person(string $who = 'lead'): User
{
    return User::where('email', "{$who}@fernhollow.example")->firstOrFail();
}

function program(string $name): Program
{
    return Program::where('name', "O{$name}")->firstOrFail();
}

function documentOf(Setup $setup): array
{
    return (array) json_decode((string) json_encode($setup->document), true);
}

/** The inertia props of a page. */
function props(string $path): array
{
    $response = test()->get(
        $path,
        [
            'X-Inertia' => 'true', 'X-Requested-With' => 'XMLHttpRequest',
            'X-Inertia-Version' => app(App\Http\Middleware\HandleInertiaRequests::class)->version(request()) ?? '',
        ],
    );

    return $response->assertOk()->json('props');
}

/** What the bench is told about a text: the head of the answer, and its columns. */
function checked(Program $program, string $text): array
{
    return PackedColumns::read(test()->postJson("/programs/{$program->id}/check", ['text' => $text])->assertOk()->getContent());
}
