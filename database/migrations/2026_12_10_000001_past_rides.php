<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** The rides of earlier months, packed by bike: derived from the rides, and read in their place. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('past_rides', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            // 0: of none yet.
            $table->unsignedBigInteger('bike_id');
            // All that began before it are packed; far below nought: none, somebody changed one of them.
            $table->bigInteger('cut_s');
            $table->longText('packed');
            // Of the row without a bike: when the queue was asked to pack.
            $table->bigInteger('asked_at')->nullable();
            $table->unique(['workshop_id', 'bike_id']);
        });
    }
};
