<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('crib_tools', static function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->string('kind');
            // A tool of a setup file in millimetres, without its number.
            $table->json('definition');
            $table->timestamps();
            $table->softDeletes();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('crib_tools');
    }
};
