<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

/** A second way in: keys that stay in a person's device. Here is only what proves them. */
return new class extends Migration {
    public function up(): void
    {
        Schema::create('passkeys', function (Blueprint $table): void {
            $table->id();
            $table->foreignId('user_id')->constrained()->cascadeOnDelete();
            $table->string('credential', 1400)->unique();
            $table->text('public_key');
            $table->unsignedBigInteger('counter');
            $table->string('host', 253);
            $table->boolean('phone');
            $table->unsignedBigInteger('added_at');
            $table->unsignedBigInteger('used_at')->nullable();
        });
    }
};
