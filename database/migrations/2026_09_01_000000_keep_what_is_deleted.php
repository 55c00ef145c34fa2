<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What is deleted lies in a bin; a part can be archived; each person finds first what they opened last. */
return new class extends Migration
{
    private const KEPT = ['parts', 'setups', 'programs', 'machines'];

    public function up(): void
    {
        foreach (self::KEPT as $name) {
            Schema::table($name, static function (Blueprint $table): void {
                $table->softDeletes();
            });
        }
        Schema::table('parts', static function (Blueprint $table): void {
            $table->timestamp('archived_at')->nullable();
        });
        Schema::table('programs', static function (Blueprint $table): void {
            $table->text('worst')->nullable();
            // What the check says of fields of the setup, to be told where they stand.
            $table->text('fields')->nullable();
            // What others of its setup call it as, and which of them it calls itself.
            $table->string('called_as', 20)->nullable();
            $table->text('calls')->nullable();
            $table->text('sketch')->nullable();
        });
        Schema::create('part_visits', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->foreignId('part_id')->constrained()->cascadeOnDelete();
            $table->timestamp('at');
            $table->unique(['user_id', 'part_id']);
        });
        Schema::table('logbook', static function (Blueprint $table): void {
            $table->string('why', 200)->nullable();
        });
        Schema::table('users', static function (Blueprint $table): void {
            $table->timestamp('closed_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn('closed_at'));
        Schema::table('logbook', static fn (Blueprint $table) => $table->dropColumn('why'));
        Schema::dropIfExists('part_visits');
        Schema::table('programs', static fn (Blueprint $table) => $table->dropColumn(['worst', 'fields', 'called_as', 'calls', 'sketch']));
        Schema::table('parts', static fn (Blueprint $table) => $table->dropColumn('archived_at'));
        foreach (self::KEPT as $name) {
            Schema::table($name, static fn (Blueprint $table) => $table->dropSoftDeletes());
        }
    }
};
