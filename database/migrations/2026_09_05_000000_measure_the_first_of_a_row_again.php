<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // Of the first bore of a row that is being measured again: what it was measured at first, mm.
        Schema::table('touch_offs', static fn (Blueprint $table) => $table->double('measured_first')->nullable());
    }

    public function down(): void
    {
        Schema::table('touch_offs', static fn (Blueprint $table) => $table->dropColumn('measured_first'));
    }
};
