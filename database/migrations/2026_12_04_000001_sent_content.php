<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** What a form sent, as a digest: the same again is answered as before, anything else under its id is refused. */
return new class extends Migration {
    public function up(): void
    {
        Schema::table('actions', fn(Blueprint $table) => $table->string('sent')->nullable());
    }
};
