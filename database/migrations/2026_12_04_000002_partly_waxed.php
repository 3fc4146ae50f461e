<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A dip whose soak was cut short may have waxed a chain only partly. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('dips', fn(Blueprint $table) => $table->boolean('partly')->default(false));
    }
};
