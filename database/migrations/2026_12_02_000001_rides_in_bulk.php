<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/**
 * Many rides at once: archives and tables being read, what came in by itself, and what a file says of its bike and road. No part of the
 * logbook.
 */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('ride_imports', function (Blueprint $table): void {
            $table->uuid('id')->primary();
            $table->foreignId('workshop_id')->constrained();
            $table->string('kind');
            $table->string('name');
            $table->string('state');
            $table->unsignedInteger('total');
            // How many of its files were looked at, and how many of them could be read.
            $table->unsignedInteger('done')->default(0);
            $table->unsignedInteger('read')->default(0);
            $table->json('failures');
            $table->unsignedBigInteger('started_at');
        });
        Schema::table('tracks', function (Blueprint $table): void {
            $table->string('source')->default('upload');
            $table->string('precision')->default('minute');
            $table->unsignedBigInteger('bike_id')->nullable();
            $table->string('condition')->nullable();
            $table->uuid('import_id')->nullable();
            $table->unsignedInteger('position')->nullable();
            // A file of an archive, or what a device sent, is taken once.
            $table->unique(['import_id', 'position']);
        });
        // Which column of a table holds what, by the names of its columns: remembered for the next one.
        Schema::table('workshops', fn(Blueprint $table) => $table->json('ride_columns')->nullable());
        Schema::create('ride_files', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('received_at');
            $table->unique(['device_id', 'sequence']);
        });
    }
};
