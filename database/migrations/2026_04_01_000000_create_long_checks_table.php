<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('long_checks', function (Blueprint $table) {
            // What is checked, with what, by which core: the same content is checked once.
            $table->string('id', 32)->primary();
            $table->foreignId('program_id')->constrained()->cascadeOnDelete();
            $table->string('state');
            $table->float('share')->default(0);
            $table->string('message')->default('');
            $table->timestamps();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('long_checks');
    }
};
