<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * The logbook: what happened, one table for each kind of entry, one row in `actions` for each thing a person did.
 * Rows are never deleted and never changed but for `voided_by`, the action in force that took them back or replaced
 * them. `at` is in Unix seconds (UTC).
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('actions', function (Blueprint $table): void {
            $table->uuid('id');
            // Said before the column that points to it: PostgreSQL wants the key first.
            $table->primary('id');
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('kind');
            $table->unsignedBigInteger('recorded_at');
            $table->unsignedBigInteger('revision');
            // Codes and parameters of its sentence in the history; ids of the bikes and chains concerned.
            $table->json('about');
            // What it did to `voided_by` of earlier rows: [table, id, before, after].
            $table->json('effects');
            $table->foreignUuid('reverted_by')->nullable()->constrained('actions');
            $table->index(['workshop_id', 'revision']);
        });
        Schema::create('bikes', function (Blueprint $table): void {
            $table->id();
            self::belongsToAction($table);
        });
        Schema::create('components', function (Blueprint $table): void {
            $table->id();
            $table->string('kind');
            self::belongsToAction($table);
        });
        self::entries('settings', function (Blueprint $table): void {
            $table->string('key');
            $table->foreignId('bike_id')->nullable()->constrained();
            $table->foreignId('component_id')->nullable()->constrained();
            $table->json('value')->nullable();
        });
        self::entries('fittings', function (Blueprint $table): void {
            $table->foreignId('bike_id')->constrained();
            // Null: taken off, nothing put on.
            $table->foreignId('component_id')->nullable()->constrained();
        });
        self::entries('rides', function (Blueprint $table): void {
            $table->foreignId('bike_id')->constrained();
            $table->double('km');
            $table->double('hours')->nullable();
            $table->string('condition');
            $table->string('track_fingerprint')->nullable();
            $table->unsignedInteger('track_from')->nullable();
            $table->unsignedInteger('track_to')->nullable();
            $table->index(['workshop_id', 'track_fingerprint']);
        });
        foreach (['strips', 'dips', 'retirements'] as $name) {
            self::entries($name, fn(Blueprint $table) => $table->foreignId('component_id')->constrained());
        }
        self::entries('topups', function (Blueprint $table): void {
            $table->foreignId('component_id')->constrained();
            $table->double('km');
        });
        self::entries('readings', function (Blueprint $table): void {
            $table->foreignId('component_id')->constrained();
            // The instrument and what it showed: an input of wear.reading.
            $table->json('input');
        });
        self::entries('noises', fn(Blueprint $table) => $table->foreignId('bike_id')->constrained());
        // Uploaded rides that have been looked at but not kept yet.
        Schema::create('tracks', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('name');
            $table->unsignedBigInteger('start')->nullable();
            $table->double('km');
            $table->double('moving_hours')->nullable();
            $table->double('elapsed_hours')->nullable();
            $table->unsignedInteger('points');
            $table->unsignedInteger('segments');
            $table->string('fingerprint');
            $table->unsignedBigInteger('uploaded_at')->index();
        });
    }

    /** @param Closure(Blueprint): mixed $columns */
    private static function entries(string $name, Closure $columns): void
    {
        Schema::create($name, function (Blueprint $table) use ($columns): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            $columns($table);
            self::belongsToAction($table);
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
    }

    private static function belongsToAction(Blueprint $table): void
    {
        $table->foreignId('workshop_id')->constrained();
        $table->foreignUuid('action_id')->index()->constrained('actions');
        $table->foreignUuid('voided_by')->nullable()->constrained('actions');
        // The revision in which the thing was first recorded: its place among things of one instant.
        $table->unsignedBigInteger('sequence');
    }
};
