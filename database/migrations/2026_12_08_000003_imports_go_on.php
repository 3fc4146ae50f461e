<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When an archive that is read last moved on, which of its readers is the one, and how often the file that is next was begun. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('ride_imports', function (Blueprint $table): void {
            $table->unsignedBigInteger('moved_at')->default(0);
            $table->unsignedInteger('reader')->default(0);
            $table->unsignedInteger('tries')->default(0);
        });
    }
};
