<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Oil gets on a chain: a new kind of entry, of the chain. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('oilings', function (Blueprint $table): void {
            $table->id();
            $table->unsignedBigInteger('at');
            $table->string('precision')->default('minute');
            $table->foreignId('component_id')->constrained('components');
            $table->foreignId('workshop_id')->constrained();
            $table->foreignUuid('action_id')->index()->constrained('actions');
            $table->foreignUuid('voided_by')->nullable()->constrained('actions');
            $table->unsignedBigInteger('sequence');
            $table->unsignedBigInteger('replaces_id')->nullable()->index();
            $table->index(['workshop_id', 'voided_by', 'at']);
        });
    }
};
