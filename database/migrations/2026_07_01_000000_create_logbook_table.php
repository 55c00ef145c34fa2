<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('logbook', function (Blueprint $table) {
            $table->id();
            $table->string('kind')->index();
            // Who, by name too: the entry stands when the person has gone.
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            $table->string('by');
            $table->foreignId('setup_id')->nullable()->constrained()->nullOnDelete();
            $table->string('subject');
            $table->string('field')->default('');
            $table->text('was')->nullable();
            $table->text('is')->nullable();
            $table->timestamp('created_at')->index();
        });
        Schema::create('long_check_waits', function (Blueprint $table) {
            $table->id();
            $table->string('long_check_id', 32)->index();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->timestamp('seen');
            $table->unique(['long_check_id', 'user_id']);
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('long_check_waits');
        Schema::dropIfExists('logbook');
    }
};
