<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/**
 * Pot days: jobs that are planned before they begin, taps that say something, what a dip was like, and temperatures as
 * they were typed or as a probe sent them. A device belongs to one workshop and one pot; its token to the device.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('guided_jobs', fn(Blueprint $table) => $table->unsignedBigInteger('begun_at')->nullable());
        DB::table('guided_jobs')->update(['begun_at' => DB::raw('started_at')]);
        Schema::table('guided_taps', fn(Blueprint $table) => $table->json('about')->nullable());
        Schema::table('dips', function (Blueprint $table): void {
            // Null: nobody measured.
            $table->double('temp_c')->nullable();
            $table->unsignedInteger('soak_s')->nullable();
            $table->boolean('powder')->default(false);
        });
        Schema::create('devices', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->string('kind');
            $table->unsignedBigInteger('pot_id')->index();
            $table->string('name');
            $table->unsignedBigInteger('added_at');
            $table->unsignedBigInteger('seen_at')->nullable();
            $table->unsignedBigInteger('gone_at')->nullable();
            // Of a simulated one: the job that it watches, and how.
            $table->json('simulates')->nullable();
        });
        Schema::create('temperatures', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->unsignedBigInteger('pot_id');
            // Null: typed by a person.
            $table->foreignId('device_id')->nullable()->constrained();
            $table->unsignedBigInteger('sequence')->nullable();
            // By the one clock, whatever the device's own clock said.
            $table->unsignedBigInteger('at');
            $table->unsignedBigInteger('device_at')->nullable();
            $table->unsignedBigInteger('received_at');
            $table->double('temp_c');
            $table->unique(['device_id', 'sequence']);
            $table->index(['pot_id', 'at']);
        });
        // Sanctum's own table, written out.
        Schema::create('personal_access_tokens', function (Blueprint $table): void {
            $table->id();
            $table->morphs('tokenable');
            $table->text('name');
            $table->string('token', 64)->unique();
            $table->text('abilities')->nullable();
            $table->timestamp('last_used_at')->nullable();
            $table->timestamp('expires_at')->nullable()->index();
            $table->timestamps();
        });
    }
};
