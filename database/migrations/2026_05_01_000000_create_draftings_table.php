<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('draftings', function (Blueprint $table) {
            $table->id();
            $table->foreignId('program_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamp('since');
            $table->timestamp('seen');
            $table->unique(['program_id', 'user_id']);
        });
        Schema::table('users', function (Blueprint $table) {
            $table->json('settings')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('draftings');
        Schema::table('users', fn (Blueprint $table) => $table->dropColumn('settings'));
    }
};
