<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a chain was measured with; gauges that send what they show. A probe is at a pot, a gauge is at none. */
return new class extends Migration {
    public function up(): void
    {
        // Null: nobody said which one.
        Schema::table('readings', fn(Blueprint $table) => $table->unsignedBigInteger('instrument_id')->nullable());
        Schema::table('devices', fn(Blueprint $table) => $table->unsignedBigInteger('pot_id')->nullable()->change());
        Schema::create('gauge_values', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignId('device_id')->constrained();
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('received_at');
            $table->double('value_pct');
            $table->unique(['device_id', 'sequence']);
        });
    }
};
