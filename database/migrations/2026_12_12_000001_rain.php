<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Rain that was taken from tables, hour by hour. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('rain_hours', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('workshop_id')->constrained()->cascadeOnDelete();
            // The beginning of the hour, Unix seconds.
            $table->bigInteger('at');
            $table->double('mm');
            $table->unique(['workshop_id', 'at']);
        });
    }
};
