<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('touch_offs', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('setup_id')->constrained()->cascadeOnDelete();
            $table->foreignId('user_id')->constrained();
            // H2, or G54 X: one worksheet stands for each.
            $table->string('subject', 40);
            $table->string('state', 20);
            $table->string('method', 40)->nullable();
            // In millimetres, as the offset that comes of them.
            $table->json('readings')->nullable();
            $table->double('value')->nullable();
            $table->boolean('simulated')->default(false);
            $table->timestamp('begun_at');
            // Which of the setup's worksheets was begun after which; seconds are too coarse for that.
            $table->unsignedInteger('turn');
            $table->timestamps();
            $table->unique(['setup_id', 'subject']);
        });
        Schema::table('programs', static function (Blueprint $table): void {
            // The offsets its last check found it to use: G54, H2, D2.
            $table->text('uses')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('programs', static fn (Blueprint $table) => $table->dropColumn('uses'));
        Schema::dropIfExists('touch_offs');
    }
};
