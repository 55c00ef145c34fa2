<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('machines', function (Blueprint $table) {
            $table->id();
            $table->string('name')->unique();
            $table->json('definition');
            $table->timestamps();
        });

        Schema::create('parts', function (Blueprint $table) {
            $table->id();
            $table->string('name');
            $table->string('drawing_number');
            $table->string('material')->nullable();
            $table->string('units');
            $table->timestamps();
        });

        Schema::create('setups', function (Blueprint $table) {
            $table->id();
            $table->foreignId('part_id')->constrained()->cascadeOnDelete();
            $table->foreignId('machine_id')->constrained();
            $table->unsignedInteger('operation');
            $table->string('name');
            $table->json('document');
            $table->unsignedInteger('version')->default(1);
            $table->timestamps();
        });

        Schema::create('programs', function (Blueprint $table) {
            $table->id();
            $table->foreignId('setup_id')->constrained()->cascadeOnDelete();
            $table->string('name');
            $table->string('verdict')->nullable();
            $table->unsignedInteger('stops')->default(0);
            $table->unsignedInteger('cautions')->default(0);
            $table->float('seconds')->default(0);
            $table->timestamps();
        });

        Schema::create('revisions', function (Blueprint $table) {
            $table->id();
            $table->foreignId('program_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('number');
            $table->longText('text');
            $table->foreignId('user_id')->constrained();
            $table->string('reason')->default('');
            $table->timestamp('created_at');
            $table->unique(['program_id', 'number']);
        });
    }

    public function down(): void
    {
        foreach (['revisions', 'programs', 'setups', 'parts', 'machines'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
