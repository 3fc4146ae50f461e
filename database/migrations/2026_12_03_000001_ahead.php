<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rides and holidays that are planned, and the secret of a workshop's calendar. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('planned_rides', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            // Null: all bikes.
            $table->foreignId('bike_id')->nullable()->constrained();
            $table->string('from_date');
            $table->string('until_date');
            // 0: nothing is ridden.
            $table->double('km');
            $table->string('condition')->nullable();
            $table->string('name')->nullable();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUuid('action_id')->index()->constrained('actions');
            $table->foreignUuid('voided_by')->nullable()->constrained('actions');
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
        // Null: nobody subscribes.
        Schema::table('workshops', fn(Blueprint $table) => $table->string('calendar_secret')->nullable()->unique());
    }
};
