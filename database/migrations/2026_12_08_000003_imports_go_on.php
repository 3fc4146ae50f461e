<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** When an archive that is read last moved on, and how often it was taken up again at the same file. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('ride_imports', function (Blueprint $table): void {
            $table->unsignedBigInteger('moved_at')->default(0);
            $table->unsignedInteger('resumed')->default(0);
        });
    }
};
