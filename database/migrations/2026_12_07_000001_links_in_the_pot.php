<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** Whether the quick link went into the pot with its chain. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('dips', fn(Blueprint $table) => $table->boolean('link_in')->default(false));
    }
};
