<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('revisions', static function (Blueprint $table): void {
            // The operation sheet a text was written from, and the text as the sheet wrote it.
            $table->json('sheet')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('revisions', static fn (Blueprint $table) => $table->dropColumn('sheet'));
    }
};
