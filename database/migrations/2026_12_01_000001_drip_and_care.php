<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a top-up took from which bottle (a component of kind `bottle`), and what was done to a chain with a cloth. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('topups', function (Blueprint $table): void {
            $table->double('ml')->nullable();
            // Null: nobody said which one.
            $table->unsignedBigInteger('bottle_id')->nullable()->index();
        });
        Schema::create('cares', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            $table->foreignId('component_id')->constrained();
            $table->string('care');
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUuid('action_id')->index()->constrained('actions');
            $table->foreignUuid('voided_by')->nullable()->constrained('actions');
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
    }
};
