<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Solvent jars (components of kind `jar`) with what was done with them and the baths that chains had in them, dated
 * prices, stripping protocols of a workshop's own, and guided jobs with their taps. Jobs guide and are no part of the
 * logbook: what they lead to is recorded as actions.
 */
return new class extends Migration {
    public function up(): void
    {
        self::entries('jar_entries', function (Blueprint $table): void {
            $table->foreignId('component_id')->constrained();
            $table->string('act');
            $table->double('volume_ml')->nullable();
            $table->string('solvent')->nullable();
            $table->double('flash_c')->nullable();
            $table->double('boiling_c')->nullable();
            $table->string('note')->nullable();
        });
        self::entries('baths', function (Blueprint $table): void {
            // The jar; null: fresh solvent, poured into another jar afterwards or nobody said where.
            $table->foreignId('component_id')->nullable()->constrained();
            $table->foreignId('into_id')->nullable()->constrained('components');
            $table->string('solvent');
            $table->double('volume_ml');
            $table->unsignedInteger('chains');
            // On each chain before the first bath of its action.
            $table->double('start_g');
            // What was seen: clear, cloudy, or null where nobody was asked.
            $table->string('look')->nullable();
        });
        self::entries('prices', function (Blueprint $table): void {
            $table->string('supply');
            $table->unsignedBigInteger('amount_minor');
            $table->double('quantity');
        });
        Schema::create('protocols', function (Blueprint $table): void {
            $table->id();
            $table->string('name');
            $table->json('steps');
            $table->boolean('drip_only')->default(false);
            self::belongsToAction($table);
        });
        Schema::create('guided_jobs', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('kind');
            $table->string('title');
            // The protocol as it was when the job began.
            $table->json('steps');
            $table->json('chains');
            $table->json('terms');
            $table->unsignedBigInteger('started_at');
            $table->unsignedBigInteger('ended_at')->nullable();
            // The action that recorded what it led to.
            $table->foreignUuid('action_id')->nullable()->constrained('actions');
            $table->index(['workshop_id', 'ended_at']);
        });
        Schema::create('guided_taps', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignUuid('job_id')->constrained('guided_jobs');
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('user_id')->nullable()->constrained();
            $table->string('kind');
            $table->unsignedInteger('position');
            $table->unsignedBigInteger('at');
            $table->unsignedBigInteger('received_at');
            // The order in which they were taken.
            $table->unsignedInteger('number');
            $table->unique(['job_id', 'number']);
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
        $table->unsignedBigInteger('sequence');
    }
};
