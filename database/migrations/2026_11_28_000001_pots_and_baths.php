<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Pots (components of kind `pot`), what was done with the wax in them, and which pot a dip was in. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('bath_entries', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            $table->foreignId('component_id')->constrained();
            $table->string('kind');
            $table->double('wax_g')->nullable();
            $table->double('oil_g')->nullable();
            $table->double('removed_fraction')->nullable();
            $table->double('temp_c')->nullable();
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUuid('action_id')->index()->constrained('actions');
            $table->foreignUuid('voided_by')->nullable()->constrained('actions');
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
        Schema::table('dips', function (Blueprint $table): void {
            // Null: nobody said which pot.
            $table->unsignedBigInteger('pot_id')->nullable()->index();
            $table->double('pickup_g')->nullable();
            $table->boolean('rinsed')->default(false);
        });
    }
};
